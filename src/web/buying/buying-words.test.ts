import { expect, test } from 'vitest'
import type { Day } from '#core/calendar/day'
import type { BuyingCheckAnswer, RuleView } from '#contract/buying'
import { ruleSentences, ruleTitle } from '#web/ui/words/buying-words'
import { costLine, needHeadline, ruleLine, supplyLines, twinsHeadline } from './check-words'

const d = (text: string): Day => text as Day
const TODAY = d('2026-11-24')
const CHECK: BuyingCheckAnswer = {
  today: TODAY,
  currency: 'EUR',
  category: 'blush',
  owned: 24,
  unopened: 4,
  nearest: [],
  twins: 0,
  perYear: 177,
  years: 6.52,
  yearsAfter: 8.6,
  pushedOut: [],
  expiringAlready: 0,
  needed: d('2029-03-01'),
  likelyUses: 373,
  usesGot: 120,
  perUse: 15.8,
  perUseAtBest: 5.1,
  usualPerUse: null,
  rules: [],
  lessons: [],
}
const of = (over: Partial<BuyingCheckAnswer>): BuyingCheckAnswer => ({ ...CHECK, ...over })
const pushed = (count: number) =>
  Array.from({ length: count }, (_, n) => ({ itemId: `i${n}`, mark: `Pellwick ${n}`, priceMinor: 1000 }))

test.each<[Partial<BuyingCheckAnswer>, readonly string[]]>([
  [{}, ['Lasts 6.5 years at 177 uses a year; with it 8.6 years.']],
  [{ perYear: null, years: null }, ['You wear blush too rarely to know your pace.']],
  [{ needed: TODAY }, ['Lasts 6.5 years at 177 uses a year; with it 8.6 years.']],
  [
    { needed: null, expiringAlready: 3 },
    [
      'Lasts 6.5 years at 177 uses a year; with it 8.6 years.',
      '3 items of that type will expire before their turn as it is.',
    ],
  ],
])('supply in words (%#)', (over, lines) => expect(supplyLines(of(over))).toEqual(lines))

test('what it pushes out is one by its name, or several with what they cost', () => {
  expect(supplyLines(of({ pushedOut: pushed(1) })).at(-1)).toBe(
    'Because of it Pellwick 0 would expire with more left in it (€10.00).',
  )
  expect(supplyLines(of({ pushedOut: pushed(2) })).at(-1)).toBe(
    'Because of it 2 items would expire with more left in them (€20.00).',
  )
})

test.each<[Partial<BuyingCheckAnswer>, string]>([
  [{}, '€0.16 a use at your pace, which gets 120 of about 373 uses out of it.'],
  [{ usesGot: 0, perUse: null }, 'Its turn would come after it has expired: it would get no use at all.'],
  [{ perUse: null, usesGot: null }, 'If used up, €0.05 a use.'],
  [{ perUse: null, perUseAtBest: null }, 'It would give about 373 uses.'],
  [{ perUseAtBest: null, usualPerUse: 12 }, 'It would give about 373 uses. Finished ones cost you €0.12 a use.'],
])('cost in words (%#)', (over, line) => expect(costLine(of(over))).toBe(line))

test('how many like it', () => {
  expect(needHeadline(CHECK)).toBe('Not needed before about 1 Mar 2029 (in 2½ years)')
  expect(needHeadline(of({ needed: TODAY }))).toBe('Needed now')
  expect(needHeadline(of({ needed: null }))).toBe('Not needed within 30 years')
  expect(needHeadline(of({ needed: null, perYear: null }))).toBe(null)
  expect(twinsHeadline(CHECK, false)).toBe('24 blushes here, 4 unopened')
  expect(twinsHeadline(CHECK, true)).toBe('No near twin among the 24 blushes')
  expect(twinsHeadline(of({ twins: 1, unopened: 0 }), true)).toBe('1 near twin among the 24 blushes')
})

test('a limit says what is left, planned or spared', () => {
  const rule = {
    ruleId: 'r',
    words: 'Not before the party.',
    left: 0,
    excepted: false,
    replacing: false,
    to: d('2026-12-20'),
  }
  expect(ruleLine(rule, CHECK)).toBe('Your limit until 20 Dec leaves nothing: “Not before the party.”')
  expect(ruleLine({ ...rule, left: 2, words: '' }, CHECK)).toBe('Your limit until 20 Dec leaves 2.')
  expect(ruleLine({ ...rule, excepted: true }, CHECK)).toContain('plans an exception')
  expect(ruleLine({ ...rule, replacing: true }, CHECK)).toContain('spares what replaces something finished')
})

test('the plain count of a limit', () => {
  const rule: RuleView = {
    id: 'r',
    from: d('2026-09-01'),
    to: d('2026-12-20'),
    most: 0,
    category: null,
    sparesReplacements: true,
    words: '',
    state: 'in force',
    counted: [],
    excepted: 0,
    replacing: 0,
    unsure: 0,
    sourceUnknown: 0,
    left: 0,
    exceptions: [],
    daysLeft: 26,
  }
  const bought = [{ itemId: 'i', mark: 'Pellwick Fig', day: d('2026-10-01') }]
  expect(ruleTitle(rule, TODAY)).toBe('No-buy, 1 Sept to 20 Dec')
  expect(ruleSentences(rule, TODAY)).toEqual(['Nothing bought so far; it ends in 4 weeks.'])
  expect(ruleSentences({ ...rule, state: 'over' }, TODAY)).toEqual(['Nothing was bought: it was kept.'])
  expect(ruleSentences({ ...rule, counted: bought, left: -1 }, TODAY)).toEqual(['1 item bought, 1 more than planned.'])
  expect(ruleSentences({ ...rule, most: 3, counted: bought, left: 2, sourceUnknown: 1 }, TODAY)).toEqual([
    '1 item bought of 3; 2 left.',
    '1 item came meanwhile without a word on whether it was bought; not counted.',
  ])
  expect(ruleTitle({ ...rule, most: 3, category: 'lipstick' }, TODAY)).toBe(
    'Low-buy of 3, lipsticks only, 1 Sept to 20 Dec',
  )
})
