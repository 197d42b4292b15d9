import { readFileSync } from 'node:fs'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import type { PreviewRow, ProblemGroup } from '#contract/importing'
import { TestHouse } from './support/test-house'

interface Truth {
  readonly rows: number
  readonly problemRows: number
  readonly items: readonly {
    readonly maker: string
    readonly name: string
    readonly shade: string
    readonly category: string
    readonly amount: number | null
    readonly unit: string | null
    readonly amountTolerance: number
    readonly price: number | null
    readonly opened: { year: number; month: number | null; day: number | null } | null
    readonly paoMonths: number | null
    readonly expiry: { year: number; month: number } | null
    readonly uses: number | null
    readonly problem: string | null
  }[]
}

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())

const bytes = (name: string): Buffer => readFileSync(new URL(`reference/${name}`, import.meta.url))
const choices = { meanings: null, rows: [], skip: [] }
const sheet = (content: Buffer | string, fileName = 'my.csv') => ({
  fileName,
  base64: Buffer.from(content).toString('base64'),
  choices,
})
const preview = async (content: Buffer | string, fileName?: string) =>
  house.request('POST', '/import/preview', JSON.stringify(sheet(content, fileName)))

describe.each(['messy-us', 'messy-eu'])('%s, against the truth that came with it', (name) => {
  const truth = JSON.parse(bytes(`${name}.truth.json`).toString('utf8')) as Truth

  test('every good cell is read right, every bad one is reported, in file order', async () => {
    const { body, status } = await preview(bytes(`${name}.csv`))
    expect(status).toBe(200)
    const rows = body.rows as PreviewRow[]
    expect(rows).toHaveLength(truth.rows)
    truth.items.forEach((wanted, index) => {
      const row = rows[index]
      const where = `row ${index + 1}, ${wanted.name}`
      expect([row?.maker, row?.name, row?.shade], where).toEqual([wanted.maker, wanted.name, wanted.shade])
      expect(row?.categoryId?.replaceAll('-', ' '), where).toBe(wanted.category)
      if (wanted.amount === null) expect(row?.content, where).toBeNull()
      else {
        expect(row?.content?.unit, where).toBe(wanted.unit)
        expect(Math.abs((row?.content?.amount ?? 0) - wanted.amount), where).toBeLessThanOrEqual(wanted.amountTolerance)
      }
      // A price of nothing is a gift: it is stored without a price.
      expect(row?.priceMinor ?? null, where).toBe(
        wanted.price === null || wanted.price === 0 ? null : Math.round(wanted.price * 100),
      )
      if (wanted.price === 0) expect(row?.gift, where).toBe(true)
      expect(row?.opened ?? null, where).toEqual(rangeOf(wanted.opened))
      expect(row?.paoMonths ?? null, where).toBe(wanted.paoMonths)
      expect(row?.expiry?.slice(0, 7) ?? null, where).toBe(wanted.expiry === null ? null : monthOf(wanted.expiry))
      expect(row?.uses ?? null, where).toBe(wanted.uses)
    })
    const reported = (body.groups as ProblemGroup[])
      .filter((group) => group.serious)
      .flatMap((group) => group.cells.map((cell) => cell.row))
    const bad = truth.items.flatMap((item, index) => (item.problem === null ? [] : [index + 1]))
    expect(bad).toHaveLength(truth.problemRows)
    expect([...new Set(reported)].sort((a, b) => a - b)).toEqual(bad)
  })
})

function rangeOf(opened: { year: number; month: number | null; day: number | null } | null) {
  if (opened === null) return null
  const pad = (n: number): string => String(n).padStart(2, '0')
  const { year, month, day } = opened
  if (month === null) return { earliest: `${year}-01-01`, latest: `${year}-12-31` }
  const last = day ?? new Date(Date.UTC(year, month, 0)).getUTCDate()
  return { earliest: `${year}-${pad(month)}-${pad(day ?? 1)}`, latest: `${year}-${pad(month)}-${pad(last)}` }
}

function monthOf({ year, month }: { year: number; month: number }): string {
  return `${year}-${String(month).padStart(2, '0')}`
}

test('the preview stores nothing; the import is one change, and one undo takes it all back', async () => {
  const before = house.snapshot()
  await preview(bytes('messy-us.csv'))
  expect(house.snapshot()).toBe(before)
  const run = await house.post('/import/run', { ...sheet(bytes('messy-us.csv'), 'messy-us.csv'), importId: 'imp' })
  expect(run.body).toMatchObject({ stored: 150, backups: 26, leftOut: 0, change: { changed: true } })
  const listed = await house.listed()
  // 13 rows say "backup x2".
  expect(listed).toHaveLength(176)
  expect(listed.filter((item) => item.lifecycle === 'unopened').length).toBeGreaterThanOrEqual(26)
  expect((await house.get('/collection')).body.currency).toBe('USD')
  const sixth = house.db.prepare<[], { item_id: string }>('SELECT item_id FROM import_mark ORDER BY rowid').all()
  const ids = sixth.filter((_, at) => at < 12).map((row) => row.item_id)
  const found = await Promise.all(ids.map((id) => house.get(`/items/${id}`)))
  const highlighter = found.find(({ body }) => body.item.shade === 'Fig No. 4')
  expect(highlighter?.body.item).toMatchObject({ opened: { kind: 'unknown' }, opening: { by: 'sheet' }, usesBefore: 3 })
  expect(highlighter?.body.keptText).toContainEqual({ column: 'Opened', text: 'yesterdayish' })
  const undone = await house.post(`/changes/${run.body.change.id}/take-back`, {})
  expect(undone.status).toBe(200)
  expect(house.snapshot()).toBe(before)
})

test('category and form are set for many rows at once, and rows can stay out', async () => {
  const content = 'Name,Type\nLantern,glow thing\nHalo,glow thing\nQuay,lip gloss\n'
  const first = await preview(content)
  expect(first.body.willStore).toBe(1)
  expect((first.body.groups as ProblemGroup[]).find((group) => group.code === 'no-category')?.cells).toHaveLength(2)
  const chosen = { meanings: null, rows: [{ rows: [1, 2], categoryId: 'highlighter', form: 'baked' }], skip: [3] }
  const run = await house.post('/import/run', { ...sheet(content), choices: chosen, importId: 'imp' })
  expect(run.body).toMatchObject({ stored: 2, leftOut: 1 })
  const items = await house.listed()
  expect(items.map((item) => [item.categoryId, item.form])).toEqual([
    ['highlighter', 'baked'],
    ['highlighter', 'baked'],
  ])
})

test('the same file twice is pointed out before it is saved', async () => {
  await house.post('/import/run', { ...sheet('Name,Type\nQuay,lip gloss\n'), importId: 'one' })
  const again = await preview('Name,Type\nQuay,lip gloss\nHalo,highlighter\n')
  expect((again.body.groups as ProblemGroup[]).find((group) => group.code === 'already-there')?.cells).toHaveLength(1)
})

test.each([
  ['a picture named .csv', Buffer.from('89504e470d0a1a0a00', 'hex'), 'not-a-table'],
  ['a zip named .csv', Buffer.from('504b030414000000', 'hex'), 'not-a-table'],
  ['zero bytes inside', Buffer.from('a,b\n\u0000,1\n'), 'not-a-table'],
  ['an empty file', Buffer.from(''), 'no-rows'],
  ['headers alone', Buffer.from('Name,Type\n'), 'no-rows'],
  ['no name column', Buffer.from('x,y\n1,2\n'), 'no-name-column'],
  ['an unclosed quotation mark', Buffer.from('Name,Type\n"Quay,lip gloss\n'), 'unreadable-table'],
])('%s is refused with words, and nothing is saved', async (_, content, code) => {
  const before = house.snapshot()
  const answer = await preview(content)
  expect([answer.status, answer.body.code]).toEqual([422, code])
  expect(answer.body.errors[0].field).toBe('file')
  const run = await house.post('/import/run', { ...sheet(content), importId: 'imp' })
  expect(run.body.code).toBe(code)
  expect(house.snapshot()).toBe(before)
})

test('how much is left and how many there are come with a row', async () => {
  const text = [
    'Brand,Name,Type,Quantity,Left,Opened',
    'Pellwick,Rust,blush,2,hit pan,',
    'Pellwick,Sloe,lip gloss,1,half,2025',
    'Pellwick,Ash,foundation,1,full,unopened',
    'Pellwick,Peat,brow pencil,1,hit pan,2025',
    'Pellwick,Reed,mascara,1,most of it,2025',
  ].join('\n')
  expect((await house.post('/import/run', { ...sheet(text), importId: 'imp' })).status).toBe(200)
  const items = await house.listed()
  const read = items.map(({ name, reading }) => [name, reading?.kind ?? null, reading?.stage ?? reading?.value ?? null])
  expect(read.sort()).toEqual([
    ['Ash', 'level', 1],
    ['Peat', null, null],
    ['Reed', null, null],
    ['Rust', null, null],
    ['Rust', 'stage', 'first pan'],
    ['Sloe', 'level', 0.5],
  ])
  const peat = items.find(({ name }) => name === 'Peat')?.id ?? ''
  expect((await house.get(`/items/${peat}`)).body.keptText).toContainEqual({ column: 'left', text: 'hit pan' })
})
