import { addDays, fieldsOf, type Day } from '#core/calendar/day'
import { daysToSay, silentStretches, type DayLog } from '#core/calendar/day-log'
import {
  LEARN_FROM_WEEKS,
  learnedWeek,
  yearlyStretches,
  type CalmStretch,
  type KnownWeek,
  type PlannedWeek,
} from '#core/calendar/planned-week'
import type { DayRange } from '#core/calendar/when'
import type { Settings } from '#contract/settings'
import { knownDaysOf, type KnownDays } from './known-days.js'
import type { StockQueries } from './queries.js'

/** Low seasons are computed for stays this far back and dates this far ahead. */
const YEARS_BACK = 10
const YEARS_AHEAD = 12
/** After the last day of a calendar: a stretch without an end. */
const NO_END = '2199-12-31' as Day
const ALWAYS = '1970-01-01' as Day
/** The log is looked at over the weeks that are learned from, and as long before as tells where a stretch of it began. */
const LOOKED_BACK_DAYS = LEARN_FROM_WEEKS * 7 + 56
/** What lies further back is not asked about any more: it no longer bears on the week. */
const ASKED_BACK_DAYS = LEARN_FROM_WEEKS * 7

/** How much makeup is to be expected of the user's days: the week, days away, low seasons, and what was never written down. */
export class HouseWeek {
  readonly #queries: StockQueries
  readonly #settings: () => Settings

  constructor(queries: StockQueries, settings: () => Settings) {
    this.#queries = queries
    this.#settings = settings
  }

  /** The week of wear days the user plans, or as learned from the log. */
  known(today: Day): KnownWeek {
    const ticked = this.#settings().plannedWeek.map(Number) as unknown as PlannedWeek
    const from = addDays(today, -7 * LEARN_FROM_WEEKS)
    const days = new Set(this.#queries.makeupDays.all({ from, to: addDays(today, -1) }).map((row) => row.day))
    return learnedWeek(ticked, days, this.#log(today, this.calm(today)))
  }

  /** Days away, and the low seasons of the years around today. */
  calm(today: Day): CalmStretch[] {
    const { year } = fieldsOf(today)
    const seasons = this.#queries.lowSeasons
      .all()
      .flatMap(({ from_day: from, to_day: to, factor }) =>
        yearlyStretches({ from, to, factor }, year - YEARS_BACK, year + YEARS_AHEAD),
      )
    const less = this.#queries.wearLess
      .all()
      .map(({ from_day: earliest, factor }) => ({ earliest, latest: NO_END, factor }))
    return [...this.#queries.away.all(), ...seasons, ...less]
  }

  /** Everything that is known of the user's days, for forecasts. */
  knownDays(today: Day): KnownDays {
    return knownDaysOf({
      today,
      recorded: this.#queries.recordedDays.all({ since: ALWAYS }).map((row) => row.day),
      away: this.#queries.away.all(),
      unwritten: this.#queries.unwritten.all(),
      calm: this.calm(today),
    })
  }

  /** The latest stretch that nobody wrote down and nobody was asked about; null when there is none to ask about. */
  silent(today: Day): DayRange | null {
    const oldest = addDays(today, -ASKED_BACK_DAYS)
    return silentStretches(this.#log(today, this.#queries.away.all())).findLast((each) => each.latest >= oldest) ?? null
  }

  /** The days of a stretch on which the user was not away. */
  atHome(range: DayRange): Day[] {
    return daysToSay(range, this.#queries.away.all())
  }

  #log(today: Day, calm: readonly DayRange[]): DayLog {
    return {
      recorded: this.#queries.recordedDays.all({ since: addDays(today, -LOOKED_BACK_DAYS) }).map((row) => row.day),
      calm,
      unwritten: this.#queries.unwritten.all(),
      until: addDays(today, -1),
    }
  }
}
