import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import type { ItemFields } from '#contract/item'
import { conflictsOf, MERGED_COLUMNS, mergedRow, type ItemRow } from '#server/collection/merged-columns'
import { TestHouse, TODAY } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())

const row = (id: string): ItemRow =>
  house.db.prepare<string[], ItemRow>('SELECT * FROM item WHERE id = ?').get(id) as ItemRow
const merge = (keepId: string, dropIds: string[], chosen: Record<string, string> = {}) =>
  house.post('/merge', { keepId, dropIds, chosen })
const NEVER_WORN = { first: null, sameSheetRow: false }

test('every column of the table of items has a rule', () => {
  const columns = house.db.pragma('table_info(item)') as { name: string }[]
  expect(Object.keys(MERGED_COLUMNS).sort()).toEqual(columns.map(({ name }) => name).sort())
})

describe('column by column, what only the other says is kept', () => {
  const SAID: Readonly<Record<string, string | number>> = {
    seasons: '["winter"]',
    package_states: '["cap lost"]',
    kept_text: '[["Where","market"]]',
    sign_day: '2026-02-01',
    acquired_earliest: '2025-01-01',
    uses_before: 4,
    opaque: 1,
    sun_protection: 1,
    opened_kind: 'range',
  }
  const LISTS = ['seasons', 'package_states', 'kept_text']
  const lost = ['kept', 'together', 'with another']
  const taken = Object.entries(MERGED_COLUMNS).filter(([column, rule]) => !lost.includes(rule) || column in SAID)
  test('each of them', async () => {
    const [kept, other] = [await house.item(), await house.item()].map(row) as [ItemRow, ItemRow]
    for (const [column] of taken) {
      const blank = LISTS.includes(column) ? '[]' : SAID[column] === 1 ? 0 : null
      const said = SAID[column] ?? (typeof kept[column] === 'number' ? 7 : 'said by the other')
      const alike = { ...other, source: 'bought', content_unit: 'g' }
      const merged = mergedRow({ ...alike, [column]: blank }, { ...alike, [column]: said }, new Set(), NEVER_WORN)
      expect(String(merged[column]), column).toContain(String(said).replaceAll(/^\[+|\]+$/g, ''))
    }
  })

  test('what both say differently is asked wherever the rule is to ask, and either word can hold', async () => {
    const [a, b] = [row(await house.item()), row(await house.item())]
    for (const [column, rule] of Object.entries(MERGED_COLUMNS).filter(([, each]) => each === 'asked')) {
      const [mine, theirs] = [
        { ...a, source: 'bought', [column]: 'mine' },
        { ...b, source: 'bought', [column]: 'theirs' },
      ]
      expect(
        conflictsOf(mine, theirs).map((each) => each.column),
        `${column} ${rule}`,
      ).toContain(column)
      expect(mergedRow(mine, theirs, new Set([column]), NEVER_WORN)[column]).toBe('theirs')
      expect(mergedRow(mine, theirs, new Set(), NEVER_WORN)[column]).toBe('mine')
    }
  })
})

test('a sign, a filter, seasons and the rest of the dropped double survive', async () => {
  const said: Partial<ItemFields> = {
    spf: 30,
    sunProtection: true,
    seasons: ['winter'],
    undertone: 'cool',
    content: { amount: 5, unit: 'g' },
    source: 'gift',
    priceMinor: null,
    finish: 'matte',
    packageStates: ['cap lost'],
  }
  const bare = { content: null, finish: null, source: null, priceMinor: null, paoMonths: null } as Partial<ItemFields>
  const [keep, drop] = [await house.item(bare), await house.item(said)]
  await house.post(`/items/${drop}/sign`, { day: TODAY, words: 'smells of wax' })
  const merged = await merge(keep, [drop])
  expect([merged.status, merged.body.code]).toEqual([200, undefined])
  const { item } = (await house.get(`/items/${keep}`)).body
  expect(item).toMatchObject({ ...said, shelfLife: { state: 'sign seen' } })
  expect(row(keep)['sign_words']).toBe('smells of wax')
})

test('a true conflict is asked, with what each says, and nothing is merged until it is answered', async () => {
  const [keep, drop] = [
    await house.item({ spf: 15, sunProtection: true }),
    await house.item({ spf: 50, sunProtection: true, priceMinor: 2400 }),
  ]
  const before = house.snapshot()
  const asked = await merge(keep, [drop])
  expect(asked.status).toBe(409)
  expect(asked.body).toMatchObject({
    code: 'merge-asks',
    current: [
      { field: 'price_minor', options: [{ itemId: keep }, { itemId: drop, says: '24.00 EUR' }] },
      {
        field: 'spf',
        options: [
          { itemId: keep, says: '15' },
          { itemId: drop, says: '50' },
        ],
      },
    ],
  })
  expect(house.snapshot()).toBe(before)
  const done = await merge(keep, [drop], { spf: drop, price_minor: keep })
  expect(done.status).toBe(200)
  expect(row(keep)).toMatchObject({ spf: 50, price_minor: 1800 })
  await house.post(`/changes/${done.body.change.id}/take-back`, {})
  expect(house.snapshot()).toBe(before)
})

test('an ask between the two is over with the merge, and no forecast of the absent one is exported', async () => {
  const [keep, drop] = [await house.item(), await house.item()]
  await house.post('/look-back/asks', {
    id: 'ask',
    version: null,
    question: 'Which of the two?',
    itemIds: [keep, drop],
  })
  expect(house.db.prepare('SELECT count(*) AS n FROM ask').get()).toEqual({ n: 1 })
  expect((await merge(keep, [drop])).status).toBe(200)
  expect(house.db.prepare('SELECT count(*) AS n FROM ask').get()).toEqual({ n: 0 })
  const text = JSON.stringify((await house.get('/export')).body)
  expect(text).not.toContain(`"item_id":"${drop}"`)
})
