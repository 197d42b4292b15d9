import { fail as failWith, type Failure as AnyFailure, type Outcome as AnyOutcome } from '#core/failure'
import type { FailureCode } from './http/failure-words.js'

export { ok } from '#core/failure'

/** An expected failure of the server: its code is one that has words, which the compiler checks. */
export type Failure = AnyFailure<FailureCode>
export type Outcome<T> = AnyOutcome<T, FailureCode>

export type Refusal = { readonly ok: false; readonly failure: Failure }

export function fail<Code extends FailureCode>(
  code: Code,
  data: Failure['data'] = {},
): { readonly ok: false; readonly failure: AnyFailure<Code> } {
  return failWith(code, data)
}
