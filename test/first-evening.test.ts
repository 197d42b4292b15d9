import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { asSheet, readLines } from '#core/formats/lines/read-lines'
import { CATEGORY_DEFAULTS } from '#core/item/category-defaults'
import type { ListedItem } from '#contract/item'
import type { ProposalAnswer } from '#contract/today'
import { FIELDS } from './support/fields'
import { TestHouse, TODAY } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())

const LINES = `pellwick rust bloom blush 5g opened march 26 24M
quillfern soot mascara unopened
LIPSTICKS
ondrake brake light gift
ondrake sloe opened spring 2026
harrowfin wet sand bronzer opened 2020 6M`

async function storeLines(): Promise<ListedItem[]> {
  const categories = CATEGORY_DEFAULTS.map(({ id, name, words }) => ({ id, name, words }))
  const lines = readLines(LINES, { categories, makers: [], order: 'day-first', today: TODAY })
  const sheet = { fileName: 'typed lines', base64: Buffer.from(asSheet(lines)).toString('base64') }
  const choices = { meanings: null, rows: [], skip: [], mended: [], tabs: null }
  const run = await house.post('/import/run', { ...sheet, choices, importId: 'lines' })
  expect(run.body).toMatchObject({ stored: 5, leftOut: 0 })
  return house.listed()
}

test('typed lines are saved by the rules of the import, one change, undone at once', async () => {
  const before = house.snapshot()
  const items = await storeLines()
  const rust = items.find((item) => item.shade === 'Rust Bloom')
  expect(rust).toMatchObject({ maker: 'Pellwick', category: 'blush', content: { amount: 5, unit: 'g' } })
  expect(rust?.opening.within).toEqual({ earliest: '2026-03-01', latest: '2026-03-31' })
  expect(items.find((item) => item.shade === 'Brake Light')?.category).toBe('lipstick')
  const [change] = (await house.get('/changes')).body.changes as { id: string }[]
  await house.post(`/changes/${change?.id}/take-back`, {})
  expect(house.snapshot()).toBe(before)
})

describe('swatches', () => {
  test('what nobody recorded is guessed from words and type, and is no swatch until it is confirmed', async () => {
    const items = await storeLines()
    expect(items.every((item) => item.colour === null && /^#[0-9a-f]{6}$/.test(item.guess ?? ''))).toBe(true)
    const rust = items.find((item) => item.shade === 'Rust Bloom')
    const swatches = [{ itemId: rust?.id, colour: rust?.guess }]
    expect((await house.post('/swatches', { swatches })).status).toBe(200)
    const after = (await house.listed()).find((item) => item.id === rust?.id)
    expect(after).toMatchObject({ colour: rust?.guess, guess: null })
  })

  test('a shade of another item is refused, and none of the others is saved', async () => {
    const [first, second] = await storeLines()
    const before = house.snapshot()
    const refused = await house.post('/swatches', {
      swatches: [
        { itemId: first?.id, colour: '#112233' },
        { itemId: second?.id, partId: 'not-there', colour: '#112233' },
      ],
    })
    expect(refused.body.code).toBe('unknown-part')
    expect(house.snapshot()).toBe(before)
  })
})

describe('a drawer to begin with', () => {
  test('is proposed, laid as one change, and then there is less to propose', async () => {
    await storeLines()
    const proposal = (await house.get('/drawer/proposal')).body as ProposalAnswer
    const names = proposal.picks.map((pick) => proposal.items.find((item) => item.id === pick.itemId)?.shade)
    expect([...names].sort()).toEqual(['Brake Light', 'Rust Bloom', 'Sloe', 'Soot'])
    // Opened in 2020 and good for six months: it is over.
    expect(names).not.toContain('Wet Sand')
    const placements = proposal.picks.map(({ itemId, zoneId }, n) => ({ placementId: `p${n}`, itemId, zoneId }))
    const laid = await house.post('/drawer/lay-many', { placements })
    expect(laid.body.change.words).toBe('Put 4 items in the drawer')
    expect((await house.listed()).filter((item) => item.placement !== null)).toHaveLength(4)
    expect(((await house.get('/drawer/proposal')).body as ProposalAnswer).picks).toEqual([])
  })

  test('where one doesn’t fit, none is laid', async () => {
    const ids = await Promise.all(Array.from({ length: 7 }, (_, n) => house.item({ ...FIELDS, shade: `S${n}` })))
    const placements = ids.map((itemId, n) => ({ placementId: `p${n}`, itemId, zoneId: 'cheeks' }))
    expect((await house.post('/drawer/lay-many', { placements })).body.code).toBe('zone-full')
    expect((await house.listed()).filter((item) => item.placement !== null)).toEqual([])
  })
})

describe('found again', () => {
  test('without accents, with a slip, by notes, and what has gone with its verdict and review', async () => {
    await house.item({ ...FIELDS, shade: 'Crème brûlée', notes: '' })
    const gone = await house.item({ ...FIELDS, shade: 'Washboard', notes: 'smells of the tram depot' })
    const find = async (words: string) => (await house.get(`/find?words=${encodeURIComponent(words)}`)).body
    const [present] = (await find('creme brulee')).ids as string[]
    expect((await find('creme brulle')).ids).toEqual([present])
    expect((await find('tram depot')).ids).toEqual([gone])
    await house.post(`/items/${gone}/finish`, {
      reviewId: 'r',
      day: TODAY,
      wouldBuyAgain: 'no',
      words: 'chalky',
      packageGoes: null,
    })
    const after = await find('washbord')
    expect(after.ids).toEqual([])
    expect(after.gone).toMatchObject([{ item: { id: gone }, endedAs: 'finished', review: { words: 'chalky' } }])
    expect((await find('chalky')).gone).toHaveLength(1)
    expect(await find('   ')).toEqual({ ids: [], gone: [] })
  })
})

test('expired items come first when the drawer is laid anew, and can be let go', async () => {
  await storeLines()
  const items = await house.listed()
  const over = items.find((item) => item.shade === 'Wet Sand')
  const rust = items.find((item) => item.shade === 'Rust Bloom')
  for (const [n, item] of [rust, over].entries())
    await house.post('/drawer/place', { placementId: `p${n}`, itemId: item?.id, zoneId: 'cheeks' })
  await house.post('/laying', { id: 'l', season: 'winter' })
  const { candidates } = (await house.get('/laying')).body
  expect(candidates[0]).toMatchObject({ item: { id: over?.id }, spoiled: true, awayUntil: null })
  const said = { itemId: over?.id, choice: 'let go', until: null }
  expect((await house.post('/laying/l/choose', { ...said, destination: 'give' })).body.code).toBe('destination-refused')
  expect((await house.post('/laying/l/choose', said)).status).toBe(422)
  await house.post('/laying/l/choose', { ...said, destination: 'bin' })
  await house.post('/laying/l/close', {})
  expect((await house.listed()).map((item) => item.id)).not.toContain(over?.id)
  expect((await house.get('/decide')).body.verdicts[0]).toMatchObject({ verdict: 'let go', destination: 'bin' })
})

test('a trial lies on Today until it is decided, wherever the item is kept', async () => {
  const itemId = await house.item()
  await house.post('/trials', { trialId: 't', itemId, wearsWanted: 5, dueOn: '2026-12-24', question: '' })
  expect((await house.get('/today')).body).toMatchObject({ onTrial: [itemId], items: [{ id: itemId }] })
  expect((await house.get('/today?day=2026-11-20')).body.onTrial).toEqual([])
  await house.post('/verdicts', {
    verdictId: 'v',
    itemId,
    trialId: 't',
    verdict: 'keep',
    reason: '',
    destination: null,
    until: null,
    usedAs: null,
  })
  expect((await house.get('/today')).body.onTrial).toEqual([])
})
