import { createHash } from 'node:crypto'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import Database from 'better-sqlite3'
import { copyDemoTo } from './support/demo-database'
import { installJournalTriggers } from '#server/db/journal-triggers'
import { migrate, readMigrations, type Migration } from '#server/db/migrate'
import { openDatabase } from '#server/db/open-database'
import type { Db } from '#server/db/query'
import { columnsOf, referencesOf } from '#server/db/table-columns'
import { TABLES, tablesOf, type TableEntry } from '#server/db/tables'

const folder = mkdtempSync(join(tmpdir(), 'seligo-schema-'))
let db: Db
beforeAll(() => {
  copyDemoTo(join(folder, 'collection.db'))
  db = openDatabase(join(folder, 'collection.db'), { appliedAt: 'x' })
})
afterAll(() => {
  db.close()
  rmSync(folder, { recursive: true, force: true })
})

describe('the registry of tables', () => {
  test('names every table of the schema, and none besides', () => {
    const there = db
      .prepare<[], { name: string }>(
        "SELECT name FROM sqlite_schema WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY name",
      )
      .all()
    expect(Object.keys(TABLES).sort()).toEqual(there.map((row) => row.name))
  })
  test('stands in an order in which rows can be put', () => {
    const order = Object.keys(TABLES)
    const wrong = referencesOf(db, order).filter(
      ({ child, parent }) => child !== parent && order.indexOf(parent) > order.indexOf(child),
    )
    expect(wrong).toEqual([])
  })
  test('knows every key that no two rows may share, and every column that names an item', () => {
    for (const [name, { unique = [], items = {}, class: kind }] of Object.entries(TABLES)) {
      if (kind !== 'recorded') continue
      const indexes = db
        .prepare<[string], { name: string }>(
          'SELECT name FROM pragma_index_list(?) WHERE "unique" = 1 AND origin <> \'pk\'',
        )
        .all(name)
        .map((row) => row.name)
      expect(unique.map((key) => key.index).sort(), name).toEqual(indexes.sort())
      const columns = referencesOf(db, [name]).filter(({ parent }) => parent === 'item')
      expect(Object.keys(items).sort(), name).toEqual(columns.map(({ column }) => column).sort())
    }
  })
  test('says what a row makes stale by a column that is there', () => {
    for (const [name, { stale }] of Object.entries(TABLES))
      if (typeof stale === 'object') expect(columnsOf(db, name), name).toContain(Object.values(stale)[0])
  })
  test('what is kept as shown can be added to and nothing else, outside a change too; what is derived isn’t watched', () => {
    const other = new Database(':memory:')
    other.exec(`CREATE TABLE forecast_shown (id TEXT PRIMARY KEY, days INTEGER) STRICT;
      CREATE TABLE forecast_cache (id TEXT PRIMARY KEY, days INTEGER) STRICT`)
    const tables: Record<string, TableEntry> = {
      forecast_shown: { class: 'kept as shown', stale: 'nothing' },
      forecast_cache: { class: 'derived', stale: 'nothing' },
    }
    installJournalTriggers(other, tables)
    other.exec("INSERT INTO forecast_shown VALUES ('a', 40); INSERT INTO forecast_cache VALUES ('a', 40)")
    expect(() => other.exec('UPDATE forecast_shown SET days = 30')).toThrow('stays as shown')
    expect(() => other.exec('DELETE FROM forecast_shown')).toThrow('stays as shown')
    other.exec('DELETE FROM forecast_cache')
    other.close()
  })
})

describe('a migration may make a table anew that others refer to', () => {
  const later = (sql: string): Migration => ({
    number: 9000,
    name: '9000_later.sql',
    sql,
    hash: createHash('sha256').update(sql).digest('hex'),
  })
  /** As it would be written for a wider CHECK: a new table of the same columns, filled, in the place of the old one. */
  const anew = (table: string, from: string, to: string): string => {
    const sql = db
      .prepare<[string], { sql: string }>("SELECT sql FROM sqlite_schema WHERE type = 'table' AND name = ?")
      .get(table)?.sql
    const indexes = db
      .prepare<[string], { sql: string }>(
        "SELECT sql FROM sqlite_schema WHERE type = 'index' AND tbl_name = ? AND sql IS NOT NULL",
      )
      .all(table)
    if (!sql?.includes(from)) throw new Error(`${table} has no ${from}`)
    const wider = sql.replace(from, to).replace(/CREATE TABLE "?\w+"?/, `CREATE TABLE ${table}_anew`)
    return `${wider}; INSERT INTO ${table}_anew SELECT * FROM ${table}; DROP TABLE ${table};
      ALTER TABLE ${table}_anew RENAME TO ${table}; ${indexes.map((index) => index.sql).join('; ')};`
  }
  const filled = (name: string): Db => {
    db.prepare('VACUUM INTO ?').run(join(folder, name))
    return new Database(join(folder, name))
  }

  test.each([
    ['item', "'finished', 'left', 'blended'", "'finished', 'left', 'blended', 'lost'"],
    ['stay', "'met', 'finished'", "'met', 'finished', 'paused'"],
    ['measurement', "'gross', 'bare'", "'gross', 'bare', 'count'"],
  ])('%s in a filled collection', (table, from, to) => {
    const copy = filled(`${table}.db`)
    const rows = copy.prepare(`SELECT * FROM ${table} ORDER BY id`).all()
    expect(rows.length).toBeGreaterThan(5)
    migrate(copy, { appliedAt: 'now', known: [...readMigrations(), later(anew(table, from, to))] })
    expect(copy.prepare(`SELECT * FROM ${table} ORDER BY id`).all()).toEqual(rows)
    expect(copy.pragma('foreign_key_check')).toEqual([])
    expect(copy.pragma('foreign_keys', { simple: true })).toBe(1)
    copy.close()
  })

  test('one that would leave rows without what they refer to is refused, and nothing of it stays', () => {
    const copy = filled('broken.db')
    const count = (): unknown => copy.prepare('SELECT count(*) AS n FROM product').get()
    const before = count()
    expect(() =>
      migrate(copy, { appliedAt: 'now', known: [...readMigrations(), later('DELETE FROM product')] }),
    ).toThrow(/would refer to rows of product/)
    expect(count()).toEqual(before)
    copy.close()
  })
})

test('every recorded table has an id of its own by which its rows are journalled', () => {
  for (const name of tablesOf('recorded', 'kept as shown')) {
    const key = db.prepare<[string], { name: string }>('SELECT name FROM pragma_table_info(?) WHERE pk = 1').get(name)
    expect(key?.name, name).toBe('id')
  }
})
