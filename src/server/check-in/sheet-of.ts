import { addDays, daysBetween, type Day } from '#core/calendar/day'
import { aimOf } from '#core/goal/aim'
import { callOf } from '#core/item/naming'
import { compared } from '#core/measure/sheet'
import type { ClosedSheet, SheetItem } from '#contract/check-in'
import type { ItemFacts } from '../stock/item-facts.js'
import { lookView, sheetReading, costingEvent } from '../stock/measured.js'
import type { CheckInQueries, CheckInRow, StepRow } from './queries.js'
import type { Stock } from '../stock/stock.js'

/** How far back a first check-in looks, where nothing else says. Assumption. */
const FIRST_STRETCH_DAYS = 30

export function sheetOf(
  services: { stock: Stock },
  queries: CheckInQueries,
  checkIn: CheckInRow,
  steps: readonly StepRow[],
  items: readonly ItemFacts[],
  to: Day,
): ClosedSheet {
  const previous = queries.before.get({
    id: checkIn.id,
    over: checkIn.over,
    projectId: checkIn.project_id,
    categoryId: checkIn.category_id,
    startedOn: checkIn.started_on,
  })
  const project = checkIn.project_id === null ? undefined : queries.project.get(checkIn.project_id)
  const from = previous?.closed_on ?? project?.started_on ?? addDays(checkIn.started_on, -FIRST_STRETCH_DAYS)
  const next = addDays(to, Math.max(7, daysBetween(from, to)))
  const wearDaysNext = services.stock.wearDaysBetween(to, next)
  const lines = items.map((item) => lineOf(services, queries, checkIn, steps, item, { from, to, wearDaysNext }))
  const weighed = lines.flatMap((line) => line.grams ?? [])
  const rolled = checkIn.project_id === null ? [] : queries.rolled.all({ projectId: checkIn.project_id, from, to })
  return {
    from,
    to,
    items: lines,
    totals: {
      uses: lines.reduce((sum, line) => sum + line.uses, 0),
      grams: weighed.reduce((sum, { grams }) => sum + grams, 0),
      // Errors of single weighings do not all lie on one side.
      giveOrTake: Math.hypot(...weighed.map(({ giveOrTake }) => giveOrTake)),
      weighed: weighed.length,
      looked: lines.filter((line) => line.after !== null).length,
      asked: lines.length,
      wearDays: queries.wearDays.get({ from, to })?.n ?? 0,
      finished: lines.filter((line) => line.finishedOn !== null && line.finishedOn > from && line.finishedOn <= to)
        .length,
    },
    previous: previous?.sheet ? (JSON.parse(previous.sheet) as ClosedSheet).totals : null,
    pushItemId: checkIn.push_item_id,
    rolledOut: rolled
      .filter((row) => row.rolled_out !== null && row.rolled_out > from && row.rolled_out <= to)
      .map((row) => row.item_id),
    rolledIn: rolled.filter((row) => row.rolled_in > from && row.rolled_in <= to).map((row) => row.item_id),
  }
}

function lineOf(
  services: { stock: Stock },
  queries: CheckInQueries,
  checkIn: CheckInRow,
  steps: readonly StepRow[],
  item: ItemFacts,
  stretch: { from: Day; to: Day; wearDaysNext: number },
): SheetItem {
  const measured = services.stock.measured.since(item.id, stretch.from)
  const found = compared({
    checkInId: checkIn.id,
    from: stretch.from,
    readings: measured.readings.map(sheetReading),
    events: measured.events.map(costingEvent),
    days: measured.days.filter((day) => day <= stretch.to),
  })
  const own = steps.filter((step) => step.item_id === item.id)
  const came =
    checkIn.project_id === null
      ? null
      : (queries.cameIn.get({ projectId: checkIn.project_id, itemId: item.id })?.day ?? null)
  const { goal } = item
  return {
    itemId: item.id,
    name: item.shade || item.name,
    kind: callOf(item),
    before: lookView(found.before),
    after: lookView(found.after),
    uses: found.uses,
    grams: found.grams,
    skipped: own.some((step) => step.state === 'skipped') && own.every((step) => step.state !== 'done'),
    words: own.find((step) => step.measure === 'words')?.words ?? '',
    events: measured.events
      .filter((event) => event.day > stretch.from && event.day <= stretch.to)
      .map(({ kind, day }) => ({ kind, day })),
    cameIn: came !== null && came > stretch.from ? came : null,
    finishedOn: item.lifecycle === 'finished' ? item.endedOn : null,
    goal,
    aim:
      goal === null || goal.beside
        ? null
        : aimOf({
            kind: goal.kind,
            met: goal.met,
            usesLeft: goal.usesLeft,
            done: goal.done,
            wearDaysLeft: goal.wearDaysLeft,
            usesLately: found.uses,
            wearDaysNext: stretch.wearDaysNext,
          }),
  }
}
