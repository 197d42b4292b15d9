import { expect, test } from 'vitest'
import type { Day } from '#core/calendar/day'
import type { LessonShown } from '#contract/buying'
import type { DoubtView } from '#contract/deciding'
import { destinationCaution } from './destination-words'
import { doubtWords } from './doubt-words'
import { lessonWords } from './lesson-words'

const d = (text: string): Day => text as Day
const TODAY = d('2026-11-24')
const TWIN = {
  code: 'twin',
  otherId: 'b',
  other: 'Pellwick Fig',
  difference: 1,
  worn: 2,
  otherWorn: 30,
  otherLiked: false,
} as const

test.each<[DoubtView, string]>([
  [
    { code: 'reaction', words: 'stings', day: d('2026-05-03') },
    'You noted “stings” on 3 May: that is the skin or the eye speaking.',
  ],
  [{ code: 'past', lastGood: d('2026-11-14'), daysPast: 10 }, 'Its use-by date was 14 Nov, 10 days ago.'],
  [{ code: 'soon past', lastGood: TODAY, daysLeft: 0 }, 'Today is its use-by date.'],
  [
    { code: 'not reached for', reached: 2, chances: 60, equalShare: 14.4 },
    'Worn on 2 of the 60 wear days it was in the drawer in the last year; an equal share among its like would have been 14.',
  ],
  [
    { code: 'not reached for', reached: 0, chances: 12, equalShare: 0.4 },
    'Worn on 0 of the 12 wear days it was in the drawer in the last year.',
  ],
  [{ code: 'unworn', days: 240, everWorn: false }, 'Not worn once in 8 months of records.'],
  [{ code: 'unworn', days: 240, everWorn: true }, 'Not worn for 8 months.'],
  [
    { code: 'spoils first', lastGood: null, ofCategory: 9 },
    'At your pace it will expire before its turn comes: there are 9 in date of its type.',
  ],
  [TWIN, 'By swatch, hard to tell from Pellwick Fig, worn on 30 days in the last year against 2.'],
  [
    { ...TWIN, difference: 3, otherWorn: 1, worn: 1, otherLiked: true },
    'By swatch a near twin of Pellwick Fig, which you like better.',
  ],
  [
    { ...TWIN, otherLiked: true },
    'By swatch, hard to tell from Pellwick Fig, worn on 30 days in the last year against 2, and liked better.',
  ],
  [{ code: 'only mixed', wears: 4, said: false }, 'Only ever worn mixed, all 4 times.'],
  [
    { code: 'out of season', seasons: ['autumn', 'winter'], days: null },
    'It’s for autumn and winter, and it was never worn.',
  ],
])('a doubt in words (%#)', (doubt, words) => expect(doubtWords(doubt, TODAY)).toBe(words))

test.each<[Partial<LessonShown>, string, string]>([
  [
    { rule: 'finishes fast', count: 3, mine: 100, others: 300 },
    'Lip balms finish fast; one is enough at a time.',
    '3 of them finished',
  ],
  [
    { rule: 'guesses short', about: '', aboutWords: '', count: 3, mine: 2.5 },
    'My guesses run short by about 2.5.',
    '3 guesses',
  ],
  [
    { rule: 'source never worn', about: 'gift', aboutWords: 'gift', count: 4, mine: 3 },
    'What comes as gift I seldom wear.',
    '3 of 4',
  ],
])('a lesson in words (%#)', (over, lesson, because) => {
  const shown = {
    rule: 'never finishes',
    about: 'lip-balm',
    aboutWords: 'lip balm',
    count: 8,
    mine: 0,
    others: 5,
  } as const
  const told = lessonWords({ ...shown, ...over })
  expect(told.lesson).toBe(lesson)
  expect(told.because).toContain(because)
})

test('why it isn’t passed on, by its type', () => {
  const used = {
    eye: false,
    lifecycle: 'open',
    shelfLife: { state: 'in date', lastGood: null, actOn: null, sun: null },
  } as const
  expect(destinationCaution(used, ['bin', 'give', 'donate'])).toContain('only for someone who accepts that')
  expect(destinationCaution({ ...used, eye: true }, ['bin'])).toContain('at the eye')
  expect(destinationCaution(used, ['bin'])).toContain('on the lips')
  expect(destinationCaution({ ...used, shelfLife: { ...used.shelfLife, state: 'past' } }, ['bin'])).toContain(
    'gone off',
  )
  expect(destinationCaution({ ...used, lifecycle: 'unopened' }, ['bin', 'give', 'donate'])).toBe('')
})
