import { type Day, addDays } from '#core/calendar/day'
import type { PlanNews } from '#core/plan/schedule/in-force'
import type { PartQuality } from '#core/plan/schedule/solve-plan'
import type { LeftOutReason } from '#core/plan/schedule/left-out'
import type { PlanLine, PlanOutcome } from '#core/plan/schedule/outcome'
import { qualityOf } from '#core/plan/schedule/quality'
import { endOf, type PlanSpan } from '#core/plan/schedule/span'
import { capital } from '#core/words/capital'
import { counted, plural } from '#core/words/counted'
import { moneyShort } from '#web/data/locale'
import { usesWords } from '#web/ui/words/item-words'
import { monthNameWords, monthWords, shortDay, timesWords } from '#web/ui/words/when-words'

/** "4 to 7", or the one number where both are the same. */
export function rangeOf(low: number, high: number): string {
  return low === high ? String(low) : `${low} to ${high}`
}

/** "4 to 7 of 8 reach their goal by the end of May." */
export function outcomeWords({ of, low, high }: PlanOutcome, span: PlanSpan, today: Day): string {
  const end = monthWords(span.months.at(-1) ?? '', today)
  if (of === 0) return `Nothing can reach its goal by the end of ${end}; what’s in the drawer gets used all the same.`
  return `${rangeOf(low, high)} of ${of} ${plural(high, 'reaches')} ${plural(high, 'its')} goal by the end of ${end}.`
}

/** "The best there is" only where it is proved; else by how much a better one is possible, and where. */
export function qualityWords(parts: readonly PartQuality[] | null, zoneName: (id: string) => string): string {
  if (parts === null) return 'A first draft.'
  const all = parts.map((part) => ({ part, quality: qualityOf(part) }))
  const open = all.filter(({ quality }) => quality.code !== 'best')
  if (open.length === 0) return 'No plan is better.'
  const where = open.map(({ part }) => part.zoneIds.map(zoneName).join(' and '))
  const whole = qualityOf({
    objective: parts.reduce((sum, { objective }) => sum + objective, 0),
    bound: parts.reduce((sum, { bound }) => sum + bound, 0),
  })
  const names = listed(where)
  if (whole.code === 'draft') return `How good it is in ${names} isn’t known yet.`
  const percent = whole.code === 'best' ? 1 : whole.percent
  return all.length === open.length
    ? `At most ${percent} % better is possible.`
    : `At most ${percent} % better is possible, and only in ${names}.`
}

/** Of one part, beneath the names of its zones. */
export function partWords(part: PartQuality | undefined): string {
  if (part === undefined) return ''
  const quality = qualityOf(part)
  if (quality.code === 'best') return 'can’t be improved'
  return quality.code === 'within' ? `at most ${quality.percent} % better` : 'a draft'
}

/** "3 a week", over the weeks of the month in which it is used. */
export function rateWords(uses: number, weeks: number): string {
  if (uses === 0) return 'no uses'
  const perWeek = uses / Math.max(1, weeks)
  if (perWeek < 0.75) return `${uses} a month`
  return `${Math.round(perWeek)} a week`
}

/** Why it is left out: the reason in bold, and the sum. `end` = the last day of the plan. */
export function leftOutWords(
  reason: LeftOutReason,
  end: Day,
  today: Day,
  drops: readonly string[] | null | undefined,
): [string, string] {
  switch (reason.code) {
    case 'she said no':
      return ['You said not now.', '']
    case 'past its date':
      return ['Expired', stopped(`since ${shortDay(reason.day, today)}`)]
    case 'out of season':
      return [
        'Out of season:',
        stopped(
          `${listed(reason.seasons)}${reason.back === null ? '' : `, back from ${shortDay(reason.back, today)}`}`,
        ),
      ]
    case 'no slot':
      return [
        'No slot:',
        reason.free === 0
          ? 'its zone is full.'
          : `it takes ${reason.slots}, and ${reason.free} ${plural(reason.free, 'is')} free.`,
      ]
    case 'impossible': {
      const within = reason.until !== null && reason.until <= end
      const until = shortDay(within ? (reason.until ?? end) : end, today)
      const there =
        reason.held === 'kind'
          ? `its type comes to ${reason.possible} until ${until}`
          : `there are ${counted(reason.possible, 'wear day')} until ${until}`
      // What is good for longer than the plan needs only its share by then.
      const why = within || reason.until === null ? '' : `, to be on track for ${shortDay(reason.until, today)}`
      return ['Can’t be done by its date:', stopped(`${usesWords(reason.need)}${why}, but ${there}`)]
    }
    case 'crowded out':
      if (drops === undefined) return ['No room:', 'others of higher priority take its place.']
      if (drops === null) return ['No room:', 'it could only be done at the expense of others in its zone.']
      return drops.length === 0
        ? ['No room:', 'others get its uses; a plan with it would drop nothing whole.']
        : ['No room:', `a plan with it would drop ${listed(drops)}.`]
  }
}

/** What would make it possible: "A goal of 17 uses, or until 24 Feb, would do."; empty where nothing would. */
export function rescueWords(reason: LeftOutReason, today: Day): string {
  if (reason.code !== 'impossible') return ''
  const { uses, by, perWeek } = reason.rescue
  const offers = [
    ...(uses === null ? [] : [`a goal of ${usesWords(uses)}`]),
    ...(by === null ? [] : [`until ${shortDay(by, today)}`]),
    ...(perWeek === null ? [] : [`${perWeek} uses a week`]),
  ]
  return offers.length === 0 ? '' : capital(`${offers.join(', or ')}${offers.length > 1 ? ',' : ''} would do.`)
}

/** What became of the plan in force, one sentence each. */
export function newsWords(news: PlanNews, name: string, today: Day): string {
  switch (news.code) {
    case 'finished early':
      return `${name} was done on ${shortDay(news.on, today)}, earlier than planned (${shortDay(news.planned, today)}): its place is free.`
    case 'finished late':
      return `${name} was done on ${shortDay(news.on, today)}, later than planned (${shortDay(news.planned, today)}).`
    case 'finished':
      return `${name} was done on ${shortDay(news.on, today)}, as planned.`
    case 'gone':
      return `${name} went on ${shortDay(news.on, today)}: its place is free.`
    case 'behind':
      return news.worn === 0
        ? `${name} wasn’t worn yet; ${news.planned} uses were planned by now.`
        : `${name} was worn ${timesWords(news.worn)} of ${news.planned} planned by now.`
    case 'not in the drawer':
      return `${name} should be in the drawer this month and isn’t.`
    case 'still in the drawer':
      return `${name} is still in the drawer; your plan has it out this month.`
  }
}

/** How a line of the plan goes, with its numbers. */
export function lineWords(line: PlanLine, span: PlanSpan, today: Day): string[] {
  const end = endOf(span)
  const planned = `${usesWords(line.planned)} planned of ${line.needed} to its goal`
  const enough =
    line.planned >= line.needed
      ? ''
      : line.met
        ? `; ${line.milestone} by then keep it on track`
        : `; ${line.milestone} would keep it on track`
  const { low, high } = line.likely
  const reached =
    low === null
      ? stopped(
          `It isn’t likely to be done by ${shortDay(line.until !== null && line.until < end ? line.until : end, today)}`,
        )
      : high === null
        ? `If you keep to it, done from ${shortDay(low, today)}, or not within the plan.`
        : low === high
          ? stopped(`If you keep to it, done on ${shortDay(low, today)}`)
          : `If you keep to it, done between ${shortDay(low, today)} and ${shortDay(high, today)}, 8 times in 10.`
  return [
    capital(`${planned}${enough}.`),
    reached,
    ...(line.until === null ? [] : [stopped(`It has to be done by ${shortDay(line.until, today)}`)]),
  ]
}

/** What expires within the plan, and what of it is money. */
export function spoilWords({ spoilLow, spoilHigh, spoilMoney, spoilUnpriced }: PlanOutcome, currency: string): string {
  if (spoilHigh === 0) return 'Nothing expires first.'
  const money = spoilMoney === 0 ? '' : `, about ${moneyShort(spoilMoney, currency)}`
  const more = spoilUnpriced === 0 ? '' : ` and ${spoilUnpriced} without a price`
  return `${rangeOf(spoilLow, spoilHigh)} ${spoilHigh === 1 ? 'expires' : 'expire'} first${money}${more}.`
}

/** With its full stop, where it does not end with one: some locales write days with it. */
export function stopped(text: string): string {
  return text.endsWith('.') ? text : `${text}.`
}

/** "A, B and C". */
export function listed(words: readonly string[]): string {
  if (words.length < 2) return words.join('')
  return `${words.slice(0, -1).join(', ')} and ${words.at(-1) ?? ''}`
}

/** "December", and from which day on where it is not the first. */
export function monthHead(span: PlanSpan, month: number, today: Day): { readonly name: string; readonly from: string } {
  const own = span.months[month] ?? ''
  const before = span.months[month - 1] ?? today
  // The year is said where it changes.
  const name = own.slice(0, 4) === before.slice(0, 4) ? monthNameWords(own) : monthWords(own)
  const first = span.weeks.find((week) => week.month === month)?.from
  const begins = `${own}-01` as Day
  // Weeks begin on Monday: a month of the plan may begin a few days beside its first.
  const apart = first !== undefined && (first < addDays(begins, -4) || first > addDays(begins, 4))
  return { name, from: apart && first !== undefined ? `from ${shortDay(first, today)}` : '' }
}
