import type { Hemisphere } from '#core/calendar/hemisphere'
import { DEFAULT_SETTINGS } from '#core/settings'
import { Settings } from '#contract/settings'
import type { TouchedRow } from '../db/journal.js'
import type { Db } from '../db/query.js'

const ROW_ID = 'settings'

/** The user's settings as one row; the defaults until the user saves them once. */
export class SettingsStore {
  readonly #db: Db
  readonly #defaults: Settings
  readonly #statements
  /** Asked for thousands of times while a place is read; kept until a change touches it. */
  #kept: { readonly settings: Settings; readonly version: number } | null = null

  /** `guessed` is the half of the earth that holds until the user says otherwise. */
  constructor(db: Db, guessed: Hemisphere = DEFAULT_SETTINGS.hemisphere) {
    this.#db = db
    this.#defaults = { ...DEFAULT_SETTINGS, hemisphere: guessed }
    this.#statements = {
      read: db.prepare<[string], { value: string; version: number }>('SELECT value, version FROM setting WHERE id = ?'),
      save: db.prepare<[{ id: string; value: string }]>(
        `INSERT INTO setting (id, value) VALUES (@id, @value)
         ON CONFLICT (id) DO UPDATE SET value = @value, version = version + 1`,
      ),
    }
  }

  read(): { readonly settings: Settings; readonly version: number } {
    // Within a change a row is as it is only if that succeeds.
    if (this.#db.inTransaction) return this.#read()
    return (this.#kept ??= this.#read())
  }

  forget(touched: readonly TouchedRow[]): void {
    if (touched.some(({ tbl }) => tbl === 'setting')) this.#kept = null
  }

  #read(): { settings: Settings; version: number } {
    const row = this.#statements.read.get(ROW_ID)
    if (!row) return { settings: this.#defaults, version: 0 }
    return { settings: Settings.parse({ ...this.#defaults, ...JSON.parse(row.value) }), version: row.version }
  }

  save(settings: Settings): void {
    this.#statements.save.run({ id: ROW_ID, value: JSON.stringify(settings) })
  }
}
