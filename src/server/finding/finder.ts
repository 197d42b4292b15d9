import MiniSearch from 'minisearch'
import { plainWords } from '#core/words/plain-words'
import type { FindAnswer, GoneItem } from '#contract/item'
import type { TouchedRow, Journal } from '../db/journal.js'
import { listedOf } from '../stock/item-facts.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'
import { ok } from '../failing.js'
import { read, type Route } from '../http/routes.js'
import { type Db, preparing } from '../db/query.js'

/** More letters than this are no search any more. */
const MOST_LETTERS = 200

export function findingRoutes({ finder }: { finder: Finder }): Route[] {
  return [read('/find', (_, query) => ok(finder.find(String(query['words'] ?? '').slice(0, MOST_LETTERS))))]
}

/** Columns of the tables whose rows hold words that can be looked for: each names the item it is of. */
const ITEM_OF: Readonly<Record<string, string>> = { item: 'id', part: 'item_id', review: 'item_id', verdict: 'item_id' }
/** A change of more rows than this is indexed anew as a whole, by whoever asks first. */
const MANY = 400
const FIELDS = ['maker', 'name', 'shade', 'category', 'notes', 'kept', 'parts', 'said']
/** Where a word counts more: the user looks for items by what they are called. Assumption. */
const BOOST = { shade: 4, name: 3, maker: 2, category: 2 }
/** A slip in a word of up to three letters is another word; from four on one letter in four may be wrong. Assumption. */
const SURE_LENGTH = 4
const TYPOS = 0.25
/** More that has gone is not shown at once. */
const MOST_GONE = 60

/** Finds items again by words: accents folded, small slips forgiven, notes and kept cells looked at, what has gone found too. */
export class Finder {
  readonly #queries
  #index: MiniSearch<FindableRow> | null = null
  /** What is in the index, by id: it takes a row out by its words. */
  readonly #indexed = new Map<string, FindableRow>()

  constructor(private readonly services: Context & { journal: Journal; stock: Stock }) {
    this.#queries = findingQueries(services.db)
    services.journal.listen((touched) => this.#forget(touched))
  }

  /** Ids of what is there, the closest first, and what has gone with how it ended. No words: nothing. */
  find(words: string): FindAnswer {
    const ids = this.#search(words)
    const present = new Set(this.services.stock.presentIds())
    const gone = ids.filter((id) => !present.has(id)).slice(0, MOST_GONE)
    return { ids: ids.filter((id) => present.has(id)), gone: this.#gone(gone) }
  }

  #search(words: string): string[] {
    const text = plainWords(words)
    if (text === '') return []
    this.#index ??= this.#built()
    return this.#index
      .search(text, {
        prefix: true,
        fuzzy: (term) => (term.length < SURE_LENGTH ? false : TYPOS),
        combineWith: 'AND',
        boost: BOOST,
      })
      .map((found) => String(found.id))
  }

  #built(): MiniSearch<FindableRow> {
    const index = new MiniSearch<FindableRow>({
      fields: FIELDS,
      tokenize: (text) => plainWords(text).split(' ').filter(Boolean),
      processTerm: (term) => term,
    })
    this.#indexed.clear()
    this.#take(index, this.#queries.findable.all())
    return index
  }

  #gone(ids: readonly string[]): GoneItem[] {
    const items = new Map(this.services.stock.facts(ids, this.services.today()).map((item) => [item.id, item]))
    const endings = new Map(this.#queries.endings.all(JSON.stringify(ids)).map((row) => [row.item_id, row]))
    return ids.flatMap((id) => {
      const [item, ending] = [items.get(id), endings.get(id)]
      return item && ending ? [{ item: listedOf(item), ...endingOf(ending) }] : []
    })
  }

  /** Takes the words of what a change touched into the index anew. */
  #forget(touched: readonly TouchedRow[]): void {
    const index = this.#index
    if (index === null) return
    if (touched.length > MANY || touched.some(({ tbl }) => tbl === 'category')) {
      this.#index = null
      return
    }
    const products = touched.flatMap(({ tbl, row_id: id }) => (tbl === 'product' ? [id] : []))
    const ids = new Set(this.#queries.ofProducts.all(JSON.stringify(products)).map(({ id }) => id))
    for (const { tbl, before, after } of touched) {
      const column = ITEM_OF[tbl]
      if (column === undefined) continue
      for (const image of [before, after])
        if (image !== null) ids.add(String((JSON.parse(image) as Record<string, unknown>)[column]))
    }
    if (ids.size === 0) return
    for (const id of ids) {
      const known = this.#indexed.get(id)
      if (known !== undefined) index.remove(known)
      this.#indexed.delete(id)
    }
    this.#take(index, this.#queries.findableOf.all(JSON.stringify([...ids])))
  }

  #take(index: MiniSearch<FindableRow>, rows: readonly FindableRow[]): void {
    index.addAll(rows)
    for (const row of rows) this.#indexed.set(row.id, row)
  }
}

function endingOf(row: EndingRow): Omit<GoneItem, 'item'> {
  const { verdict, destination, reason, would_buy_again: wouldBuyAgain, review } = row
  return {
    endedAs: row.ended_as,
    verdict: verdict === null ? null : { verdict, destination, reason: reason ?? '' },
    review: review === null ? null : { wouldBuyAgain, words: review },
  }
}

export interface FindableRow {
  id: string
  maker: string
  name: string
  shade: string
  category: string
  notes: string
  kept: string
  parts: string
  said: string
}

export interface EndingRow {
  item_id: string
  ended_as: string
  verdict: string | null
  destination: string | null
  reason: string | null
  would_buy_again: string | null
  review: string | null
}

export function findingQueries(db: Db) {
  const sql = preparing(db)
  const findable = `
      SELECT i.id, p.maker, p.name, p.shade, c.name AS category, i.notes, i.kept_text AS kept,
             coalesce((SELECT group_concat(part.name, ' ') FROM part WHERE part.item_id = i.id), '') AS parts,
             coalesce((SELECT group_concat(words, ' ') FROM review WHERE review.item_id = i.id), '') || ' ' ||
             coalesce((SELECT group_concat(reason, ' ') FROM verdict WHERE verdict.item_id = i.id), '') AS said
        FROM item i JOIN product p ON p.id = i.product_id JOIN category c ON c.id = i.category_id`
  return {
    findable: sql<[], FindableRow>(findable),
    findableOf: sql<[string], FindableRow>(`${findable} WHERE i.id IN (SELECT value FROM json_each(?))`),
    ofProducts: sql<[string], { id: string }>(
      'SELECT id FROM item WHERE product_id IN (SELECT value FROM json_each(?))',
    ),
    endings: sql<[string], EndingRow>(`
      SELECT i.id AS item_id, i.ended_as, v.verdict, v.destination, v.reason, r.would_buy_again, r.words AS review
        FROM item i
        LEFT JOIN verdict v ON v.id = (SELECT id FROM verdict WHERE item_id = i.id ORDER BY day DESC, rowid DESC LIMIT 1)
        LEFT JOIN review r ON r.id = (SELECT id FROM review WHERE item_id = i.id ORDER BY day DESC, rowid DESC LIMIT 1)
       WHERE i.ended_as IS NOT NULL AND i.id IN (SELECT value FROM json_each(?))`),
  }
}
