import { Worker } from 'node:worker_threads'
import { nextRollOver, type House } from '../house.js'
import type { Prepared } from './forecasts.js'

/** A little after her day begins. */
const AFTER_ROLL_OVER_MS = 2000
/** It makes much that is gone at once: room for that would be kept for nothing. */
const YOUNG_MB = 16
/** By then the first page stands. */
const SEEN_FIRST_MS = 3000
/** So many are reckoned where they are asked for before anybody notices. */
const FEW = 400
/** Changes after which a forecast is kept. */
const KEPT_AFTER = new Set(['stay', 'measurement'])

/** All forecasts of today, reckoned in a thread of its own. */
function reckoned(house: House): Promise<Prepared> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(new URL('./forecast-worker.js', import.meta.url), {
      workerData: { file: house.db.name, today: house.today() },
      resourceLimits: { maxYoungGenerationSizeMb: YOUNG_MB },
    })
    worker.once('message', (answer: Prepared) => resolve(answer))
    worker.once('error', reject)
    worker.once('exit', () => reject(new Error('it ended without an answer')))
  })
}

/**
 * From now on forecasts are made ahead: at the start, whenever her day begins, after an import and after whatever else moves all of a
 * large collection; and kept as they are shown: at a roll-in, at a reading, and every four weeks.
 */
export function forecastAhead(house: House): void {
  const { forecasts, forecastKeeping, journal } = house
  let newDay = true
  let rollOver: NodeJS.Timeout | undefined
  journal.listen((touched) => {
    if (forecasts.takeStale() && house.stock.presentIds().length > FEW) leave()
    // Not for a tick: that would begin what is left for later.
    if (!touched.some(({ tbl }) => KEPT_AFTER.has(tbl))) return
    void forecasts.whenReady(true).then(() => house.db.open && forecastKeeping.after(touched))
  })
  leave()

  /** For whoever asks first; or for a little later, when what she sees now stands. */
  function leave(): void {
    forecasts.defer(make)
    setTimeout(() => void forecasts.begin(), SEEN_FIRST_MS).unref()
  }

  async function make(): Promise<void> {
    if (!house.db.open) return
    await forecasts.prepare(() => reckoned(house))
    if (!newDay || !house.db.open) return
    newDay = false
    forecastKeeping.due()
    const next = nextRollOver(house.now(), house.settings().rollOverHour).getTime() - house.now().getTime()
    clearTimeout(rollOver)
    rollOver = setTimeout(() => {
      newDay = true
      leave()
    }, next + AFTER_ROLL_OVER_MS)
    rollOver.unref()
  }
}
