import { plainWords } from '#core/words/plain-words'
import type { SheetItem } from '#core/formats/sheet/sheet-item'
import type { PreviewRow } from '#contract/importing'
import { BLANK_FIELDS } from '#core/item/fields-data'
import type { ItemFields } from '#contract/item'

export interface PreparedRow {
  readonly item: SheetItem
  readonly row: PreviewRow
}

export function fieldsOf(item: SheetItem, row: PreviewRow, isSunscreen: boolean): ItemFields {
  const [firstTick] = [...item.wornOn].sort()
  return {
    ...BLANK_FIELDS,
    maker: item.maker.slice(0, 120),
    name: item.name.slice(0, 200),
    shade: item.shade.slice(0, 120),
    categoryId: row.categoryId ?? '',
    form: row.form ?? 'pressed',
    colour: item.colour,
    finish: item.finish,
    format: item.format,
    content: item.content === null ? null : { amount: item.content.amount, unit: item.content.unit },
    priceMinor: row.priceMinor,
    source: row.gift ? 'gift' : null,
    // It had come by the first day that the sheet ticks.
    acquired:
      item.acquired !== null && firstTick !== undefined && firstTick < item.acquired.earliest
        ? { earliest: firstTick, latest: item.acquired.latest }
        : item.acquired,
    opened:
      item.opened !== null
        ? { kind: 'range', ...item.opened, said: item.openedSaid.slice(0, 80) }
        : { kind: item.openedAs === 'unopened' && item.ended?.kind !== 'finished' ? 'unopened' : 'unknown' },
    paoMonths: item.paoMonths,
    expiry: item.expiry,
    sunProtection: isSunscreen,
    usesBefore: item.uses,
    notes: item.notes.slice(0, 4000),
  }
}

/** Maker, name, shade and which of the alike rows it is, normalised. */
export function identityOf(item: SheetItem): string {
  return [item.maker, item.name, item.shade].map(plainWords).join('|') + `|${item.occurrence}`
}
