import { readFileSync } from 'node:fs'
import type { CollectionFile, FileRow } from './file-schema.js'
import { counted } from '#core/words/counted'
import { breachesOf } from '../db/house-rules.js'
import type { Done } from '../db/journal.js'
import { columnsOf } from '../db/table-columns.js'
import { exportedTables, tablesOf } from '../db/tables.js'
import { fail, ok, type Outcome } from '../failing.js'

import { collectionText } from './collection-text.js'
import type { ReadCollection } from './read-collection.js'
import type { Context } from '../context.js'
import type { Photos } from '../collection/photos.js'

const NEVER_EMPTY = ['zone', 'category'] as const
/** Bytes of pictures that one file carries: the newest, up to this; the others are named. */
const MOST_PICTURES = 200_000_000

export class CollectionFiles {
  readonly #tables = exportedTables()
  readonly #columns: ReadonlyMap<string, readonly string[]>
  readonly #mostPictures: number

  constructor(
    private readonly services: Context & { photos: Photos },
    mostPictures = MOST_PICTURES,
  ) {
    this.#mostPictures = mostPictures
    this.#columns = new Map(this.#tables.map((name) => [name, columnsOf(services.db, name)]))
  }

  /** Everything that was recorded, as the text of a file: tables with their ids, rows in the order in which they were made, pictures. */
  text(): Generator<string> {
    const { db, photos } = this.services
    return collectionText(db.name, this.services.now(), photos, this.#mostPictures)
  }

  isEmpty(): boolean {
    return this.services.db.prepare('SELECT 1 FROM item UNION ALL SELECT 1 FROM project LIMIT 1').get() === undefined
  }

  /**
   * Puts a file in place of what is there, as one change: what it does not hold goes, taking it back brings all of it again.
   * Into a collection that holds something only where it says so. Whatever in it would not hold together is refused with its
   * place, before anything is kept.
   */
  put(file: ReadCollection): Outcome<Done<{ items: number }>> {
    if (!file.replace && !this.isEmpty()) return fail('collection-not-empty')
    const wrong = this.#incomplete(file)
    if (wrong) return wrong
    const { db } = this.services
    const rowsOf = (name: string): readonly FileRow[] => file.tables[name] ?? []
    // The pictures first: a row never stands without its picture. Their names are made of what is in them.
    const content = new Map(
      Object.entries(file.pictures).map(([id, place]) => [id, this.services.photos.write(readFileSync(place))]),
    )
    // What the file only names is here still, or it is nowhere.
    const photo = rowsOf('photo').flatMap((row) => {
      const own = content.get(String(row['id']))
      return own === undefined && !this.services.photos.holds(String(row['content']))
        ? []
        : [{ ...row, content: own ?? String(row['content']) }]
    })
    const kept = new Set(photo.map((row: FileRow) => row['id']))
    const taken: CollectionFile['tables'] = {
      ...file.tables,
      photo,
      pan_reading: rowsOf('pan_reading').filter((row) => kept.has(row['photo_id'] ?? null)),
    }
    const missing = rowsOf('photo').length - photo.length
    // Rows refer to each other across tables; all of it is checked when the change is committed.
    db.pragma('defer_foreign_keys = ON')
    const shown = new Set<string>(tablesOf('kept as shown'))
    for (const name of [...this.#tables].reverse()) if (!shown.has(name)) db.prepare(`DELETE FROM "${name}"`).run()
    for (const name of this.#tables) {
      const columns = this.#columns.get(name) ?? []
      const insert = db.prepare(
        // What was shown here stays; what was shown elsewhere comes beside it.
        `INSERT ${shown.has(name) ? 'OR IGNORE ' : ''}INTO "${name}" (${columns.map((c) => `"${c}"`).join(', ')}) VALUES (${columns.map((c) => `@${c}`).join(', ')})`,
      )
      for (const [at, row] of (taken[name] ?? []).entries()) {
        const refused = refusalOf(() => insert.run(row))
        if (refused !== null) return fail('collection-inconsistent', { where: `tables.${name}.${at}`, why: refused })
      }
    }
    const [broken] = db.pragma('foreign_key_check') as { table: string; rowid: number; parent: string }[]
    if (broken)
      return fail('collection-inconsistent', {
        where: `tables.${broken.table}`,
        why: `a row refers to one of ${broken.parent} that the file doesn’t hold`,
      })
    const [breach] = breachesOf(db)
    if (breach)
      return fail('collection-inconsistent', {
        where: `tables.${breach.tbl}, the row with the id ${breach.row_id}`,
        why: `there would be ${breach.rule}`,
      })
    const items = rowsOf('item').length
    const without = missing === 0 ? '' : `, without ${counted(missing, 'picture')} that the file only names`
    return ok({ words: `Took in a collection of ${counted(items, 'item')}${without}`, answer: { items } })
  }

  #incomplete(file: ReadCollection): ReturnType<typeof fail<'collection-inconsistent'>> | null {
    for (const name of NEVER_EMPTY)
      if ((file.tables[name] ?? []).length === 0)
        return fail('collection-inconsistent', { where: `tables.${name}`, why: 'a collection has one at least' })
    const photos = (file.tables['photo'] ?? []).map((row) => String(row['id']))
    const stray = Object.keys(file.pictures).find((id) => !photos.includes(id))
    if (stray !== undefined)
      return fail('collection-inconsistent', { where: `pictures.${stray}`, why: 'no row of photo has this id' })
    const leftOut = new Set(file.picturesLeftOut)
    const missing = photos.findIndex((id) => file.pictures[id] === undefined && !leftOut.has(id))
    return missing < 0
      ? null
      : fail('collection-inconsistent', { where: `tables.photo.${missing}`, why: 'the file doesn’t hold its picture' })
  }
}

function refusalOf(insert: () => unknown): string | null {
  try {
    insert()
    return null
  } catch (error) {
    const code = String((error as { code?: unknown }).code)
    if (!code.startsWith('SQLITE_CONSTRAINT')) throw error
    return /UNIQUE|PRIMARYKEY/.test(code)
      ? 'another row has the same id or stands for the same item'
      : 'its columns contradict each other'
  }
}
