import type { z } from 'zod'
import { ok } from '../failing.js'
import { dayMark, yearlyMark } from '#core/words/told'
import type { Day } from '#core/calendar/day'
import type { AddAway, AddLowSeason, AddWearLess, StretchesAnswer } from '#contract/settings'
import { preparing, type Db } from '../db/query.js'
import type { Answer } from '../db/journal.js'
import type { Context } from '../context.js'

/** Days away and low seasons: when less makeup is worn than the week says. */
export class Stretches {
  readonly #queries

  constructor({ db }: Context) {
    this.#queries = stretchQueries(db)
  }

  all(): StretchesAnswer {
    return {
      away: this.#queries.away.all(),
      lowSeasons: this.#queries.lowSeasons.all(),
      wearLess: this.#queries.wearLess.all(),
    }
  }

  addAway(body: z.output<typeof AddAway>): Answer {
    this.#queries.addAway.run({ ...body })
    return ok({ words: `Away from ${dayMark(body.earliest)} to ${dayMark(body.latest)}`, answer: { id: body.id } })
  }

  dropAway(id: string): Answer {
    this.#queries.dropAway.run(id)
    return ok({ words: 'Not away after all', answer: { id } })
  }

  addLowSeason(body: z.output<typeof AddLowSeason>): Answer {
    this.#queries.addLowSeason.run({ ...body })
    return ok({
      words: `A low season from ${yearlyMark(body.from)} to ${yearlyMark(body.to)}`,
      answer: { id: body.id },
    })
  }

  addWearLess(body: z.output<typeof AddWearLess>): Answer {
    this.#queries.addWearLess.run({ ...body })
    return ok({ words: `Wearing less from ${dayMark(body.from)} on`, answer: { id: body.id } })
  }

  dropWearLess(id: string): Answer {
    this.#queries.dropWearLess.run(id)
    return ok({ words: 'Wearing as usual again', answer: { id } })
  }

  dropLowSeason(id: string): Answer {
    this.#queries.dropLowSeason.run(id)
    return ok({ words: 'Removed a low season', answer: { id } })
  }
}

export function stretchQueries(db: Db) {
  const sql = preparing(db)
  return {
    away: sql<[], { id: string; earliest: Day; latest: Day; words: string }>(
      'SELECT id, earliest, latest, words FROM away ORDER BY earliest DESC, id',
    ),
    addAway: sql(
      `INSERT INTO away (id, earliest, latest, words) VALUES (@id, @earliest, @latest, @words)
       ON CONFLICT (id) DO UPDATE SET earliest = @earliest, latest = @latest, words = @words, version = version + 1`,
    ),
    dropAway: sql<[string]>('DELETE FROM away WHERE id = ?'),
    lowSeasons: sql<[], { id: string; from: string; to: string; factor: number; words: string }>(
      'SELECT id, from_day AS "from", to_day AS "to", factor, words FROM low_season ORDER BY from_day, id',
    ),
    addLowSeason: sql(
      `INSERT INTO low_season (id, from_day, to_day, factor, words) VALUES (@id, @from, @to, @factor, @words)
       ON CONFLICT (id) DO UPDATE SET from_day = @from, to_day = @to, factor = @factor, words = @words, version = version + 1`,
    ),
    wearLess: sql<[], { id: string; from: Day; factor: number; words: string }>(
      'SELECT id, from_day AS "from", factor, words FROM wear_less ORDER BY from_day, id',
    ),
    addWearLess: sql(
      `INSERT INTO wear_less (id, from_day, factor, words) VALUES (@id, @from, @factor, @words)
       ON CONFLICT (id) DO UPDATE SET from_day = @from, factor = @factor, words = @words, version = version + 1`,
    ),
    dropWearLess: sql<[string]>('DELETE FROM wear_less WHERE id = ?'),
    dropLowSeason: sql<[string]>('DELETE FROM low_season WHERE id = ?'),
  }
}
