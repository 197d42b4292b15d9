import { dirname } from 'node:path'
import { dayAt, type Day } from '#core/calendar/day'
import type { Settings } from '#contract/settings'
import { Journal } from './db/journal.js'
import type { Db } from './db/open-database.js'
import { Undo } from './db/undo.js'
import { SettingsStore } from './settings/settings-store.js'
import { Stock } from './stock/stock.js'

/** What every place works with: the database behind the one way to write, the clock, what is in stock. */
export interface House {
  readonly db: Db
  readonly journal: Journal
  readonly undo: Undo
  readonly stock: Stock
  readonly settings: () => Settings
  readonly now: () => Date
  /** Her day now: local time and her roll-over hour. */
  readonly today: () => Day
  /** The data folder: where pictures lie beside the database. */
  readonly folder: string
  /** Makes a dated copy of the database before something large. */
  readonly backUp: (why: 'import' | 'migration') => void
}

export function furnish(db: Db, now: () => Date, backUp: House['backUp'] = () => undefined): House {
  const folder = dirname(db.name)
  const journal = new Journal(db, now)
  const store = new SettingsStore(db)
  const settings = (): Settings => store.read().settings
  const today = (): Day => dayNow(now(), settings().rollOverHour)
  const stock = new Stock(db, settings)
  journal.listen((touched) => stock.forget(touched))
  return { db, journal, undo: new Undo(db, journal), stock, settings, now, today, folder, backUp }
}

/** The local calendar day of an instant under her roll-over hour. */
export function dayNow(instant: Date, rollOverHour: number): Day {
  return dayAt(
    {
      year: instant.getFullYear(),
      month: instant.getMonth() + 1,
      date: instant.getDate(),
      hour: instant.getHours(),
    },
    rollOverHour,
  )
}
