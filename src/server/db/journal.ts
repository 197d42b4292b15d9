import type { Day } from '#core/calendar/day'
import { fail, ok, type Failure, type Outcome } from '../failing.js'
import type { Db } from './query.js'

/** One act of the user's, as the caller asks for it. The id is made by the caller and never used twice. */
export interface ChangeRequest {
  readonly changeId: string
  readonly command: string
  /** The request as it came, to tell a repeat from a different act under the same id. */
  readonly body: unknown
}

/** What a command answers: its data, and what to call the act in the undo bar and the journal. */
export interface Done<A> {
  readonly words: string
  readonly answer: A
}

/** What most commands answer: the id of the row they were about. */
export type Answer = Outcome<Done<{ id: string }>>

export interface ChangeNote {
  readonly id: string
  readonly words: string
  readonly changed: boolean
}

export type Applied<A> = A & { readonly change: ChangeNote }

/** A row that a change touched, as JSON as it was before and as it is now; null where there was none or is none. */
export interface TouchedRow {
  readonly tbl: string
  readonly row_id: string
  readonly before: string | null
  readonly after: string | null
}

/** Whether a row is a wear of that day and of no other, before and after: what most changes are. */
export function isTickOf({ tbl, before, after }: TouchedRow, day: Day | undefined): boolean {
  const isOf = (image: string | null): boolean => image === null || (JSON.parse(image) as { day?: string }).day === day
  return tbl === 'wear' && isOf(before) && isOf(after)
}

interface ChangeRow {
  command: string
  body: string
  answer: string
}

/** Thrown inside the transaction to roll a failed command back; never leaves this file. */
class RolledBack extends Error {
  constructor(readonly failure: Failure) {
    super(failure.code)
  }
}

/**
 * The one way to write. A command runs in one immediate transaction with its journal entry and
 * its answer; asked again under the same id, it returns the first answer and does nothing.
 */
export class Journal {
  readonly #db: Db
  readonly #now: () => Date
  readonly #stillThere: () => boolean
  readonly #listeners: ((touched: readonly TouchedRow[], changeId: string) => void)[] = []
  readonly #statements

  constructor(db: Db, now: () => Date, stillThere: () => boolean = () => true) {
    this.#db = db
    this.#now = now
    this.#stillThere = stillThere
    this.#statements = {
      find: db.prepare<[string], ChangeRow>('SELECT command, body, answer FROM change WHERE id = ?'),
      open: db.prepare<[string]>('INSERT INTO temp.open_change (id) VALUES (?)'),
      close: db.prepare('DELETE FROM temp.open_change'),
      touched: db.prepare<[string], { n: number }>('SELECT count(*) AS n FROM change_row WHERE change_id = ?'),
      rows: db.prepare<[string], TouchedRow>('SELECT tbl, row_id, before, after FROM change_row WHERE change_id = ?'),
      twice: db.prepare<[string], { tbl: string; row_id: string }>(
        'SELECT tbl, row_id FROM change_row WHERE change_id = ? GROUP BY tbl, row_id HAVING count(*) > 1',
      ),
      imagesOf: db.prepare<[string, string, string], { seq: number; before: string | null; after: string | null }>(
        'SELECT seq, before, after FROM change_row WHERE change_id = ? AND tbl = ? AND row_id = ? ORDER BY seq',
      ),
      dropImage: db.prepare<[number]>('DELETE FROM change_row WHERE seq = ?'),
      setAfter: db.prepare<[string | null, number]>('UPDATE change_row SET after = ? WHERE seq = ?'),
      store: db.prepare(
        `INSERT INTO change (id, command, body, words, made_at, answer, changed, is_undo)
         VALUES (@id, @command, @body, @words, @madeAt, @answer, @changed, @isUndo)`,
      ),
    }
  }

  /** Tells of the rows of every change once it is on the disk: for what is kept in memory. */
  listen(listener: (touched: readonly TouchedRow[], changeId: string) => void): void {
    this.#listeners.push(listener)
  }

  run<A extends object>(
    request: ChangeRequest,
    act: () => Outcome<Done<A>>,
    options: { isUndo?: boolean; stored?: () => void } = {},
  ): Outcome<Applied<A>> {
    // What is written into a file that was taken away is nowhere: it is refused before, and not acknowledged after.
    if (!this.#stillThere()) return fail('collection-gone')
    const body = JSON.stringify(request.body)
    let fresh = false
    try {
      const applied = this.#db
        .transaction((): Applied<A> => {
          const before = this.#statements.find.get(request.changeId)
          if (before) {
            if (before.command !== request.command || before.body !== body)
              throw new RolledBack({ code: 'change-id-reused', data: { changeId: request.changeId } })
            return JSON.parse(before.answer) as Applied<A>
          }
          this.#statements.open.run(request.changeId)
          const outcome = act()
          if (!outcome.ok) throw new RolledBack(outcome.failure)
          this.#statements.close.run()
          this.#settle(request.changeId)
          fresh = true
          const changed = (this.#statements.touched.get(request.changeId)?.n ?? 0) > 0
          const { words, answer } = outcome.value
          const full: Applied<A> = { ...answer, change: { id: request.changeId, words, changed } }
          this.#statements.store.run({
            id: request.changeId,
            command: request.command,
            body,
            words,
            madeAt: this.#now().toISOString(),
            answer: JSON.stringify(full),
            changed: changed ? 1 : 0,
            isUndo: options.isUndo === true ? 1 : 0,
          })
          return full
        })
        .immediate()
      if (!this.#stillThere()) return fail('collection-gone')
      if (fresh && applied.change.changed) this.#tell(request.changeId)
      // Not for an answer given again.
      if (fresh) options.stored?.()
      return ok(applied)
    } catch (error) {
      if (error instanceof RolledBack) return fail(error.failure.code, error.failure.data)
      throw error
    }
  }

  /** One image for each row: as it was before the change, and as it is after. What comes to nothing is no change. */
  #settle(changeId: string): void {
    for (const { tbl, row_id } of this.#statements.twice.all(changeId)) {
      const [first, ...rest] = this.#statements.imagesOf.all(changeId, tbl, row_id)
      const after = rest.at(-1)?.after ?? null
      if (!first) continue
      for (const each of rest) this.#statements.dropImage.run(each.seq)
      if (first.before === after) this.#statements.dropImage.run(first.seq)
      else this.#statements.setAfter.run(after, first.seq)
    }
  }

  #tell(changeId: string): void {
    if (this.#listeners.length === 0) return
    const touched = this.#statements.rows.all(changeId)
    for (const listener of this.#listeners) listener(touched, changeId)
  }
}
