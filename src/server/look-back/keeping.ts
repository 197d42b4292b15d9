import type { z } from 'zod'
import { dayMark } from '#core/words/told'
import type { PutSpan, PutSpanWords, SpansAnswer } from '#contract/look-back'
import type { Answer } from '../db/journal.js'
import { fail, ok } from '../failing.js'
import { lookBackQueries } from './queries.js'
import type { Context } from '../context.js'

export class KeptSpans {
  readonly #queries

  constructor(private readonly services: Context) {
    this.#queries = lookBackQueries(services.db)
  }

  all(): SpansAnswer {
    return {
      today: this.services.today(),
      logSince: this.#queries.logSince.get()?.day ?? null,
      spans: this.#queries.spans
        .all()
        .map(({ id, version, name, from_day: from, to_day: to }) => ({ id, version, name, from, to })),
      projects: this.#queries.projects
        .all()
        .map(({ id, name, started_on: from, closed_on: to }) => ({ id, name, from, to })),
    }
  }

  put({ id, version, name, from, to }: z.output<typeof PutSpan>): Answer {
    if (from > this.services.today()) return fail('span-ahead', { value: from })
    const there = this.#queries.span.get(id)
    if (!there) {
      if (version !== null) return fail('unknown-span', { value: id })
      this.#queries.addSpan.run({ id, name, from, to })
      return ok({ words: `Saved the period ${name}`, answer: { id } })
    }
    if (there.version !== version) return fail('stale', { current: JSON.stringify(there) })
    this.#queries.setSpan.run({ id, name, from, to })
    return ok({ words: `Changed the period ${name}`, answer: { id } })
  }

  drop(id: string): Answer {
    const there = this.#queries.span.get(id)
    if (!there) return fail('unknown-span', { value: id })
    this.#queries.dropSpan.run(id)
    return ok({ words: `Removed the period ${there.name}`, answer: { id } })
  }

  /** No words take back what was said. */
  putWords({ id, version, from, to, words }: z.output<typeof PutSpanWords>): Answer {
    const there = this.#queries.words.get({ from, to })
    if ((there?.version ?? null) !== version) return fail('stale', { current: JSON.stringify(there ?? null) })
    const span = `${dayMark(from)} to ${dayMark(to)}`
    if (there === undefined) {
      if (words === '') return ok({ words: `Said nothing of ${span}`, answer: { id } })
      if (this.#queries.wordsOf.get(id)) return fail('id-taken', { value: id })
      this.#queries.addWords.run({ id, from, to, words })
      return ok({ words: `Said how it felt, ${span}`, answer: { id } })
    }
    if (words === '') this.#queries.dropWords.run(there.id)
    else this.#queries.setWords.run({ id: there.id, words })
    const said = words === '' ? 'Undid how it felt' : 'Said how it felt'
    return ok({ words: `${said}, ${span}`, answer: { id: there.id } })
  }
}
