import { parentPort, workerData } from 'node:worker_threads'
import Database from 'better-sqlite3'
import type { Day } from '#core/calendar/day'
import { installViews } from '../db/views.js'
import { SettingsStore } from '../settings/settings-store.js'
import { Stock } from '../stock/stock.js'
import { Forecasts } from './forecasts.js'

/** In a thread of its own, on a connection that only reads: all forecasts of a day. */
const { file, today } = workerData as { file: string; today: Day }
const db = new Database(file, { readonly: true, fileMustExist: true })
try {
  const settings = new SettingsStore(db)
  installViews(db)
  const stock = new Stock(db, () => settings.read().settings)
  parentPort?.postMessage(new Forecasts(db, stock, () => today).all())
} finally {
  db.close()
}
