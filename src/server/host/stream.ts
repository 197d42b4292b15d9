import type { Response } from 'express'

/** A sign of life this often, in milliseconds: whatever lies between does not take the line for dead. */
const BREATH_MS = 25_000
/** Open pages of one device, and of this machine, that are told at once; its own oldest makes room. Assumption. */
const MOST_OF_ONE = 8
const MOST_HERE = 24

interface Listener {
  readonly response: Response
  readonly device: string | null
}

/** Pages that listen: told when something was changed elsewhere (server-sent events, as HTML has them). */
export class Stream {
  readonly #listeners = new Set<Listener>()
  readonly #breath = setInterval(() => this.#write(this.#listeners, ': still here\n\n'), BREATH_MS).unref()

  /** Keeps a page's line open; `device` is the id of the one that was let in, null on this machine. */
  listen(response: Response, device: string | null): void {
    response.writeHead(200, {
      'Content-Type': 'text/event-stream; charset=utf-8',
      'Cache-Control': 'no-store',
      Connection: 'keep-alive',
    })
    response.write('retry: 2000\n\n')
    const listener = { response, device }
    this.#listeners.add(listener)
    response.once('close', () => this.#listeners.delete(listener))
    const own = [...this.#listeners].filter((each) => each.device === device)
    if (own.length > (device === null ? MOST_HERE : MOST_OF_ONE)) own[0]?.response.end()
  }

  /** A change was stored; its own page knows it by the id. */
  changed(changeId: string): void {
    this.#write(this.#listeners, `event: changed\ndata: ${JSON.stringify({ changeId })}\n\n`)
  }

  /** Everything is another: the collection was put back to a copy. */
  another(): void {
    this.#write(this.#listeners, 'event: another\ndata: {}\n\n')
  }

  devices(): void {
    this.#write(this.#listeners, 'event: devices\ndata: {}\n\n')
  }

  /** A device that is let in no more, or all of them: their open pages end at once. */
  dismiss(device: string | 'all'): void {
    const gone = [...this.#listeners].filter(
      (each) => each.device !== null && (device === 'all' || each.device === device),
    )
    this.#write(gone, 'event: dismissed\ndata: {}\n\n')
    for (const { response } of gone) response.end()
  }

  close(): void {
    clearInterval(this.#breath)
    for (const { response } of this.#listeners) response.end()
  }

  #write(listeners: Iterable<Listener>, text: string): void {
    for (const { response } of listeners) response.write(text)
  }
}
