import type { z } from 'zod'
import { fail, ok, type Outcome, type Refusal } from '../failing.js'
import { dayMark, itemMark } from '#core/words/told'
import type { Day } from '#core/calendar/day'
import { counted } from '#core/words/counted'
import type { SayOfSilence, SetLook, SetMix, SetWearDetails, TypeInSheet, WearMixed, Worn } from '#contract/today'
import type { Done } from '../db/journal.js'
import type { ItemFacts } from '../stock/item-facts.js'
import { todayQueries } from './queries.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'

export interface WornState {
  readonly itemId: string
  readonly day: Day
  readonly worn: boolean
  readonly partIds: readonly string[]
  /** Asked and answered: also before it came, or after it left. */
  readonly despite?: boolean
}

/** How an item is worn beyond its being worn. */
interface Manner {
  readonly partIds: readonly string[]
  readonly usedAs: string | null
  /** Items of one mix share it. */
  readonly mix: { readonly key: string; readonly ratio: string } | null
}

type WornAnswer = Outcome<Done<{ worn: Worn[] }>>

/** Ticking what was worn. Every command sets a state, so that saying it twice is saying it once. */
export class Wearing {
  readonly #queries

  constructor(private readonly services: Context & { stock: Stock }) {
    this.#queries = todayQueries(services.db)
  }

  /** Worn or not on a day, with the shades worn of an item that has them. */
  setWorn(state: WornState): WornAnswer {
    const item = this.services.stock.one(state.itemId, this.services.today())
    if (!item) return fail('unknown-item', { value: state.itemId })
    const wrong = state.worn ? this.#refusal(item, state.day, state.despite ?? false) : this.#future(state.day)
    if (wrong) return wrong
    const foreign = state.partIds.find((id) => !item.parts.some((part) => part.id === id))
    if (foreign !== undefined) return fail('unknown-part', { value: foreign })
    if (state.worn) this.#put(item, state.day, state.partIds)
    else this.#take(state.itemId, state.day)
    const name = itemMark(item)
    return ok({
      words: `${name} ${state.worn ? 'worn' : 'not worn'}${state.day === this.services.today() ? '' : ` on ${dayMark(state.day)}`}`,
      answer: { worn: this.wornOn(state.day) },
    })
  }

  /**
   * Ticks all of these on top of what is ticked: *same as* a day brings its shades, mixes and uses along, a saved look its
   * shades and uses. What has left since is passed over.
   */
  setLook({ day, itemIds, like, words }: Omit<z.output<typeof SetLook>, 'changeId'>): WornAnswer {
    if (day > this.services.today()) return fail('day-in-future', { value: day })
    const items = this.services.stock.facts(itemIds, this.services.today())
    const missing = itemIds.find((id) => !items.some((item) => item.id === id))
    if (missing !== undefined) return fail('unknown-item', { value: missing })
    if (like?.kind === 'face' && !this.#queries.look.get(like.id)) return fail('unknown-face', { value: like.id })
    const manners = like === null ? new Map<string, Manner>() : this.#mannersLike(like)
    const mixes = new Map<string, string>()
    for (const item of items) {
      if (this.#refusal(item, day, false) !== null) continue
      const there = this.#queries.wear.get({ itemId: item.id, day })
      const manner = manners.get(item.id)
      const known = manner?.partIds.filter((id) => item.parts.some((part) => part.id === id)) ?? []
      // What is ticked already stays as it was ticked.
      const wearId = this.#put(item, day, there || known.length === 0 ? null : known)
      if (there || manner === undefined) continue
      if (manner.usedAs !== null) this.#queries.setUsedAs.run({ id: wearId, usedAs: manner.usedAs })
      if (manner.mix === null) continue
      const mixId = mixes.get(manner.mix.key) ?? this.services.newId()
      mixes.set(manner.mix.key, mixId)
      this.#queries.addMix.run({ id: mixId, day, ratio: manner.mix.ratio })
      this.#queries.setMix.run({ wearId, mixId })
    }
    return ok({ words: words || `The same ${counted(items.length, 'item')}`, answer: { worn: this.wornOn(day) } })
  }

  /** A paper sheet at once: every ticked day of every item, on top of what is there, less what was ticked by mistake. */
  typeIn(body: z.output<typeof TypeInSheet>): Outcome<Done<{ added: number; removed: number }>> {
    const ids = body.rows.map((row) => row.itemId)
    const items = new Map(this.services.stock.facts(ids, this.services.today()).map((item) => [item.id, item]))
    let added = 0
    let removed = 0
    for (const { itemId, days, unticked } of body.rows) {
      const item = items.get(itemId)
      if (!item) return fail('unknown-item', { value: itemId })
      for (const day of [...new Set(days)].sort()) {
        const wrong = this.#refusal(item, day, body.despite)
        if (wrong) return wrong
        if (this.#queries.wear.get({ itemId, day })) continue
        this.#put(item, day, null)
        added += 1
      }
      for (const day of new Set(unticked)) {
        if (days.includes(day) || !this.#queries.wear.get({ itemId, day })) continue
        this.#take(itemId, day)
        removed += 1
      }
    }
    const less = removed === 0 ? '' : `, ${counted(removed, 'use')} removed`
    return ok({ words: `Filled in from paper: ${counted(added, 'use')}${less}`, answer: { added, removed } })
  }

  /** How it was worn: as what, how much, how it felt. */
  setDetails(body: z.output<typeof SetWearDetails>): WornAnswer {
    const wear = this.#queries.wear.get({ itemId: body.itemId, day: body.day })
    if (!wear) return fail('not-worn', { value: body.itemId })
    if (body.usedAs !== null && !this.#queries.category.get(body.usedAs))
      return fail('unknown-category', { value: body.usedAs })
    if (wear.version !== body.version)
      return fail('stale', {
        current: JSON.stringify(this.wornOn(body.day).find((each) => each.itemId === body.itemId) ?? null),
      })
    const { usedAs, amount, amountUnit, felt } = body
    this.#queries.setDetails.run({ id: wear.id, usedAs, amount, amountUnit, felt: felt === '' ? null : felt })
    this.#noLongerWithout(body.day)
    return ok({ words: 'Recorded how it was worn', answer: { worn: this.wornOn(body.day) } })
  }

  setMix(body: z.output<typeof SetMix>): WornAnswer {
    const ids = [...new Set(body.itemIds)]
    if (ids.length < 2) return fail('mix-of-one', { value: ids.join(', ') })
    const other = this.#queries.mix.get(body.mixId)
    if (other && other.day !== body.day) return fail('id-taken', { value: body.mixId })
    const wears = ids.map((itemId) => this.#queries.wear.get({ itemId, day: body.day }))
    if (wears.some((wear) => wear === undefined)) return fail('not-worn', { value: ids.join(', ') })
    this.#queries.addMix.run({ id: body.mixId, day: body.day, ratio: body.ratio })
    for (const wear of wears) if (wear) this.#queries.setMix.run({ wearId: wear.id, mixId: body.mixId })
    return ok({ words: `Mixed ${body.ratio}`, answer: { worn: this.wornOn(body.day) } })
  }

  /** Both of a pair ticked and mixed in its ratio, each with its amount. */
  wearMixed({ pairId, day, mixId, changeId }: z.output<typeof WearMixed>): WornAnswer {
    const pair = this.#queries.recipe.get(pairId)
    if (!pair || pair.item_amount === null || pair.other_amount === null || pair.amount_unit === null)
      return fail('no-recipe', { value: pairId })
    const things = [
      { itemId: pair.item_id, amount: pair.item_amount },
      { itemId: pair.other_item_id, amount: pair.other_amount },
    ]
    for (const { itemId, amount } of things) {
      const item = this.services.stock.one(itemId, this.services.today())
      if (!item) return fail('unknown-item', { value: itemId })
      const wrong = this.#refusal(item, day, false)
      if (wrong) return wrong
      // Shades that are ticked already stay ticked.
      this.#queries.setAmount.run({ id: this.#put(item, day, null), amount, amountUnit: pair.amount_unit })
    }
    const ratio = `${pair.item_amount} to ${pair.other_amount} ${pair.amount_unit}`
    return this.setMix({ changeId, mixId, day, itemIds: things.map((each) => each.itemId), ratio })
  }

  setNoMakeup(day: Day, noMakeup: boolean): Outcome<Done<{ noMakeup: boolean }>> {
    if (day > this.services.today()) return fail('day-in-future', { value: day })
    const count = this.#queries.makeupWornOn.get(day)?.n ?? 0
    if (noMakeup && count > 0) return fail('makeup-worn', { count })
    this.#queries.setNoMakeup.run({ day, noMakeup: noMakeup ? 1 : 0 })
    return ok({ words: noMakeup ? 'No makeup' : 'No makeup taken off', answer: { noMakeup } })
  }

  /** What nobody wrote down was either without makeup, day by day, or is not known and is left out of every rate. */
  sayOfSilence(body: z.output<typeof SayOfSilence>): Outcome<Done<{ days: number }>> {
    const { id, earliest, latest } = body
    if (latest >= this.services.today()) return fail('day-in-future', { value: latest })
    const asked = this.services.stock.days.silent(this.services.today())
    if (asked === null || earliest < asked.earliest || latest > asked.latest)
      return fail('not-silent', { value: earliest })
    const days = this.services.stock.days.atHome({ earliest, latest })
    if (body.said === 'not written down') this.#queries.addUnwritten.run({ id, earliest, latest })
    else for (const day of days) this.#queries.setNoMakeup.run({ day, noMakeup: 1 })
    const what = body.said === 'no makeup' ? 'no makeup' : 'not written down'
    return ok({ words: `${dayMark(earliest)} to ${dayMark(latest)}: ${what}`, answer: { days: days.length } })
  }

  wornOn(day: Day): Worn[] {
    const rows = this.#queries.wornOn.all(day)
    const mixes = new Map(
      rows.some((row) => row.mix_id !== null) ? this.#queries.mixesOn.all(day).map((mix) => [mix.id, mix.ratio]) : [],
    )
    return rows.map((row) => ({
      itemId: row.item_id,
      partIds: JSON.parse(row.parts) as string[],
      usedAs: row.used_as,
      amount: row.amount,
      amountUnit: row.amount_unit,
      felt: row.felt,
      version: row.version,
      mix:
        row.mix_id === null
          ? null
          : {
              id: row.mix_id,
              ratio: mixes.get(row.mix_id) ?? '',
              itemIds: rows.filter((other) => other.mix_id === row.mix_id).map((other) => other.item_id),
            },
    }))
  }

  #mannersLike(like: NonNullable<z.output<typeof SetLook>['like']>): Map<string, Manner> {
    if (like.kind === 'face')
      return new Map(
        this.#queries.lookItems
          .all(like.id)
          .map((row) => [
            row.item_id,
            { partIds: JSON.parse(row.part_ids) as string[], usedAs: row.used_as, mix: null },
          ]),
      )
    return new Map(
      this.wornOn(like.day).map((each) => [
        each.itemId,
        {
          partIds: each.partIds,
          usedAs: each.usedAs,
          mix: each.mix === null ? null : { key: each.mix.id, ratio: each.mix.ratio },
        },
      ]),
    )
  }

  #future(day: Day): Refusal | null {
    return day > this.services.today() ? fail('day-in-future', { value: day }) : null
  }

  /** Before it came or after it left is asked about; with `despite` the user's tick stands, and the record gives way. */
  #refusal(item: ItemFacts, day: Day, despite: boolean): Refusal | null {
    const future = this.#future(day)
    if (future || despite) return future
    const name = itemMark(item)
    if (item.endedOn !== null && day > item.endedOn) return fail('item-gone', { value: day, name, day: item.endedOn })
    if (item.acquired !== null && day < item.acquired.earliest)
      return fail('worn-before-it-came', { value: day, name, day: item.acquired.earliest })
    return null
  }

  /** `partIds` null leaves the shades of a wear that is there as they are. Gives the id of the wear. */
  #put(item: ItemFacts, day: Day, partIds: readonly string[] | null): string {
    const there = this.#queries.wear.get({ itemId: item.id, day })
    const wearId = there?.id ?? this.services.newId()
    if (!there) this.#queries.addWear.run({ id: wearId, itemId: item.id, day })
    if (partIds !== null) this.#setParts(wearId, partIds)
    if (item.acquired !== null && day < item.acquired.earliest) this.#queries.cameBy.run({ id: item.id, day })
    if (item.endedOn !== null && day > item.endedOn) this.#queries.endedBy.run({ id: item.id, day })
    if (item.makeup) this.#noLongerWithout(day)
    return wearId
  }

  /** What counts as makeup may have changed: a day of no makeup on which some is ticked now is no longer one. */
  laterWordHolds(): void {
    this.#queries.laterWordHolds.run()
  }

  /** "No makeup" and a ticked lipstick contradict each other; the later word holds. */
  #noLongerWithout(day: Day): void {
    if ((this.#queries.dayRecord.get(day)?.no_makeup ?? 0) === 0) return
    if ((this.#queries.makeupWornOn.get(day)?.n ?? 0) > 0) this.#queries.setNoMakeup.run({ day, noMakeup: 0 })
  }

  #setParts(wearId: string, partIds: readonly string[]): void {
    const now = this.#queries.wornParts.all(wearId).map((row) => row.part_id)
    for (const partId of now) if (!partIds.includes(partId)) this.#queries.dropPart.run({ wearId, partId })
    for (const partId of new Set(partIds))
      if (!now.includes(partId)) this.#queries.addPart.run({ id: this.services.newId(), wearId, partId })
  }

  #take(itemId: string, day: Day): void {
    const there = this.#queries.wear.get({ itemId, day })
    if (!there) return
    this.#queries.dropParts.run(there.id)
    this.#queries.dropFeelings.run(there.id)
    this.#queries.dropWear.run(there.id)
  }
}
