import { addDays, addMonths, fieldsOf, type Day } from '#core/calendar/day'
import { BLANK_FIELDS } from '#core/item/fields-data'
import type { ItemFields } from '#contract/item'
import type { Random } from './random.js'
import { CAST, type CastMember, type Role } from './cast-data.js'
import { MAKERS, PALETTE_SHADES, STASH, type StashCategory } from './stash-data.js'

export interface DemoItem {
  readonly id: string
  readonly kind: StashCategory
  readonly fields: ItemFields
  /** Uses one package gives before it is empty. */
  readonly capacity: number
  /** Uses so far, those before the log included. */
  uses: number
  /** How fond she is of it: the weight with which it is reached for. */
  readonly fondness: number
  readonly roles: readonly Role[]
  /** It has a part, or a place in the drawer from the day the project begins: nothing of it is left to chance. */
  readonly cast: boolean
  readonly pinned: boolean
  /** The day it comes into the collection; null = it was there when the log began. */
  readonly cameOn: Day | null
  /** From the hat-box that the move turned up: not to hand before. */
  readonly hatBox: boolean
  inDrawer: boolean
  ended: boolean
}

/** Everything Maren owned when the log began, in the order of a face. */
export function stashOf(random: Random, start: Day, today: Day, newId: () => string): DemoItem[] {
  const stash = STASH.flatMap((kind) =>
    Array.from({ length: kind.count }, (_, index) => {
      const member = CAST.find((each) => each.categoryId === kind.categoryId && each.index === index)
      const item = itemOf(kind, index, random, start, newId)
      return member ? castOf(item, member, today) : item
    }),
  )
  return stash.map((item) => backupOf(item, stash))
}

/** The first unopened one of its kind is the backup of the one that is to have one. */
function backupOf(item: DemoItem, stash: readonly DemoItem[]): DemoItem {
  const open = stash.find((each) => each.roles.includes('has a backup') && each.kind === item.kind)
  const first = stash.find((each) => each.kind === open?.kind && each.fields.opened.kind === 'unopened')
  if (!open || item !== first) return item
  const { maker, name, shade, colour, content } = open.fields
  return { ...item, cast: true, fields: { ...item.fields, maker, name, shade, colour, content } }
}

/** A member of the cast: opened when the story needs it, with a label that says for how long; never from the hat-box. */
function castOf(item: DemoItem, member: CastMember, today: Day): DemoItem {
  const openedOn = addDays(today, -member.openedAgo)
  const bought = addDays(openedOn, -9)
  const lapsed = member.roles.includes('lapsed sunscreen')
  return {
    ...item,
    roles: member.roles,
    cast: true,
    pinned: member.inDrawer,
    cameOn: openedOn,
    hatBox: false,
    uses: 4,
    fondness: 1.2,
    fields: {
      ...item.fields,
      acquired: { earliest: bought, latest: bought },
      opened: { kind: 'range', earliest: openedOn, latest: openedOn, said: openedOn },
      paoMonths: member.paoMonths,
      expiry:
        item.kind.categoryId === 'sunscreen' ? (lapsed ? addDays(today, -40) : endOfMonth(addMonths(today, 20))) : null,
      usesBefore: null,
      notes: '',
      availability: null,
      seasons: [],
      opaque: false,
      priceMinor: item.fields.priceMinor ?? item.kind.price[0],
      source: 'bought',
      packageStates: [],
    },
  }
}

function itemOf(kind: StashCategory, index: number, random: Random, start: Day, newId: () => string): DemoItem {
  const shade = kind.shades[index % kind.shades.length]
  if (!shade) throw new Error(`No shade for ${kind.categoryId}`)
  const [name, colour, finish = 'satin'] = shade
  // What spoils sooner is kept shut for longer: half of it, a fifth of the rest. Some double an earlier one: backups.
  const unopened = index >= kind.count * (kind.paoMonths <= 18 ? 0.5 : 0.82)
  const doubled = unopened && index % kind.shades.length < 2 && kind.count > kind.shades.length
  const maker =
    MAKERS[(doubled ? index % kind.shades.length : index * 3 + kind.noun.length) % MAKERS.length] ?? MAKERS[0]
  const isPalette = kind.categoryId === 'eyeshadow-palette'
  const hatBox = !unopened && index % 7 === 4
  const daily = kind.step >= 0.7 && kind.count < 16
  const capacity = Math.round(kind.capacity * (0.8 + random.next() * 0.4))
  const usesBefore = unopened ? 0 : Math.round(capacity * (index < 3 ? random.next() * 0.55 : random.next() * 0.35))
  const bought = addDays(start, -random.whole(20, daily || index < 3 ? 150 : 700))
  const openedOn = addDays(bought, random.whole(1, 18))
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
    roles: [],
    cast: false,
    pinned: false,
    cameOn: null,
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
      content: { amount: index % 5 === 3 ? Math.round(kind.amount * 50) / 100 : kind.amount, unit: kind.unit },
      priceMinor: gift || hatBox ? null : cents,
      source: gift ? 'gift' : hatBox ? null : 'bought',
      acquired: hatBox ? null : { earliest: bought, latest: bought },
      opened,
      paoMonths: random.chance(0.75) ? kind.paoMonths : null,
      expiry: kind.categoryId === 'sunscreen' ? endOfMonth(addMonths(bought, 30)) : null,
      sunProtection: kind.categoryId === 'sunscreen',
      usesBefore,
      liking: random.chance(0.6) ? random.whole(2, 5) : null,
      notes: hatBox ? 'From the hat-box the move turned up.' : '',
      ...traitsOf(kind.categoryId, index),
      structure: isPalette ? 'palette' : 'single',
      parts: isPalette ? partsOf(index, random, newId) : [],
    },
    capacity,
    uses: usesBefore,
    fondness: 0.3 + random.next() * random.next() * 2 + (index < kind.inDrawer ? 1.2 : 0),
    hatBox,
    inDrawer: false,
    ended: false,
  }
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
