import { readFileSync } from 'node:fs'
import { describe, expect, test } from 'vitest'
import { addDays, type Day } from '../calendar/day.js'
import type { InStock } from '../forecast/supply.js'
import { buyingSums, ruleStanding, type BuyingRule, type Purchase } from './buying.js'
import { LEAST_COUNTS, lessonsShown, lessonsToOffer, type Ending, type LessonFacts, type Owned } from './lessons.js'
import { proposePicks, type PickCandidate } from './stash-pick.js'
import { KEEP_WEIGHTS, keepOrder, stockOn, targetStanding, type Span } from './target.js'

const TODAY = '2026-11-24' as Day
const ago = (days: number): Day => addDays(TODAY, -days)

describe('before buying', () => {
  const thing = (id: string, uses: number, goodFor: number | null, price = 1000): InStock => ({
    id,
    uses: { low: uses, middle: uses, high: uses },
    share: 1,
    goodFor,
    price,
  })

  test('by hand: 100 uses here at 100 a year, one more of 50 that is good for a year once opened', () => {
    const sums = buyingSums([thing('a', 100, 400)], 100, { uses: 50, openDays: 365, price: 2500 })
    expect(sums.before?.years).toBeCloseTo(1)
    expect(sums.after?.years).toBeCloseTo(1.5)
    // Its turn comes in a year, and in the year it is open all of its fifty uses are had: 25.00 by 50.
    expect(sums).toMatchObject({ usesGot: 50, perUse: 50, perUseAtBest: 50, pushedOut: ['a'] })
    expect(sums.turnIn).toBeCloseTo(365.25, 6)
  })

  test('slow pace: of 300 uses it gets those of the one year it is open', () => {
    const sums = buyingSums([], 73.05, { uses: 300, openDays: 365, price: 2190 })
    expect(sums).toMatchObject({ turnIn: 0, usesGot: 73, perUse: 30 })
    expect(sums.perUseAtBest).toBeCloseTo(7.3)
  })

  test('what is worn less because of it, and expires with a wear or more unused, is pushed out', () => {
    // Alone 90 uses of 100 in its 329 days at 100 a year; beside the new one, for a year as one of two, half as many.
    const sums = buyingSums([thing('old', 90, 329)], 100, { uses: 300, openDays: 365, price: null })
    expect(sums.before?.expiring.size).toBe(0)
    expect(sums.pushedOut).toEqual(['old'])
    // With years to go it makes no difference.
    expect(buyingSums([thing('old', 90, 3000)], 100, { uses: 300, openDays: 365, price: null }).pushedOut).toEqual([])
  })

  test('its turn comes after it has expired: no use at all; without a pace nothing is said', () => {
    expect(buyingSums([thing('a', 2000, null)], 100, { uses: 50, openDays: 365, price: 900 })).toMatchObject({
      usesGot: 0,
      perUse: null,
    })
    expect(buyingSums([thing('a', 20, null)], null, { uses: 50, openDays: 365, price: 900 })).toMatchObject({
      turnIn: null,
      usesGot: null,
      perUse: null,
      perUseAtBest: 18,
    })
  })

  describe('limits', () => {
    const rule: BuyingRule = {
      from: ago(50),
      to: addDays(TODAY, 20),
      most: 1,
      categoryId: null,
      sparesReplacements: true,
      exceptions: [{ categoryId: 'mascara', most: 1 }],
    }
    const bought = (id: string, categoryId: string, days: number, until = days): Purchase => ({
      id,
      categoryId,
      earliest: ago(days),
      latest: ago(until),
    })
    const of = (
      purchases: Purchase[],
      finished: { categoryId: string; day: Day }[] = [],
      over: Partial<BuyingRule> = {},
    ) => ruleStanding({ ...rule, ...over }, purchases, finished, TODAY)

    test('planned exceptions first, then what replaces an empty, and the rest counts', () => {
      const empties = [
        { categoryId: 'lipstick', day: ago(30) },
        { categoryId: 'lipstick', day: ago(60) },
      ]
      const all = [
        bought('m1', 'mascara', 40),
        bought('m2', 'mascara', 10),
        bought('l0', 'lipstick', 35),
        bought('l1', 'lipstick', 20),
        bought('l2', 'lipstick', 10),
      ]
      expect(of(all, empties)).toMatchObject({
        state: 'in force',
        excepted: ['m1'],
        // The first lipstick came before anything was finished, and the one finished before the limit began spares none.
        counted: ['l0', 'l2', 'm2'],
        replacing: ['l1'],
        left: -2,
        exceptionsLeft: [{ categoryId: 'mascara', left: 0 }],
        daysLeft: 20,
      })
      expect(of(all, empties, { sparesReplacements: false }).counted).toEqual(['l0', 'l1', 'l2', 'm2'])
    })

    test('what may have been bought outside of it isn’t counted but told; other types are no matter of a limit of one', () => {
      expect(of([bought('x', 'blush', 90, 20)])).toMatchObject({ counted: [], unsure: ['x'], left: 1 })
      expect(of([bought('x', 'blush', 9)], [], { categoryId: 'lipstick' }).counted).toEqual([])
      expect(of([bought('x', 'blush', 90)]).counted).toEqual([])
    })

    test.each([
      [addDays(TODAY, 1), addDays(TODAY, 9), 'to come'],
      [ago(9), TODAY, 'in force'],
      [ago(9), ago(1), 'over'],
    ])('from %s to %s it is %s', (from, to, state) => expect(of([], [], { from, to }).state).toBe(state))
  })
})

describe('targets', () => {
  const span = (from: number | null, to: number | null = null, how: Span['how'] = to === null ? null : 'finished') => ({
    from: from === null ? null : ago(from),
    to: to === null ? null : ago(to),
    how,
  })
  const SPANS = [span(null), span(null), span(900), span(300), span(200), span(null, 100), span(500, 20, 'left')]

  test('by hand: five now of seven, two came and two went within a year', () => {
    const standing = targetStanding({ items: 3, by: addDays(TODAY, 61), setOn: ago(40), today: TODAY, spans: SPANS })
    expect(standing).toMatchObject({ now: 5, then: 6, tooMany: 2, cameIn: 2, finished: 1, letGo: 1, onTheDay: 5 })
    expect(standing.neededPerMonth).toBeCloseTo(2 / (61 / 30.4375), 3)
    expect(standing.standing).toBe('not at this pace')
    expect(standing.months).toEqual([
      { day: ago(40), items: 6 },
      { day: '2026-11-15', items: 5 },
      { day: TODAY, items: 5 },
    ])
  })

  test.each([
    [5, 100, 'met'],
    [4, -1, 'day has come'],
    [3, 700, 'not at this pace'],
  ])('%i by %i days: %s', (items, days, expected) => {
    const by = addDays(TODAY, days)
    expect(targetStanding({ items, by, setOn: ago(30), today: TODAY, spans: SPANS }).standing).toBe(expected)
  })

  test('going down fast enough it will do', () => {
    const spans = [...SPANS, ...Array.from({ length: 20 }, (_, n) => span(null, n * 15 + 5))]
    const by = addDays(TODAY, 90)
    expect(targetStanding({ items: 1, by, setOn: ago(30), today: TODAY, spans }).standing).toBe('will do')
  })

  test('what ends on a day is no longer there that evening', () => {
    expect(stockOn([span(10, 5)], ago(6))).toBe(1)
    expect(stockOn([span(10, 5)], ago(5))).toBe(0)
    expect(stockOn([span(10, 5)], ago(11))).toBe(0)
  })

  test('kept first: worn, liked, in date, without a twin', () => {
    const of = (id: string, over: object) => ({
      ...{ id, liking: null, worn: 0, inDate: true, daysLeft: 99, hasTwin: false, doubts: 0 },
      ...over,
    })
    const order = keepOrder([
      of('twin', { hasTwin: true }),
      of('spoiled', { inDate: false, liking: 5 }),
      of('worn', { worn: 60 }),
      of('loved', { liking: 5 }),
      of('plain', {}),
    ])
    expect(order.map(({ id }) => id)).toEqual(['worn', 'loved', 'plain', 'twin', 'spoiled'])
    // Worn, liked, in date, alone and beyond doubt is the most there is.
    const [best] = keepOrder([of('best', { worn: 60, liking: 5 })])
    expect(best?.score).toBe(Object.values(KEEP_WEIGHTS).reduce((sum, each) => sum + each, 0))
  })
})

describe('lessons that her numbers show', () => {
  const ending = (categoryId: string, days: number | null, over: Partial<Ending> = {}): Ending => ({
    ...{ categoryId, maker: 'Pellwick', how: 'finished', days, uses: 50, again: null },
    ...over,
  })
  const owned = (categoryId: string, over: Partial<Owned> = {}): Owned => ({
    ...{ categoryId, source: 'bought', uses: 9, daysHere: 400, hasTwin: false },
    ...over,
  })
  const shown = (over: Partial<LessonFacts>) =>
    lessonsShown({ endings: [], owned: [], guesses: [], logDays: 500, ...over })
  const times = <T>(count: number, each: T): T[] => Array.from({ length: count }, () => each)

  test('three balms in a third of the time of the rest', () => {
    const endings = [...times(3, ending('lip-balm', 100)), ...times(3, ending('powder', 300))]
    expect(shown({ endings })).toEqual([
      { rule: 'finishes fast', about: 'lip-balm', count: 3, mine: 100, others: 300 },
      { rule: 'finishes slowly', about: 'powder', count: 3, mine: 300, others: 100 },
    ])
    // Five in all are too few to compare, and an unknown time is no time.
    expect(shown({ endings: endings.slice(1) })).toEqual([])
    expect(shown({ endings: [...endings.slice(1), ending('lip-balm', null)] })).toEqual([])
  })

  test.each<[string, Partial<LessonFacts>, string[]]>([
    ['eight highlighters and none finished in a year', { owned: times(8, owned('highlighter')) }, ['never finishes']],
    ['seven', { owned: times(7, owned('highlighter')) }, []],
    ['a young log', { owned: times(8, owned('highlighter')), logDays: 200 }, []],
    [
      'gifts, half of them never worn',
      { owned: [...times(2, owned('a', { source: 'gift', uses: 0 })), ...times(2, owned('b', { source: 'gift' }))] },
      ['source never worn'],
    ],
    ['gifts of last month had no time', { owned: times(4, owned('a', { source: 'gift', uses: 0, daysHere: 30 })) }, []],
    ['nobody knows how often they were worn', { owned: times(4, owned('a', { source: 'gift', uses: null })) }, []],
    ['bought items are no source', { owned: times(4, owned('a', { uses: 0 })) }, []],
    ['a brand again', { endings: times(3, ending('a', null, { again: 'yes' })) }, ['maker again']],
    ['a brand never again', { endings: times(3, ending('a', null, { again: 'no' })) }, ['maker never again']],
    [
      'a brand now so, now so',
      { endings: [ending('a', null, { again: 'no' }), ...times(1, ending('a', null, { again: 'yes' }))] },
      [],
    ],
    ['let go unused', { endings: times(4, ending('a', null, { how: 'left', uses: 2 })) }, ['let go unused']],
    ['twins', { owned: times(4, owned('a', { hasTwin: true })) }, ['bought in twins']],
    ['guesses', { guesses: [{ about: '', finished: 3, factor: 2.2, short: true }] }, ['guesses short']],
    ['few guesses', { guesses: [{ about: '', finished: 2, factor: 2.2, short: true }] }, []],
  ])('%s', (_, over, rules) => expect(shown(over).map(({ rule }) => rule)).toEqual(rules))

  test('kept ones aren’t offered again, struck ones when twice as much speaks for them', () => {
    const [lesson] = shown({ owned: times(8, owned('highlighter')) })
    if (!lesson) throw new Error('nothing shown')
    const known = { rule: lesson.rule, about: lesson.about, count: 4, struck: false }
    expect(lessonsToOffer([lesson], [])).toEqual([lesson])
    expect(lessonsToOffer([lesson], [known])).toEqual([])
    expect(lessonsToOffer([lesson], [{ ...known, count: 5, struck: true }])).toEqual([])
    expect(lessonsToOffer([lesson], [{ ...known, struck: true }])).toEqual([lesson])
  })

  test('docs/deciding.md prints every rule with its least count', () => {
    const page = readFileSync(new URL('../../../docs/deciding.md', import.meta.url), 'utf8')
    for (const [rule, least] of Object.entries(LEAST_COUNTS))
      expect(page).toMatch(new RegExp(`\\| ${rule} +\\| +${least} +\\|`))
  })
})

describe('from the stash', () => {
  const candidate = (itemId: string, over: Partial<PickCandidate> = {}): PickCandidate => ({
    itemId,
    kind: itemId,
    liking: 4,
    lastWorn: ago(200),
    shelfLife: { actOn: addDays(TODAY, 400), daysLeft: 400 },
    seasons: [],
    inDrawer: false,
    works: [],
    fights: [],
    ...over,
  })
  const context = { today: TODAY, season: 'autumn' as const, inDrawer: new Set(['in the drawer']) }
  const ids = (many: number, ...all: PickCandidate[]): string[] =>
    proposePicks(all, many, context).map(({ itemId }) => itemId)

  test('neglected, liked, in season and in date, one of a type, no fights', () => {
    expect(
      ids(
        6,
        candidate('loved', { liking: 5 }),
        candidate('worn lately', { lastWorn: ago(20) }),
        candidate('disliked', { liking: 2 }),
        candidate('of another season', { seasons: ['summer'] }),
        candidate('over in three days', { shelfLife: { actOn: addDays(TODAY, 3), daysLeft: 3 } }),
        candidate('fights', { fights: ['in the drawer'] }),
        candidate('same type', { kind: 'loved', liking: 4 }),
        candidate('never worn', { lastWorn: null, liking: null }),
      ),
    ).toEqual(['loved', 'never worn'])
  })

  test('what fights with one chosen is passed over, what goes with one chosen comes sooner', () => {
    expect(ids(2, candidate('a', { liking: 5 }), candidate('b', { fights: ['a'] }), candidate('c'))).toEqual(['a', 'c'])
    expect(ids(2, candidate('a', { liking: 5 }), candidate('b'), candidate('c', { works: ['a'] }))).toEqual(['a', 'c'])
  })

  test('never more than six', () => {
    const many = Array.from({ length: 9 }, (_, n) => candidate(`c${n}`))
    expect(ids(9, ...many)).toHaveLength(6)
  })
})
