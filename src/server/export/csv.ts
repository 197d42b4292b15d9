import Papa from 'papaparse'
import { moneyText } from '#core/quantity/money'
import type { ItemFacts } from '../stock/item-facts.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'

const HEADERS = [
  'Brand',
  'Product',
  'Shade',
  'Type',
  'Size',
  'Format',
  'Price',
  'Bought',
  'Opened',
  'PAO',
  'Expiry date',
  'Uses',
  'Status',
  'Finished on',
  'Finish',
  'Swatch',
  'Notes',
] as const

/**
 * The collection as a sheet that any spreadsheet opens and that Seligo reads again. Cells that begin like a formula get an
 * apostrophe (OWASP, CSV injection); import takes it off. A mark of UTF-8 at the front, so that spreadsheets see accents.
 */
export function collectionCsv(services: Context & { stock: Stock }): string {
  const today = services.today()
  const { currency } = services.settings()
  const ids = services.db.prepare<[], { id: string }>('SELECT id FROM item').all()
  const items = services.stock.facts(
    ids.map((row) => row.id),
    today,
  )
  const went = new Map(
    services.db
      .prepare<[], { item_id: string; destination: string }>(
        "SELECT item_id, destination FROM verdict WHERE verdict = 'let go' ORDER BY day, rowid",
      )
      .all()
      .map((row) => [row.item_id, row.destination]),
  )
  const rows = items.map((item) => rowOf(item, currency, went.get(item.id) ?? null))
  return `\uFEFF${Papa.unparse({ fields: [...HEADERS], data: rows }, { newline: '\r\n', escapeFormulae: true })}\r\n`
}

function rowOf(item: ItemFacts, currency: string, went: string | null): string[] {
  const { content, opening, acquired } = item
  return [
    item.maker,
    item.name,
    item.shade,
    item.category,
    content === null ? '' : `${Number(content.amount.toFixed(4))} ${content.unit}`,
    item.format ?? '',
    priceOf(item, currency),
    acquired === null ? '' : rangeText(acquired),
    opening.kind === 'unopened'
      ? 'unopened'
      : opening.kind === 'range' && opening.within
        ? rangeText(opening.within)
        : '',
    item.paoMonths === null ? '' : `${item.paoMonths}M`,
    item.expiry ?? '',
    item.usesBefore === null && item.wears === 0 ? '' : String(item.uses),
    statusOf(item, went),
    item.endedOn === null || item.endedRoughly ? '' : item.endedOn,
    item.finish ?? '',
    item.colour ?? '',
    item.notes,
  ]
}

/** In the user's currency, as a gift, or in another currency as it was written. */
function priceOf(item: ItemFacts, currency: string): string {
  if (item.priceMinor === null) return item.source === 'gift' ? 'gift' : (item.priceSaid ?? '')
  return moneyText(item.priceMinor, currency)
}

/** What became of an item that is gone, in words that an import understands. */
const WENT: Readonly<Record<string, string>> = {
  bin: 'thrown away',
  recycle: 'recycled',
  'return scheme': 'returned',
  give: 'given away',
  swap: 'swapped',
  donate: 'donated',
  sell: 'sold',
  repurpose: 'repurposed',
  'keep the container': 'container kept',
}

function statusOf(item: ItemFacts, went: string | null): string {
  if (item.lifecycle === 'finished') return 'finished'
  if (item.lifecycle === 'left') return went === null ? 'given away' : (WENT[went] ?? went)
  if (item.lifecycle === 'blended') return 'blended'
  return item.lifecycle === 'unopened' ? 'unopened' : 'in use'
}

function rangeText(range: { earliest: string; latest: string }): string {
  return range.earliest === range.latest ? range.earliest : `${range.earliest} to ${range.latest}`
}
