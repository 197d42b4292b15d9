import { addDays, daysBetween, type Day } from '#core/calendar/day'
import { seasonOn } from '#core/item/traits'
import type { DoubtsAnswer, DoubtView } from '#contract/deciding'
import type { Db } from '#server/db/query'

/**
 * Counts every number of every fact again, each with plain queries and loops and none of the code that made it; gives what
 * does not agree. Use-by dates are tested on their own: what is in date is told.
 */
export function recountDoubts(
  db: Db,
  today: Day,
  rows: DoubtsAnswer['inDoubt'],
  inDate: (id: string) => boolean,
): string[] {
  const since = addDays(today, -365)
  const all = <T>(sql: string, ...bound: unknown[]): T[] => db.prepare<unknown[], T>(sql).all(...bound)
  const one = (sql: string, ...bound: unknown[]): number => all<{ n: number }>(sql, ...bound)[0]?.n ?? 0
  const wornDays = (id: string): Day[] =>
    all<{ day: Day }>('SELECT day FROM wear WHERE item_id = ? AND day >= ?', id, since).map((row) => row.day)
  const makeupDays = all<{ day: Day }>(
    `SELECT DISTINCT w.day FROM wear w JOIN item i ON i.id = w.item_id JOIN category c ON c.id = coalesce(w.used_as, i.used_as, i.category_id)
      WHERE c.makeup = 1 AND w.day >= ?`,
    since,
  ).map((row) => row.day)

  function reachOf(id: string): { reached: number; chances: number; equalShare: number } {
    const seen = { reached: 0, chances: 0, equalShare: 0 }
    for (const day of makeupDays) {
      const there = all<{ id: string; seasons: string }>(
        `SELECT DISTINCT i.id, i.seasons FROM placement p JOIN item i ON i.id = p.item_id
          WHERE p.from_day <= ? AND (p.to_day IS NULL OR p.to_day >= ?)
            AND coalesce(i.used_as, i.category_id) = (SELECT coalesce(used_as, category_id) FROM item WHERE id = ?)
            AND NOT EXISTS (SELECT 1 FROM set_aside a WHERE a.item_id = i.id AND a.kind = 'keepsake')`,
        day,
        day,
        id,
      ).filter(({ seasons }) => {
        const only = JSON.parse(seasons) as string[]
        return only.length === 0 || only.includes(seasonOn(day, 'north'))
      })
      if (!there.some((each) => each.id === id)) continue
      const worn = there.filter((each) => wornDays(each.id).includes(day))
      seen.chances += 1
      seen.reached += worn.some((each) => each.id === id) ? 1 : 0
      seen.equalShare += worn.length / there.length
    }
    return seen
  }

  function expected(id: string, doubt: DoubtView): Partial<DoubtView> {
    const last = all<{ day: Day | null }>('SELECT max(day) AS day FROM wear WHERE item_id = ?', id)[0]?.day ?? null
    switch (doubt.code) {
      case 'not reached for':
        return reachOf(id)
      case 'unworn':
        return { everWorn: last !== null, ...(last === null ? {} : { days: daysBetween(last, today) }) }
      case 'out of season':
        return { days: last === null ? null : daysBetween(last, today) }
      case 'put back':
        return { times: one('SELECT count(*) AS n FROM put_back WHERE item_id = ? AND day > ?', id, last ?? '') }
      case 'survived':
        return {
          clearOuts: one(
            "SELECT count(*) AS n FROM laying_choice c JOIN laying l ON l.id = c.laying_id WHERE c.item_id = ? AND l.closed_on > ? AND c.choice IN ('stays', 'put away', 'rests', 'doubtful')",
            id,
            last ?? '',
          ),
        }
      case 'twin':
        return { worn: new Set(wornDays(id)).size, otherWorn: new Set(wornDays(doubt.otherId)).size }
      case 'past':
      case 'past at the eye':
        return { daysPast: daysBetween(doubt.lastGood, today) }
      case 'soon past':
        return { daysLeft: daysBetween(today, doubt.lastGood) }
      case 'spoils first':
        return {
          ofCategory: all<{ id: string }>(
            `SELECT i.id FROM item i WHERE i.ended_as IS NULL
               AND coalesce(i.used_as, i.category_id) = (SELECT coalesce(used_as, category_id) FROM item WHERE id = ?)
               AND NOT EXISTS (SELECT 1 FROM set_aside a WHERE a.item_id = i.id AND a.kind = 'keepsake')`,
            id,
          ).filter((each) => inDate(each.id)).length,
        }
      case 'sign':
      case 'reaction':
        return {
          words: all<{ words: string }>('SELECT sign_words AS words FROM item WHERE id = ?', id)[0]?.words ?? '',
        }
      default:
        return {}
    }
  }

  return rows.flatMap(({ item, doubts }) =>
    doubts.flatMap((doubt) => {
      const wanted = expected(item.id, doubt)
      const off = Object.entries(wanted).filter(([key, value]) => {
        const said = doubt[key as keyof DoubtView] as unknown
        return typeof value === 'number' && typeof said === 'number' ? Math.abs(said - value) > 1e-9 : said !== value
      })
      return off.length === 0 ? [] : [`${item.name}: ${JSON.stringify(doubt)} against ${JSON.stringify(wanted)}`]
    }),
  )
}
