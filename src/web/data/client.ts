import { getActivePinia } from 'pinia'
import { parseDay } from '#core/calendar/day'
import type { ChangeNote, FieldError, Problem } from '#contract/basic'
import { useHerDay } from './her-day'
import { tellDays } from './locale'
import { useServerFacts } from './server-facts'

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

/**
 * Nobody knows whether it was done: no answer, none in time, or one that is not Seligo's. Asking again under the same change
 * id settles it.
 */
export class OutOfReach extends Error {
  constructor() {
    super('Seligo doesn’t answer. Is it still running? What you typed is kept here; try again.')
  }
}

/** Whoever waits longer than this, in milliseconds, gets no answer. */
const READ_PATIENCE = 20_000
const WRITE_PATIENCE = 30_000
/** A whole collection or a picture takes longer to travel and to be taken in. */
const LONG_PATIENCE = 180_000
const BAD_REQUEST = 400
/** This device is let in no more, or never was. */
const NOT_LET_IN = 401
/** Pauses before a write is tried again, in milliseconds. Repeating is safe: a change id is applied once. */
const RETRY_PAUSES = [300, 900]

/** The body of a command: its change id and whatever its schema holds; the server checks it. */
export interface CommandBody {
  readonly changeId: string
  readonly [field: string]: unknown
}
export type Method = 'POST' | 'PUT'

/** Asks for what stands; `signal` ends it when nobody waits for it any more. */
export async function get<A>(path: string, signal?: AbortSignal): Promise<A> {
  return once<A>(path, {}, READ_PATIENCE, signal)
}

/** Sends a command, once. The change id is made by the caller, so that a repeat is the same act. */
export async function sendOnce<A extends { change: ChangeNote }>(
  method: Method,
  path: string,
  body: CommandBody,
  signal?: AbortSignal,
  /** The collection it is meant for, where that is not the one on the screen. */
  collection?: string | null,
): Promise<A> {
  rememberOwn(body.changeId)
  const patience = path === '/collection-file' ? LONG_PATIENCE : WRITE_PATIENCE
  return once<A>(path, jsonRequest(method, body, collection), patience, signal)
}

/** Sends a command, and again after a short gap in the connection. */
export async function send<A extends { change: ChangeNote }>(
  method: Method,
  path: string,
  body: CommandBody,
  signal?: AbortSignal,
): Promise<A> {
  for (const pause of RETRY_PAUSES) {
    try {
      return await sendOnce<A>(method, path, body, signal)
    } catch (error) {
      if (!(error instanceof OutOfReach)) throw error
      await new Promise((resolve) => setTimeout(resolve, pause))
    }
  }
  return sendOnce<A>(method, path, body, signal)
}

/** Asks for a computation that stores nothing. */
export async function ask<A>(path: string, body: object): Promise<A> {
  return once<A>(path, jsonRequest('POST', body), LONG_PATIENCE)
}

/** Sends a picture as it is; the server turns, shrinks and strips it. The change id stands in the address. */
export async function sendPicture(path: string, picture: Blob): Promise<{ change: ChangeNote }> {
  rememberOwn(new URLSearchParams(path.slice(path.indexOf('?'))).get('changeId') ?? '')
  const request = {
    method: 'POST',
    headers: { 'Content-Type': picture.type || 'application/octet-stream', ...meantFor() },
    body: picture,
  }
  return once(path, request, LONG_PATIENCE)
}

/**
 * Sends a file as it is, however large, and says how much of it has gone, 0 to 1. Asked of `XMLHttpRequest`, since `fetch` does not
 * tell how far it is.
 */
export function sendLarge<A>(path: string, file: Blob, progress: (share: number) => void): Promise<A> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest()
    request.open('POST', `/api${path}`)
    request.setRequestHeader('Content-Type', 'application/zip')
    request.upload.addEventListener('progress', ({ loaded, total }) => progress(total > 0 ? loaded / total : 0))
    request.addEventListener('error', () => reject(new OutOfReach()))
    request.addEventListener('load', () => {
      let body: unknown
      try {
        body = JSON.parse(tellDays(request.responseText))
      } catch {
        return reject(new OutOfReach())
      }
      if (request.status < BAD_REQUEST) return resolve(body as A)
      reject(isProblem(body) ? new Refused(body) : new OutOfReach())
    })
    request.send(file)
  })
}

export { newId } from './new-id'

/** The last changes that this page asked for, so that it does not take its own for another's. */
const ownChanges = new Set<string>()
const OWN_KEPT = 300

/** Whether this page itself asked for a change. */
export function isOwnChange(changeId: string): boolean {
  return ownChanges.has(changeId)
}

function rememberOwn(changeId: string): void {
  ownChanges.add(changeId)
  const [oldest] = ownChanges
  if (ownChanges.size > OWN_KEPT && oldest !== undefined) ownChanges.delete(oldest)
}

function jsonRequest(method: string, body: object, collection?: string | null): RequestInit {
  return {
    method,
    headers: { 'Content-Type': 'application/json', ...meantFor(collection) },
    body: JSON.stringify(body),
  }
}

async function once<A>(path: string, request: RequestInit, patience: number, signal?: AbortSignal): Promise<A> {
  const tooLate = AbortSignal.timeout(patience)
  let response: Response
  let body: unknown
  try {
    response = await fetch(`/api${path}`, {
      ...request,
      signal: signal === undefined ? tooLate : AbortSignal.any([signal, tooLate]),
    })
    // Days within words are told as she writes them, wherever the words go.
    body = JSON.parse(tellDays(await response.text()))
  } catch (error) {
    // Left on purpose is no trouble: whoever left does not wait for words.
    if (signal?.aborted === true) throw error
    throw new OutOfReach()
  }
  hearTheDay(response.headers)
  hearTheServer(response.headers)
  if (response.ok) return body as A
  if (response.status === NOT_LET_IN) leave()
  if (isProblem(body)) throw new Refused(body)
  throw new OutOfReach()
}

function isProblem(body: unknown): body is Problem {
  return typeof body === 'object' && body !== null && 'code' in body && 'detail' in body && 'errors' in body
}

/** Every answer says which day it is for her, and when the next one begins. */
function hearTheDay(headers: Headers): void {
  const today = parseDay(headers.get('Seligo-Day') ?? '')
  const endsAt = Date.parse(headers.get('Seligo-Day-Ends') ?? '')
  const now = Date.parse(headers.get('Seligo-Now') ?? '')
  if (today === null || Number.isNaN(endsAt) || Number.isNaN(now) || getActivePinia() === undefined) return
  useHerDay().told({ today, endsAt, now })
}

/** What every answer says of the server: which collection, which build of the pages, and what stands against its file. */
function hearTheServer(headers: Headers): void {
  if (getActivePinia() === undefined) return
  useServerFacts().told({
    collection: headers.get('Seligo-Collection'),
    build: headers.get('Seligo-Build'),
    trouble: headers.get('Seligo-Trouble'),
  })
}

/** What is sent is meant for the collection that this page shows, and for no other at this address. */
function meantFor(collection?: string | null): Record<string, string> {
  const meant = collection ?? (getActivePinia() === undefined ? null : useServerFacts().collection)
  return meant === null ? {} : { 'Seligo-Collection': meant }
}

/** The page on which a device is let in stands in the place of everything; what waits to be sent waits on this device. */
export function leave(): void {
  location.assign('/')
}
