import type { Db } from './query.js'
import { columnsOf, referencesOf, type Reference } from './table-columns.js'
import { TABLES, tablesOf, type UniqueKey } from './tables.js'

export type Image = Readonly<Record<string, string | number | null>>

/** What a set of changes did to one row: as it was before the first of them, and as the last of them left it. */
export interface NetRow {
  readonly tbl: string
  readonly rowId: string
  readonly before: Image | null
  readonly after: Image | null
}

/** A row that stands in the way of a restoration. */
export interface InTheWay {
  readonly tbl: string
  readonly rowId: string
}

/** Puts rows back as they were before a set of changes, and tells first which rows stand in the way. */
export class Restoring {
  readonly #db: Db
  readonly #columns: ReadonlyMap<string, readonly string[]>
  readonly #references: readonly Reference[]
  readonly #images

  constructor(db: Db) {
    this.#db = db
    const tables = tablesOf('recorded')
    this.#columns = new Map(tables.map((name) => [name, columnsOf(db, name)]))
    this.#references = referencesOf(db, tables)
    this.#images = db.prepare<[string], { tbl: string; row_id: string; before: string | null; after: string | null }>(
      `SELECT r.tbl, r.row_id, r.before, r.after
         FROM json_each(?) j JOIN change c ON c.id = j.value JOIN change_row r ON r.change_id = c.id
        ORDER BY c.seq, r.seq`,
    )
  }

  netOf(changeIds: readonly string[]): NetRow[] {
    const found = new Map<string, { tbl: string; rowId: string; before: string | null; after: string | null }>()
    for (const row of this.#images.all(JSON.stringify(changeIds))) {
      const key = `${row.tbl}\n${row.row_id}`
      const there = found.get(key)
      if (there) there.after = row.after
      else found.set(key, { tbl: row.tbl, rowId: row.row_id, before: row.before, after: row.after })
    }
    const image = (text: string | null): Image | null => (text === null ? null : (JSON.parse(text) as Image))
    return [...found.values()].map((row) => ({ ...row, before: image(row.before), after: image(row.after) }))
  }

  /**
   * Rows that stand in the way of putting these back: they were changed since, hold a key that would be needed again, refer to
   * what would go, or are missing where something would refer to them.
   */
  inTheWay(net: readonly NetRow[]): InTheWay[] {
    const touched = new Map(net.map((row) => [`${row.tbl}\n${row.rowId}`, row]))
    const found: InTheWay[] = []
    for (const row of net)
      if (!this.#isAs(this.#current(row.tbl, row.rowId), row.after)) found.push({ tbl: row.tbl, rowId: row.rowId })
    for (const reference of this.#references) found.push(...this.#referring(reference, net, touched))
    for (const [tbl, { unique = [] }] of Object.entries(TABLES)) {
      const back = net.flatMap((row) => (row.tbl === tbl && row.before !== null ? [row.before] : []))
      if (back.length === 0) continue
      for (const key of unique) {
        const { now, both } = this.#holding(tbl, key, back)
        for (const rowId of now) if (!touched.has(`${tbl}\n${rowId}`)) found.push({ tbl, rowId })
        for (const rowId of both) found.push({ tbl, rowId })
      }
    }
    return found
  }

  /** Puts the rows back. References are checked when the change is committed. */
  putBack(net: readonly NetRow[]): void {
    this.#db.pragma('defer_foreign_keys = ON')
    const now = new Map(net.map((row) => [row, this.#current(row.tbl, row.rowId)]))
    for (const row of net) if (row.before === null) this.#remove(row)
    const back = net.filter((row) => row.before !== null)
    try {
      this.#db.transaction(() => {
        for (const row of back) this.#write(row, now.get(row) ?? null, true)
      })()
    } catch (error) {
      // Two rows that exchange a key pass through a state in which both hold it, unless they are out of the way first.
      if (!String((error as { code?: unknown }).code).startsWith('SQLITE_CONSTRAINT')) throw error
      for (const row of back) this.#remove(row)
      for (const row of back) this.#write(row, now.get(row) ?? null, false)
    }
  }

  #remove({ tbl, rowId }: NetRow): void {
    this.#db.prepare(`DELETE FROM "${tbl}" WHERE id = ?`).run(rowId)
  }

  #write({ tbl, before }: NetRow, current: Image | null, inPlace: boolean): void {
    if (before === null) return
    const image = { ...before }
    // A restored row is a new version: a window still showing the taken-back one is stale.
    if ('version' in image) image['version'] = Math.max(Number(image['version']), Number(current?.['version'] ?? 0)) + 1
    const present = (this.#columns.get(tbl) ?? []).filter((column) => column in image)
    const sql =
      inPlace && current !== null
        ? `UPDATE "${tbl}" SET ${present.map((c) => `"${c}" = @${c}`).join(', ')} WHERE id = @id`
        : `INSERT INTO "${tbl}" (${present.map((c) => `"${c}"`).join(', ')}) VALUES (${present.map((c) => `@${c}`).join(', ')})`
    this.#db.prepare(sql).run(image)
  }

  #current(tbl: string, rowId: string): Image | null {
    if (!this.#columns.has(tbl)) throw new Error(`The journal names a table that is not there: ${tbl}`)
    return this.#db.prepare<[string], Image>(`SELECT * FROM "${tbl}" WHERE id = ?`).get(rowId) ?? null
  }

  /** Alike but for the version, which grows with every restoration. */
  #isAs(current: Image | null, expected: Image | null): boolean {
    if (current === null || expected === null) return current === expected
    return Object.entries(expected).every(([column, value]) => column === 'version' || alike(current[column], value))
  }

  #referring(
    { child, column, parent }: Reference,
    net: readonly NetRow[],
    touched: ReadonlyMap<string, NetRow>,
  ): InTheWay[] {
    const found: InTheWay[] = []
    const goingRows = net.filter((row) => row.tbl === parent && row.before === null && row.after !== null)
    if (goingRows.length > 0) {
      const rows = this.#db
        .prepare<[string], { id: string }>(
          `SELECT c.id FROM json_each(?) j JOIN "${child}" c ON c."${column}" = j.value`,
        )
        .all(JSON.stringify(goingRows.map((row) => row.rowId)))
      for (const { id } of rows) if (!touched.has(`${child}\n${id}`)) found.push({ tbl: child, rowId: id })
    }
    for (const row of net) {
      const value = row.tbl === child ? row.before?.[column] : null
      if (typeof value !== 'string') continue
      const going = touched.get(`${parent}\n${value}`)
      if (going === undefined && this.#current(parent, value) === null) found.push({ tbl: parent, rowId: value })
      // What it refers to would go with the rest: something between made it refer there.
      if (going?.before === null) found.push({ tbl: child, rowId: row.rowId }, { tbl: parent, rowId: value })
    }
    return found
  }

  /** Rows there are now that hold a key which one of these would hold again, and those of these that would hold the same. */
  #holding(tbl: string, { terms, where }: UniqueKey, back: readonly Image[]): { now: string[]; both: string[] } {
    const shadow = `back_${tbl}`
    this.#db.exec(
      `DROP TABLE IF EXISTS temp."${shadow}"; CREATE TEMP TABLE "${shadow}" AS SELECT * FROM main."${tbl}" WHERE 0`,
    )
    const columns = this.#columns.get(tbl) ?? []
    for (const image of back) {
      const present = columns.filter((column) => column in image)
      this.#db
        .prepare(
          `INSERT INTO temp."${shadow}" (${present.map((c) => `"${c}"`).join(', ')}) VALUES (${present.map((c) => `@${c}`).join(', ')})`,
        )
        .run(image)
    }
    const of = (sql: string, alias: string): string => sql.replaceAll(/\br\./g, `${alias}.`)
    const same = terms.map((term) => `${of(term, 'o')} = ${of(term, 'b')}`)
    const both = where === undefined ? [] : [of(where, 'o'), of(where, 'b')]
    const among = (other: string): string[] =>
      this.#db
        .prepare<[], { id: string }>(
          `SELECT DISTINCT o.id FROM temp."${shadow}" b JOIN ${other} o ON ${[...same, ...both, 'o.id <> b.id'].join(' AND ')}`,
        )
        .all()
        .map((row) => row.id)
    return { now: among(`main."${tbl}"`), both: among(`temp."${shadow}"`) }
  }
}

/** An image writes a number with fifteen digits. */
function alike(a: string | number | null | undefined, b: string | number | null): boolean {
  if (typeof a !== 'number' || typeof b !== 'number') return a === b
  return Math.abs(a - b) <= 1e-12 * Math.max(1, Math.abs(a))
}
