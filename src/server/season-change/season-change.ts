import type { z } from 'zod'
import { fail, ok, type Outcome } from '../failing.js'
import { itemMark } from '#core/words/told'
import { addDays, type Day } from '#core/calendar/day'
import { seasonOn, type Season } from '#core/item/traits'
import { counted } from '#core/words/counted'
import type { Destination } from '#core/decide/verdict'
import { putAwayUntil } from '#core/plan/season-change-choices'
import { isInDate, isSpoiled } from '#core/shelf-life/last-good-day'
import { destinationsOf, type Decide } from '../decide/decide.js'
import { rivalries } from '#core/plan/rivals'
import type {
  ChooseInSeasonChange,
  SeasonChangeAnswer,
  SeasonChangeCandidate,
  LayoutChange,
} from '#contract/season-change'
import type { Done, Answer } from '../db/journal.js'
import { canBePlanned } from '../planning/gathering.js'
import { summaryOf, type ItemFacts } from '../stock/item-facts.js'
import { seasonChangeQueries } from './queries.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'
import type { CurrentPlan } from '../planning/current-plan.js'
import type { Drawer } from '../drawer/drawer.js'

/** A doubtful item is worn this often within this long, and then decided on. Assumption. */
const TRIAL_WEARS = 5
const TRIAL_DAYS = 42

/** The drawer is laid for the season that has begun in this many days. Assumption. */
const AHEAD_DAYS = 14

type MonthDrawer = ReturnType<CurrentPlan['monthDrawer']>

/** A guided pass for a new season over the drawer and the season's candidates; it can be stopped and resumed at will. */
export class SeasonChange {
  readonly #queries

  constructor(
    private readonly services: Context & { stock: Stock; currentPlan: CurrentPlan; drawer: Drawer; decide: Decide },
  ) {
    this.#queries = seasonChangeQueries(services.db)
  }

  all(): SeasonChangeAnswer {
    const today = this.services.today()
    const seasonChange = this.#queries.open.get()
    const season = seasonChange?.season ?? seasonOn(addDays(today, AHEAD_DAYS), this.services.settings().hemisphere)
    const present = this.#present()
    const perWeek = this.services.stock.week(today).week.reduce((sum, share) => sum + share, 0)
    return {
      today,
      season,
      seasonChange: seasonChange
        ? { id: seasonChange.id, season: seasonChange.season, startedOn: seasonChange.started_on }
        : null,
      candidates: seasonChange ? this.#candidates(seasonChange.id, season, present, today) : [],
      hasPlan: this.services.currentPlan.monthDrawer(today) !== null,
      comeBack: present.filter((item) => asksBack(item, today)).map(summaryOf),
      rivalries: rivalries(inReach(present), perWeek),
      perWeek,
      layouts: this.#queries.layouts.all().map((row) => row.day),
    }
  }

  layout(day: Day): LayoutChange {
    const then = this.#queries.placedOn.all({ day }).map((row) => row.item_id)
    const now = new Set(this.services.drawer.zones().flatMap((zone) => zone.itemIds))
    const lay = this.services.stock.summaries([...new Set([...then, ...now])], this.services.today())
    return {
      day,
      lay,
      went: then.filter((id) => !now.has(id)),
      came: [...now].filter((id) => !then.includes(id)),
    }
  }

  start(id: string, season: Season): Answer {
    if (this.#queries.open.get()) return fail('laying-open')
    if ((this.#queries.taken.get(id)?.n ?? 0) > 0) return fail('id-taken', { value: id })
    this.#queries.start.run({ id, season, day: this.services.today() })
    return ok({ words: `Began to arrange the drawer for ${season}`, answer: { id } })
  }

  choose(seasonChangeId: string, body: z.output<typeof ChooseInSeasonChange>): Answer {
    const seasonChange = this.#queries.open.get()
    if (seasonChange?.id !== seasonChangeId) return fail('no-laying')
    const today = this.services.today()
    const item = this.services.stock.one(body.itemId, today)
    if (!item) return fail('unknown-item', { value: body.itemId })
    if (body.until !== null && body.until <= today) return fail('until-in-past', { value: body.until })
    const { itemId, choice, until, destination } = body
    if (destination !== null && !destinationsOf(item).includes(destination))
      return fail('destination-refused', { value: destination, destination })
    if (choice === null) this.#queries.unchoose.run({ seasonChangeId, itemId })
    else this.#queries.choose.run({ id: this.services.newId(), seasonChangeId, itemId, choice, until, destination })
    return ok({ words: `${itemMark(item)}: ${choice ?? 'not chosen'}`, answer: { id: itemId } })
  }

  /**
   * What is not chosen yet, as the current plan has it this month: what it has in the drawer stays or comes in, what it has not rests. What
   * the plan does not plan is left to the user.
   */
  chooseAsPlanned(seasonChangeId: string): Outcome<Done<{ count: number }>> {
    const seasonChange = this.#queries.open.get()
    if (seasonChange?.id !== seasonChangeId) return fail('no-laying')
    const today = this.services.today()
    if (this.services.currentPlan.monthDrawer(today) === null) return fail('no-plan')
    let count = 0
    for (const { item, choice, planned, spoiled } of this.#candidates(
      seasonChangeId,
      seasonChange.season,
      this.#present(),
      today,
    )) {
      if (choice !== null || planned === null || spoiled) continue
      const lies = item.placement !== null
      if (!planned && !lies) continue
      this.#queries.choose.run({
        id: this.services.newId(),
        seasonChangeId,
        itemId: item.id,
        choice: planned ? (lies ? 'stays' : 'comes in') : 'rests',
        until: null,
        destination: null,
      })
      count += 1
    }
    return ok({ words: `Chose for ${counted(count, 'item')} as planned`, answer: { count } })
  }

  /** All choices take effect at once: first what leaves, then what comes in. What finds no slot is named and stays out. */
  close(
    seasonChangeId: string,
  ): Outcome<Done<{ id: string; noRoom: string[]; brushes: { out: string[]; in: string[] } }>> {
    const seasonChange = this.#queries.open.get()
    if (seasonChange?.id !== seasonChangeId) return fail('no-laying')
    const today = this.services.today()
    const choices = this.#queries.choices.all(seasonChangeId)
    const items = new Map(
      this.services.stock
        .facts(
          choices.map((row) => row.item_id),
          today,
        )
        .map((item) => [item.id, item]),
    )
    const noRoom: string[] = []
    const brushes = { out: [] as string[], in: [] as string[] }
    for (const { item_id: id, choice, until_day: until } of choices) {
      const item = items.get(id)
      if (!item || item.endedOn !== null || (choice !== 'put away' && choice !== 'rests')) continue
      if (item.placement !== null) this.services.drawer.takeOut(id, today)
      if (until !== null) this.#queries.setSeasonBox.run({ id, until })
      if (item.brushes !== '') brushes.out.push(item.brushes)
    }
    for (const { item_id: id, choice } of choices) {
      const item = items.get(id)
      if (!item || item.endedOn !== null || (choice !== 'comes in' && choice !== 'doubtful')) continue
      if (item.placement === null) {
        const placed = this.services.drawer.place(this.services.newId(), id, item.homeZoneId, tooTall(item))
        if (!placed.ok) noRoom.push(itemMark(item))
        else if (item.brushes !== '') brushes.in.push(item.brushes)
      }
      if (choice === 'doubtful' && !item.onTrial)
        this.services.decide.startTrial({
          changeId: '',
          trialId: this.services.newId(),
          itemId: id,
          wearsWanted: TRIAL_WEARS,
          dueOn: addDays(today, TRIAL_DAYS),
          question: `Not sure about it when changing to ${seasonChange.season}.`,
        })
    }
    for (const { item_id: itemId, choice, destination } of choices)
      if (choice === 'let go' && items.get(itemId)?.endedOn === null) {
        const gone = this.#letGo(itemId, destination, seasonChange.season)
        if (!gone.ok) return gone
      }
    this.#queries.close.run({ id: seasonChangeId, day: today })
    return ok({ words: `Changed season: ${seasonChange.season}`, answer: { id: seasonChangeId, noRoom, brushes } })
  }

  drop(seasonChangeId: string): Answer {
    const seasonChange = this.#queries.open.get()
    if (seasonChange?.id !== seasonChangeId) return fail('no-laying')
    this.#queries.dropChoices.run(seasonChangeId)
    this.#queries.drop.run(seasonChangeId)
    return ok({ words: `Stopped changing season: ${seasonChange.season}`, answer: { id: seasonChangeId } })
  }

  #letGo(itemId: string, destination: Destination | null, season: Season): Outcome<unknown> {
    return this.services.decide.giveVerdict({
      changeId: '',
      verdictId: this.services.newId(),
      itemId,
      trialId: null,
      verdict: 'let go',
      reason: `When changing season: ${season}.`,
      destination,
      until: null,
      usedAs: null,
      why: null,
      toWhom: '',
      into: null,
      again: null,
      lesson: null,
    })
  }

  #present(): ItemFacts[] {
    return this.services.stock
      .facts(this.services.stock.presentIds(), this.services.today())
      .filter((item) => item.setAside !== 'keepsake')
  }

  /** What is over first; then the drawer, then what asks to come back, is on the short list or suits the season; in makeup order. */
  #candidates(
    seasonChangeId: string,
    season: Season,
    present: readonly ItemFacts[],
    today: Day,
  ): SeasonChangeCandidate[] {
    const chosen = new Map(this.#queries.choices.all(seasonChangeId).map((row) => [row.item_id, row]))
    const listed = new Set(this.#queries.shortListed.all({ season }).map((row) => row.item_id))
    const plan = this.services.currentPlan.monthDrawer(today)
    const { hemisphere } = this.services.settings()
    const found = present.flatMap((item): SeasonChangeCandidate[] => {
      const why = whyLookedAt(item, season, listed, plan, today)
      if (why === null) return []
      const row = chosen.get(item.id)
      return [
        {
          item: summaryOf(item),
          why,
          planned: plannedOf(item, plan),
          choice: row?.choice ?? null,
          until: row?.until_day ?? null,
          destination: row?.destination ?? null,
          awayUntil: putAwayUntil({ today, seasons: item.seasons, lastGood: item.shelfLife.actOn, hemisphere }),
          destinations: [...destinationsOf(item)],
          spoiled: isSpoiled(item.shelfLife),
        },
      ]
    })
    // What is over is decided on first: it need not be looked at again.
    return found.sort((a, b) => Number(b.spoiled) - Number(a.spoiled))
  }
}

function whyLookedAt(
  item: ItemFacts,
  season: Season,
  listed: ReadonlySet<string>,
  plan: MonthDrawer,
  today: Day,
): SeasonChangeCandidate['why'] | null {
  if (item.placement !== null) return 'in the drawer'
  if (asksBack(item, today)) return 'asks to come back'
  if (listed.has(item.id)) return 'on the short list'
  if (plan?.lies.get(item.id) === true && isInDate(item.shelfLife)) return 'in the plan'
  // What has spoiled is no candidate: it lies outside already and should stay there.
  const suits = item.lifecycle === 'open' && item.seasons.includes(season) && isInDate(item.shelfLife)
  return suits ? 'of the season' : null
}

function asksBack(item: ItemFacts, today: Day): boolean {
  return item.placement === null && item.restingUntil !== null && item.restingUntil <= today
}

/** What does not fit under the lid stands beside the drawer. */
function tooTall(item: ItemFacts): boolean {
  return item.packageStates.includes('too tall for the drawer')
}

function inReach(present: readonly ItemFacts[]) {
  const counts = new Map<string, { categoryId: string; category: string; items: number }>()
  for (const item of present) {
    if (item.placement === null || !item.makeup) continue
    const row = counts.get(item.wornAsId) ?? { categoryId: item.wornAsId, category: item.wornAs, items: 0 }
    counts.set(item.wornAsId, { ...row, items: row.items + 1 })
  }
  return [...counts.values()]
}

/**
 * Whether the plan has it in the drawer. What lies there and could be planned, but is in no line of the plan, is what the plan takes out.
 */
function plannedOf(item: ItemFacts, plan: MonthDrawer): boolean | null {
  if (plan === null) return null
  const said = plan.lies.get(item.id)
  if (said !== undefined) return said
  // A plan for one project leaves everything else where it is.
  return plan.whole && canBePlanned(item) && item.placement !== null && item.placement.beside === false ? false : null
}
