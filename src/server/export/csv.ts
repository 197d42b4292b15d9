import Papa from 'papaparse'
import { minorDigits } from '#core/quantity/money'
import type { ItemSummary } from '#contract/item'
import type { House } from '../house.js'

const HEADERS = [
  'Maker',
  'Product',
  'Shade',
  'Category',
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
export function collectionCsv(house: House): string {
  const today = house.today()
  const { currency } = house.settings()
  const ids = house.db.prepare<[], { id: string }>('SELECT id FROM item').all()
  const items = house.stock.summaries(
    ids.map((row) => row.id),
    today,
  )
  const rows = items.map((item) => rowOf(item, currency))
  return `\uFEFF${Papa.unparse({ fields: [...HEADERS], data: rows }, { newline: '\r\n', escapeFormulae: true })}\r\n`
}

function rowOf(item: ItemSummary, currency: string): string[] {
  const { content, opened, acquired } = item
  return [
    item.maker,
    item.name,
    item.shade,
    item.category,
    content === null ? '' : `${Number(content.amount.toFixed(4))} ${content.unit}`,
    item.format ?? '',
    item.priceMinor === null
      ? item.source === 'gift'
        ? 'gift'
        : ''
      : `${(item.priceMinor / 10 ** minorDigits(currency)).toFixed(minorDigits(currency))} ${currency}`,
    acquired === null ? '' : rangeText(acquired),
    opened.kind === 'unopened' ? 'unopened' : opened.kind === 'unknown' ? '' : rangeText(opened),
    item.paoMonths === null ? '' : `${item.paoMonths}M`,
    item.expiry ?? '',
    String(item.uses),
    statusOf(item),
    item.endedOn === null || item.endedRoughly ? '' : item.endedOn,
    item.finish ?? '',
    item.colour ?? '',
    item.notes,
  ]
}

function statusOf(item: ItemSummary): string {
  if (item.lifecycle === 'finished') return 'finished'
  if (item.lifecycle === 'left' || item.lifecycle === 'blended') return 'gone: given away'
  return item.lifecycle === 'unopened' ? 'unopened' : 'in use'
}

function rangeText(range: { earliest: string; latest: string }): string {
  return range.earliest === range.latest ? range.earliest : `${range.earliest} to ${range.latest}`
}
