import { groupBy } from '#core/lists/grouping'
import { preparing, type Db } from './query.js'
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
  readonly #sql: ReturnType<typeof preparing>
  readonly #columns: ReadonlyMap<string, readonly string[]>
  readonly #references: readonly Reference[]
  readonly #images

  constructor(db: Db) {
    this.#db = db
    this.#sql = preparing(db)
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
    const touched = new Map(net.map((row) => [keyOf(row), row]))
    const found: InTheWay[] = []
    const now = this.#now(net)
    for (const row of net)
      if (!this.#isAs(now.get(keyOf(row)) ?? null, row.after)) found.push({ tbl: row.tbl, rowId: row.rowId })
    const byTable = groupBy(net, ({ tbl }) => tbl)
    const going = new Map([...byTable].map(([tbl, rows]) => [tbl, rows.filter(isGoing).map((row) => row.rowId)]))
    for (const reference of this.#references) {
      const rows = byTable.get(reference.child) ?? []
      found.push(...this.#referring(reference, going.get(reference.parent) ?? [], rows, touched))
    }
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
    this.#remove(net.filter((row) => row.before === null))
    const back = net.filter((row) => row.before !== null)
    const now = this.#now(back)
    try {
      this.#db.transaction(() => {
        for (const row of back) this.#write(row, now.get(keyOf(row)) ?? null, true)
      })()
    } catch (error) {
      // Two rows that exchange a key pass through a state in which both hold it, unless they are out of the way first.
      if (!String((error as { code?: unknown }).code).startsWith('SQLITE_CONSTRAINT')) throw error
      this.#remove(back)
      for (const row of back) this.#write(row, now.get(keyOf(row)) ?? null, false)
    }
  }

  #remove(rows: readonly NetRow[]): void {
    for (const [tbl, ids] of idsByTable(rows))
      this.#sql<[string]>(`DELETE FROM "${tbl}" WHERE id IN (SELECT value FROM json_each(?))`).run(JSON.stringify(ids))
  }

  /** The rows as they stand, by table and id; those that are not there are left out. */
  #now(rows: readonly NetRow[]): Map<string, Image> {
    const found = new Map<string, Image>()
    for (const [tbl, ids] of idsByTable(rows)) {
      if (!this.#columns.has(tbl)) throw new Error(`The journal names a table that isn’t there: ${tbl}`)
      const all = this.#sql<[string], Image>(`SELECT t.* FROM json_each(?) j JOIN "${tbl}" t ON t.id = j.value`)
      for (const row of all.all(JSON.stringify(ids))) found.set(keyOf({ tbl, rowId: String(row['id']) }), row)
    }
    return found
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
    this.#sql<[Image]>(sql).run(image)
  }

  #isThere(tbl: string, id: string): boolean {
    return this.#sql<[string]>(`SELECT 1 FROM "${tbl}" WHERE id = ?`).get(id) !== undefined
  }

  /** Alike but for the version, which grows with every restoration. */
  #isAs(current: Image | null, expected: Image | null): boolean {
    if (current === null || expected === null) return current === expected
    return Object.entries(expected).every(([column, value]) => column === 'version' || alike(current[column], value))
  }

  #referring(
    { child, column, parent }: Reference,
    going: readonly string[],
    rows: readonly NetRow[],
    touched: ReadonlyMap<string, NetRow>,
  ): InTheWay[] {
    const found: InTheWay[] = []
    if (going.length > 0) {
      const referring = this.#sql<[string], { id: string }>(
        `SELECT c.id FROM json_each(?) j JOIN "${child}" c ON c."${column}" = j.value`,
      )
      for (const { id } of referring.all(JSON.stringify(going)))
        if (!touched.has(`${child}\n${id}`)) found.push({ tbl: child, rowId: id })
    }
    for (const row of rows) {
      const value = row.before?.[column]
      if (typeof value !== 'string') continue
      const referred = touched.get(`${parent}\n${value}`)
      if (referred === undefined && !this.#isThere(parent, value)) found.push({ tbl: parent, rowId: value })
      // What it refers to would go with the rest: something between made it refer there.
      if (referred?.before === null) found.push({ tbl: child, rowId: row.rowId }, { tbl: parent, rowId: value })
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

function keyOf({ tbl, rowId }: { readonly tbl: string; readonly rowId: string }): string {
  return `${tbl}\n${rowId}`
}

function idsByTable(rows: readonly NetRow[]): [string, string[]][] {
  return [...groupBy(rows, ({ tbl }) => tbl)].map(([tbl, own]) => [tbl, own.map(({ rowId }) => rowId)])
}

function isGoing(row: NetRow): boolean {
  return row.before === null && row.after !== null
}

/** An image writes a number with fifteen digits. */
function alike(a: string | number | null | undefined, b: string | number | null): boolean {
  if (typeof a !== 'number' || typeof b !== 'number') return a === b
  return Math.abs(a - b) <= 1e-12 * Math.max(1, Math.abs(a))
}
