import { callOf } from '#core/item/naming'
import type { z } from 'zod'
import { daysBetween, type Day } from '#core/calendar/day'
import { lessonsShown, lessonsToOffer, type ShownLesson } from '#core/decide/lessons'
import { wornForColour } from '#core/decide/twins'
import type { KeepLesson, LessonShown, LessonsAnswer, LessonView } from '#contract/buying'
import type { Answer } from '../db/journal.js'
import { fail, ok, type Outcome } from '../failing.js'
import { knownUses } from '../stock/item-facts.js'
import { buyingQueries, type LessonRow } from './queries.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'
import type { GatheringEvidence } from '../decide/evidence.js'
import type { LookingBack } from '../forecast/looking-back.js'

export class Lessons {
  readonly #queries

  constructor(
    private readonly services: Context & { stock: Stock; evidence: GatheringEvidence; lookingBack: LookingBack },
  ) {
    this.#queries = buyingQueries(services.db)
  }

  all(): LessonsAnswer {
    const shown = this.#shown()
    const views = this.#queries.lessons.all().map((row) => this.#view(row, shown))
    return {
      today: this.services.today(),
      kept: views.filter(({ struckOn }) => struckOn === null),
      struck: views.filter(({ struckOn }) => struckOn !== null),
      offered: this.#offered(shown),
    }
  }

  /** The lessons that bear on a category: about it, about everything, or of the user's own with no category. */
  bearingOn(categoryId: string): LessonView[] {
    const shown = this.#shown()
    const categories = new Set(this.#queries.categoryNames.all().map(({ id }) => id))
    return this.#queries.lessons
      .all()
      .filter((row) => row.struck_on === null)
      .filter((row) => {
        const about = row.category_id ?? (row.about !== null && categories.has(row.about) ? row.about : null)
        return about === categoryId || (about === null && row.item_id === null)
      })
      .map((row) => this.#view(row, shown))
  }

  keep(body: z.output<typeof KeepLesson>): Answer {
    const { id, words, promptedBy, rule, about, itemId, categoryId, struck, span } = body
    const spanned = { spanFrom: span?.from ?? null, spanTo: span?.to ?? null }
    const today = this.services.today()
    const struckOn = struck ? today : null
    if (itemId !== null && !this.services.stock.one(itemId, today)) return fail('unknown-item', { value: itemId })
    if (categoryId !== null && !this.#queries.category.get(categoryId))
      return fail('unknown-category', { value: categoryId })
    const said = struck ? 'Removed a lesson' : 'Added a lesson'
    if (rule !== null && about !== null) {
      const count = this.#shown().find((each) => each.rule === rule && each.about === about)?.count ?? 0
      const there = this.#queries.lessonAbout.get({ rule, about })
      if (there) {
        if (there.struck_on === null && !struck) return fail('lesson-known')
        this.#queries.keepAgain.run({ id: there.id, words, count, keptOn: today, struckOn })
        return ok({ words: said, answer: { id: there.id } })
      }
      if (this.#queries.lesson.get(id)) return fail('id-taken', { value: id })
      this.#queries.addLesson.run({
        id,
        words,
        promptedBy,
        rule,
        about,
        count,
        itemId,
        categoryId,
        keptOn: today,
        struckOn,
        ...spanned,
      })
      return ok({ words: said, answer: { id } })
    }
    if (this.#queries.lesson.get(id)) return fail('id-taken', { value: id })
    const none = { rule: null, about: null, count: null }
    this.#queries.addLesson.run({
      id,
      words,
      promptedBy,
      ...none,
      itemId,
      categoryId,
      keptOn: today,
      struckOn,
      ...spanned,
    })
    return ok({ words: said, answer: { id } })
  }

  /** One that comes with another act: at a finale, a verdict or an empty. */
  learn(
    learned: { readonly id: string; readonly words: string },
    promptedBy: 'finale' | 'verdict' | 'empty',
    about: { readonly itemId: string; readonly categoryId: string } | null,
  ): Outcome<unknown> {
    if (this.#queries.lesson.get(learned.id)) return fail('id-taken', { value: learned.id })
    const none = { rule: null, about: null, count: null, struckOn: null, spanFrom: null, spanTo: null }
    const on = { itemId: about?.itemId ?? null, categoryId: about?.categoryId ?? null }
    this.#queries.addLesson.run({ ...learned, promptedBy, ...none, ...on, keptOn: this.services.today() })
    return ok(null)
  }

  strike(id: string, struck: boolean): Answer {
    if (!this.#queries.lesson.get(id)) return fail('unknown-lesson', { value: id })
    this.#queries.strike.run({ id, day: struck ? this.services.today() : null })
    return ok({ words: struck ? 'Removed a lesson' : 'Took up a lesson again', answer: { id } })
  }

  #offered(shown: readonly ShownLesson[]): LessonShown[] {
    const known = this.#queries.lessons
      .all()
      .flatMap(({ rule, about, count, struck_on: struckOn }) =>
        rule === null || about === null ? [] : [{ rule, about, count: count ?? 0, struck: struckOn !== null }],
      )
    return lessonsToOffer(shown, known).map((each) => this.#told(each))
  }

  #view(row: LessonRow, shown: readonly ShownLesson[]): LessonView {
    const item = row.item_id === null ? null : this.services.stock.one(row.item_id, this.services.today())
    const now = shown.find(({ rule, about }) => rule === row.rule && about === row.about)
    return {
      id: row.id,
      words: row.words,
      promptedBy: row.prompted_by,
      keptOn: row.kept_on,
      struckOn: row.struck_on,
      span: row.span_from && row.span_to ? { from: row.span_from, to: row.span_to } : null,
      item: item ? { itemId: item.id, mark: callOf(item) } : null,
      categoryId: row.category_id,
      shown: now ? this.#told(now) : null,
      noLonger: row.rule !== null && now === undefined,
    }
  }

  #told(each: ShownLesson): LessonShown {
    const name = this.#queries.categoryNames.all().find(({ id }) => id === each.about)?.name
    return { ...each, aboutWords: name ?? each.about }
  }

  #shown(): ShownLesson[] {
    const { items, byId, twins, today } = this.services.evidence.all()
    /** What nobody knows the coming of was there from the start. */
    const wasThere = (id: string, before: Day): boolean => (byId.get(id)?.acquired?.latest ?? '') < before
    const rows = this.#queries.endings.all()
    const ended = new Map(
      this.services.stock
        .facts(
          rows.map((row) => row.id),
          today,
        )
        .map((item) => [item.id, item]),
    )
    const first = this.#queries.loggedSince.get()?.day ?? today
    const { guesses } = this.services.lookingBack.all()
    const idOf = new Map(this.#queries.categoryNames.all().map(({ id, name }) => [name, id]))
    return lessonsShown({
      logDays: daysBetween(first, today),
      endings: rows.flatMap((row) => {
        const item = ended.get(row.id)
        if (!item) return []
        const { within } = item.opening
        const known =
          item.endedOn !== null && !item.endedRoughly && within !== null && within.earliest === within.latest
        const days = known && item.endedOn !== null ? daysBetween(within.earliest, item.endedOn) : null
        const { category_id: categoryId, maker, how, again } = row
        return [{ categoryId, maker, how, again, uses: knownUses(item), days }]
      }),
      owned: items.map((item) => ({
        categoryId: item.categoryId,
        source: item.source,
        uses: knownUses(item),
        daysHere: item.acquired === null ? null : daysBetween(item.acquired.latest, today),
        hasTwin:
          wornForColour(item.wornType) &&
          item.acquired !== null &&
          twins(item.id).some(({ id }) => wasThere(id, item.acquired?.earliest ?? today)),
      })),
      guesses: [
        { about: '', finished: guesses.all.finished, factor: guesses.all.factor, short: guesses.all.runsShort },
        ...guesses.categories.map(({ category, factor }) => ({
          about: idOf.get(category) ?? category,
          finished: factor.finished,
          factor: factor.factor,
          short: factor.runsShort,
        })),
      ],
    })
  }
}
