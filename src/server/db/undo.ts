import { fail, ok, type Outcome } from '#core/failure'
import type { Applied, ChangeRequest, Journal } from './journal.js'
import { watchedTables } from './journal-triggers.js'
import type { Db } from './open-database.js'

export interface ListedChange {
  readonly id: string
  readonly words: string
  readonly madeAt: string
  readonly undone: boolean
}

export interface UndoAnswer {
  /** Every change taken back, the newest first. */
  readonly takenBack: readonly ListedChange[]
}

interface ChangeListRow {
  seq: number
  id: string
  words: string
  made_at: string
  is_undo: 0 | 1
  undone_by: string | null
}

interface ImageRow {
  tbl: string
  row_id: string
  before: string | null
  after: string | null
}

type Image = Record<string, string | number | null>

const LIST_COLUMNS = 'seq, id, words, made_at, is_undo, undone_by'

/**
 * Takes changes back by restoring their before images, as a change of its own. Later changes that
 * stand on one (they touched its rows, or refer to a row it made) are named, and taken back with
 * it or not at all.
 */
export class Undo {
  readonly #db: Db
  readonly #journal: Journal
  readonly #columns: Map<string, string[]>
  readonly #references: { child: string; column: string; parent: string }[]
  readonly #statements

  constructor(db: Db, journal: Journal) {
    this.#db = db
    this.#journal = journal
    const tables = watchedTables(db)
    this.#columns = new Map(tables.map((table) => [table.name, table.columns]))
    this.#references = tables.flatMap((table) =>
      db
        .prepare<[string], { parent: string; column: string }>(
          'SELECT "table" AS parent, "from" AS "column" FROM pragma_foreign_key_list(?)',
        )
        .all(table.name)
        .map((row) => ({ child: table.name, column: row.column, parent: row.parent })),
    )
    this.#statements = {
      find: db.prepare<[string], ChangeListRow>(`SELECT ${LIST_COLUMNS} FROM change WHERE id = ?`),
      images: db.prepare<[string], ImageRow>(
        'SELECT tbl, row_id, before, after FROM change_row WHERE change_id = ? ORDER BY seq DESC',
      ),
      onSameRows: db.prepare<[{ id: string; seq: number }], { id: string }>(
        `SELECT DISTINCT later.change_id AS id
           FROM change_row mine
           JOIN change_row later ON later.tbl = mine.tbl AND later.row_id = mine.row_id
           JOIN change c ON c.id = later.change_id
          WHERE mine.change_id = @id AND c.seq > @seq AND c.is_undo = 0 AND c.undone_by IS NULL`,
      ),
      onMadeRows: db.prepare<
        [{ id: string; seq: number; parent: string; child: string; path: string }],
        { id: string }
      >(
        `SELECT DISTINCT later.change_id AS id
           FROM change c
           JOIN change_row later ON later.change_id = c.id AND later.tbl = @child AND later.after IS NOT NULL
          WHERE c.seq > @seq AND c.is_undo = 0 AND c.undone_by IS NULL
            AND json_extract(later.after, @path) IN
                (SELECT row_id FROM change_row WHERE change_id = @id AND tbl = @parent AND before IS NULL)`,
      ),
      madeIn: db.prepare<[string], { tbl: string }>(
        'SELECT DISTINCT tbl FROM change_row WHERE change_id = ? AND before IS NULL',
      ),
      since: db.prepare<[number], ChangeListRow>(
        `SELECT ${LIST_COLUMNS} FROM change WHERE seq >= ? AND changed = 1 AND is_undo = 0 AND undone_by IS NULL ORDER BY seq DESC`,
      ),
      page: db.prepare<[{ before: number; limit: number }], ChangeListRow>(
        `SELECT ${LIST_COLUMNS} FROM change WHERE changed = 1 AND is_undo = 0 AND seq < @before ORDER BY seq DESC LIMIT @limit`,
      ),
      targets: db.prepare<[string], { change_id: string }>('SELECT change_id FROM change_undoes WHERE undo_id = ?'),
      addTarget: db.prepare<[string, string]>('INSERT INTO change_undoes (undo_id, change_id) VALUES (?, ?)'),
      mark: db.prepare<[string | null, string]>('UPDATE change SET undone_by = ? WHERE id = ?'),
    }
  }

  /** A page of the journal, the newest first, from below a sequence number (null = the top), and where the next one begins. */
  page(before: number | null, limit: number): { changes: ListedChange[]; next: number | null } {
    const rows = this.#statements.page.all({ before: before ?? Number.MAX_SAFE_INTEGER, limit })
    return { changes: rows.map(listed), next: rows.length < limit ? null : (rows.at(-1)?.seq ?? null) }
  }

  /** Takes back everything from a change on, so that all is as it was before it; one change, the newest first. */
  takeBackSince(request: ChangeRequest, targetId: string): Outcome<Applied<UndoAnswer>> {
    return this.#journal.run(
      request,
      () => {
        const target = this.#statements.find.get(targetId)
        if (!target) return fail('unknown-change', { changeId: targetId })
        const all = this.#statements.since.all(target.seq)
        if (all.length === 0) return fail('already-undone', { words: target.words })
        this.#takeAll(all, request.changeId)
        return ok({
          words: `Went back to before: ${target.words}`,
          answer: { takenBack: all.map((row) => ({ ...listed(row), undone: true })) },
        })
      },
      { isUndo: true },
    )
  }

  /**
   * Takes `targetId` back. `unknown-change` when there is none, `already-undone` when it was taken
   * back before, `later-changes-stand-on-it` (with their words) unless `withLater`.
   */
  takeBack(request: ChangeRequest, targetId: string, withLater: boolean): Outcome<Applied<UndoAnswer>> {
    return this.#journal.run(
      request,
      () => {
        const target = this.#statements.find.get(targetId)
        if (!target) return fail('unknown-change', { changeId: targetId })
        if (target.undone_by !== null) return fail('already-undone', { words: target.words })
        const all = this.#withDependents(target)
        if (all.length > 1 && !withLater)
          return fail('later-changes-stand-on-it', {
            words: target.words,
            count: all.length - 1,
            later: all
              .filter((row) => row.id !== targetId)
              .map((row) => row.words)
              .join('\n'),
          })
        this.#takeAll(all, request.changeId)
        const words = all.length === 1 ? `Took back: ${target.words}` : `Took back ${all.length} changes`
        return ok({ words, answer: { takenBack: all.map((row) => ({ ...listed(row), undone: true })) } })
      },
      { isUndo: true },
    )
  }

  #takeAll(all: readonly ChangeListRow[], undoId: string): void {
    this.#db.pragma('defer_foreign_keys = ON')
    for (const row of all) this.#restore(row.id)
    for (const row of all) {
      this.#statements.addTarget.run(undoId, row.id)
      this.#setUndone(row.id, undoId)
    }
  }

  /** The change and all that stands on it, the newest first. */
  #withDependents(target: ChangeListRow): ChangeListRow[] {
    const found = new Map([[target.id, target]])
    const queue = [target]
    for (let row = queue.pop(); row !== undefined; row = queue.pop()) {
      const ids = new Set(this.#statements.onSameRows.all({ id: row.id, seq: row.seq }).map((each) => each.id))
      const madeIn = new Set(this.#statements.madeIn.all(row.id).map((each) => each.tbl))
      for (const { child, column, parent } of this.#references.filter((each) => madeIn.has(each.parent)))
        for (const each of this.#statements.onMadeRows.all({
          id: row.id,
          seq: row.seq,
          parent,
          child,
          path: `$.${column}`,
        }))
          ids.add(each.id)
      for (const id of ids) {
        const dependent = this.#statements.find.get(id)
        if (!dependent || found.has(id)) continue
        found.set(id, dependent)
        queue.push(dependent)
      }
    }
    return [...found.values()].sort((a, b) => b.seq - a.seq)
  }

  #restore(changeId: string): void {
    for (const row of this.#statements.images.all(changeId)) {
      const columns = this.#columns.get(row.tbl)
      if (!columns) throw new Error(`The journal names a table that is not there: ${row.tbl}`)
      if (row.before === null) {
        this.#db.prepare(`DELETE FROM "${row.tbl}" WHERE id = ?`).run(row.row_id)
        continue
      }
      const image = JSON.parse(row.before) as Image
      // A restored row is a new version: a window still showing the taken-back one is stale.
      const current = this.#db.prepare<[string], Image>(`SELECT * FROM "${row.tbl}" WHERE id = ?`).get(row.row_id)
      if ('version' in image)
        image['version'] = Math.max(Number(image['version']), Number(current?.['version'] ?? 0)) + 1
      const present = columns.filter((column) => column in image)
      if (current)
        this.#db
          .prepare(`UPDATE "${row.tbl}" SET ${present.map((c) => `"${c}" = @${c}`).join(', ')} WHERE id = @id`)
          .run(image)
      else
        this.#db
          .prepare(
            `INSERT INTO "${row.tbl}" (${present.map((c) => `"${c}"`).join(', ')}) VALUES (${present.map((c) => `@${c}`).join(', ')})`,
          )
          .run(image)
    }
  }

  /** Marks a change as taken back, or as standing again; for an undo, what it took back turns the other way. */
  #setUndone(changeId: string, by: string | null): void {
    this.#statements.mark.run(by, changeId)
    for (const { change_id } of this.#statements.targets.all(changeId))
      this.#setUndone(change_id, by === null ? changeId : null)
  }
}

function listed(row: ChangeListRow): ListedChange {
  return { id: row.id, words: row.words, madeAt: row.made_at, undone: row.undone_by !== null }
}
