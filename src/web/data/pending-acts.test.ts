import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import type { Day } from '#core/calendar/day'
import { useChanges } from './changes'
import { get } from './client'
import { usePendingActs } from './pending-acts'

const TUESDAY = '2026-11-24' as Day

/** A server that keeps what it was told, once by change id, and can be away, refuse, answer nonsense or lose its answers. */
class FakeServer {
  readonly stored: string[] = []
  readonly asked: string[] = []
  collection = 'hers'
  mode: 'there' | 'away' | 'refusing' | 'lost answers' | 'nonsense' = 'there'

  readonly fetch = (url: string, request?: { body?: string }): Promise<Response> => {
    if (request?.body === undefined) return this.#json({}, 200)
    const body = JSON.parse(request.body) as { changeId: string; itemId?: string; despite?: boolean }
    const what = url.includes('take-back') ? `back ${url.split('/').at(-2)}` : `${body.itemId} ${body.changeId}`
    this.asked.push(what)
    if (this.mode === 'away') return Promise.reject(new TypeError('no network'))
    if (this.mode === 'refusing' && body.despite !== true)
      return this.#json({ title: 'Not so.', detail: 'It came later.', code: 'worn-before-it-came', errors: [] }, 422)
    if (!this.stored.includes(what)) this.stored.push(what)
    if (this.mode === 'lost answers') return Promise.reject(new TypeError('cut off'))
    if (this.mode === 'nonsense') return Promise.resolve(new Response('<html>', { status: 502 }))
    return this.#json({ change: { id: body.changeId, words: `${what} done`, changed: true } }, 200)
  }

  #json(body: object, status: number): Promise<Response> {
    const headers = { 'Seligo-Collection': this.collection }
    return Promise.resolve(new Response(JSON.stringify(body), { status, headers }))
  }
}

let server: FakeServer
beforeEach(() => {
  setActivePinia(createPinia())
  server = new FakeServer()
  vi.stubGlobal('fetch', server.fetch)
  vi.useFakeTimers()
  useChanges()
})
afterEach(() => {
  vi.unstubAllGlobals()
  vi.useRealTimers()
})

function tick(id: string, itemId: string): void {
  usePendingActs().add({
    id,
    method: 'POST',
    path: '/wear',
    body: { changeId: id, itemId, worn: true },
    day: TUESDAY,
    words: `${itemId} worn`,
  })
}
const wait = (ms: number): Promise<unknown> => vi.advanceTimersByTimeAsync(ms)

describe('acts on their way', () => {
  test('lie on top at once, go out in the order they were made, and are reported', async () => {
    tick('1', 'blush')
    tick('2', 'gloss')
    expect(usePendingActs().onTop.map((act) => act.id)).toEqual(['1', '2'])
    await wait(10)
    expect(server.stored).toEqual(['blush 1', 'gloss 2'])
    expect(usePendingActs().acts).toEqual([])
    expect(useChanges().last?.words).toBe('gloss 2 done')
  })

  test('stay on top until an answer of the server holds them', async () => {
    tick('1', 'blush')
    await wait(10)
    const pending = usePendingActs()
    expect(pending.onTop.map((act) => act.id)).toEqual(['1'])
    pending.settle(pending.delivered)
    expect(pending.onTop).toEqual([])
  })

  test.each(['away', 'nonsense'] as const)(
    'wait while the server is %s, and go out in order when it is back',
    async (mode) => {
      server.mode = mode
      tick('1', 'blush')
      tick('2', 'gloss')
      await wait(30_000)
      const pending = usePendingActs()
      expect(pending.acts.map((act) => act.id)).toEqual(['1', '2'])
      expect(pending.away).toBe(true)
      expect(useChanges().announcement).toContain('2 acts wait on this phone')
      expect(useChanges().trouble).toBeNull()
      server.mode = 'there'
      await wait(15_000)
      expect(server.stored).toEqual(['blush 1', 'gloss 2'])
      expect([pending.acts.length, pending.away]).toEqual([0, false])
    },
  )

  test('sent again after a lost answer are saved once', async () => {
    server.mode = 'lost answers'
    tick('1', 'blush')
    await wait(1000)
    server.mode = 'there'
    await wait(15_000)
    expect(server.asked.length).toBeGreaterThan(1)
    expect(server.stored).toEqual(['blush 1'])
  })

  test('a refusal undoes its own act alone, says of which, and asks where it doubts', async () => {
    server.mode = 'refusing'
    tick('1', 'blush')
    await wait(10)
    const changes = useChanges()
    expect(usePendingActs().onTop).toEqual([])
    expect(changes.trouble?.title).toBe('blush worn: not so.')
    changes.trouble?.remedy?.act()
    await wait(10)
    expect(server.stored).toHaveLength(1)
    // A refused id may not be used for something else.
    expect(server.stored[0]).not.toBe('blush 1')
  })
})

describe('taking back what is on its way', () => {
  test('an act that was never sent isn’t sent', async () => {
    server.mode = 'away'
    tick('1', 'blush')
    tick('2', 'gloss')
    await wait(500)
    useChanges().takeBackLast()
    expect(usePendingActs().acts.map((act) => act.id)).toEqual(['1'])
    server.mode = 'there'
    await wait(15_000)
    expect(server.stored).toEqual(['blush 1'])
  })

  test('an act that may have arrived is undone after it', async () => {
    server.mode = 'lost answers'
    tick('1', 'blush')
    await wait(100)
    useChanges().takeBackLast()
    server.mode = 'there'
    await wait(15_000)
    expect(server.stored).toEqual(['blush 1', 'back 1'])
    expect(useChanges().last).toBeNull()
  })
})

describe('another collection at the same address', () => {
  test('gets none of what was made in the first, which waits for its own', async () => {
    await get('/fronts')
    server.mode = 'away'
    tick('1', 'blush')
    await wait(400)
    // The server comes back with another collection, of which a page has heard by now.
    server.collection = 'another'
    server.mode = 'there'
    await get('/fronts')
    await wait(15_000)
    expect(server.stored).toEqual([])
    expect(usePendingActs().acts).toEqual([])
    expect(usePendingActs().elsewhere.map((act) => act.id)).toEqual(['1'])
    tick('2', 'gloss')
    await wait(1000)
    expect(server.stored).toEqual(['gloss 2'])
    server.collection = 'hers'
    await get('/fronts')
    await wait(15_000)
    expect(server.stored).toEqual(['gloss 2', 'blush 1'])
  })
})
