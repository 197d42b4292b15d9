import type { z } from 'zod'
import { addDays, daysBetween, type Day } from '#core/calendar/day'
import { countFelt, type Felt } from '#core/decide/feelings'
import { MOST_PICKED, proposePicks, type PickEnding } from '#core/decide/stash-pick'
import { NEGLECTED_DAYS } from '#core/plan/reasons'
import { seasonOn } from '#core/item/traits'
import { isInDate, isSpoiled } from '#core/shelf-life/last-good-day'
import { counted } from '#core/words/counted'
import { itemMark } from '#core/words/told'
import type { EndPick, PickView, StartPick, StashAnswer } from '#contract/deciding'
import type { Answer } from '../db/journal.js'
import { type Db, preparing } from '../db/query.js'
import { fail, ok } from '../failing.js'
import { listedOf, summaryOf } from '../stock/item-facts.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'
import type { Drawer } from '../drawer/drawer.js'
import type { Decide } from './decide.js'
import type { GatheringEvidence } from './evidence.js'

/** More of them than the user picks, so that there is something to choose from. */
const PROPOSED = MOST_PICKED
/** Enough to know, and a month to do it in: what goes on trial after a pick. Common practice, no source. */
const TRIAL = { wears: 5, days: 30 } as const
const PICKS_SHOWN = 12

export class Stash {
  readonly #queries

  constructor(
    private readonly services: Context & { stock: Stock; drawer: Drawer; decide: Decide; evidence: GatheringEvidence },
  ) {
    this.#queries = stashQueries(services.db)
  }

  all(): StashAnswer {
    const today = this.services.today()
    const [running] = this.#queries.running.all()
    return {
      today,
      now: running ? this.#view(running, today) : null,
      ...(running ? { proposed: [], withItems: [] } : this.#proposed(today)),
      before: this.#queries.over.all(PICKS_SHOWN).map((row) => this.#view(row, today)),
    }
  }

  /** Each lies beside the drawer while it lasts; what lies in it already stays where it is. */
  start({ id, to, items }: z.output<typeof StartPick>): Answer {
    const today = this.services.today()
    if (this.#queries.running.get()) return fail('pick-running')
    if (this.#queries.one.get(id)) return fail('id-taken', { value: id })
    if (to <= today) return fail('pick-ends-in-past', { value: to })
    this.#queries.add.run({ id, from: today, to })
    for (const each of items) {
      const item = this.services.stock.one(each.itemId, today)
      if (!item) return fail('unknown-item', { value: each.itemId })
      if (item.endedOn !== null) return fail('item-ended', { name: itemMark(item) })
      if (item.setAside === 'keepsake') return fail('is-keepsake', { name: itemMark(item) })
      if (this.#queries.item.get(each.id)) return fail('id-taken', { value: each.id })
      const laid = item.placement === null
      if (laid) {
        const placed = this.services.drawer.place(each.placementId, item.id, item.homeZoneId, true)
        if (!placed.ok) return placed
      }
      this.#queries.addItem.run({ id: each.id, pickId: id, itemId: item.id, laid: laid ? 1 : 0 })
    }
    return ok({ words: `Shopping the stash: ${counted(items.length, 'item')}`, answer: { id } })
  }

  /** Each goes back, stays in the drawer or goes on trial; what ended meanwhile is passed over. */
  end(pickId: string, body: z.output<typeof EndPick>): Answer {
    const today = this.services.today()
    const pick = this.#queries.one.get(pickId)
    if (!pick) return fail('unknown-pick', { value: pickId })
    if (pick.closed_on !== null) return fail('pick-over')
    const said = new Map(body.endings.map((each) => [each.itemId, each]))
    for (const row of this.#queries.itemsOf.all(pickId)) {
      const item = this.services.stock.one(row.item_id, today)
      if (!item || item.endedOn !== null) continue
      const each = said.get(row.item_id)
      const ending: PickEnding = each?.ending ?? 'goes back'
      this.#queries.endItem.run({ id: row.id, ending })
      if (ending === 'goes back' && row.laid === 1 && item.placement?.beside === true) {
        const out = this.services.drawer.takeOut(item.id, today)
        if (!out.ok) return out
      }
      if (ending === 'goes on trial' && each && !item.onTrial) {
        const { changeId } = body
        const trial = { trialId: each.trialId, itemId: item.id, wearsWanted: TRIAL.wears, question: '' }
        const started = this.services.decide.startTrial({ changeId, ...trial, dueOn: addDays(today, TRIAL.days) })
        if (!started.ok) return started
      }
    }
    this.#queries.close.run({ id: pickId, day: today })
    return ok({ words: 'Ended shopping the stash', answer: { id: pickId } })
  }

  #view(row: PickRow, today: Day): PickView {
    const rows = this.#queries.itemsOf.all(row.id)
    const items = new Map(
      this.services.stock
        .facts(
          rows.map((each) => each.item_id),
          today,
        )
        .map((item) => [item.id, item]),
    )
    const until = row.closed_on ?? today
    return {
      id: row.id,
      from: row.from_day,
      to: row.to_day,
      closedOn: row.closed_on,
      daysLeft: daysBetween(today, row.to_day),
      items: rows.flatMap(({ item_id: itemId, ending }) => {
        const item = items.get(itemId)
        if (!item) return []
        const span = { itemId, from: row.from_day, to: until }
        const before = this.#queries.lastBefore.get(span)?.day ?? null
        return [
          {
            item: summaryOf(item),
            wears: this.#queries.wears.get(span)?.n ?? 0,
            felt: countFelt(this.#queries.felt.all(span).map((each) => each.felt)),
            ending,
            unwornBefore: before === null ? null : daysBetween(before, row.from_day),
          },
        ]
      }),
    }
  }

  #proposed(today: Day): Pick<StashAnswer, 'proposed' | 'withItems'> {
    const { items, byId, known } = this.services.evidence.all()
    const season = seasonOn(today, this.services.settings().hemisphere)
    const pairs = this.#queries.pairs.all()
    const partners = (id: string, verdict: string): string[] =>
      pairs.flatMap((pair) =>
        pair.verdict !== verdict
          ? []
          : pair.item_id === id
            ? [pair.other_item_id]
            : pair.other_item_id === id
              ? [pair.item_id]
              : [],
      )
    const inDrawer = new Set(items.filter((item) => item.placement !== null).map((item) => item.id))
    const candidates = items.filter(
      (item) =>
        item.lifecycle === 'open' &&
        item.makeup &&
        item.placement === null &&
        item.goal === null &&
        !item.onTrial &&
        item.setAside === null &&
        (item.lastWorn !== null || known(item) >= NEGLECTED_DAYS) &&
        isInDate(item.shelfLife) &&
        !(isSpoiled(item.shelfLife) && item.eye),
    )
    const picks = proposePicks(
      candidates.map((item) => ({
        itemId: item.id,
        kind: item.wornAsId,
        liking: item.liking,
        shelfLife: item.shelfLife,
        seasons: item.seasons,
        lastWorn: item.lastWorn,
        since: addDays(today, -known(item)),
        inDrawer: false,
        works: partners(item.id, 'works'),
        fights: partners(item.id, 'fights'),
      })),
      PROPOSED,
      { today, season, inDrawer },
    )
    const others = picks.flatMap(({ reasons }) =>
      reasons.flatMap((reason) => (reason.code === 'goes-with' ? [reason.withItemId] : [])),
    )
    return {
      proposed: picks.flatMap(({ itemId, reasons }) => {
        const item = byId.get(itemId)
        return item ? [{ item: summaryOf(item), reasons: [...reasons] }] : []
      }),
      withItems: others.flatMap((id) => byId.get(id) ?? []).map(listedOf),
    }
  }
}

interface PickRow {
  id: string
  from_day: Day
  to_day: Day
  closed_on: Day | null
}
interface WithinPick {
  itemId: string
  from: Day
  to: Day
}

export function stashQueries(db: Db) {
  const sql = preparing(db)
  return {
    running: sql<[], PickRow>('SELECT id, from_day, to_day, closed_on FROM stash_pick WHERE closed_on IS NULL'),
    over: sql<[number], PickRow>(
      'SELECT id, from_day, to_day, closed_on FROM stash_pick WHERE closed_on IS NOT NULL ORDER BY closed_on DESC, rowid DESC LIMIT ?',
    ),
    one: sql<[string], { closed_on: Day | null }>('SELECT closed_on FROM stash_pick WHERE id = ?'),
    item: sql<[string], { id: string }>('SELECT id FROM stash_pick_item WHERE id = ?'),
    itemsOf: sql<[string], { id: string; item_id: string; laid: 0 | 1; ending: PickEnding | null }>(
      'SELECT id, item_id, laid, ending FROM stash_pick_item WHERE stash_pick_id = ? ORDER BY rowid',
    ),
    add: sql<[{ id: string; from: Day; to: Day }]>(
      'INSERT INTO stash_pick (id, from_day, to_day) VALUES (@id, @from, @to)',
    ),
    addItem: sql<[{ id: string; pickId: string; itemId: string; laid: number }]>(
      'INSERT INTO stash_pick_item (id, stash_pick_id, item_id, laid) VALUES (@id, @pickId, @itemId, @laid)',
    ),
    endItem: sql<[{ id: string; ending: PickEnding }]>('UPDATE stash_pick_item SET ending = @ending WHERE id = @id'),
    close: sql<[{ id: string; day: Day }]>(
      'UPDATE stash_pick SET closed_on = max(@day, from_day), version = version + 1 WHERE id = @id',
    ),
    wears: sql<[WithinPick], { n: number }>(
      'SELECT count(*) AS n FROM wear WHERE item_id = @itemId AND day BETWEEN @from AND @to',
    ),
    felt: sql<[WithinPick], { felt: Felt }>(`
      SELECT f.felt FROM feeling f JOIN wear w ON w.id = f.wear_id
       WHERE w.item_id = @itemId AND w.day BETWEEN @from AND @to AND f.aspect = 'in all'`),
    lastBefore: sql<[WithinPick], { day: Day | null }>(
      'SELECT max(day) AS day FROM wear WHERE item_id = @itemId AND day < @from',
    ),
    pairs: sql<[], { item_id: string; other_item_id: string; verdict: string }>(
      'SELECT item_id, other_item_id, verdict FROM pair',
    ),
  }
}
