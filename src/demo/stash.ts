import { addDays, addMonths, daysBetween, fieldsOf, type Day } from '#core/calendar/day'
import { BLANK_FIELDS } from '#core/item/fields-data'
import { labelGrams, useAmountOf } from '#core/forecast/use-amounts'
import { packageModelOf } from '#core/forecast/form-models'
import { CATEGORY_DEFAULTS } from '#core/item/category-defaults'
import type { ItemFields } from '#contract/item'
import type { Random } from './random.js'
import { MAKERS, PALETTE_SHADES, STASH, type StashCategory } from './stash-data.js'

export interface DemoItem {
  readonly id: string
  readonly kind: StashCategory
  readonly fields: ItemFields
  /** Uses a full one gives her. */
  readonly usesWhenFull: number
  /** Uses before the log, in truth; what she says of them is in its fields. */
  readonly uses: number
  /** On the day it is written down she looks how much is left. */
  readonly looked: boolean
  /** How fond she is of it: the weight with which it is reached for. */
  readonly fondness: number
  /** The day it comes into the collection; null = it was there when the log began. */
  readonly cameOn: Day | null
  /** From the hat-box that the move turned up: not to hand before. */
  readonly hatBox: boolean
  /** What is written down of it so far. */
  here: boolean
  inDrawer: boolean
  ended: boolean
}

/** She has a heavy hand: takes so many times what is usual; and of an item so far from that, on the log. As in the lives of `docs/forecasts.md`. */
const HAND = 1.3
const ITEM_SD = 0.35
/** She says of every second item how often it was used before, a third off; of every third how much is left. */
const SAYS_USES = 0.55
const SAID_SD = 0.3
const LOOKS = 0.35

/** Everything Maren owned when the log began, and what she bought until she swore it off, in makeup order. */
export function stashOf(random: Random, start: Day, noMore: Day, newId: () => string): DemoItem[] {
  return STASH.flatMap((kind) =>
    Array.from({ length: kind.count }, (_, index) => itemOf(kind, index, random, start, noMore, newId)),
  )
}

function itemOf(
  kind: StashCategory,
  index: number,
  random: Random,
  start: Day,
  noMore: Day,
  newId: () => string,
): DemoItem {
  const shade = kind.shades[index % kind.shades.length]
  if (!shade) throw new Error(`No shade for ${kind.categoryId}`)
  const [name, colour, finish = 'satin'] = shade
  // What spoils sooner is kept shut for longer: half of it, a fifth of the rest. Some double an earlier one: backups.
  const unopened = index >= kind.count * (kind.paoMonths <= 18 ? 0.5 : 0.82)
  const doubled = unopened && index % kind.shades.length < 4 && kind.count > kind.shades.length
  const maker =
    MAKERS[(doubled ? index % kind.shades.length : index * 3 + kind.noun.length) % MAKERS.length] ?? MAKERS[0]
  const isPalette = kind.categoryId === 'eyeshadow-palette'
  const hatBox = !unopened && index % 7 === 4
  const daily = kind.step >= 0.7 && kind.count < 16
  // The last ones of a kind were bought while the log ran.
  const cameOn = index >= kind.count * 0.86 ? addDays(start, random.whole(9, daysBetween(start, noMore) - 1)) : null
  const content = { amount: index % 5 === 3 ? Math.round(kind.amount * 50) / 100 : kind.amount, unit: kind.unit }
  const usesWhenFull = Math.max(12, Math.round(usesIn(kind, content, HAND * Math.exp(ITEM_SD * random.normal()))))
  const bought =
    cameOn ??
    addDays(
      start,
      -random.whole(20, isPalette ? 500 : kind.categoryId === 'sunscreen' ? 420 : daily || index < 3 ? 240 : 700),
    )
  const openedOn = addDays(bought, random.whole(1, 18))
  // Nobody wears one thing oftener than every second day.
  const most = Math.min(0.85 * usesWhenFull, daysBetween(openedOn, start) / 2)
  const uses = unopened
    ? 0
    : Math.max(
        0,
        Math.round(
          Math.min(most, usesWhenFull * (index < kind.inDrawer + 2 ? random.next() * 0.85 : random.next() ** 2 * 0.8)),
        ),
      )
  const monthKnown = {
    earliest: `${openedOn.slice(0, 8)}01` as Day,
    latest: addDays(addMonths(`${openedOn.slice(0, 8)}01` as Day, 1), -1),
  }
  const opened: ItemFields['opened'] = unopened
    ? { kind: 'unopened' }
    : hatBox
      ? { kind: 'unknown' }
      : random.chance(0.4)
        ? { kind: 'range', ...monthKnown, said: openedOn.slice(0, 7) }
        : { kind: 'range', earliest: openedOn, latest: openedOn, said: openedOn }
  const gift = random.chance(0.14)
  const cents = Math.round(random.whole(kind.price[0], kind.price[1]) / 50) * 50
  return {
    id: newId(),
    kind,
    cameOn,
    usesWhenFull,
    uses,
    looked: !unopened && random.chance(LOOKS),
    fields: {
      ...BLANK_FIELDS,
      maker: maker ?? '',
      name: isPalette ? `${name} palette` : `${name} ${kind.noun}`,
      shade: name,
      categoryId: kind.categoryId,
      form: kind.form,
      colour,
      finish,
      opaque: ['tube', 'spray'].includes(kind.form) && index % 3 === 0,
      slots: isPalette ? 3 : 1,
      content,
      priceMinor: gift || hatBox ? null : cents,
      source: gift ? 'gift' : hatBox ? null : 'bought',
      acquired: hatBox ? null : { earliest: bought, latest: bought },
      opened,
      paoMonths: random.chance(0.75) ? kind.paoMonths : null,
      expiry: kind.categoryId === 'sunscreen' ? endOfMonth(addMonths(bought, 24)) : null,
      sunProtection: kind.categoryId === 'sunscreen',
      usesBefore: unopened
        ? 0
        : random.chance(SAYS_USES)
          ? Math.round(uses * Math.exp(SAID_SD * random.normal()))
          : null,
      liking: random.chance(0.6) ? random.whole(2, 5) : null,
      notes: hatBox ? 'From the hat-box the move turned up.' : '',
      ...traitsOf(kind.categoryId, index),
      structure: isPalette ? 'palette' : 'single',
      parts: isPalette ? partsOf(index, random, newId) : [],
    },
    fondness: 0.3 + random.next() * random.next() * 2 + (index < kind.inDrawer ? 1.2 : 0),
    hatBox,
    here: false,
    inDrawer: false,
    ended: false,
  }
}

/** Uses in a full one: what can be reached of its label, by what a use of its kind takes. */
function usesIn(kind: StashCategory, content: NonNullable<ItemFields['content']>, taken: number): number {
  const type = CATEGORY_DEFAULTS.find((each) => each.id === kind.categoryId)?.type ?? 'other'
  const amount = useAmountOf(type, kind.form)
  const grams = labelGrams(content, amount) ?? amount.typicalLabel.amount
  return ((1 - packageModelOf(type, kind.form).residue) * grams) / (amount.median * taken)
}

/** What suits what: by the place in its category, so that the same stash comes out whatever the seed. */
function traitsOf(categoryId: string, index: number): Partial<ItemFields> {
  const tone = (['warm', 'cool', 'neutral'] as const)[index % 3] ?? null
  switch (categoryId) {
    case 'sunscreen':
      return { spf: index % 2 === 0 ? 50 : 30 }
    case 'foundation':
      return {
        undertone: tone,
        depth: (['match', 'too light', 'summer shade', 'winter shade'] as const)[index % 4] ?? null,
      }
    case 'blush':
    case 'bronzer':
    case 'eyeliner':
      return { undertone: tone, ...(index % 8 === 5 ? { availability: 'limited edition' as const } : {}) }
    case 'lipstick':
      return {
        undertone: tone,
        ...(index % 6 === 4 ? { seasons: ['autumn', 'winter'] as const satisfies ItemFields['seasons'] } : {}),
        ...(index % 6 === 5 ? { seasons: ['spring', 'summer'] as const satisfies ItemFields['seasons'] } : {}),
        ...(index % 9 === 7 ? { availability: 'discontinued' as const } : {}),
      }
    case 'highlighter':
      return index % 4 === 3
        ? { seasons: ['summer'], depth: 'too dark' }
        : { usedAs: index % 5 === 2 ? 'eyeshadow' : null }
    case 'setting-spray':
      return index % 3 === 2 ? { packageStates: ['mister clogging'] } : {}
    case 'primer':
      return index % 5 === 1 ? { format: 'mini' } : {}
    case 'setting-powder':
      return { brushes: index % 2 === 0 ? 'the big soft brush' : '' }
    default:
      return {}
  }
}

/** Eight or ten shades in two rows. */
function partsOf(index: number, random: Random, newId: () => string): ItemFields['parts'] {
  const columns = index % 3 === 2 ? 5 : 4
  const count = columns * 2
  return Array.from({ length: count }, (_, at) => {
    const [name, colour, finish] = PALETTE_SHADES[(at + index) % PALETTE_SHADES.length] ?? ['Milk', '#e6d6c4', 'matte']
    return {
      id: newId(),
      name,
      colour: index === 0 ? colour : shift(colour, random),
      finish,
      row: Math.floor(at / columns) + 1,
      col: (at % columns) + 1,
      rowSpan: 1,
      colSpan: 1,
      shape: index % 4 === 1 ? ('round' as const) : ('square' as const),
      form: null,
    }
  })
}

/** A neighbouring colour, so that two palettes are not the same. */
function shift(colour: string, random: Random): string {
  const channel = (at: number): string =>
    Math.min(255, Math.max(0, parseInt(colour.slice(at, at + 2), 16) + random.whole(-18, 18)))
      .toString(16)
      .padStart(2, '0')
  return `#${channel(1)}${channel(3)}${channel(5)}`
}

function endOfMonth(day: Day): Day {
  const { year, month } = fieldsOf(day)
  return addDays(addMonths(`${year}-${String(month).padStart(2, '0')}-01` as Day, 1), -1)
}
