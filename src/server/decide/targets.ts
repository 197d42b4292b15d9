import { groupBy } from '#core/lists/grouping'
import { callOf } from '#core/item/naming'
import type { z } from 'zod'
import type { Day } from '#core/calendar/day'
import { supplyOf } from '#core/forecast/supply'
import { keepOrder, stockOn, targetStanding, type Span } from '#core/decide/target'
import type { SetTarget, TargetsAnswer, TargetView } from '#contract/deciding'
import type { Answer } from '../db/journal.js'
import { type Db, preparing } from '../db/query.js'
import { fail, ok } from '../failing.js'
import { summaryOf, type ItemFacts } from '../stock/item-facts.js'
import { keepFactsOf } from './comparing.js'
import { doubtView } from './doubting.js'
import type { Evidence, GatheringEvidence } from './evidence.js'
import type { Context } from '../context.js'
import type { Supplying } from '../forecast/supplying.js'

/** So many of a category by a day: what it takes, which to keep first, and how it went month by month. */
export class Targets {
  readonly #queries

  constructor(private readonly services: Context & { evidence: GatheringEvidence; supplying: Supplying }) {
    this.#queries = targetQueries(services.db)
  }

  all(): TargetsAnswer {
    const evidence = this.services.evidence.all()
    const { today } = evidence
    const groups = groupBy(evidence.items, ({ categoryId }) => categoryId)
    const rows = this.#queries.all.all()
    const targeted = new Set(rows.map((row) => row.category_id))
    return {
      today,
      targets: rows.map((row) => this.#view(row, groups.get(row.category_id) ?? [], evidence)),
      others: [...groups]
        .filter(([id]) => !targeted.has(id))
        .map(([categoryId, own]) => ({ categoryId, category: own[0]?.category ?? '', items: own.length }))
        .sort((a, b) => b.items - a.items || (a.category < b.category ? -1 : 1)),
    }
  }

  /** One for each category: the later word holds, and the months go on from when it was first set. */
  set(body: z.output<typeof SetTarget>): Answer {
    const today = this.services.today()
    const category = this.#queries.category.get(body.categoryId)
    if (!category) return fail('unknown-category', { value: body.categoryId })
    if (body.by <= today) return fail('target-in-past', { value: body.by })
    const now = stockOn(this.#spans(body.categoryId), today)
    if (body.items > now) return fail('target-above-stock', { value: body.items, count: now })
    const other = this.#queries.one.get(body.id)
    if (other && other.category_id !== body.categoryId) return fail('id-taken', { value: body.id })
    const { id, categoryId, items, by } = body
    this.#queries.put.run({ id, categoryId, items, by, setOn: today })
    return ok({ words: `${category.name}: ${items} by then`, answer: { id } })
  }

  drop(id: string): Answer {
    if (!this.#queries.one.get(id)) return fail('unknown-target', { value: id })
    this.#queries.drop.run(id)
    return ok({ words: 'Removed a target', answer: { id } })
  }

  #spans(categoryId: string): Span[] {
    return this.#queries.spans.all(categoryId).map(({ came, ended_on: to, ended_as: how }) => ({ from: came, to, how }))
  }

  #view(row: TargetRow, own: readonly ItemFacts[], evidence: Evidence): TargetView {
    const { today } = evidence
    const standing = targetStanding({
      items: row.items,
      by: row.by_day,
      setOn: row.set_on,
      today,
      spans: this.#spans(row.category_id),
    })
    const byId = new Map(own.map((item) => [item.id, item]))
    const inOrder = keepOrder(own.map((item) => keepFactsOf(item, evidence))).flatMap(({ id }) => byId.get(id) ?? [])
    const pace = this.services.supplying.paceOf(row.category_id, today)
    const yearsOf = (kept: readonly ItemFacts[]): number | null =>
      pace === null ? null : supplyOf(this.services.supplying.stockOf(kept, today), pace).years
    return {
      id: row.id,
      categoryId: row.category_id,
      category: row.category,
      items: row.items,
      by: row.by_day,
      setOn: row.set_on,
      ...standing,
      months: [...standing.months],
      years: yearsOf(own),
      yearsAtTarget: yearsOf(inOrder.slice(0, row.items)),
      keepFirst: inOrder.map((item) => {
        const [twin] = evidence.twins(item.id)
        const other = twin && evidence.byId.get(twin.id)
        return {
          item: summaryOf(item),
          worn: evidence.worn(item.id),
          twin: other ? callOf(other) : null,
          doubts: evidence.doubts(item).map((doubt) => doubtView(doubt, evidence.byId)),
        }
      }),
    }
  }
}

interface TargetRow {
  id: string
  category_id: string
  category: string
  items: number
  by_day: Day
  set_on: Day
}

export function targetQueries(db: Db) {
  const sql = preparing(db)
  return {
    all: sql<[], TargetRow>(`
      SELECT t.id, t.category_id, c.name AS category, t.items, t.by_day, t.set_on
        FROM target t JOIN category c ON c.id = t.category_id ORDER BY t.by_day, c.position`),
    one: sql<[string], { category_id: string }>('SELECT category_id FROM target WHERE id = ?'),
    category: sql<[string], { name: string }>('SELECT name FROM category WHERE id = ?'),
    put: sql<[{ id: string; categoryId: string; items: number; by: Day; setOn: Day }]>(`
      INSERT INTO target (id, category_id, items, by_day, set_on) VALUES (@id, @categoryId, @items, @by, @setOn)
      ON CONFLICT (category_id) DO UPDATE SET items = excluded.items, by_day = excluded.by_day, version = version + 1`),
    drop: sql<[string]>('DELETE FROM target WHERE id = ?'),
    /** Everything that ever was of a category, but keepsakes: since when, until when, and how it ended. */
    spans: sql<[string], { came: Day | null; ended_on: Day | null; ended_as: Span['how'] }>(`
      SELECT i.acquired_latest AS came, i.ended_on, i.ended_as FROM item i
       WHERE i.category_id = ? AND NOT EXISTS (SELECT 1 FROM set_aside a WHERE a.item_id = i.id AND a.kind = 'keepsake')`),
  }
}
