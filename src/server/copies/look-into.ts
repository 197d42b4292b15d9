import Database from 'better-sqlite3'
import { tellMarks } from '#core/words/told'
import { leaveNothingBeside } from './copy-facts.js'
import type { CopyDifference, CopyInside } from '#contract/host'

const MOST_NAMES = 12
const KINDS: readonly { what: CopyDifference['what']; table: string }[] = [
  { what: 'items', table: 'item' },
  { what: 'wears', table: 'wear' },
  { what: 'measurements', table: 'measurement' },
  { what: 'projects', table: 'project' },
  { what: 'reviews', table: 'review' },
  { what: 'pictures', table: 'photo' },
]
const NAME_OF = `trim(product.maker || ' ' || CASE WHEN product.shade = '' THEN product.name ELSE product.shade END)`

/** What a copy holds beside what is there now, by the ids of the rows; both are only read. A table that a copy does not know counts as empty. */
export function lookInto(file: string, now: string, name: string): CopyInside {
  const db = new Database(file, { readonly: true, fileMustExist: true })
  try {
    db.prepare('ATTACH ? AS later').run(now)
    const has = (schema: string, table: string): boolean =>
      db
        .prepare<[string], { n: number }>(
          `SELECT count(*) AS n FROM ${schema}.sqlite_schema WHERE type = 'table' AND name = ?`,
        )
        .get(table)?.n === 1
    const number = (sql: string): number => db.prepare<[], { n: number }>(sql).get()?.n ?? 0
    const differences = KINDS.map(({ what, table }): CopyDifference => {
      const [then, later] = [has('main', table), has('later', table)]
      const counts = {
        then: then ? number(`SELECT count(*) AS n FROM main."${table}"`) : 0,
        now: later ? number(`SELECT count(*) AS n FROM later."${table}"`) : 0,
      }
      const only = (here: string, there: string): number =>
        number(
          `SELECT count(*) AS n FROM ${here}."${table}" one WHERE NOT EXISTS (SELECT 1 FROM ${there}."${table}" two WHERE two.id = one.id)`,
        )
      return {
        what,
        ...counts,
        onlyThen: then && later ? only('main', 'later') : counts.then,
        onlyNow: then && later ? only('later', 'main') : counts.now,
      }
    })
    const names = (here: string, there: string): string[] =>
      db
        .prepare<[], { name: string }>(
          `SELECT ${NAME_OF} AS name FROM ${here}.item JOIN ${here}.product ON product.id = item.product_id
           WHERE NOT EXISTS (SELECT 1 FROM ${there}.item two WHERE two.id = item.id) ORDER BY name LIMIT ${MOST_NAMES}`,
        )
        .all()
        .map((row) => row.name)
    const last = db
      .prepare<[], { words: string; made_at: string }>(
        'SELECT words, made_at FROM main.change ORDER BY seq DESC LIMIT 1',
      )
      .get()
    return {
      name,
      differences,
      itemsOnlyThen: names('main', 'later'),
      itemsOnlyNow: names('later', 'main'),
      // Names as they were then; days are told by whoever reads them.
      lastChange: tellMarks(last?.words ?? '', { item: (_id, kept) => kept }),
      lastChangeAt: last?.made_at ?? null,
    }
  } finally {
    db.close()
    leaveNothingBeside(file)
  }
}
