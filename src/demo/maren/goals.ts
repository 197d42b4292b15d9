import type { Day } from '#core/calendar/day'
import { MONTH_DAYS } from '#core/calendar/lengths'
import type { Random } from '../random.js'
import { PARTY_IN_DAYS, PROJECT_DAYS } from './life.js'
import type { Thing, LifeGoal } from './thing.js'

/** People guess so many times too short. */
const GUESSED_SHORT = 2.5
/** Uses of a kind that is put on every day, of the one in the project, until the party: most wear days of it. */
const USUAL_IN_PROJECT = 50
/** What she means to wear until the party, and how her goal compares with what is usual. */
const AMBITIONS: readonly (readonly [categoryId: string, ambition: number])[] = [
  ['setting-powder', 0.85],
  ['primer', 2.6],
  ['bronzer', 0.85],
  ['blush', 0.4],
  ['blush', 0.6],
  ['blush', 0.25],
  ['lipstick', 0.28],
  ['lipstick', 0.45],
  ['lipstick', 1.6],
  ['highlighter', 0.8],
  ['cream-eyeshadow', 1.9],
  ['setting-spray', 1.1],
  ['lip-gloss', 0.9],
  ['concealer', 0.7],
  ['brow-pencil', 0.8],
  ['eyeliner', 1.5],
]

/** Can be worked on: open, of no goal yet, and good for so many days. */
function isFree(thing: Thing, day: Day, days: number): boolean {
  return thing.isThere && thing.opened && thing.stay === null && thing.isGood(day, days)
}

/** Singles with the fewest uses left, as far as she can tell, what she puts on often before what she seldom does. */
export function nearlyDone(things: readonly Thing[], day: Day, random: Random): Thing[] {
  return things
    .filter((thing) => isFree(thing, day, 60) && !thing.trial && thing.parts.length === 0)
    .filter(({ left, usesLeft, item }) => left < 0.75 && usesLeft > 9 && item.kind.step > 0.3)
    .map((thing) => ({ thing, seen: (thing.usesLeft * Math.exp(0.25 * random.normal())) / thing.item.kind.step }))
    .sort((a, b) => a.seen - b.seen)
    .map(({ thing }) => thing)
}

/** Of a kind what will be good until the party, and shows progress best: half of it or a little more is left. */
export function worthWearing(things: readonly Thing[], categoryId: string, day: Day): Thing | undefined {
  const off = ({ left }: Thing): number => Math.abs(left - 0.52)
  return things
    .filter((thing) => thing.item.kind.categoryId === categoryId && isFree(thing, day, PROJECT_DAYS + PARTY_IN_DAYS))
    .sort((a, b) => off(a) - off(b))[0]
}

/** To finish it: her guess of how long that takes falls short, of some far. */
export function toFinish({ item, usesLeft }: Thing, random: Random): LifeGoal {
  // Of some 4.6 wear days a week, and not always this one of its kind.
  const aWeek = 4.6 * Math.min(1, item.kind.step) * 0.6
  const months = (usesLeft / aWeek) * (7 / MONTH_DAYS)
  const guess = (months / GUESSED_SHORT) * Math.exp(0.5 * random.normal())
  return {
    kind: 'finish',
    target: null,
    dated: true,
    guessMonths: Math.max(0.5, Math.min(60, Math.round(2 * guess) / 2)),
  }
}

/** What she means to wear so often until the party, beside what she wants to finish. */
export function toWear(): { readonly categoryId: string; readonly goalFor: (thing: Thing) => LifeGoal }[] {
  return AMBITIONS.map(([categoryId, ambition]) => ({
    categoryId,
    goalFor: ({ item }) => ({
      kind: 'uses',
      target: 5 * Math.max(2, Math.round((ambition * USUAL_IN_PROJECT * item.kind.step) / 5)),
      dated: categoryId !== 'eyeliner',
      guessMonths: null,
    }),
  }))
}
