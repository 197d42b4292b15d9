import { seasonOn } from '#core/item/traits'
import { addDays, type Day } from '#core/calendar/day'
import type { SpanSheet } from '#contract/look-back'
import type { Db } from '#server/db/query'

interface Wear {
  item_id: string
  day: Day
  makeup: 0 | 1
  kind: string
}
interface Thing {
  id: string
  category_id: string
  came_first: Day | null
  came: Day | null
  ended_as: string | null
  ended_on: Day | null
  roughly: 0 | 1
  keepsake: 0 | 1
  source: string | null
  price_minor: number | null
  made: 0 | 1
}

/**
 * What a sheet says, counted again the slow way: every day and every row looked at one by one, with none of the house's own sums. Gives
 * one sentence for each figure that is another.
 */
export function recountSheet(db: Db, sheet: SpanSheet): string[] {
  const to = sheet.to < sheet.today ? sheet.to : sheet.today
  const wrong: string[] = []
  const same = (what: string, said: unknown, counted: unknown): void => {
    if (JSON.stringify(said) !== JSON.stringify(counted))
      wrong.push(`${what}: ${JSON.stringify(said)} on the sheet, ${JSON.stringify(counted)} counted`)
  }
  const within = (day: Day | null): boolean => day !== null && day >= sheet.from && day <= to
  const wears = db
    .prepare<[], Wear>(
      `SELECT w.item_id, w.day, c.makeup, c.id AS kind FROM wear w JOIN item i ON i.id = w.item_id
         JOIN category c ON c.id = CASE WHEN w.used_as IS NOT NULL THEN w.used_as WHEN i.used_as IS NOT NULL THEN i.used_as ELSE i.category_id END`,
    )
    .all()
  const things = db
    .prepare<[], Thing>(
      `SELECT i.id, i.category_id, i.acquired_earliest AS came_first, i.acquired_latest AS came, i.ended_as, i.ended_on,
              i.ended_roughly AS roughly, i.source, i.price_minor,
              (SELECT count(*) FROM set_aside a WHERE a.item_id = i.id AND a.kind = 'keepsake') AS keepsake,
              i.origin_item_id IS NOT NULL OR (SELECT count(*) FROM blend_parent b WHERE b.item_id = i.id) > 0 AS made FROM item i`,
    )
    .all()
  const said = new Map(
    db
      .prepare<[], { id: Day; no_makeup: 0 | 1 }>('SELECT id, no_makeup FROM day_record')
      .all()
      .map((row) => [row.id, row.no_makeup]),
  )
  const logSince = wears.map(({ day }) => day).sort()[0] ?? null
  let wearDays = 0
  let noMakeup = 0
  let silent = 0
  let other = 0
  let beforeLog = 0
  let all = 0
  let uses = 0
  const byThing = new Map<string, number>()
  const looks = new Set<string>()
  for (let day = sheet.from; day <= to; day = addDays(day, 1)) {
    const own = wears.filter((wear) => wear.day === day)
    const look = own.filter(({ makeup }) => makeup === 1).map(({ item_id: id }) => id)
    uses += own.length
    for (const { item_id: id } of own) byThing.set(id, (byThing.get(id) ?? 0) + 1)
    // Of today, which is not over, nothing is said before anything is written down.
    const written = own.length > 0 || said.has(day)
    if (day === sheet.today && !written) continue
    all += 1
    if (look.length > 0) {
      wearDays += 1
      looks.add(look.sort().join('+'))
    } else if (said.get(day) === 1) noMakeup += 1
    else if (written) other += 1
    else if (logSince === null || day < logSince) beforeLog += 1
    else silent += 1
  }
  same('days', sheet.days, {
    all,
    wear: wearDays,
    noMakeup,
    other,
    notRecorded: silent,
    beforeLog,
    looks: looks.size,
  })
  same('uses', sheet.totals.uses, uses)
  same('items worn', sheet.totals.things, byThing.size)
  for (const { itemId, uses: count } of [...sheet.most, ...sheet.least])
    same(`uses of ${itemId}`, count, byThing.get(itemId) ?? 0)
  const top = [...byThing]
    .filter(([id]) => wears.some((wear) => wear.item_id === id && wear.makeup === 1))
    .map(([, count]) => count)
    .sort((a, b) => b - a)
  // Of what is worn as makeup at times only, either may be told.
  if (sheet.most.length > 0 && (top[0] ?? 0) < (sheet.most[0]?.uses ?? 0))
    wrong.push('the most worn is worn more than any')
  const finished = things.filter((each) => each.ended_as === 'finished' && each.roughly === 0 && within(each.ended_on))
  same('finished', sheet.finishes.map(({ itemId }) => itemId).sort(), finished.map(({ id }) => id).sort())
  const left = things.filter((each) => each.ended_as === 'left' && each.roughly === 0 && within(each.ended_on))
  same('let go', sheet.letGo.map(({ itemId }) => itemId).sort(), left.map(({ id }) => id).sort())
  const came = things.filter((each) => each.came_first !== null && within(each.came))
  same('came in', sheet.cameIn.map(({ itemId }) => itemId).sort(), came.map(({ id }) => id).sort())
  const bought = came.filter((each) => each.source === 'bought' && each.made === 0)
  same('bought', sheet.bought.items, bought.length)
  same(
    'spent on what was bought',
    sheet.bought.minor,
    bought.reduce((sum, each) => sum + (each.price_minor ?? 0), 0),
  )
  for (const kind of sheet.kinds) {
    const own = things.filter((each) => each.category_id === kind.categoryId && each.keepsake === 0)
    const on = (day: Day): number =>
      own.filter((each) => (each.came === null || each.came <= day) && (each.ended_on === null || each.ended_on > day))
        .length
    same(`${kind.category} then`, kind.then, on(addDays(sheet.from, -1)))
    same(`${kind.category} now`, kind.now, on(to))
    same(`${kind.category} came`, kind.cameIn, own.filter((each) => within(each.came)).length)
    same(`${kind.category} went`, kind.wentOut, own.filter((each) => within(each.ended_on)).length)
    same(
      `uses of ${kind.category}`,
      kind.uses,
      wears.filter((wear) => wear.kind === kind.categoryId && within(wear.day)).length,
    )
  }
  if (sheet.evenness) {
    // The mean difference of every two, over twice the mean: Gini's own definition.
    const counts = evenCounts(db, sheet, wears, to, byThing)
    let differences = 0
    for (const one of counts) for (const other of counts) differences += Math.abs(one - other)
    const mean = counts.reduce((sum, each) => sum + each, 0) / counts.length
    const gini = differences / (2 * counts.length ** 2 * mean)
    if (Math.abs(gini - sheet.evenness.gini) > 1e-9) wrong.push(`Gini ${sheet.evenness.gini}, ${gini} by every two`)
    same('items in the drawer', sheet.evenness.things, counts.length)
  }
  return wrong
}

/** Uses of what lay in reach in its season on five wear days at least, or on fewer and was worn. */
function evenCounts(
  db: Db,
  sheet: SpanSheet,
  wears: readonly Wear[],
  to: Day,
  byThing: ReadonlyMap<string, number>,
): number[] {
  const lookDays = [...new Set(wears.filter(({ makeup }) => makeup === 1).map(({ day }) => day))].filter(
    (day) => day >= sheet.from && day <= to,
  )
  const rows = db
    .prepare<[], { item_id: string; from_day: Day; to_day: Day | null; ended_on: Day | null; seasons: string }>(
      `SELECT p.item_id, p.from_day, p.to_day, i.ended_on, i.seasons FROM placement p JOIN item i ON i.id = p.item_id
         JOIN category c ON c.id = coalesce(i.used_as, i.category_id)
        WHERE c.makeup = 1 AND i.id NOT IN (SELECT item_id FROM set_aside WHERE kind = 'keepsake')`,
    )
    .all()
    .filter((row) => row.from_day <= to && (row.to_day === null || row.to_day >= sheet.from))
  const chances = new Map<string, Set<Day>>()
  for (const row of rows)
    for (const day of lookDays) {
      const only = JSON.parse(row.seasons) as string[]
      if (only.length > 0 && !only.includes(seasonOn(day, 'north'))) continue
      if (day < row.from_day || (row.to_day !== null && day > row.to_day)) continue
      if (row.ended_on !== null && day > row.ended_on) continue
      const own = chances.get(row.item_id) ?? new Set()
      chances.set(row.item_id, own.add(day))
    }
  return [...chances].filter(([id, days]) => days.size >= 5 || byThing.has(id)).map(([id]) => byThing.get(id) ?? 0)
}
