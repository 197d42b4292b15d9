import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import type { Day } from '#core/calendar/day'
import type { TodayAnswer } from '#contract/today'
import { useChanges } from '#web/shell/changes'
import { specimen } from '#web/specimen/specimen-data'
import { useToday } from './today-store'

const DAY = '2026-11-24' as Day
const blush = { ...specimen({ shade: 'Rust', form: 'pressed', colour: null }), id: 'blush' }
const gloss = { ...specimen({ shade: 'Quay', form: 'wand', colour: null }), id: 'gloss' }

/** A server that holds one day's ticks, and can be told to refuse or not to answer. */
class FakeServer {
  worn: string[] = []
  posts: string[] = []
  days: string[] = []
  mode: 'ok' | 'refuse' | 'silent' = 'ok'
  silentFor = 0

  readonly fetch = async (url: string, request?: { body?: string }): Promise<Response> => {
    if (request?.body === undefined) {
      const day = /day=(.*)/.exec(url)?.[1] as Day | undefined
      return this.#json(url.startsWith('/api/today') ? this.today(day) : {})
    }
    if (this.silentFor > 0) {
      this.silentFor -= 1
      throw new TypeError('no network')
    }
    if (url.includes('/take-back')) {
      this.posts.push(url.replace(/^.*changes\/.*\/take-back$/, 'take-back'))
      this.worn.pop()
      return this.#json({ change: { id: 'undo', words: 'Took back', changed: true } })
    }
    const body = JSON.parse(request.body) as {
      changeId: string
      itemId: string
      day: Day
      worn: boolean
      itemIds?: string[]
    }
    this.days.push(body.day)
    this.posts.push(`${body.itemId}:${String(body.worn)}`)
    if (this.mode === 'refuse')
      return this.#json(
        {
          title: 'That cannot be stored as it stands.',
          detail: 'It has not come yet.',
          code: 'day-in-future',
          status: 422,
          errors: [],
          type: 'about:blank',
        },
        422,
      )
    this.worn = this.worn.filter((id) => id !== body.itemId)
    if (body.worn) this.worn.push(body.itemId)
    if (body.itemIds) this.worn = [...new Set([...this.worn, ...body.itemIds])]
    return this.#json({
      worn: this.#list(),
      change: { id: body.changeId, words: `${body.itemId} worn`, changed: true },
    })
  }

  today(day = DAY): TodayAnswer {
    return {
      today: DAY,
      day,
      zones: [],
      items: [blush, gloss],
      worn: this.#list(),
      noMakeup: false,
      reachFor: [],
      earlierFaces: [{ like: 'last', day: '2026-11-21' as Day, itemIds: ['blush', 'gloss'], gone: 0 }],
      conditions: { skin: null, clothes: null, minutes: null, occasion: null, hands: null, weather: null, note: null },
      occasions: [],
      putBack: [],
      notToday: [],
      sunscreen: null,
      savedFaces: [],
      silence: null,
      collectionIsEmpty: false,
    }
  }

  #list(): TodayAnswer['worn'] {
    return this.worn.map((itemId) => ({
      itemId,
      partIds: [],
      usedAs: null,
      amount: null,
      amountUnit: null,
      felt: null,
      mix: null,
    }))
  }

  #json(body: unknown, status = 200): Response {
    return new Response(JSON.stringify(body), { status })
  }
}

let server: FakeServer
beforeEach(async () => {
  setActivePinia(createPinia())
  server = new FakeServer()
  vi.stubGlobal('fetch', server.fetch)
  vi.useFakeTimers()
  await useToday().load(null)
})
afterEach(() => {
  vi.unstubAllGlobals()
  vi.useRealTimers()
})
const settled = async (): Promise<void> => {
  const today = useToday()
  for (let n = 0; n < 40 && today.waiting > 0; n += 1) await vi.advanceTimersByTimeAsync(500)
}

test('a tick shows at once, before the server has answered', async () => {
  const today = useToday()
  today.setWorn(blush, true)
  expect(today.worn.has('blush')).toBe(true)
  expect(server.worn).toEqual([])
  await settled()
  expect(server.worn).toEqual(['blush'])
  expect(useChanges().last?.words).toBe('blush worn')
})

test('ticks arrive in the order they were made: the last word on an item stands', async () => {
  const today = useToday()
  today.setWorn(blush, true)
  today.setWorn(gloss, true)
  today.setWorn(blush, false)
  await settled()
  expect(server.posts).toEqual(['blush:true', 'gloss:true', 'blush:false'])
  expect([...today.worn.keys()]).toEqual(['gloss'])
})

test('a refused tick is taken off again, and the reason is said', async () => {
  const today = useToday()
  server.mode = 'refuse'
  today.setWorn(blush, true)
  await settled()
  expect(today.worn.has('blush')).toBe(false)
  expect(useChanges().trouble?.detail).toBe('It has not come yet.')
  expect(useChanges().announcement).toContain('It has not come yet.')
})

test('a gap in the connection is bridged under the same change id', async () => {
  const today = useToday()
  server.silentFor = 2
  today.setWorn(blush, true)
  await settled()
  expect(server.posts).toEqual(['blush:true'])
  expect(today.worn.has('blush')).toBe(true)
  expect(useChanges().trouble).toBeNull()
})

test('a server that stays silent is reported, and the tick is taken off', async () => {
  const today = useToday()
  server.silentFor = 99
  today.setWorn(blush, true)
  await settled()
  expect(today.worn.has('blush')).toBe(false)
  expect(useChanges().trouble?.title).toBe('No answer.')
})

test('a tap made while another day is on its way is for the day that was asked for', async () => {
  const today = useToday()
  const first = today.load('2026-11-22' as Day)
  const second = today.load('2026-11-23' as Day)
  today.onTheDayAsked(() => today.setWorn(blush, true))
  await Promise.all([first, second])
  await settled()
  expect(today.answer?.day).toBe('2026-11-23')
  expect(server.days).toEqual(['2026-11-23'])
})

test('the same as last ticks what is missing, as one change', async () => {
  const today = useToday()
  today.setWorn(gloss, true)
  today.putOn(['blush', 'gloss'], 'the same as last')
  expect([...today.worn.keys()].sort()).toEqual(['blush', 'gloss'])
  await settled()
  expect(server.worn.sort()).toEqual(['blush', 'gloss'])
})

test('taking back at once waits for the tick that is still on its way', async () => {
  const today = useToday()
  today.setWorn(gloss, true)
  today.setWorn(blush, true)
  useChanges().takeBackLast()
  await settled()
  await vi.advanceTimersByTimeAsync(50)
  expect(server.posts).toEqual(['gloss:true', 'blush:true', 'take-back'])
  expect(server.worn).toEqual(['gloss'])
})
