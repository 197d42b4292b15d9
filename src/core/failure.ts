/**
 * An expected failure: a value, never an exception. `code` is stable and is what tests and the
 * words at the edge go by; `data` holds what a sentence about it needs.
 */
export interface Failure<Code extends string = string> {
  readonly code: Code
  readonly data: Readonly<Record<string, string | number>>
}

export type Outcome<T, Code extends string = string> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly failure: Failure<Code> }

export function ok<T>(value: T): { readonly ok: true; readonly value: T } {
  return { ok: true, value }
}

export function fail<Code extends string>(
  code: Code,
  data: Readonly<Record<string, string | number>> = {},
): { readonly ok: false; readonly failure: Failure<Code> } {
  return { ok: false, failure: { code, data } }
}
