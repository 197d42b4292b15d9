import { MONTH_DAYS } from '#core/calendar/lengths'
import { EMPTIES } from './cast-data.js'
import type { DemoHouse } from './demo-house.js'

/** So many days before the end of a thing she guessed how long it would last. */
const GUESSED_BEFORE = 150
/** Of what she paints her mouth and face with she has a feeling; of eyes and powders she always thinks they are nearly over. */
const KNOWS_WELL = new Set(['lipstick', 'lip-balm', 'concealer', 'foundation', 'primer'])
/** Guesses of things that are still going, by category: months. */
const STILL_GOING: readonly (readonly [string, number])[] = [
  ['blush', 2],
  ['bronzer', 3],
  ['highlighter', 4],
  ['eyeshadow', 2],
  ['lipstick', 8],
]
const STILL_GOING_SINCE = 200
/** Forecasts are kept every four weeks, in the evening. */
const KEPT_EVERY = 28

/** What went off, and when she noticed. */
const SIGN = { categoryId: 'lip-gloss', ago: 19, words: 'smells of crayons' } as const

/** What she guessed and noticed, and what the house told her along the way. */
export function knowingEvening(demo: DemoHouse, ago: number, keep: boolean): void {
  for (const [categoryId, when] of EMPTIES) {
    if (ago !== when + GUESSED_BEFORE) continue
    const months = GUESSED_BEFORE / MONTH_DAYS
    guess(demo, categoryId, Math.round(2 * (KNOWS_WELL.has(categoryId) ? months * 0.9 : months * 0.35)) / 2)
  }
  if (ago === STILL_GOING_SINCE) for (const [categoryId, months] of STILL_GOING) guess(demo, categoryId, months)
  if (ago === SIGN.ago) notice(demo)
  if (keep && ago % KEPT_EVERY === 5) demo.services.forecastKeeping.due()
}

/** Of the most worn of a kind: the one that will be finished first. */
function guess(demo: DemoHouse, categoryId: string, months: number): void {
  const [item] = demo
    .of(categoryId)
    .filter((each) => !each.cast && !each.ended && each.fields.opened.kind === 'range')
    .sort((a, b) => b.uses - a.uses)
  if (!item) return
  demo.act('guess', (changeId) =>
    demo.services.guessing.add(item.id, { changeId, id: demo.services.newId(), day: demo.day, months }),
  )
}

/** On something that lies outside the drawer: what is over lies in nobody's way. */
function notice(demo: DemoHouse): void {
  const [item] = demo
    .of(SIGN.categoryId)
    .filter((each) => !each.cast && each.fields.opened.kind === 'range')
    .filter((each) => demo.services.stock.one(each.id, demo.day)?.placement === null)
    .sort((a, b) => a.uses - b.uses)
  if (item) demo.act('record-sign', () => demo.services.collection.recordSign(item.id, demo.day, SIGN.words))
}
