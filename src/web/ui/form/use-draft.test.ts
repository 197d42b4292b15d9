import { createPinia, setActivePinia } from 'pinia'
import { effectScope, type EffectScope } from 'vue'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { useOpenDrafts } from './open-drafts'
import { useDraft } from './use-draft'

/** A server that keeps each change once by its id, takes back by id, and can lose its answers, refuse or be no server at all. */
class FakeServer {
  readonly kept = new Map<string, unknown>()
  readonly made = new Set<string>()
  mode: 'there' | 'lost answers' | 'away' | 'refusing' | 'nonsense' | 'stale' | 'hanging' = 'there'

  readonly fetch = (url: string, request: { body: string; signal?: AbortSignal }): Promise<Response> => {
    if (this.mode === 'hanging')
      return new Promise((_, reject) => request.signal?.addEventListener('abort', () => reject(new Error('aborted'))))
    const { changeId, ...body } = JSON.parse(request.body) as { changeId: string }
    if (this.mode === 'away') return Promise.reject(new TypeError('no network'))
    if (this.mode === 'nonsense') return Promise.resolve(new Response('<html>', { status: 502 }))
    if (this.mode === 'refusing') return this.#refusal()
    if (this.mode === 'stale' && (body as { version?: number }).version !== 7)
      return Promise.resolve(Response.json(STALE, { status: 409 }))
    const back = /\/changes\/(.*)\/take-back$/.exec(url)?.[1]
    if (back !== undefined) this.kept.delete(back)
    else if (!this.made.has(changeId)) this.kept.set(changeId, body)
    this.made.add(changeId)
    if (this.mode === 'lost answers') return Promise.reject(new TypeError('cut off'))
    return Promise.resolve(Response.json({ change: { id: changeId, words: 'Done', changed: true } }))
  }

  #refusal(): Promise<Response> {
    const errors = [{ field: 'name', message: 'The name is empty: give one.' }]
    return Promise.resolve(
      Response.json({ title: 'Not so.', detail: 'Look again.', code: 'invalid', errors }, { status: 422 }),
    )
  }
}

const STALE = {
  title: 'Changed meanwhile.',
  detail: 'Another window saved something else.',
  code: 'stale',
  errors: [],
  current: { version: 7, name: 'Rust' },
}

let server: FakeServer
let scope: EffectScope
beforeEach(() => {
  setActivePinia(createPinia())
  server = new FakeServer()
  vi.stubGlobal('fetch', server.fetch)
  vi.useFakeTimers()
  scope = effectScope()
})
afterEach(() => {
  scope.stop()
  vi.unstubAllGlobals()
  vi.useRealTimers()
})

function draftOf(name: string) {
  const draft = scope.run(() => useDraft(() => ({ name })))
  if (draft === undefined) throw new Error('The scope of the test is over.')
  const store = async () => {
    const stored = draft.store('POST', '/things', { id: draft.id('thing'), name: draft.typed.value.name })
    await vi.runAllTimersAsync()
    return stored
  }
  return { draft, store }
}

test('what is saved again after a lost answer is the same act, and is there once', async () => {
  const { draft, store } = draftOf('Sloe')
  server.mode = 'lost answers'
  expect(await store()).toBeNull()
  expect(draft.busy.value).toBe(false)
  expect(draft.outOfReach.value).not.toBe('')
  server.mode = 'there'
  expect(await store()).not.toBeNull()
  expect([...server.kept.values()]).toEqual([{ id: expect.any(String) as string, name: 'Sloe' }])
  expect(draft.outOfReach.value).toBe('')
})

test('what was typed on after a lost answer is what is kept, and nothing beside it', async () => {
  const { draft, store } = draftOf('Sloe')
  const thing = draft.id('thing')
  server.mode = 'lost answers'
  await store()
  draft.typed.value.name = 'Sloe Gin'
  server.mode = 'there'
  await store()
  expect([...server.kept.values()]).toEqual([{ id: thing, name: 'Sloe Gin' }])
})

test('an edit that was settled goes on from the version that taking it back has left', async () => {
  const { draft } = draftOf('Sloe')
  const edit = async () => {
    const stored = draft.store('PUT', '/things/1', { version: 4, name: draft.typed.value.name })
    await vi.runAllTimersAsync()
    return stored
  }
  server.mode = 'lost answers'
  await edit()
  draft.typed.value.name = 'Sloe Gin'
  server.mode = 'there'
  await edit()
  expect([...server.kept.values()]).toEqual([{ version: 6, name: 'Sloe Gin' }])
  // The next edit of the same form brings its own version.
  await edit()
  expect([...server.kept.values()].at(-1)).toEqual({ version: 4, name: 'Sloe Gin' })
})

test('what never arrived isn’t made by what is typed after it', async () => {
  const { draft, store } = draftOf('Sloe')
  server.mode = 'away'
  await store()
  draft.typed.value.name = 'Sloe Gin'
  server.mode = 'there'
  await store()
  expect([...server.kept.values()].map((each) => (each as { name: string }).name)).toEqual(['Sloe Gin'])
})

test('two drafts saved one after the other are two acts, with ids of their own', async () => {
  const { draft, store } = draftOf('Sloe')
  await store()
  draft.begin({ name: 'Brake Light' })
  await store()
  const kept = [...server.kept.values()] as { id: string; name: string }[]
  expect(kept.map((each) => each.name)).toEqual(['Sloe', 'Brake Light'])
  expect(new Set(kept.map((each) => each.id)).size).toBe(2)
})

test('a refusal stands at its field, loses nothing, and is gone once it is mended', async () => {
  const { draft, store } = draftOf('')
  draft.typed.value.name = ' '
  server.mode = 'refusing'
  expect(await store()).toBeNull()
  expect(draft.on('name')).toEqual(['The name is empty: give one.'])
  expect(draft.on('shade')).toEqual([])
  expect(draft.typed.value.name).toBe(' ')
  server.mode = 'there'
  await store()
  expect(draft.on('name')).toEqual([])
})

test.each(['away', 'nonsense'] as const)('a server that is %s ends the saving and says so in words', async (mode) => {
  const { draft, store } = draftOf('Sloe')
  server.mode = mode
  expect(await store()).toBeNull()
  expect(draft.busy.value).toBe(false)
  expect(`${draft.outOfReach.value}${draft.refused.value?.message ?? ''}`).toMatch(/\w+ \w+/)
})

test('what is typed holds the page; what is saved, or put back by hand, doesn’t', async () => {
  const { draft, store } = draftOf('Sloe')
  const drafts = useOpenDrafts()
  expect(drafts.anyTyped()).toBe(false)
  draft.typed.value.name = 'Sloe Gin'
  expect(drafts.anyTyped()).toBe(true)
  draft.typed.value.name = 'Sloe'
  expect(drafts.anyTyped()).toBe(false)
  draft.typed.value.name = 'Sloe Gin'
  await store()
  expect(drafts.anyTyped()).toBe(false)
})

test('what another window saved is shown beside what is typed, and can be saved over', async () => {
  const { draft } = draftOf('Sloe')
  draft.typed.value.name = 'Sloe Gin'
  const store = async () => {
    const stored = draft.store('PUT', '/things/1', { version: 4, name: draft.typed.value.name })
    await vi.runAllTimersAsync()
    return stored
  }
  server.mode = 'stale'
  expect(await store()).toBeNull()
  expect(draft.conflict.value?.differences).toMatchObject([{ name: 'name' }])
  expect(draft.typed.value.name).toBe('Sloe Gin')
  draft.overwrite()
  expect(await store()).not.toBeNull()
  expect([...server.kept.values()].at(-1)).toEqual({ version: 7, name: 'Sloe Gin' })
})

test('a server that hangs is said after ten seconds, and can be left at once with what is typed', async () => {
  const { draft } = draftOf('Sloe')
  draft.typed.value.name = 'Sloe Gin'
  server.mode = 'hanging'
  const stored = draft.store('POST', '/things', { id: 'a', name: 'Sloe Gin' })
  await vi.advanceTimersByTimeAsync(9900)
  expect(draft.slow.value).toBe(false)
  await vi.advanceTimersByTimeAsync(200)
  expect([draft.busy.value, draft.slow.value]).toEqual([true, true])
  draft.stopWaiting()
  expect(await stored).toBeNull()
  expect([draft.busy.value, draft.slow.value, draft.typed.value.name]).toEqual([false, false, 'Sloe Gin'])
  expect(draft.outOfReach.value).toMatch(/stopped waiting/)
  // Stored again it is the same act.
  server.mode = 'there'
  const again = draft.store('POST', '/things', { id: 'a', name: 'Sloe Gin' })
  await vi.runAllTimersAsync()
  expect(await again).not.toBeNull()
  expect(server.kept.size).toBe(1)
})
