import { readFileSync } from 'node:fs'
import { evaluateForecasts, readForecastFile } from '#server/forecast/evaluate-forecast'
import { openDatabase } from '#server/db/open-database'
import { makeServices } from '#server/services'
import { round, timesOf } from './measure.js'

export interface KnowingFigures {
  /** The training file's 377 things with her user effect, from scratch, in a warm process. */
  readonly trainingMs: number
  /** Forecasts of all things of the large collection, nothing remembered. */
  readonly allColdMs: number
  /** The same, remembered. */
  readonly allCachedMs: number
  /** The forecast of a thing after a tally of it. */
  readonly afterTallyP95Ms: number
}

/** Times of the forecasts themselves, in this process; the server makes them in a thread of its own. */
export async function knowing(file: string, now: Date): Promise<KnowingFigures> {
  const things = readForecastFile(readFileSync('test/reference/forecast-train.json', 'utf8'))
  const training = await timesOf(9, () => evaluateForecasts(things))
  const db = openDatabase(file, { appliedAt: now.toISOString() })
  const house = makeServices(db, () => now)
  const start = performance.now()
  house.forecasts.all()
  const allColdMs = round(performance.now() - start)
  const cached = await timesOf(9, () => house.forecasts.all())
  const today = house.today()
  const taken: number[] = []
  for (let n = 0; n < 60; n += 1) {
    const itemId = `thing-${n * 7}`
    const done = house.journal.run({ changeId: `bench-tally-${n}`, command: 'wear', body: {} }, () =>
      house.wearing.setWorn({ itemId, day: today, worn: true, partIds: [], despite: true }),
    )
    if (!done.ok) continue
    const before = performance.now()
    const item = house.stock.one(itemId, today)
    if (item) house.forecasts.of(item)
    taken.push(performance.now() - before)
  }
  db.close()
  taken.sort((a, b) => a - b)
  return {
    trainingMs: training.p50,
    allColdMs,
    allCachedMs: cached.p50,
    afterTallyP95Ms: round(taken[Math.floor(taken.length * 0.95)] ?? Number.NaN),
  }
}
