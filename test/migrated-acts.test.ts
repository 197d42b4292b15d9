import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import Database from 'better-sqlite3'
import { Random } from '#demo/random'
import { breachesOf } from '#server/db/house-rules'
import { completeDefaults } from '#server/db/fill-defaults'
import { installJournalTriggers } from '#server/db/journal-triggers'
import { migrate, readMigrations } from '#server/db/migrate'
import { openDatabase } from '#server/db/open-database'
import type { Db } from '#server/db/query'
import { columnsOf } from '#server/db/table-columns'
import { exportedTables, TABLES } from '#server/db/tables'
import { readCollectionFile } from '#server/export/read-collection'
import { makeServices } from '#server/services'

/** Acts as each earlier schema wrote them, taken back by the Seligo of today. */
let folder: string
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'seligo-migrated-'))
})
afterEach(() => rmSync(folder, { recursive: true, force: true }))

type Row = Record<string, string | number | null>
const ITEM: Row = {
  product_id: 'p1',
  category_id: 'blush',
  form: 'pressed',
  opened_kind: 'range',
  opened_earliest: '2026-01-01',
  opened_latest: '2026-02-01',
  opened_said: 'winter',
  lifecycle: 'open',
  price_minor: 1800,
  content_amount: 5,
  content_unit: 'g',
}
const GONE: Row = { ended_on: '2026-05-01', location: 'resting' }
const STAY: Row = { project_id: 'pr', item_id: 'i1', rolled_in: '2026-01-10', goal_kind: 'finish', by_kind: 'none' }
const READING: Row = { item_id: 'i1', day: '2026-03-02', moment: 'before-use' }
const YEAR: Row = { from_day: '2026-01-01', to_day: '2026-02-01' }

type Write = readonly ['add' | 'set' | 'drop', string, string, Row?]
/** What each act of an earlier Seligo wrote: at least one that adds, changes and takes away rows of every kind it knew. Data table. */
const ACTS: Readonly<Record<string, readonly Write[]>> = {
  'add a thing': [
    ['add', 'product', 'p1', { maker: 'Pellwick', name: 'Rust Bloom blush', shade: 'Rust Bloom' }],
    ['add', 'item', 'i1', ITEM],
  ],
  'add its double, under words of its own': [
    ['add', 'product', 'p2', { maker: 'Pellwick', name: 'Rust Bloom blush', shade: 'Rust Bloom' }],
    [
      'add',
      'item',
      'i2',
      { ...ITEM, product_id: 'p2', acquired_earliest: '2026-02-01', acquired_latest: '2025-12-01' },
    ],
  ],
  'import one': [
    ['add', 'product', 'p3', { maker: 'Ondrake', name: 'Monthly update', shade: '' }],
    ['add', 'item', 'i3', { ...ITEM, product_id: 'p3', import_identity: 'ondrake|sheet||1' }],
  ],
  'add a palette': [
    ['add', 'product', 'p4', { maker: 'Quillfern', name: 'Hedgerow', shade: '' }],
    ['add', 'item', 'i4', { ...ITEM, product_id: 'p4', category_id: 'eyeshadow-palette' }],
    ['add', 'part', 's1', { item_id: 'i4', name: 'moss', row: 1, col: 1 }],
    ['add', 'part', 's2', { item_id: 'i4', name: 'bark', row: 1, col: 2 }],
  ],
  'edit it': [['set', 'item', 'i1', { notes: 'mine', colour: '#aa3344', uses_before: 3 }]],
  'rename a shade': [['set', 'part', 's1', { name: 'lichen', finished_on: '2026-04-04' }]],
  'take a shade off': [['drop', 'part', 's2']],
  'wear it': [
    ['add', 'wear', 'w1', { item_id: 'i1', day: '2026-03-01' }],
    ['add', 'wear', 'w2', { item_id: 'i4', day: '2026-03-01' }],
    ['add', 'wear_part', 'wp1', { wear_id: 'w2', part_id: 's1' }],
  ],
  'say how': [['set', 'wear', 'w1', { amount: 2, amount_unit: 'pumps', felt: 'soft', used_as: 'bronzer' }]],
  mix: [
    ['add', 'mix', 'm1', { day: '2026-03-01', ratio: '2 to 1' }],
    ['set', 'wear', 'w1', { mix_id: 'm1' }],
  ],
  untick: [
    ['drop', 'wear_part', 'wp1'],
    ['drop', 'wear', 'w2'],
  ],
  'a day': [['add', 'day_record', '2026-03-03', { skin: 'dry', note: 'hoarse' }]],
  'a day anew': [['set', 'day_record', '2026-03-03', { note: 'better' }]],
  away: [['add', 'away', 'a1', { earliest: '2026-06-01', latest: '2026-06-14', words: 'walking' }]],
  'not away': [['drop', 'away', 'a1']],
  'a gross weight': [
    [
      'add',
      'measurement',
      'g1',
      { ...READING, kind: 'gross', value: 22.4, unit: 'g', saved_at: '2026-03-02T12:00:00.000Z' },
    ],
  ],
  'a level': [
    [
      'add',
      'measurement',
      'g2',
      { ...READING, kind: 'level', value: 0.5, unit: 'share', saved_at: '2026-03-02T12:00:00.000Z' },
    ],
  ],
  'a stage': [
    ['add', 'measurement', 'g3', { ...READING, kind: 'stage', stage: 'dip', saved_at: '2026-03-02T12:00:00.000Z' }],
  ],
  'mend a weight': [['set', 'measurement', 'g1', { value: 22.3 }]],
  'drop a level': [['drop', 'measurement', 'g2']],
  'it broke': [
    [
      'add',
      'item_event',
      'e1',
      { item_id: 'i1', day: '2026-03-05', kind: 'broken', words: 'fell', saved_at: '2026-03-05T12:00:00.000Z' },
    ],
  ],
  'drop an event': [['drop', 'item_event', 'e1']],
  repressed: [
    [
      'add',
      'item_event',
      'e2',
      { item_id: 'i1', day: '2026-03-06', kind: 'repressed', saved_at: '2026-03-06T12:00:00.000Z' },
    ],
  ],
  'a project': [['add', 'project', 'pr', { name: 'Six', shape: 'rolling', started_on: '2026-01-01' }]],
  'its rules': [['set', 'project', 'pr', { rules: 'gently', by_day: '2026-12-01' }]],
  'roll in': [['add', 'stay', 'st1', { ...STAY, baseline_left: 0.9 }]],
  'another goal': [['set', 'stay', 'st1', { goal_kind: 'uses', goal_target: 20, head_start: 3 }]],
  'roll out': [['set', 'stay', 'st1', { rolled_out: '2026-04-01', out_reason: 'left unfinished', out_words: 'tired' }]],
  'lay in': [
    ['add', 'placement', 'pl1', { item_id: 'i4', zone_id: 'eyes', from_day: '2026-01-05', position: 1 }],
    ['set', 'item', 'i4', { location: 'zone' }],
  ],
  'take out': [
    ['set', 'placement', 'pl1', { to_day: '2026-02-05' }],
    ['set', 'item', 'i4', { location: 'resting' }],
  ],
  'a trial': [
    ['add', 'trial', 't1', { item_id: 'i3', started_on: '2026-02-01', due_on: '2026-03-01', wears_wanted: 3 }],
  ],
  'let go': [
    ['set', 'trial', 't1', { closed_on: '2026-05-01' }],
    ['set', 'item', 'i3', { ...GONE, lifecycle: 'left', ended_as: 'left' }],
    [
      'add',
      'verdict',
      'v1',
      { item_id: 'i3', trial_id: 't1', day: '2026-05-01', verdict: 'let go', destination: 'give' },
    ],
  ],
  'a verdict': [['add', 'verdict', 'v2', { item_id: 'i1', day: '2026-05-01', verdict: 'keep' }]],
  blend: [
    ['add', 'product', 'p5', { maker: '', name: 'Blend', shade: '' }],
    ['add', 'item', 'i5', { ...ITEM, product_id: 'p5' }],
    ['add', 'blend_parent', 'b1', { item_id: 'i5', parent_item_id: 'i1', share: 1 }],
  ],
  finish: [
    ['set', 'item', 'i2', { ...GONE, lifecycle: 'finished', ended_as: 'finished' }],
    [
      'add',
      'review',
      'r1',
      {
        item_id: 'i2',
        product_id: 'p2',
        day: '2026-05-01',
        would_buy_again: 'yes',
        package_goes: 'keep the container',
      },
    ],
  ],
  'another review': [['set', 'review', 'r1', { words: 'good', would_buy_again: 'maybe' }]],
  'a category of her own': [
    [
      'add',
      'category',
      'own',
      {
        name: 'Glitter',
        position: 90,
        makeup: 1,
        zone_id: 'eyes',
        usual_form: 'pot',
        model_type: 'other',
        eye: 1,
        lip: 0,
      },
    ],
  ],
  'renamed categories': [['set', 'category', 'own', { name: 'Sparkle' }]],
  settings: [['add', 'setting', 'settings', { value: JSON.stringify({ currency: 'EUR', rollOverHour: 4 }) }]],
  'a zone': [['set', 'zone', 'eyes', { slots: 12 }]],
  'a pair': [['add', 'pair', 'pa1', { item_id: 'i1', other_item_id: 'i4', verdict: 'works' }]],
  'a season': [['add', 'low_season', 'l1', { from_day: '05-01', to_day: '05-31', factor: 0.2 }]],
  'a face': [
    ['add', 'saved_face', 'f1', { name: 'Quick' }],
    ['add', 'saved_face_item', 'fi1', { saved_face_id: 'f1', item_id: 'i1' }],
  ],
  'no face': [
    ['drop', 'saved_face_item', 'fi1'],
    ['drop', 'saved_face', 'f1'],
  ],
  'laying, put away': [
    ['add', 'laying', 'la1', { season: 'summer', started_on: '2026-05-20' }],
    ['add', 'laying_choice', 'lc1', { laying_id: 'la1', item_id: 'i4', choice: 'stays' }],
  ],
  'a picture': [['add', 'photo', 'ph1', { item_id: 'i1', day: '2026-03-01', width: 10, height: 10, content: 'ph1' }]],
  'no picture': [['drop', 'photo', 'ph1']],
  'a package weighed': [
    [
      'add',
      'package_weight',
      'pw1',
      { maker: 'Pellwick', name: 'Rust Bloom blush', form: 'pressed', state: 'cleaned', grams: 20, day: '2026-05-02' },
    ],
  ],
  'put back': [['add', 'put_back', 'pb1', { item_id: 'i1', day: '2026-03-02' }]],
  'a guess': [['add', 'guess', 'gu1', { item_id: 'i1', made_on: '2026-03-02', months: 3 }]],
  'a wish': [['add', 'wish', 'wi1', { category_id: 'blush', name: 'Moth', wished_on: '2026-03-02' }]],
  'a limit': [['add', 'buying_rule', 'br1', { ...YEAR, most: 0 }]],
  'a span': [['add', 'look_span', 'ls1', { name: 'spring', ...YEAR }]],
}

/** Writes all of it under an earlier schema, each act one change, as its journal did. Gives the acts that this schema knew. */
function livedUnder(number: number): {
  db: Db
  beginning: string
  acts: string[]
  rows: { version: number; tables: object }
} {
  const file = join(folder, 'collection.db')
  const known = readMigrations()
  const db = new Database(file)
  migrate(db, { appliedAt: '2026-01-01T00:00:00.000Z', known: known.slice(0, number), complete: completeDefaults })
  const there = Object.fromEntries(Object.entries(TABLES).filter(([name]) => columnsOf(db, name).length > 0))
  installJournalTriggers(db, there)
  const acts = Object.keys(ACTS).filter((name) => ACTS[name]?.every(([, table]) => columnsOf(db, table).length > 0))
  for (const [n, name] of acts.entries()) {
    db.exec(`INSERT INTO temp.open_change (id) VALUES ('c${n}')`)
    for (const [way, table, id, row = {}] of ACTS[name] ?? [])
      write(db, way, table, id, number < 3 ? row : lawful(id, row))
    db.exec('DELETE FROM temp.open_change')
    db.prepare(
      'INSERT INTO change (id, command, body, words, made_at, answer, changed, is_undo) VALUES (?, ?, ?, ?, ?, ?, 1, 0)',
    ).run(`c${n}`, name, '{}', name, `2026-05-${String(10 + (n % 20)).padStart(2, '0')}T12:00:00.000Z`, '{}')
  }
  const tables = Object.fromEntries(
    exportedTables()
      .filter((name) => columnsOf(db, name).length > 0)
      .map((name) => [name, db.prepare(`SELECT * FROM "${name}" ORDER BY rowid`).all()]),
  )
  db.close()
  // What stood before the first of them: the same schema, brought up without having lived.
  const bare = join(folder, 'bare.db')
  const other = new Database(bare)
  migrate(other, { appliedAt: '2026-01-01T00:00:00.000Z', known: known.slice(0, number), complete: completeDefaults })
  other.close()
  const opened = openDatabase(bare, { appliedAt: '2026-06-01T00:00:00.000Z' })
  const beginning = stateOf(opened)
  opened.close()
  return {
    db: openDatabase(file, { appliedAt: '2026-06-01T00:00:00.000Z' }),
    beginning,
    acts,
    rows: { version: number, tables },
  }
}

/** From the third schema on words were given once, and ends stood in their order. */
function lawful(id: string, row: Row): Row {
  if (id === 'p2') return { ...row, shade: 'Twin' }
  return id === 'i2' && 'acquired_latest' in row ? { ...row, acquired_latest: '2026-03-01' } : row
}

/** With the columns that the schema has; what it has besides is as it comes. */
function write(db: Db, way: Write[0], table: string, id: string, row: Row): void {
  const columns = Object.keys(row).filter((column) => columnsOf(db, table).includes(column))
  // Every schema but the first left an absent value absent; that one had none.
  const value = (column: string): string | number | null => row[column] ?? null
  if (way === 'drop') db.prepare(`DELETE FROM "${table}" WHERE id = ?`).run(id)
  else if (way === 'set')
    db.prepare(`UPDATE "${table}" SET ${columns.map((c) => `"${c}" = @${c}`).join(', ')} WHERE id = @id`).run({
      ...Object.fromEntries(columns.map((column) => [column, value(column)])),
      id,
    })
  else {
    const all: Row = { id, ...Object.fromEntries(columns.map((column) => [column, value(column)])) }
    // A stage had a number once.
    if (table === 'measurement' && columnsOf(db, table).includes('series') && !columnsOf(db, table).includes('unit'))
      all['value'] ??= 0
    db.prepare(
      `INSERT INTO "${table}" (${Object.keys(all)
        .map((c) => `"${c}"`)
        .join(', ')}) VALUES (${Object.keys(all)
        .map((c) => `@${c}`)
        .join(', ')})`,
    ).run(all)
  }
}

function stateOf(db: Db): string {
  const tables = Object.entries(TABLES).flatMap(([name, { class: kind }]) => (kind === 'recorded' ? [name] : []))
  const rows = tables.map((name) => [name, db.prepare(`SELECT * FROM "${name}" ORDER BY id`).all()])
  return JSON.stringify(rows, (key, value: unknown) => (key === 'version' ? undefined : value))
}

describe.each([1, 2, 3, 5, 7, 9])('a collection file of version %i', (number) => {
  test('comes in as its rows would have been brought up to date where they lay', () => {
    const { db, rows } = livedUnder(number)
    const { tables, version } = rows
    const work = mkdtempSync(join(tmpdir(), 'seligo-older-file-'))
    const collection = {
      format: 'seligo collection',
      version,
      exportedAt: '2026-06-01T00:00:00.000Z',
      tables,
      // The first version knew no pictures, and named none it left out.
      ...(number === 1 ? {} : { pictures: {} }),
    }
    writeFileSync(join(work, 'file.json'), JSON.stringify({ changeId: 'c', replace: true, collection }))
    const read = readCollectionFile(join(work, 'file.json'), work)
    rmSync(work, { recursive: true })
    if (!('value' in read)) throw new Error(JSON.stringify(read))
    const file = read.value
    const here = db.prepare<[], { id: string }>('SELECT * FROM item ORDER BY id').all()
    // The day it was added is in the journal, which stays where it is.
    const plain = (all: readonly object[]) => all.map((row) => ({ ...row, added_on: null }))
    expect(
      plain([...(file.tables['item'] ?? [])].sort((a, b) => (String(a['id']) < String(b['id']) ? -1 : 1))),
    ).toEqual(plain(here))
    for (const table of ['wear', 'stay', 'review', 'part', 'placement', 'verdict'] as const)
      expect(file.tables[table]?.length, table).toBe(
        db.prepare<[], { n: number }>(`SELECT count(*) AS n FROM "${table}"`).get()?.n,
      )
    db.close()
  })
})

describe.each([1, 2, 3, 5, 7, 9])('what was done under schema %i', (number) => {
  test('is undone act by act, the last first, down to where it began', () => {
    const { db, beginning, acts } = livedUnder(number)
    const house = makeServices(db, () => new Date(2026, 5, 2, 12))
    // A picture's file lay beside it then; here none does.
    writePicture(folder)
    expect(acts.length).toBeGreaterThan(30)
    for (const n of [...acts.keys()].reverse()) {
      const id = `back-${n}`
      const back = house.undo.takeBack({ changeId: id, command: 'take-back', body: {} }, `c${n}`, false)
      expect(back.ok ? '' : `${acts[n]}: ${JSON.stringify(back.failure)}`).toBe('')
      expect(breachesOf(db), acts[n]).toEqual([])
    }
    expect(stateOf(db)).toBe(beginning)
    db.close()
  })
})

describe.each([1, 5])('what was done under schema %i', (number) => {
  test('is undone in any order, with what stands on it, and done again', () => {
    const { db, acts } = livedUnder(number)
    const house = makeServices(db, () => new Date(2026, 5, 2, 12))
    writePicture(folder)
    const random = new Random(number)
    for (let n = 0; n < acts.length; n += 1) {
      const target = random.whole(0, acts.length - 1)
      const before = stateOf(db)
      const back = house.undo.takeBack({ changeId: `b${n}`, command: 'take-back', body: {} }, `c${target}`, true)
      if (!back.ok) {
        expect(['already-undone', 'stands-in-the-way', 'would-break-a-rule'], `${acts[target]}`).toContain(
          back.failure.code,
        )
        continue
      }
      expect(breachesOf(db), acts[target]).toEqual([])
      const again = house.undo.takeBack({ changeId: `a${n}`, command: 'take-back', body: {} }, `b${n}`, false)
      expect(again.ok ? '' : `${acts[target]} again: ${JSON.stringify(again.failure)}`).toBe('')
      expect(stateOf(db)).toBe(before)
    }
    db.close()
  })
})

function writePicture(where: string): void {
  mkdirSync(join(where, 'photos'), { recursive: true })
  writeFileSync(join(where, 'photos', 'ph1.jpg'), 'a picture')
}
