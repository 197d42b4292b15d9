import type { ChangeNote, FieldError, Problem } from '#contract/basic'

/** A refusal of the server in its own words, by field. */
export class Refused extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail)
  }

  /** The message on a field, or on anything within it. */
  on(field: string): string | undefined {
    return this.problem.errors.find((error: FieldError) => error.field === field || error.field.startsWith(`${field}.`))
      ?.message
  }
}

/** The server did not answer at all, after every retry. */
export class OutOfReach extends Error {}

/** Pauses before each retry of a write, in milliseconds. Repeating is safe: a change id is applied once. */
const RETRY_PAUSES = [300, 900, 2500]

export async function get<A>(path: string): Promise<A> {
  return answerOf<A>(await attempt(path, {}, []))
}

/** The body of a command: its change id and whatever its schema holds; the server checks it. */
export interface CommandBody {
  readonly changeId: string
  readonly [field: string]: unknown
}

/** Sends a command. The change id is made by the caller, so that a repeat is the same act. */
export async function send<A extends { change: ChangeNote }>(
  method: 'POST' | 'PUT',
  path: string,
  body: CommandBody,
): Promise<A> {
  return answerOf<A>(await attempt(path, jsonRequest(method, body), RETRY_PAUSES))
}

/** Asks for a computation that stores nothing. */
export async function ask<A>(path: string, body: object): Promise<A> {
  return answerOf<A>(await attempt(path, jsonRequest('POST', body), []))
}

/** A new id for a record or a change. */
export function newId(): string {
  return crypto.randomUUID()
}

/** Sends a picture as it is; the server turns, shrinks and strips it. The change id stands in the address. */
export async function sendPicture(path: string, picture: Blob): Promise<{ change: ChangeNote }> {
  const request = {
    method: 'POST',
    headers: { 'Content-Type': picture.type || 'application/octet-stream' },
    body: picture,
  }
  return answerOf(await attempt(path, request, []))
}

function jsonRequest(method: string, body: object): RequestInit {
  return { method, headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) }
}

async function attempt(path: string, request: RequestInit, pauses: readonly number[]): Promise<Response> {
  for (let n = 0; ; n += 1)
    try {
      return await fetch(`/api${path}`, request)
    } catch {
      const pause = pauses[n]
      if (pause === undefined)
        throw new OutOfReach('Seligo does not answer. Is it still running? What you typed is kept here; try again.')
      await new Promise((resolve) => setTimeout(resolve, pause))
    }
}

async function answerOf<A>(response: Response): Promise<A> {
  const body: unknown = await response.json()
  if (!response.ok) throw new Refused(body as Problem)
  return body as A
}
