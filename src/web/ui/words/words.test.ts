import { describe, expect, test } from 'vitest'
import type { Day } from '#core/calendar/day'
import type { OutlookView } from '#contract/forecast'
import type { GoalView } from '#contract/item'
import { specimen } from '#web/specimen/specimen-data'
import { gaugeWords, leftWords } from './gauge-words'
import { massRangeWords, readingWords } from './measure-words'
import { paceWords, progressWords, shortVerdict } from './goal-words'
import { apartWords, contentWords, fullName, matchesWords, shortName, usesWords } from './item-words'
import { whyWords } from './why-words'
import { goodTo, reasonWords, sunWords } from './shelf-life-words'
import type { ProjectView } from '#contract/projects'
import type { ReasonView } from '#contract/today'
import { overloadWords, ruleSentences } from './project-words'

const TODAY = '2026-11-24' as Day
const d = (text: string): Day => text as Day
const GOAL: GoalView = {
  stayId: 's',
  projectId: 'p',
  projectName: 'Ten by the centenary',
  partId: null,
  partName: null,
  beside: false,
  kind: 'uses',
  target: 20,
  headStart: 3,
  wearsInStay: 9,
  uses: 12,
  usesLeft: 8,
  met: false,
  done: 0.6,
  notch: 0.75,
  baseline: null,
  rolledIn: d('2026-10-01'),
  by: d('2026-12-20'),
  standing: 'behind',
  difference: -3,
  wearDaysLeft: 16.2,
  rescue: null,
}
const OUTLOOK: OutlookView = {
  stayId: 's',
  reach: { low: d('2026-12-10'), middle: d('2026-12-21'), high: d('2027-01-12') },
  chance: 0.45,
  verdict: '50-50',
  needed: 2.2,
  pace: { uses: 19, days: 70, perWeek: 1.9 },
}

describe('a goal in words', () => {
  test('names the head start, what is left, the one verdict with what it stands on, then where it should be as a figure', () => {
    expect(paceWords(GOAL, OUTLOOK, TODAY)).toBe(
      '12 of 20 uses, 3 of them a head start. 8 left. 50-50 by 20 Dec: needs 2.2 a week, you’re at 1.9. 3 uses behind where it should be today; 16 wear days left.',
    )
  })
  test('says nothing of what isn’t known rather than inventing', () => {
    const bare = { ...GOAL, headStart: 0, by: null, standing: 'no date' as const, difference: null }
    expect(paceWords(bare, null, TODAY)).toBe('12 of 20 uses. 8 left.')
  })
  test('out of reach says what would work', () => {
    const far: GoalView = {
      ...GOAL,
      standing: 'out of reach',
      wearDaysLeft: 3.5,
      rescue: { smallerGoal: 15 },
    }
    const out: OutlookView = { ...OUTLOOK, chance: null, verdict: 'out of reach' }
    expect(paceWords(far, out, TODAY)).toContain(
      'Can’t be done by 20 Dec: it asks for 8 more; at your pace 4, on every wear day 4. 4 wear days left.',
    )
  })
  test('a date that has passed is missed, with what would still work; the end of the item ends its goal', () => {
    const missed: GoalView = { ...GOAL, standing: 'missed', rescue: { smallerGoal: 12 } }
    expect(paceWords(missed, { ...OUTLOOK, verdict: 'missed' }, TODAY)).toContain('Its date, 20 Dec, has passed.')
    expect(shortVerdict(missed, 'missed')).toBe('date missed')
    expect(paceWords({ ...GOAL, standing: 'ended' }, null, TODAY)).toBe(
      '12 of 20 uses, 3 of them a head start. Finished before its goal; what was reached stands.',
    )
  })
  test('a goal by eye says from which reading it is estimated where that came late', () => {
    const late: GoalView = {
      ...GOAL,
      kind: 'finish',
      target: null,
      usesLeft: null,
      baseline: { day: d('2026-10-20'), late: true },
    }
    expect(paceWords(late, null, TODAY)).toContain('Counted from its first reading, on 20 Oct.')
  })
  test('one of anything is one', () => {
    const one: GoalView = { ...GOAL, difference: -1, wearDaysLeft: 1 }
    expect(paceWords(one, null, TODAY)).toContain('1 use behind where it should be today; 1 wear day left.')
  })
  test('a met goal says so and no more', () => {
    expect(paceWords({ ...GOAL, met: true, standing: 'met' }, null, TODAY)).toBe(
      '12 of 20 uses, 3 of them a head start. The goal is met.',
    )
  })
  test('finishing reads what is gone, and admits when nothing is to be seen', () => {
    const finish: GoalView = { ...GOAL, kind: 'finish', target: null, usesLeft: null, done: 0.57 }
    expect(progressWords(finish)).toBe('57 % of what was left is used; 9 uses since it rolled in')
    expect(progressWords({ ...finish, done: 0 })).toBe('No difference to be seen yet; 9 uses since it rolled in')
    expect(progressWords({ ...finish, done: null, wearsInStay: 0 })).toBe(
      'not worn since it rolled in; not measured yet',
    )
  })
  test.each<[GoalView['standing'], number | null, string]>([
    ['behind', -3.4, '3 behind'],
    ['behind', null, 'behind'],
    ['ahead', 2.2, '2 ahead'],
    ['on pace', 0.4, 'on track'],
    ['met', 0, 'goal met'],
    ['not known', null, 'not known yet'],
    ['no date', null, ''],
  ])('%s by %s is said in short as "%s"', (standing, difference, words) => {
    expect(shortVerdict({ ...GOAL, standing, difference }, standing)).toBe(words)
  })
})

describe('the gauge in words', () => {
  test('says what it draws', () => {
    const item = specimen({
      shade: 'Rust Bloom',
      form: 'pressed',
      colour: '#c7747a',
      reading: { kind: 'stage', stage: 'first pan' },
      goal: { ...GOAL, uses: 7 },
      backups: 1,
      state: 'within 90 days',
    })
    expect(gaugeWords(item, true, [], 'behind')).toBe(
      'Pellwick Rust Bloom pressed, hit pan, 7 of 20 uses, 3 behind, 1 backup, expires soon, worn',
    )
  })
  test('two of one short name are told apart by brand, of one brand by type', () => {
    const one = (id: string, maker: string, category: string) => ({
      ...specimen({ shade: 'Tobacco', form: 'bullet', colour: null }),
      id,
      maker,
      category,
    })
    const byBrand = apartWords([one('a', 'Ondrake', 'brow pencil'), one('b', 'Pellwick', 'brow pencil')])
    expect([...byBrand]).toEqual([
      ['a', 'Ondrake'],
      ['b', 'Pellwick'],
    ])
    const byType = apartWords([one('a', 'Ondrake', 'brow pencil'), one('b', 'Ondrake', 'lipstick')])
    expect(byType.get('b')).toBe('lipstick')
    expect(apartWords([one('a', 'Ondrake', 'brow pencil')]).size).toBe(0)
  })
  test('is honest about nothing being recorded', () => {
    expect(gaugeWords(specimen({ shade: 'Quay', form: 'wand', colour: null }), false, [])).toBe(
      'Pellwick Quay wand, no measurements yet',
    )
  })
  test('what was worn since isn’t untouched any more', () => {
    const item = specimen({
      shade: 'Quay',
      form: 'pressed',
      colour: null,
      reading: { kind: 'stage', stage: 'untouched' },
    })
    expect(gaugeWords(item, false, [])).toBe('Pellwick Quay pressed, untouched')
    const seen = { kind: 'stage' as const, value: null, stage: 'untouched' as const, word: null, day: d('2026-05-12') }
    expect(gaugeWords({ ...item, reading: seen, lastWorn: d('2026-06-01') }, false, [])).toBe(
      'Pellwick Quay pressed, untouched on 12 May 2026',
    )
  })
  test('two ends that read the same are no range', () => {
    expect([
      massRangeWords(5.1, 6.94, 0.1, 'g'),
      massRangeWords(0.02, 0.03, 0.1, 'g'),
      massRangeWords(5.11, 5.12, 0.1, 'g'),
    ]).toEqual(['5.1 to 6.9 g', 'less than 0.1 g', 'about 5.1 g'])
  })
  test('counts the shades with pan showing, and names those worn', () => {
    const part = (id: string, name: string, stage: 'dip' | 'half bare') => ({
      id,
      name,
      colour: null,
      guess: null,
      finish: null,
      row: 1,
      col: 1,
      rowSpan: 1,
      colSpan: 1,
      shape: 'square' as const,
      form: null,
      uses: 0,
      finishedOn: null,
      depottedOn: null,
      reading: { kind: 'stage' as const, value: null, stage, word: null, day: TODAY },
    })
    const palette = specimen({
      shade: 'Hedgerow',
      form: 'pressed',
      colour: null,
      parts: [part('a', 'Moss', 'half bare'), part('b', 'Bark', 'dip')],
    })
    expect(leftWords(palette)).toBe('2 shades, 1 with pan showing')
    const unseen = { ...palette, parts: palette.parts.map((each) => ({ ...each, reading: null })) }
    expect(leftWords(unseen)).toBe('2 shades, not looked at yet')
    expect(gaugeWords(palette, true, ['a'])).toContain('worn: Moss')
  })
  test('a level and a length are told apart', () => {
    expect(readingWords({ kind: 'level', value: 0.45, stage: null, word: null })).toBe('45 % full')
    expect(readingWords({ kind: 'length', value: 0.3, stage: null, word: null })).toBe('30 % of its length')
  })
})

describe('shelf life in words', () => {
  const lived = (over: object) => ({ ...specimen({ shade: 'Quay', form: 'wand', colour: null }), ...over })
  const life = (over: object) => ({
    shelfLife: {
      state: 'in date',
      lastGood: null,
      actOn: null,
      daysLeft: null,
      sun: null,
      reason: { code: 'purchase-unknown' },
      ...over,
    },
  })
  const range = (earliest: string, latest: string) => ({
    lastGood: { earliest: d(earliest), latest: d(latest) },
    actOn: d(earliest),
  })
  test('a span is told with both its ends', () => {
    expect(goodTo(lived(life(range('2027-03-02', '2027-03-02'))), TODAY)).toBe('use by 2 Mar 2027')
    expect(goodTo(lived(life(range('2027-03-02', '2027-06-02'))), TODAY)).toBe(
      'use by some day between 2 Mar 2027 and 2 Jun 2027',
    )
    expect(goodTo(lived(life({ ...range('2026-09-01', '2026-09-01'), state: 'past' })), TODAY)).toBe('expired 1 Sept')
    expect(goodTo(lived(life({ state: 'unknown' })), TODAY)).toBe('use-by date not known')
  })
  test.each([
    [{ code: 'sign', words: 'smell changed' }, 'You noticed: smell changed. A sign counts more than any date.'],
    [
      { code: 'pao', period: { unit: 'months', count: 12 }, openedEarliest: '2026-01-05', openedLatest: '2026-01-05' },
      'Opened 5 Jan 2026; the label says 12 months after opening.',
    ],
    [
      {
        code: 'usual-pao',
        period: { unit: 'months', count: 4 },
        openedEarliest: '2026-01-01',
        openedLatest: '2026-01-31',
      },
      'Opened Jan 2026; the label isn’t known, 4 months is usual for its type.',
    ],
    [
      { code: 'unopened', months: 36, bought: '2026-01-05' },
      'Unopened and undated: 36 months from 5 Jan 2026, when you got it.',
    ],
    [
      { code: 'opening-unknown', notBefore: null, notAfter: null },
      'We don’t know when it was opened, so we don’t know its use-by date either.',
    ],
    [
      { code: 'opening-unknown', notBefore: null, notAfter: '2026-03-01' },
      'Opened some time before 1 Mar 2026; that isn’t close enough to tell.',
    ],
    [
      {
        code: 'usual-pao',
        period: { unit: 'days', count: 7 },
        openedEarliest: '2026-01-05',
        openedLatest: '2026-01-05',
      },
      'Opened 5 Jan 2026; the label isn’t known, 7 days is usual for its type.',
    ],
  ])('%o', (reason, words) => {
    expect(reasonWords(lived(life({ reason })).shelfLife)).toBe(words)
  })
  test('a lapsed filter no longer counts as sun protection; one in date says nothing', () => {
    const sun = { lastDay: d('2026-06-30'), lapsed: true }
    expect(sunWords(lived(life({ sun })).shelfLife.sun)).toBe(
      'Filter lapsed 30 Jun 2026: no longer counts as sun protection. Wear another that is in date.',
    )
    expect(sunWords(lived(life({ sun: { ...sun, lapsed: false } })).shelfLife.sun)).toBeNull()
  })
})

const NO_RULES: ProjectView = {
  id: 'p',
  version: 1,
  name: 'Autumn',
  startedOn: TODAY,
  by: null,
  finishesWanted: null,
  rules: '',
  shape: 'rolling',
  atLeast: null,
  mostItems: null,
  replacing: 'as I feel',
  breakDays: null,
  leavingAllowed: true,
  theme: null,
  categoryId: null,
  category: null,
  usesEach: null,
  atOnce: null,
  paletteId: null,
  closedOn: null,
  lessons: '',
  stays: [],
  reached: 0,
  onTheGo: 0,
  left: 0,
  overloads: [],
  evenness: null,
}

test.each<[ReasonView, string]>([
  [{ code: 'behind', uses: 3, project: 'Autumn' }, '3 uses behind for Autumn.'],
  [{ code: 'out-of-reach', usesLeft: 56, project: 'Autumn' }, '56 uses to go: can’t be done by its date.'],
  [{ code: 'behind', uses: 0, project: 'Autumn' }, 'Behind for Autumn.'],
  [{ code: 'expires', day: d('2026-12-01'), daysLeft: 7 }, 'Expires soon: use by 1 Dec.'],
  [{ code: 'expires', day: d('2027-03-29'), daysLeft: 125 }, 'Use by 29 Mar 2027.'],
  [{ code: 'nearly-there', usesLeft: 1 }, 'Nearly there: 1 use to its goal.'],
  [{ code: 'little-left', left: 0.15 }, 'Nearly finished: about 15 % left.'],
  [{ code: 'in-project', usesLeft: 12, project: 'Autumn' }, '12 uses to go for Autumn.'],
  [{ code: 'unworn', days: 30, everWorn: true, inDrawer: false }, 'Not worn for 4 weeks.'],
  [{ code: 'unworn', days: 30, everWorn: false, inDrawer: true }, 'In the drawer for 4 weeks, not worn yet.'],
  [{ code: 'less-far-along', thanItemId: 'quay' }, 'Less far along than Quay.'],
  [{ code: 'like-your-clothes', tone: 'warm' }, 'Warm, like your clothes.'],
  [{ code: 'for-the-season', season: 'winter' }, 'A shade for winter.'],
  [{ code: 'for-the-occasion', occasion: 'gig' }, 'You often wear it for gig.'],
  [{ code: 'goes-with', withItemId: 'unknown' }, 'Goes with the other one.'],
  [{ code: 'open-long', days: 800 }, 'Open for 2 years already.'],
  [{ code: 'crowded', count: 9 }, 'One of 9 open ones of its type.'],
])('a reason is one short sentence: %o', (reason, words) => {
  const quay = { ...specimen({ shade: 'Quay', form: 'wand', colour: null }), id: 'quay' }
  expect(whyWords(reason, new Map([['quay', quay]]), TODAY)).toBe(words)
})

test.each<[Partial<ProjectView>, string[]]>([
  [{ shape: 'sweep', category: 'lipstick', usesEach: 10, atOnce: 3 }, ['Every lipstick gets 10 uses, 3 at a time.']],
  [
    { shape: 'season', mostItems: 15, atLeast: 10, replacing: 'none' },
    ['At most 15 at a time.', '10 of them are enough.', 'Nothing is replaced.'],
  ],
  [
    { breakDays: 7, leavingAllowed: false, theme: 'powders' },
    ['Only powders.', 'A type rests 7 days after one reaches its goal.', 'Nothing is dropped unfinished.'],
  ],
  [{ replacing: 'like for like' }, ['What rolls out is replaced one for one, of the same type.']],
])('the rules that are held to, in sentences: %o', (rules, sentences) => {
  expect(ruleSentences({ ...NO_RULES, ...rules })).toEqual(sentences)
})

test('what can’t be met together is told with its sum', () => {
  const overload = { categoryId: 'l', category: 'lipstick', items: 2, needed: 120, wearDays: 61.4, by: d('2027-01-23') }
  expect(overloadWords(overload, TODAY)).toContain(
    '2 lipsticks need 120 uses by 23 Jan 2027 between them; 61 wear days are left',
  )
})

test('an item is called by its shade; its full name says the shade once', () => {
  expect(shortName({ name: 'Quay gloss', shade: '' })).toBe('Quay gloss')
  expect(fullName({ name: 'Rust Bloom blush', shade: 'Rust Bloom' })).toBe('Rust Bloom blush')
  expect(fullName({ name: 'Velvet lip', shade: 'Sloe' })).toBe('Velvet lip, Sloe')
  expect([usesWords(1), usesWords(0)]).toEqual(['1 use', '0 uses'])
})

test('finding goes by letters of several words, in any order, without accents', () => {
  const item = {
    ...specimen({ shade: 'Crème brûlée', form: 'pressed', colour: null }),
    maker: 'Pellwick',
    category: 'setting powder',
  }
  expect(['creme', 'powder pell', 'BRÛ'].map((text) => matchesWords(item, text))).toEqual([true, true, true])
  expect(matchesWords(item, 'creme mascara')).toBe(false)
})

test('content is shown in her units', () => {
  expect(contentWords({ amount: 14.78676478125, unit: 'ml' })).toBe('14.79 mL')
  expect(contentWords({ amount: 14.78676478125, unit: 'ml' }, 'ounces')).toBe('0.5 fl oz (14.79 mL)')
  expect(contentWords({ amount: 8.504857, unit: 'g' }, 'ounces')).toBe('0.3 oz (8.5 g)')
  expect(contentWords(null)).toBe('')
})
