import type { DemoHouse } from './demo-house.js'

/** Forecasts are kept every four weeks, in the evening. */
const KEPT_EVERY = 28

/** What went off, and when she noticed. */
const SIGN = { categoryId: 'lip-gloss', ago: 19, words: 'smells of crayons' } as const

/** What she noticed, and what the house told her along the way. */
export function knowingEvening(demo: DemoHouse, ago: number, keep: boolean): void {
  if (ago === SIGN.ago) notice(demo)
  if (keep && ago % KEPT_EVERY === 5) demo.services.forecastKeeping.due()
}

/** On something that lies outside the drawer: what is over lies in nobody's way. */
function notice(demo: DemoHouse): void {
  const [item] = demo
    .of(SIGN.categoryId)
    .filter((each) => each.fields.opened.kind === 'range' && demo.restsForGood(each))
  if (item) demo.act('record-sign', () => demo.services.collection.recordSign(item.id, demo.day, SIGN.words))
}
