import { Worker } from 'node:worker_threads'
import { nextRollOver, type House } from '../house.js'
import { MANY, type Prepared } from './forecasts.js'

/** A little after her day begins. */
const AFTER_ROLL_OVER_MS = 2000
/** It makes much that is gone at once: room for that would be kept for nothing. */
const YOUNG_MB = 16
/** By then the first page stands. */
const SEEN_FIRST_MS = 3000

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
 * From now on forecasts are made ahead, at the start, whenever her day begins and after an import, and kept as they are shown: at a roll-in, at a
 * reading, and every four weeks.
 */
export function forecastAhead(house: House): void {
  const { forecasts, forecastKeeping, journal } = house
  journal.listen((touched) => {
    if (touched.length > MANY) void forecasts.prepare(() => reckoned(house))
    void forecasts.whenReady().then(() => house.db.open && forecastKeeping.after(touched))
  })
  later()

  async function day(): Promise<void> {
    await forecasts.prepare(() => reckoned(house))
    if (!house.db.open) return
    forecastKeeping.due()
    const next = nextRollOver(house.now(), house.settings().rollOverHour).getTime() - house.now().getTime()
    setTimeout(later, next + AFTER_ROLL_OVER_MS).unref()
  }

  /** What she sees first needs none of it. */
  function later(): void {
    if (!house.db.open) return
    forecasts.defer(day)
    setTimeout(() => void forecasts.begin(), SEEN_FIRST_MS).unref()
  }
}
