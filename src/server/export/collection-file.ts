import { fail, ok, type Outcome } from '#core/failure'
import { COLLECTION_FILE_VERSION, TABLE_NAMES, type CollectionFile } from '#contract/collection-file'
import { Photos } from '../collection/photos.js'
import { watchedTables } from '../db/journal-triggers.js'
import type { Done } from '../db/journal.js'
import type { House } from '../house.js'

/** The whole collection out of the house and into it again. */
export class CollectionFiles {
  readonly #house: House
  readonly #photos: Photos
  readonly #columns: Map<string, string[]>

  constructor(house: House) {
    this.#house = house
    this.#photos = new Photos(house)
    this.#columns = new Map(watchedTables(house.db).map(({ name, columns }) => [name, columns]))
  }

  /** Everything she has recorded, table by table, ids included, rows in the order of their ids; pictures in base64. */
  everything(): CollectionFile {
    const tables = Object.fromEntries(TABLE_NAMES.map((name) => [name, this.#rowsOf(name)])) as CollectionFile['tables']
    const pictures: Record<string, string> = {}
    for (const { id } of tables.photo) {
      const jpeg = this.#photos.read(id)
      if (jpeg !== null) pictures[id] = jpeg.toString('base64')
    }
    return {
      format: 'seligo collection',
      version: COLLECTION_FILE_VERSION,
      exportedAt: this.#house.now().toISOString(),
      tables,
      pictures,
    }
  }

  /** True as long as nothing but the defaults is in it. */
  isEmpty(): boolean {
    return this.#house.db.prepare('SELECT 1 FROM item UNION ALL SELECT 1 FROM project LIMIT 1').get() === undefined
  }

  /**
   * Puts a file in place of what is there, as one change: what it does not hold goes, taking it back brings all of it again.
   * Into a collection that holds something only with `replace`.
   */
  put(file: CollectionFile, replace: boolean): Outcome<Done<{ items: number }>> {
    if (!replace && !this.isEmpty()) return fail('collection-not-empty')
    const { db } = this.#house
    // Rows refer to each other across tables; all of it is checked when the change is committed.
    db.pragma('defer_foreign_keys = ON')
    for (const name of [...TABLE_NAMES].reverse()) db.prepare(`DELETE FROM "${name}"`).run()
    for (const name of TABLE_NAMES) {
      const columns = this.#columns.get(name) ?? []
      const insert = db.prepare(
        `INSERT INTO "${name}" (${columns.map((c) => `"${c}"`).join(', ')}) VALUES (${columns.map((c) => `@${c}`).join(', ')})`,
      )
      for (const row of file.tables[name]) insert.run(row)
    }
    if (this.#broken()) return fail('collection-inconsistent')
    for (const [id, base64] of Object.entries(file.pictures)) this.#photos.write(id, Buffer.from(base64, 'base64'))
    const items = file.tables.item.length
    return ok({ words: `Took in a collection of ${items} items`, answer: { items } })
  }

  #broken(): boolean {
    return (this.#house.db.pragma('foreign_key_check') as unknown[]).length > 0
  }

  #rowsOf(name: string): unknown[] {
    const columns = this.#columns.get(name) ?? []
    return this.#house.db.prepare(`SELECT ${columns.map((c) => `"${c}"`).join(', ')} FROM "${name}" ORDER BY id`).all()
  }
}
