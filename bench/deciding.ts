import { openDatabase } from '#server/db/open-database'
import { makeServices } from '#server/services'
import { round } from './measure.js'

export interface DecidingFigures {
  /** After a tally, which makes all evidence stale: what is in doubt, four things compared, what is asked at the till. */
  readonly doubtsAfterTallyP95Ms: number
  readonly compareAfterTallyP95Ms: number
  readonly buyingAfterTallyP95Ms: number
}

const TALLIES = 40

/** Times of weighing one thing against another, each after a change, in this process and with the forecasts known. */
export function deciding(file: string, now: Date): DecidingFigures {
  const db = openDatabase(file, { appliedAt: now.toISOString() })
  const house = makeServices(db, () => now)
  house.forecasts.all()
  house.doubting.all()
  const today = house.today()
  const asked = ['thing-3', 'thing-33', 'thing-63', 'thing-93']
  const answers = {
    doubtsAfterTallyP95Ms: () => house.doubting.all(),
    compareAfterTallyP95Ms: () => house.comparing.of(asked),
    buyingAfterTallyP95Ms: () => house.buyingCheck.of({ category: 'blush', colour: '#c7747a', price: 1900 }),
  }
  const p95 = (name: keyof typeof answers): number => {
    const taken = Array.from({ length: TALLIES }, (_, n) => {
      house.journal.run({ changeId: `${name.slice(0, 7)}-${n}`, command: 'wear', body: {} }, () =>
        house.wearing.setWorn({ itemId: `thing-${n * 11}`, day: today, worn: n % 2 === 0, partIds: [], despite: true }),
      )
      const start = performance.now()
      answers[name]()
      return performance.now() - start
    }).sort((a, b) => a - b)
    return round(taken[Math.floor(taken.length * 0.95)] ?? Number.NaN)
  }
  const found = {
    doubtsAfterTallyP95Ms: p95('doubtsAfterTallyP95Ms'),
    compareAfterTallyP95Ms: p95('compareAfterTallyP95Ms'),
    buyingAfterTallyP95Ms: p95('buyingAfterTallyP95Ms'),
  }
  db.close()
  return found
}
