import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { useChanges } from './changes'

const posts: { url: string; body: Record<string, unknown> }[] = []
let refuseWith: { code: string; status: number } | null = null

beforeEach(() => {
  setActivePinia(createPinia())
  posts.length = 0
  refuseWith = null
  vi.stubGlobal('fetch', (url: string, request?: { body?: string }): Promise<Response> => {
    if (request?.body === undefined) return Promise.resolve(new Response('{}'))
    const body = JSON.parse(request.body) as Record<string, unknown>
    posts.push({ url, body })
    const doubted = refuseWith !== null && body['despite'] !== true
    const answer = doubted
      ? { type: 'about:blank', title: 'No.', detail: 'It came later.', errors: [], ...refuseWith }
      : { change: { id: String(body['changeId']), words: 'done', changed: true } }
    return Promise.resolve(
      new Response(JSON.stringify(answer), { status: doubted ? (refuseWith?.status ?? 422) : 200 }),
    )
  })
})
afterEach(() => vi.unstubAllGlobals())

const act = () => useChanges().run('POST', '/wear', { changeId: 'first', itemId: 'a' })

test('a doubted act is asked about; her word sends it again as an act of its own', async () => {
  const changes = useChanges()
  refuseWith = { code: 'worn-before-it-came', status: 422 }
  expect(await act()).toBeNull()
  expect(changes.trouble?.detail).toBe('It came later.')
  changes.trouble?.anyway?.()
  await vi.waitFor(() => expect(changes.last?.words).toBe('done'))
  expect(posts).toHaveLength(2)
  expect(posts[1]?.body).toMatchObject({ itemId: 'a', despite: true })
  // A refused id may not be used for something else.
  expect(posts[1]?.body['changeId']).not.toBe('first')
  expect(changes.trouble).toBeNull()
})

test('a refusal that is no question offers no "anyway"', async () => {
  refuseWith = { code: 'unknown-item', status: 404 }
  await act()
  expect(useChanges().trouble?.anyway).toBeNull()
})

test('what was done is counted, said, and can be taken back; what changed nothing is not', async () => {
  const changes = useChanges()
  await act()
  expect([changes.count, changes.announcement, changes.last?.id]).toEqual([1, 'done', 'first'])
  changes.takeBackLast()
  await vi.waitFor(() => expect(changes.last).toBeNull())
  expect(posts.at(-1)?.url).toContain('/changes/first/take-back')
})

test('acts run one after the other, also after one failed', async () => {
  const changes = useChanges()
  const order: number[] = []
  changes.inTurn(async () => {
    await Promise.resolve()
    order.push(1)
    throw new Error('lost')
  })
  changes.inTurn(() => {
    order.push(2)
    return Promise.resolve()
  })
  await vi.waitFor(() => expect(order).toEqual([1, 2]))
})
