import type { Db } from './open-database.js'

/** A prepared statement with the types of its parameters and of its row. */
export interface Query<Parameters extends unknown[] = [Record<string, unknown>], Row = unknown> {
  get(...parameters: Parameters): Row | undefined
  all(...parameters: Parameters): Row[]
  run(...parameters: Parameters): { readonly changes: number }
}

/** Prepares plain SQL once; the row's type is stated by the caller and belongs to that SQL alone. */
export function preparing(
  db: Db,
): <P extends unknown[] = [Record<string, unknown>], R = unknown>(text: string) => Query<P, R> {
  return <P extends unknown[], R>(text: string) => db.prepare(text) as unknown as Query<P, R>
}
