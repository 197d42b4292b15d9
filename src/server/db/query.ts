import type Database from 'better-sqlite3'

export type Db = Database.Database

/** A prepared statement with the types of its parameters and of its row. */
export interface Query<Parameters extends unknown[] = [Record<string, unknown>], Row = unknown> {
  get(...parameters: Parameters): Row | undefined
  all(...parameters: Parameters): Row[]
  run(...parameters: Parameters): { readonly changes: number }
}

/** Every statement of a database by its text: whoever asks for the same one gets the same. */
const PREPARED = new WeakMap<Db, Map<string, unknown>>()

/** Prepares plain SQL once for the server; the row's type is stated by the caller and belongs to that SQL alone. */
export function preparing(
  db: Db,
): <P extends unknown[] = [Record<string, unknown>], R = unknown>(text: string) => Query<P, R> {
  const known = PREPARED.get(db) ?? new Map<string, unknown>()
  PREPARED.set(db, known)
  return <P extends unknown[], R>(text: string) => {
    const there = known.get(text) ?? db.prepare(text)
    known.set(text, there)
    return there as Query<P, R>
  }
}
