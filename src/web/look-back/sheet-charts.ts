import { MONTH_DAYS } from '#core/calendar/lengths'
import type { SpanSheet } from '#contract/look-back'
import { fieldsOf, type Day } from '#core/calendar/day'
import { dayFormat } from '#web/data/locale'
import { shortName } from '#web/ui/words/item-words'
import type { SheetSeries } from '#web/ui/chart/sheet-series'

export interface SheetChartData {
  readonly labels: readonly string[]
  readonly series: readonly SheetSeries[]
}

const monthShort = dayFormat({ month: 'short' })
const monthAndYear = dayFormat({ month: 'short', year: '2-digit' })

/** Names of months: with the year where there is more than one. */
function monthLabels(days: readonly Day[]): string[] {
  const years = new Set(days.map((day) => fieldsOf(day).year))
  return days.map((day) => (years.size > 1 ? monthAndYear : monthShort)(day))
}

/** Months from the log's first on: what came before is not nothing, it was never written down. */
function logged({ months, logSince }: SpanSheet): SpanSheet['months'] {
  return months.filter(({ to }) => logSince !== null && to >= logSince)
}

export function monthsOf(sheet: SpanSheet): SheetChartData {
  const months = logged(sheet)
  return {
    labels: monthLabels(months.map(({ from }) => from)),
    series: [
      {
        label: 'wear days',
        as: 'points',
        values: months.map(({ wearDays }) => wearDays),
        hollow: true,
        shape: 'rectRot',
        right: true,
      },
      { label: 'uses', as: 'bars', values: months.map(({ uses }) => uses), hatched: true },
    ],
  }
}

export function finishesAlong(sheet: SpanSheet): SheetChartData {
  const months = logged(sheet)
  let sum = sheet.finishes.filter(({ on }) => months[0] === undefined || on < months[0].from).length
  return {
    labels: monthLabels(months.map(({ from }) => from)),
    series: [
      { label: 'finished', as: 'steps', values: months.map(({ finished }) => (sum += finished)), shape: 'circle' },
    ],
  }
}

/** One kind month by month over the whole log, with the target where she set one. */
export function stockOf(
  { stock, kinds }: SpanSheet,
  categoryId: string,
): (SheetChartData & { readonly name: string }) | null {
  const own = stock.kinds.find((each) => each.categoryId === categoryId)
  const kind = kinds.find((each) => each.categoryId === categoryId)
  if (!own || !kind) return null
  const { target } = kind
  return {
    name: kind.category,
    labels: monthLabels(stock.days),
    series: [
      { label: 'there', as: 'steps', values: own.items, shape: 'circle' },
      ...(target
        ? [
            {
              label: `target: ${target.items}`,
              as: 'line' as const,
              values: stock.days.map(() => target.items),
              dashed: true,
            },
          ]
        : []),
    ],
  }
}

/** What was said of each finished thing, as a range or a stroke, and what came, in months from when it was said. */
export function intervalsOf({ finishes, items }: SpanSheet, of: 'forecast' | 'guess'): SheetChartData {
  const months = (days: number): number => Math.round((days / MONTH_DAYS) * 10) / 10
  const byId = new Map(items.map((item) => [item.id, item]))
  const told = finishes.flatMap(({ itemId, mark: whole, forecast, guess }) => {
    // Told apart by what it is called first: a long maker would fill the place.
    const item = byId.get(itemId)
    const mark = item === undefined ? whole : `${shortName(item)}, ${item.maker}`
    if (of === 'guess') return guess ? [{ mark, said: [0, guess.months] as const, came: months(guess.days) }] : []
    return forecast
      ? [{ mark, said: [months(forecast.low), months(forecast.high)] as const, came: months(forecast.came) }]
      : []
  })
  return {
    labels: told.map(({ mark }) => mark),
    series:
      told.length === 0
        ? []
        : [
            { label: 'came', as: 'points', values: told.map(({ came }) => came), shape: 'circle' },
            of === 'guess'
              ? { label: 'guessed', as: 'bars', values: told.map(({ said }) => said[1]), hatched: true }
              : { label: 'forecast, 8 in 10', as: 'ranges', values: told.map(({ said }) => said), hatched: true },
          ],
  }
}
