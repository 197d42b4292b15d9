import type { z } from 'zod'
import { fail, ok, type Outcome } from '../failing.js'
import { itemMark } from '#core/words/told'
import { daysBetween, type Day } from '#core/calendar/day'
import { trialStanding } from '#core/decide/trial'
import { destinationsFor } from '#core/decide/verdict'
import { isSpoiled } from '#core/shelf-life/last-good-day'
import type { DecideAnswer, GiveVerdict, StartTrial, TrialView } from '#contract/ending'
import type { Done } from '../db/journal.js'
import { counted } from '#core/words/counted'
import type { House } from '../house.js'
import { summaryOf, type ItemFacts } from '../stock/item-facts.js'
import { decideQueries, type TrialRow } from './queries.js'

/** Unworn this long, an open item is one to decide about. Assumption. */
const DOUBTFUL_DAYS = 180
/** Held up and put back this often without being worn, it has been decided against already. Assumption. */
const PUT_BACK_OFTEN = 3
/** As many as one sitting bears. Assumption. */
const DOUBTFUL_SHOWN = 12

/** Trials with a decision due, verdicts, and what to put on trial next. */
export class Decide {
  readonly #house: House
  readonly #queries

  constructor(house: House) {
    this.#house = house
    this.#queries = decideQueries(house.db)
  }

  all(): DecideAnswer {
    const today = this.#house.today()
    const running = this.#queries.running.all()
    const verdicts = this.#queries.verdicts.all()
    const items = new Map(this.#items([...running, ...verdicts]).map((item) => [item.id, item]))
    return {
      today,
      trials: running.flatMap((row) => {
        const item = items.get(row.item_id)
        return item ? [this.#trialView(row, item, today)] : []
      }),
      verdicts: verdicts.flatMap((row) => {
        const item = items.get(row.item_id)
        if (!item) return []
        const { id, day, verdict, reason, destination, until_day: until } = row
        return [{ id, item: summaryOf(item), day, verdict, reason, destination, until }]
      }),
      doubtful: this.#doubtful(today),
    }
  }

  /** How many trials ask for a decision now, and how many run. */
  counts(): { due: number; running: number } {
    const running = this.#queries.running.all()
    const items = new Map(this.#items(running).map((item) => [item.id, item]))
    const today = this.#house.today()
    const trials = running.flatMap((row) => {
      const item = items.get(row.item_id)
      return item ? [this.#trialView(row, item, today)] : []
    })
    return { due: trials.filter((trial) => trial.decisionDue).length, running: trials.length }
  }

  #items(rows: readonly { item_id: string }[]): ItemFacts[] {
    return this.#house.stock.facts(
      rows.map((row) => row.item_id),
      this.#house.today(),
    )
  }

  startTrial(body: z.output<typeof StartTrial>): Outcome<Done<{ id: string }>> {
    const today = this.#house.today()
    const item = this.#house.stock.one(body.itemId, today)
    if (!item) return fail('unknown-item', { value: body.itemId })
    if (item.endedOn !== null) return fail('item-ended', { name: itemMark(item) })
    if (item.onTrial) return fail('already-on-trial', { name: itemMark(item) })
    if (body.dueOn <= today) return fail('due-in-past', { value: body.dueOn })
    if (this.#queries.trial.get(body.trialId)) return fail('id-taken', { value: body.trialId })
    const { trialId: id, itemId, dueOn, wearsWanted, question } = body
    this.#queries.addTrial.run({ id, itemId, startedOn: today, dueOn, wearsWanted, question })
    return ok({ words: `${itemMark(item)} on trial for ${counted(wearsWanted, 'wear')}`, answer: { id } })
  }

  /** A verdict ends the running trial and does what it says; what is let go keeps its history. */
  giveVerdict(body: z.output<typeof GiveVerdict>): Outcome<Done<{ id: string }>> {
    const today = this.#house.today()
    const item = this.#house.stock.one(body.itemId, today)
    if (!item) return fail('unknown-item', { value: body.itemId })
    if (item.endedOn !== null) return fail('item-ended', { name: itemMark(item) })
    if (body.trialId !== null) {
      const trial = this.#queries.trial.get(body.trialId)
      if (!trial || trial.item_id !== body.itemId || trial.closed_on !== null)
        return fail('unknown-trial', { value: body.trialId })
    }
    if ((this.#queries.verdictTaken.get(body.verdictId)?.n ?? 0) > 0) return fail('id-taken', { value: body.verdictId })
    if (body.until !== null && body.until <= today) return fail('until-in-past', { value: body.until })
    if (body.usedAs !== null && !this.#queries.category.get(body.usedAs))
      return fail('unknown-category', { value: body.usedAs })
    if (body.destination !== null && !destinationsOf(item).includes(body.destination))
      return fail('destination-refused', { value: body.destination, destination: body.destination })
    const { verdictId: id, itemId, trialId, verdict, reason, destination, until, usedAs } = body
    this.#queries.addVerdict.run({ id, itemId, trialId, day: today, verdict, reason, destination, until, usedAs })
    this.#queries.closeTrials.run({ itemId, day: today })
    if (verdict === 'let go' || verdict === 'rest until a date') {
      if (item.placement !== null) this.#house.drawer.takeOut(itemId, today, until)
      if (verdict === 'let go') {
        this.#house.projects.rollOutEverywhere(itemId, today)
        this.#queries.leave.run({ id: itemId, day: this.#endOf(item, today) })
        this.#queries.offShortList.run(itemId)
      } else if (until !== null) this.#queries.rest.run({ id: itemId, until })
    }
    if (usedAs !== null) {
      this.#queries.useAs.run({ id: itemId, usedAs })
      this.#house.wearing.laterWordHolds()
    }
    const name = itemMark(item)
    return ok({ words: verdict === 'let go' ? `Let ${name} go` : `${name}: ${verdict}`, answer: { id } })
  }

  /** It ends today; with the clock set back, on the day it was last worn. */
  #endOf(item: ItemFacts, today: Day): Day {
    return item.lastWorn !== null && item.lastWorn > today ? item.lastWorn : today
  }

  /** Ends the trials of something that is no longer there to be tried. */
  closeTrials(itemId: string, day: Day): void {
    this.#queries.closeTrials.run({ itemId, day })
  }

  #trialView(row: TrialRow, item: ItemFacts, today: Day): TrialView {
    const standing = trialStanding({
      startedOn: row.started_on,
      dueOn: row.due_on,
      wearsWanted: row.wears_wanted,
      wearDays: this.#queries.wearDays.all(row.item_id).map((each) => each.day),
      today,
    })
    return {
      id: row.id,
      item: summaryOf(item),
      startedOn: row.started_on,
      dueOn: row.due_on,
      wearsWanted: row.wears_wanted,
      question: row.question,
      ...standing,
      chances: this.#queries.chances.get({ itemId: row.item_id, from: row.started_on, to: today })?.n ?? 0,
      companions: this.#queries.companions
        .all({ itemId: row.item_id, from: row.started_on })
        .map(({ item_id: itemId, words, days }) => ({ itemId, words, days })),
      destinations: [...destinationsOf(item)],
    }
  }

  /** Open, not being worked on, and unworn for long: the ones every clear-out passes over. */
  #doubtful(today: Day): DecideAnswer['doubtful'] {
    // In a young log nothing has been worn yet, which says nothing.
    const since = this.#queries.loggedSince.get()?.day ?? today
    const backs = new Map(this.#queries.putBacks.all().map((row) => [row.item_id, row.n]))
    const logIsLong = daysBetween(since, today) >= DOUBTFUL_DAYS
    return this.#house.stock
      .facts(this.#house.stock.presentIds(), today)
      .filter(
        (item) =>
          item.lifecycle === 'open' && item.goal === null && !item.onTrial && item.makeup && item.restingUntil === null,
      )
      .map((item) => ({
        item,
        daysUnworn: item.lastWorn === null ? null : daysBetween(item.lastWorn, today),
        everWorn: item.lastWorn !== null,
        putBack: backs.get(item.id) ?? 0,
      }))
      .filter(
        ({ daysUnworn, putBack }) =>
          putBack >= PUT_BACK_OFTEN || (daysUnworn === null ? logIsLong : daysUnworn >= DOUBTFUL_DAYS),
      )
      .sort(
        (a, b) =>
          b.putBack - a.putBack || (b.daysUnworn ?? 0) - (a.daysUnworn ?? 0) || a.item.id.localeCompare(b.item.id),
      )
      .slice(0, DOUBTFUL_SHOWN)
      .map(({ item, ...why }) => ({ item: summaryOf(item), ...why }))
  }
}

export function destinationsOf(item: ItemFacts) {
  const spoiled = isSpoiled(item.shelfLife)
  return destinationsFor({ opened: item.lifecycle !== 'unopened', eye: item.eye, lip: item.lip, spoiled })
}
