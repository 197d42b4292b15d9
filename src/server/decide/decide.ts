import type { z } from 'zod'
import { fail, ok, type Outcome } from '../failing.js'
import { itemMark } from '#core/words/told'
import type { Day } from '#core/calendar/day'
import { trialStanding } from '#core/decide/trial'
import { destinationsFor, HANDED_OVER, type Otherwise } from '#core/decide/verdict'
import { isSpoiled } from '#core/shelf-life/last-good-day'
import type { DecideAnswer, GiveVerdict, StartTrial, StartTrials, TrialView } from '#contract/ending'
import type { Answer } from '../db/journal.js'
import { counted } from '#core/words/counted'
import { summaryOf, type ItemFacts } from '../stock/item-facts.js'
import { decideQueries, type TrialRow } from './queries.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'
import type { Lessons } from '../buying/lessons.js'
import type { Drawer } from '../drawer/drawer.js'
import type { Projects } from '../projects/projects.js'
import type { Wearing } from '../today/wearing.js'

/** As many verdicts as are looked at in one go; the page of an item has all of its own. */
const VERDICTS_SHOWN = 200
/** As many wears of a trial as tell something. */
const DAYS_SHOWN = 60

type VerdictBody = z.output<typeof GiveVerdict>

export class Decide {
  readonly #queries

  constructor(
    private readonly services: Context & {
      stock: Stock
      lessons: Lessons
      drawer: Drawer
      projects: Projects
      wearing: Wearing
    },
  ) {
    this.#queries = decideQueries(services.db)
  }

  all(): DecideAnswer {
    const today = this.services.today()
    const running = this.#queries.running.all()
    const verdicts = this.#queries.verdicts.all(VERDICTS_SHOWN)
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
      verdictsInAll: this.#queries.verdictsInAll.get()?.n ?? 0,
    }
  }

  counts(): { due: number; running: number } {
    const running = this.#queries.running.all()
    const today = this.services.today()
    return {
      due: running.filter((row) => this.#standingOf(row, today).decisionDue).length,
      running: running.length,
    }
  }

  #items(rows: readonly { item_id: string }[]): ItemFacts[] {
    return this.services.stock.facts(
      rows.map((row) => row.item_id),
      this.services.today(),
    )
  }

  startTrial(
    body: z.output<typeof StartTrial>,
    held: { readonly setId: string | null; readonly otherwise: Otherwise | null } = { setId: null, otherwise: null },
  ): Answer {
    const today = this.services.today()
    const item = this.services.stock.one(body.itemId, today)
    if (!item) return fail('unknown-item', { value: body.itemId })
    if (item.endedOn !== null) return fail('item-ended', { name: itemMark(item) })
    if (item.onTrial) return fail('already-on-trial', { name: itemMark(item) })
    if (item.setAside === 'keepsake') return fail('is-keepsake', { name: itemMark(item) })
    if (body.dueOn <= today) return fail('due-in-past', { value: body.dueOn })
    if (this.#queries.trial.get(body.trialId)) return fail('id-taken', { value: body.trialId })
    const { trialId: id, itemId, dueOn, wearsWanted, question } = body
    this.#queries.addTrial.run({ id, itemId, startedOn: today, dueOn, wearsWanted, question, ...held })
    return ok({ words: `${itemMark(item)} on trial for ${counted(wearsWanted, 'wear')}`, answer: { id } })
  }

  /** Several in one look, as one change: all of them, or none where one cannot be. */
  startTrials(body: z.output<typeof StartTrials>): Answer {
    const { changeId, setId, trials, wearsWanted, dueOn, question } = body
    if (this.#queries.setTaken.get(setId)) return fail('id-taken', { value: setId })
    const held = { setId: trials.length > 1 ? setId : null, otherwise: null }
    for (const each of trials) {
      const started = this.startTrial({ changeId, ...each, wearsWanted, dueOn, question }, held)
      if (!started.ok) return started
    }
    return ok({
      words: `${counted(trials.length, 'item')} on trial for ${counted(wearsWanted, 'wear')} each`,
      answer: { id: setId },
    })
  }

  /** A verdict ends the running trial and does what it says; what is let go keeps its history. */
  giveVerdict(body: VerdictBody): Answer {
    const today = this.services.today()
    const item = this.services.stock.one(body.itemId, today)
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
    const { verdictId: id, itemId, trialId, verdict, reason, destination, until, usedAs, why, toWhom } = body
    // What nobody waits for has gone at once.
    const handedOn = destination !== null && !HANDED_OVER.includes(destination) ? today : null
    this.#queries.addVerdict.run({
      id,
      itemId,
      trialId,
      day: today,
      verdict,
      reason,
      destination,
      until,
      usedAs,
      why,
      toWhom,
      handedOn,
    })
    this.#queries.closeTrials.run({ itemId, day: today })
    const done = this.#carryOut(body, item, today)
    if (!done.ok) return done
    if (body.lesson !== null) {
      const { categoryId } = item
      const learned = this.services.lessons.learn(body.lesson, 'verdict', { itemId, categoryId })
      if (!learned.ok) return learned
    }
    const name = itemMark(item)
    return ok({ words: verdict === 'let go' ? `Let ${name} go` : `${name}: ${verdict}`, answer: { id } })
  }

  #carryOut(body: VerdictBody, item: ItemFacts, today: Day): Outcome<unknown> {
    const { itemId, verdict, until, usedAs, into, again } = body
    if (verdict === 'let go' || verdict === 'rest until a date') {
      if (item.placement !== null) this.services.drawer.takeOut(itemId, today, until)
      if (verdict === 'let go') {
        this.services.projects.rollOutEverywhere(itemId, today)
        this.#queries.leave.run({ id: itemId, day: this.#endOf(item, today) })
        this.#queries.offShortList.run(itemId)
      } else if (until !== null) this.#queries.rest.run({ id: itemId, until })
    }
    if (usedAs !== null) {
      this.#queries.useAs.run({ id: itemId, usedAs })
      this.services.wearing.laterWordHolds()
    }
    if (into !== null) {
      const { projectId, ...stay } = into
      const beside = { beside: false, partId: null, guess: null }
      return this.services.projects.rollIn(projectId, {
        changeId: body.changeId,
        itemId,
        day: today,
        ...beside,
        ...stay,
      })
    }
    if (again === null) return ok(null)
    const { otherwise, ...trial } = again
    return this.startTrial({ changeId: body.changeId, itemId, ...trial }, { setId: null, otherwise })
  }

  /** It ends today; with the clock set back, on the day it was last worn. */
  #endOf(item: ItemFacts, today: Day): Day {
    return item.lastWorn !== null && item.lastWorn > today ? item.lastWorn : today
  }

  /** Ends the trials of something that is no longer there to be tried. */
  closeTrials(itemId: string, day: Day): void {
    this.#queries.closeTrials.run({ itemId, day })
  }

  #standingOf(row: TrialRow, today: Day): ReturnType<typeof trialStanding> {
    return trialStanding({
      startedOn: row.started_on,
      dueOn: row.due_on,
      wearsWanted: row.wears_wanted,
      wearDays: this.#queries.wearDays.all(row.item_id).map((each) => each.day),
      today,
    })
  }

  #trialView(row: TrialRow, item: ItemFacts, today: Day): TrialView {
    const standing = this.#standingOf(row, today)
    return {
      id: row.id,
      item: summaryOf(item),
      startedOn: row.started_on,
      dueOn: row.due_on,
      wearsWanted: row.wears_wanted,
      question: row.question,
      ...standing,
      setId: row.set_id,
      otherwise: row.otherwise,
      chances: this.#chancesOf(row, today),
      ...this.#looksOf(row, item),
      photos: this.#queries.photos.all({ itemId: row.item_id, from: row.started_on }),
      before: this.#queries.before.all(row.item_id),
      destinations: [...destinationsOf(item)],
    }
  }

  #chancesOf(row: TrialRow, today: Day): number {
    const span = { from: row.started_on, to: today }
    const { stock } = this.services
    return stock.reachIn(span, stock.wearDays(span), new Map()).get(row.item_id)?.chances ?? 0
  }

  /** What was worn with it on its days, beneath it or over it by makeup order, and how each day felt. */
  #looksOf(row: TrialRow, item: ItemFacts): Pick<TrialView, 'companions' | 'days'> {
    const span = { itemId: row.item_id, from: row.started_on }
    const felt = new Map<string, TrialView['days'][number]['felt']>()
    for (const { day, aspect, felt: how } of this.#queries.feltSince.all(span))
      felt.set(day, [...(felt.get(day) ?? []), { aspect, felt: how }])
    const looks = this.#queries.looksSince.all(span)
    const companions = new Map<string, TrialView['companions'][number]>()
    for (const { item_id: itemId, words, position } of looks) {
      const known = companions.get(itemId) ?? { itemId, words, days: 0, under: position < item.makeupOrder }
      companions.set(itemId, { ...known, days: known.days + 1 })
    }
    const days = this.#queries.wearsSince.all(span).map(({ day, words }) => {
      const look = looks.filter((each) => each.day === day)
      const of = (under: boolean): string[] =>
        look.filter(({ position }) => position < item.makeupOrder === under).map((each) => each.words)
      return { day, felt: felt.get(day) ?? [], words: words ?? '', under: of(true), over: of(false) }
    })
    return {
      companions: [...companions.values()].sort((a, b) => b.days - a.days || (a.itemId < b.itemId ? -1 : 1)),
      days: days.slice(0, DAYS_SHOWN),
    }
  }
}

export function destinationsOf(item: ItemFacts) {
  const spoiled = isSpoiled(item.shelfLife)
  return destinationsFor({ opened: item.lifecycle !== 'unopened', eye: item.eye, lip: item.lip, spoiled })
}
