import { addDays } from '#core/calendar/day'
import { monthOf } from '#core/look-back/span'
import type { RandomOwner } from './random-owner'
import { TODAY, type Answer } from './test-house'

type Act = (owner: RandomOwner) => Promise<Answer> | Answer

const MONTH = monthOf(TODAY)

function versionOf(o: RandomOwner, sql: string, ...bound: string[]): number | null {
  return o.house.db.prepare<string[], { version: number }>(sql).get(...bound)?.version ?? null
}

/** What a random owner keeps of looking back: spans, words, questions to friends and their answers. */
export const LOOKING: Readonly<Record<string, Act>> = {
  'keep a span': (o) =>
    o.house.post('/look-back/spans', {
      id: o.id(),
      version: null,
      name: 'spring',
      from: addDays(TODAY, -o.random.whole(0, 40)),
      to: o.random.pick([null, TODAY]),
    }),
  'change a span': (o) => {
    const id = o.row('look_span')
    const version = versionOf(o, 'SELECT version FROM look_span WHERE id = ?', id)
    return o.house.post('/look-back/spans', { id, version: version ?? 1, name: 'again', from: o.day(), to: null })
  },
  'drop a span': (o) => o.house.post(`/look-back/spans/${o.row('look_span')}/drop`, {}),
  'say how a month felt': (o) => {
    const version = versionOf(o, 'SELECT version FROM span_words WHERE from_day = ?', MONTH.from)
    const words = o.random.pick(['good', 'long', ''])
    return o.house.post('/look-back/words', { id: o.id(), version, ...MONTH, words })
  },
  'ask friends': (o) =>
    o.house.post('/look-back/asks', {
      id: o.id(),
      version: null,
      question: 'Which next?',
      itemIds: [...new Set([o.item(), o.item(), o.item()])],
    }),
  'change what is asked': (o) => {
    const id = o.row('ask')
    const version = versionOf(o, 'SELECT version FROM ask WHERE id = ?', id)
    const itemIds = [...new Set([o.item(), o.item(), o.item()])]
    return o.house.post('/look-back/asks', { id, version: version ?? 1, question: 'And now?', itemIds })
  },
  'what friends said': (o) => {
    const id = o.row('ask')
    const own = o.house.db
      .prepare<[string], { item_id: string }>('SELECT item_id FROM ask_item WHERE ask_id = ? ORDER BY position')
      .all(id)
    const chosenItemId = o.random.pick([null, own[0]?.item_id ?? null])
    return o.house.post(`/look-back/asks/${id}/answer`, { answer: 'that one', chosenItemId })
  },
  'drop what was asked': (o) => o.house.post(`/look-back/asks/${o.row('ask')}/drop`, {}),
}
