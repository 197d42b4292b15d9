import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { useChanges } from './changes'

const posts: { url: string; body: Record<string, unknown> }[] = []
let answerWith: { code: string; status: number } | 'silence' | null = null

beforeEach(() => {
  setActivePinia(createPinia())
  posts.length = 0
  answerWith = null
  vi.stubGlobal('fetch', (url: string, request?: { body?: string }): Promise<Response> => {
    if (request?.body === undefined) return Promise.resolve(new Response('{}'))
    const body = JSON.parse(request.body) as Record<string, unknown>
    posts.push({ url, body })
    if (answerWith === 'silence') return Promise.reject(new TypeError('no network'))
    const doubted = answerWith !== null && body['despite'] !== true
    const answer = doubted
      ? { type: 'about:blank', title: 'No.', detail: 'It came later.', errors: [], ...answerWith }
      : { change: { id: String(body['changeId']), words: 'laid on ⟦day:2026-11-24⟧', changed: true } }
    return Promise.resolve(
      new Response(JSON.stringify(answer), { status: doubted ? (answerWith?.status ?? 422) : 200 }),
    )
  })
  vi.useFakeTimers()
})
afterEach(() => {
  vi.unstubAllGlobals()
  vi.useRealTimers()
})

async function act(): Promise<unknown> {
  const done = useChanges().run('POST', '/drawer/place', { changeId: 'first', itemId: 'a' })
  await vi.advanceTimersByTimeAsync(5000)
  return done
}

test('a doubted act is asked about; her word sends it again as an act of its own', async () => {
  const changes = useChanges()
  answerWith = { code: 'item-gone', status: 422 }
  expect(await act()).toBeNull()
  expect(changes.trouble?.detail).toBe('It came later.')
  changes.trouble?.remedy?.act()
  await vi.advanceTimersByTimeAsync(10)
  expect(posts[1]?.body).toMatchObject({ itemId: 'a', despite: true })
  expect(posts[1]?.body['changeId']).not.toBe('first')
  expect(changes.trouble).toBeNull()
})

test('a refusal that is no question offers no remedy', async () => {
  answerWith = { code: 'unknown-item', status: 404 }
  await act()
  expect(useChanges().trouble?.remedy).toBeNull()
})

test('an act that nobody answered can be tried again, and is still the same act', async () => {
  const changes = useChanges()
  answerWith = 'silence'
  expect(await act()).toBeNull()
  expect(changes.trouble?.title).toBe('No answer.')
  answerWith = null
  changes.trouble?.remedy?.act()
  await vi.advanceTimersByTimeAsync(10)
  expect(new Set(posts.map(({ body }) => body['changeId']))).toEqual(new Set(['first']))
  expect(changes.trouble).toBeNull()
})

test('what was done is said with days as she writes them, and can be undone', async () => {
  const changes = useChanges()
  await act()
  expect([changes.announcement, changes.last?.id]).toEqual(['laid on 24 Nov 2026', 'first'])
  changes.takeBackLast()
  await vi.advanceTimersByTimeAsync(10)
  expect(changes.last).toBeNull()
  expect(posts.at(-1)?.url).toContain('/changes/first/take-back')
})
