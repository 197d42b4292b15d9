import type { Form } from '#core/item/form'
import type { Db } from '../db/open-database.js'
import { preparing } from '../db/query.js'

export function importingQueries(db: Db) {
  const sql = preparing(db)
  return {
    categories: sql<[], { id: string; name: string; words: string; usual_form: Form }>(
      'SELECT id, name, words, usual_form FROM category ORDER BY position, id',
    ),
    identities: sql<[], { import_identity: string }>(
      'SELECT import_identity FROM item WHERE import_identity IS NOT NULL',
    ),
  }
}
