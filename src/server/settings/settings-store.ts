import { DEFAULT_SETTINGS } from '#core/settings'
import { Settings } from '#contract/settings'
import type { Db } from '../db/open-database.js'

const ROW_ID = 'settings'

/** Her settings as one row; the defaults until she saves them once. */
export class SettingsStore {
  readonly #statements

  constructor(db: Db) {
    this.#statements = {
      read: db.prepare<[string], { value: string; version: number }>('SELECT value, version FROM setting WHERE id = ?'),
      save: db.prepare<[{ id: string; value: string }]>(
        `INSERT INTO setting (id, value) VALUES (@id, @value)
         ON CONFLICT (id) DO UPDATE SET value = @value, version = version + 1`,
      ),
    }
  }

  /** The settings and their version; version 0 = never saved. */
  read(): { settings: Settings; version: number } {
    const row = this.#statements.read.get(ROW_ID)
    if (!row) return { settings: DEFAULT_SETTINGS, version: 0 }
    return { settings: Settings.parse({ ...DEFAULT_SETTINGS, ...JSON.parse(row.value) }), version: row.version }
  }

  save(settings: Settings): void {
    this.#statements.save.run({ id: ROW_ID, value: JSON.stringify(settings) })
  }
}
