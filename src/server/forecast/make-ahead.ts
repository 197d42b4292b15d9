import { Worker } from 'node:worker_threads'
import type { Day } from '#core/calendar/day'
import type { Prepared, Forecasts } from './forecasts.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'
import type { ForecastKeeping } from './keeping.js'
import type { Journal } from '../db/journal.js'

/** It makes much that is gone at once: room for that would be kept for nothing. */
const YOUNG_MB = 16
/** By then the first page stands. */
const SEEN_FIRST_MS = 3000
/** So many are computed where they are asked for before anybody notices. */
const FEW = 400
/** Changes after which a forecast is kept. */
const KEPT_AFTER = new Set(['stay', 'measurement'])

/** All forecasts of today, computed in a thread of its own. */
function reckoned(
  services: Context & { stock: Stock; forecasts: Forecasts; forecastKeeping: ForecastKeeping; journal: Journal },
): Promise<Prepared> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(new URL('./forecast-worker.js', import.meta.url), {
      workerData: { file: services.db.name, today: services.today() },
      resourceLimits: { maxYoungGenerationSizeMb: YOUNG_MB },
    })
    worker.once('message', (answer: Prepared) => resolve(answer))
    worker.once('error', reject)
    worker.once('exit', () => reject(new Error('it ended without an answer')))
  })
}

/** How often the clock on the wall is looked at: a timer sleeps while the machine does. */
const LOOK_MS = 60_000

/**
 * From now on forecasts are made ahead: at the start, whenever the user's day begins, after an import and after whatever else moves all of a
 * large collection; and kept as they are shown: at a roll-in, at a reading, and every four weeks. Where they cannot be kept it is
 * said, and they are shown all the same.
 */
export function forecastAhead(
  services: Context & { stock: Stock; forecasts: Forecasts; forecastKeeping: ForecastKeeping; journal: Journal },
): void {
  const { forecasts, forecastKeeping, journal } = services
  let kept: Day | null = null
  forecasts.makeWith(make)
  journal.listen((touched) => {
    if (forecasts.takeStale() && services.stock.presentIds().length > FEW) leave()
    // Not for a tick: that would begin what is left for later.
    if (!touched.some(({ tbl }) => KEPT_AFTER.has(tbl))) return
    forecasts
      .whenReady(true)
      .then(() => services.db.open && forecastKeeping.after(touched))
      .catch(said)
  })
  leave()
  const look = setInterval(() => {
    if (!services.db.open) clearInterval(look)
    else if (kept !== null && kept !== services.today()) leave()
  }, LOOK_MS).unref()

  /** For whoever asks first; or for a little later, when what the user sees now stands. */
  function leave(): void {
    forecasts.defer()
    setTimeout(() => {
      forecasts.begin().catch(said)
    }, SEEN_FIRST_MS).unref()
  }

  async function make(): Promise<void> {
    if (!services.db.open) return
    await forecasts.prepare(() => reckoned(services))
    const today = services.today()
    if (kept === today || !services.db.open || services.db.readonly) return
    kept = today
    try {
      forecastKeeping.due()
    } catch (error) {
      said(error)
    }
  }
}

function said(error: unknown): void {
  console.error(`Forecasts could not be kept: ${error instanceof Error ? error.message : String(error)}`)
}
