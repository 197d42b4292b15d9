import { fail, ok, type Outcome } from '../failing.js'
import { breachesOf } from './house-rules.js'
import type { Applied, ChangeRequest, Journal } from './journal.js'
import type { Db } from './query.js'
import { Restoring, type InTheWay, type NetRow } from './restoring.js'

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

/** How a change stood and stands: null = in force, else the change that took it back. */
interface FlipRow {
  change_id: string
  was_by: string | null
  now_by: string | null
}

type Found = { ok: true; all: ChangeListRow[]; net: NetRow[] } | { ok: false; stuck: InTheWay }

const LIST_COLUMNS = 'c.seq, c.id, c.words, c.made_at, c.is_undo, c.undone_by'
const NAMED_IN_THE_WAY = 4

/**
 * Takes changes back by restoring their before images, as a change of its own. Later changes that stand on one (they touched
 * its rows, refer to them, or hold a key that it needs again) are named, and taken back with it or not at all; and whatever
 * is restored, the rules of the collection hold afterwards.
 */
export class Undo {
  readonly #db: Db
  readonly #journal: Journal
  readonly #restoring: Restoring
  readonly #pictureIsThere: (content: string) => boolean
  readonly #statements

  constructor(db: Db, journal: Journal, pictureIsThere: (content: string) => boolean = () => true) {
    this.#db = db
    this.#journal = journal
    this.#restoring = new Restoring(db)
    this.#pictureIsThere = pictureIsThere
    this.#statements = {
      find: db.prepare<[string], ChangeListRow>(`SELECT ${LIST_COLUMNS} FROM change c WHERE c.id = ?`),
      touching: db.prepare<[{ tbl: string; rowId: string; seq: number }], ChangeListRow>(
        `SELECT DISTINCT ${LIST_COLUMNS} FROM change_row r JOIN change c ON c.id = r.change_id
          WHERE r.tbl = @tbl AND r.row_id = @rowId AND c.seq > @seq AND c.undone_by IS NULL ORDER BY c.seq DESC`,
      ),
      since: db.prepare<[number], ChangeListRow>(
        `SELECT ${LIST_COLUMNS} FROM change c WHERE c.seq >= ? AND c.changed = 1 ORDER BY c.seq DESC`,
      ),
      page: db.prepare<[{ before: number; limit: number }], ChangeListRow>(
        `SELECT ${LIST_COLUMNS} FROM change c WHERE c.changed = 1 AND c.is_undo = 0 AND c.seq < @before ORDER BY c.seq DESC LIMIT @limit`,
      ),
      flips: db.prepare<[string], FlipRow>('SELECT change_id, was_by, now_by FROM change_undoes WHERE undo_id = ?'),
      flip: db.prepare<[{ undoId: string; changeId: string; was: string | null; now: string | null }]>(
        `INSERT INTO change_undoes (undo_id, change_id, was_by, now_by) VALUES (@undoId, @changeId, @was, @now)
         ON CONFLICT (undo_id, change_id) DO UPDATE SET now_by = @now`,
      ),
      mark: db.prepare<[string | null, string]>('UPDATE change SET undone_by = ? WHERE id = ?'),
      seqOf: db.prepare<[string], { seq: number }>('SELECT seq FROM change WHERE id = ?'),
    }
  }

  /** A page of the journal, the newest first, from below a sequence number (null = the top), and where the next one begins. */
  page(before: number | null, limit: number): { changes: ListedChange[]; next: number | null } {
    const rows = this.#statements.page.all({ before: before ?? Number.MAX_SAFE_INTEGER, limit })
    return { changes: rows.map(listed), next: rows.length < limit ? null : (rows.at(-1)?.seq ?? null) }
  }

  /**
   * Everything as it was at the moment before a change, whatever was done, taken back and done again since; one change. What
   * was in force then is in force again.
   */
  takeBackSince(request: ChangeRequest, targetId: string): Outcome<Applied<UndoAnswer>> {
    return this.#journal.run(
      request,
      () => {
        const target = this.#statements.find.get(targetId)
        if (!target) return fail('unknown-change', { changeId: targetId })
        const all = this.#statements.since.all(target.seq)
        const inForce = all.filter((row) => row.undone_by === null && row.is_undo === 0)
        const net = this.#restoring.netOf(all.map((row) => row.id))
        const done = this.#restore(net, target)
        if (!done.ok) return done
        this.#markTakenBack(request.changeId, all)
        return ok({
          words: `Went back to before: ${target.words}`,
          answer: { takenBack: inForce.map((row) => ({ ...listed(row), undone: true })) },
        })
      },
      { isUndo: true },
    )
  }

  /**
   * Takes `targetId` back. `unknown-change` when there is none, `already-undone` when it is not in force, `later-changes-
   * stand-on-it` (with their words) unless `withLater`, `stands-in-the-way` and `would-break-a-rule` where it cannot be.
   */
  takeBack(request: ChangeRequest, targetId: string, withLater: boolean): Outcome<Applied<UndoAnswer>> {
    return this.#journal.run(
      request,
      () => {
        const target = this.#statements.find.get(targetId)
        if (!target) return fail('unknown-change', { changeId: targetId })
        if (target.undone_by !== null) return fail('already-undone', { words: target.words })
        const found = this.#withDependents(target)
        if (!found.ok)
          return fail('stands-in-the-way', { words: target.words, what: found.stuck.tbl.replaceAll('_', ' ') })
        const { all, net } = found
        if (all.length > 1 && !withLater)
          return fail('later-changes-stand-on-it', {
            words: target.words,
            count: all.length - 1,
            later: all
              .filter((row) => row.id !== targetId)
              .map((row) => row.words)
              .join('\n'),
          })
        const done = this.#restore(net, target)
        if (!done.ok) return done
        this.#markTakenBack(request.changeId, all)
        const words = all.length === 1 ? `Undid: ${target.words}` : `Undid ${all.length} changes`
        return ok({ words, answer: { takenBack: all.map((row) => ({ ...listed(row), undone: true })) } })
      },
      { isUndo: true },
    )
  }

  /** Puts the rows back and looks whether the server still stands: its rules, and the pictures that rows promise. */
  #restore(net: readonly NetRow[], target: ChangeListRow): Outcome<null> {
    const lost = net.find(
      (row) => row.tbl === 'photo' && row.before !== null && !this.#pictureIsThere(String(row.before['content'])),
    )
    if (lost) return fail('picture-gone', { words: target.words })
    const before = new Set(breachesOf(this.#db).map((each) => `${each.rule}\n${each.tbl}\n${each.row_id}`))
    this.#restoring.putBack(net)
    const [breach, ...more] = breachesOf(this.#db).filter(
      (each) => !before.has(`${each.rule}\n${each.tbl}\n${each.row_id}`),
    )
    if (!breach) return ok(null)
    const rows = [breach, ...more].filter((each) => each.rule === breach.rule)
    const names = new Set(
      rows.flatMap((each) => {
        const [newest] = this.#statements.touching.all({ tbl: each.tbl, rowId: each.row_id, seq: target.seq })
        return newest === undefined || newest.id === target.id ? [] : [newest.words]
      }),
    )
    return fail('would-break-a-rule', {
      words: target.words,
      rule: breach.rule,
      blockers: [...names].slice(0, NAMED_IN_THE_WAY).join('\n'),
    })
  }

  /** The change and all that stands on it, the newest first, with what they did together. */
  #withDependents(target: ChangeListRow): Found {
    const all = new Map([[target.id, target]])
    for (;;) {
      const net = this.#restoring.netOf([...all.keys()])
      const [first, ...others] = this.#restoring.inTheWay(net)
      if (first === undefined) return { ok: true, all: [...all.values()].sort((a, b) => b.seq - a.seq), net }
      const known = all.size
      for (const { tbl, rowId } of [first, ...others])
        for (const row of this.#statements.touching.all({ tbl, rowId, seq: target.seq }))
          if (!all.has(row.id) && !this.#comesToNothing(row, target)) all.set(row.id, row)
      if (all.size === known) return { ok: false, stuck: first }
    }
  }

  /** A taking back of what was itself done after the target: the two cancel each other. */
  #comesToNothing(row: ChangeListRow, target: ChangeListRow): boolean {
    if (row.is_undo === 0) return false
    return this.#statements.flips
      .all(row.id)
      .every((flip) => (this.#statements.seqOf.get(flip.change_id)?.seq ?? 0) > target.seq)
  }

  /** Changes, the newest first, are in force no more; what one of them had taken back stands again as it stood before it. */
  #markTakenBack(undoId: string, changes: readonly ChangeListRow[]): void {
    for (const { id, is_undo: isUndo } of changes) {
      if (isUndo === 1)
        for (const { change_id: changeId, was_by: was } of this.#statements.flips.all(id))
          this.#turn(undoId, changeId, was)
      this.#turn(undoId, id, undoId)
    }
  }

  #turn(undoId: string, changeId: string, now: string | null): void {
    const was = this.#statements.find.get(changeId)?.undone_by ?? null
    if (was === now) return
    this.#statements.flip.run({ undoId, changeId, was, now })
    this.#statements.mark.run(now, changeId)
  }
}

function listed(row: ChangeListRow): ListedChange {
  return { id: row.id, words: row.words, madeAt: row.made_at, undone: row.undone_by !== null }
}
