import { callOf } from '#core/item/naming'
import type { z } from 'zod'
import { ruleStanding, type RuleStanding } from '#core/decide/buying'
import type { AddRule, RuleView } from '#contract/buying'
import type { Answer } from '../db/journal.js'
import { fail, ok } from '../failing.js'
import { buyingQueries, type ExceptionRow, type RuleRow } from './queries.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'

export class BuyingRules {
  readonly #queries

  constructor(private readonly services: Context & { stock: Stock }) {
    this.#queries = buyingQueries(services.db)
  }

  all(): RuleView[] {
    const came = this.#queries.came.all()
    const bought = came.filter(({ source }) => source === 'bought')
    const finished = this.#queries.finished.all().map(({ category_id: categoryId, day }) => ({ categoryId, day }))
    const exceptions = this.#queries.exceptions.all()
    const today = this.services.today()
    return this.#queries.rules.all().map((row) => {
      const own = exceptions.filter((each) => each.buying_rule_id === row.id)
      const standing = ruleStanding(
        {
          from: row.from_day,
          to: row.to_day,
          most: row.most,
          categoryId: row.category_id,
          sparesReplacements: row.spares_replacements === 1,
          exceptions: own.map((each) => ({ categoryId: each.category_id, most: each.most })),
        },
        bought.map(({ id, category_id: categoryId, earliest, latest }) => ({ id, categoryId, earliest, latest })),
        finished,
        today,
      )
      const unsaid = came.filter(
        (each) =>
          each.source === null &&
          each.earliest >= row.from_day &&
          each.latest <= row.to_day &&
          (row.category_id === null || each.category_id === row.category_id),
      )
      return this.#view(row, standing, own, unsaid.length)
    })
  }

  add(body: z.output<typeof AddRule>): Answer {
    const { id, from, to, most, categoryId, sparesReplacements, exceptions, words } = body
    if (this.#queries.rule.get(id)) return fail('id-taken', { value: id })
    const categories = [...(categoryId === null ? [] : [categoryId]), ...exceptions.map((each) => each.categoryId)]
    const unknown = categories.find((each) => !this.#queries.category.get(each))
    if (unknown !== undefined) return fail('unknown-category', { value: unknown })
    if (new Set(exceptions.map((each) => each.categoryId)).size < exceptions.length) return fail('exception-twice')
    this.#queries.addRule.run({ id, from, to, most, categoryId, spares: sparesReplacements ? 1 : 0, words })
    for (const each of exceptions) {
      if (this.#queries.exception.get(each.id)) return fail('id-taken', { value: each.id })
      this.#queries.addException.run({ ...each, ruleId: id })
    }
    return ok({ words: most === 0 ? 'Set a no-buy' : `Set a low-buy of ${most}`, answer: { id } })
  }

  drop(id: string): Answer {
    if (!this.#queries.rule.get(id)) return fail('unknown-rule', { value: id })
    this.#queries.dropExceptions.run(id)
    this.#queries.dropRule.run(id)
    return ok({ words: 'Removed a no-buy', answer: { id } })
  }

  #view(row: RuleRow, standing: RuleStanding, exceptions: readonly ExceptionRow[], sourceUnknown: number): RuleView {
    const items = this.services.stock.facts(standing.counted, this.services.today())
    const byId = new Map(items.map((item) => [item.id, item]))
    return {
      id: row.id,
      from: row.from_day,
      to: row.to_day,
      most: row.most,
      category: row.category,
      sparesReplacements: row.spares_replacements === 1,
      words: row.words,
      state: standing.state,
      counted: standing.counted.flatMap((itemId) => {
        const item = byId.get(itemId)
        return item?.acquired ? [{ itemId, mark: callOf(item), day: item.acquired.latest }] : []
      }),
      excepted: standing.excepted.length,
      replacing: standing.replacing.length,
      unsure: standing.unsure.length,
      sourceUnknown,
      left: standing.left,
      exceptions: exceptions.map(({ category_id: categoryId, category, words, most }) => ({
        categoryId,
        category,
        words,
        most,
        left: standing.exceptionsLeft.find((each) => each.categoryId === categoryId)?.left ?? 0,
      })),
      daysLeft: standing.daysLeft,
    }
  }
}
