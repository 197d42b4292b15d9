import type { Day } from '#core/calendar/day'
import type { Form } from '#core/item/form'
import { type Db, preparing } from '../db/query.js'

export function importingQueries(db: Db) {
  const sql = preparing(db)
  return {
    categories: sql<[], { id: string; name: string; words: string; usual_form: Form; model_type: string }>(
      'SELECT id, name, words, usual_form, model_type FROM category ORDER BY position, id',
    ),
    identities: sql<[], { identity: string }>('SELECT identity FROM import_mark'),
    addWear: sql<[{ id: string; itemId: string; day: Day }]>(
      'INSERT INTO wear (id, item_id, day) VALUES (@id, @itemId, @day)',
    ),
    end: sql<[{ id: string; lifecycle: 'finished' | 'left'; day: Day; roughly: 0 | 1 }]>(
      'UPDATE item SET ended_as = @lifecycle, ended_on = @day, ended_roughly = @roughly WHERE id = @id',
    ),
    addVerdict: sql<[{ id: string; itemId: string; day: Day; destination: string }]>(`
      INSERT INTO verdict (id, item_id, day, handed_on, verdict, reason, destination)
      VALUES (@id, @itemId, @day, @day, 'let go', 'as the imported sheet says', @destination)`),
  }
}
