import { fail, ok, type Outcome } from '../failure.js'
import { parseDecimal } from './decimal.js'
import {
  gramsFromOunces,
  millilitresFromFluidOunces,
  type Grams,
  type Millilitres,
  type NetContent,
} from './mass-volume.js'

/** What a label amount can fail by. */
export type LabelAmountFailure =
  'amount-unreadable' | 'amount-no-unit' | 'amount-not-positive' | 'amount-absurd' | 'amount-pair-disagrees'

/** Nothing worn on a face comes in a package above this: a slipped comma. Assumption. */
const LARGEST = 5000

const SHAPE = /^([+-]?[\d.,\s]*\d[\d.,]*)\s*(.*)$/
/** Words before or after the amount that say nothing of it. */
const AROUND =
  /^(?:net(?: wt\.?| weight| content)?|approx\.?|about|ca\.?|circa|each|e|~|≈)\s*:?\s*|\s*(?:each|e|℮|net|netto|approx\.?)$/gi
const FRACTIONS: Readonly<Record<string, string>> = {
  '½': '0.5',
  '¼': '0.25',
  '¾': '0.75',
  '⅓': '0.3333',
  '⅛': '0.125',
}

/** One number with its unit as the label prints it: the content, and half a unit of its last digit, in g or mL. */
interface Printed {
  readonly content: NetContent
  readonly halfDigit: number
  readonly metric: boolean
}

/**
 * Reads the net content printed on a label: `0.212 oz`, `9,5g`, `30 ML`, `1.01 fl oz`, `2 x 3 g`, and a pair such as
 * `60 mL / 2 fl oz`, of which the metric one is kept. Ounces are mass, fluid ounces volume; both are turned to g and mL
 * by the exact factors. `unitSaid` is the unit of a header ("Size (g)") for a bare number. A pair that disagrees by more
 * than its rounding and one unit of the last place is a typing mistake: `amount-pair-disagrees`.
 *
 * @example parseLabelAmount('0.5 fl oz') // ok, { unit: 'ml', amount: 14.78676478125 }
 */
export function parseLabelAmount(
  text: string,
  unitSaid: string | null = null,
): Outcome<NetContent, LabelAmountFailure> {
  const plain = text.trim().replace(AROUND, '').replace(AROUND, '')
  const halves = plain.split(/\s*[/|=]\s*(?=[\d.,½¼¾⅓⅛])|\s*[([]\s*(?=[\d.,])|(?<=[a-wyzA-WYZ.])[\s,;]+(?=[\d.,]*\d)/)
  // "1/8 oz" is a fraction, not a pair.
  const fraction = /^(\d{1,2})\s*\/\s*(\d{1,2})\s+(.*)$/.exec(plain)
  if (fraction && Number(fraction[2]) > 0)
    return contentOf(read(`${Number(fraction[1]) / Number(fraction[2])} ${fraction[3] ?? ''}`, unitSaid, text))
  if (halves.length !== 2) return contentOf(read(plain, unitSaid, text))
  const first = read(halves[0] ?? '', unitSaid, text)
  const second = read((halves[1] ?? '').replace(/[)\]]\s*$/, ''), unitSaid, text)
  if (!first.ok || !second.ok) return contentOf(first.ok ? second : first)
  return pairOf(first.value, second.value, text)
}

function contentOf(read: Outcome<Printed, LabelAmountFailure>): Outcome<NetContent, LabelAmountFailure> {
  return read.ok ? ok(read.value.content) : read
}

function pairOf(a: Printed, b: Printed, text: string): Outcome<NetContent, LabelAmountFailure> {
  const kept = a.metric || !b.metric ? a : b
  if (a.content.unit !== b.content.unit) return fail('amount-pair-disagrees', { value: text })
  const apart = Math.abs(a.content.amount - b.content.amount)
  // Half a digit of rounding and one digit on top, of the coarser print, and the finer one's own rounding.
  const allowed = 3 * Math.max(a.halfDigit, b.halfDigit) + Math.min(a.halfDigit, b.halfDigit)
  return apart > allowed + 1e-9 ? fail('amount-pair-disagrees', { value: text }) : ok(kept.content)
}

function read(text: string, unitSaid: string | null, whole: string): Outcome<Printed, LabelAmountFailure> {
  const times = /^(\d{1,2})\s*[x×*]\s*(.*)$/i.exec(text)
  const packs = times ? Number(times[1]) : 1
  const spelled = (times ? (times[2] ?? '') : text).replace(/^[½¼¾⅓⅛]/, (sign) => `${FRACTIONS[sign] ?? ''} `)
  const found = SHAPE.exec(spelled.trim())
  const number = found ? parseDecimal(found[1] ?? '') : null
  if (!found || number === null) return fail('amount-unreadable', { value: whole })
  const said = (found[2] ?? '').trim() === '' ? (unitSaid ?? '') : (found[2] ?? '')
  const unit = said.toLowerCase().replace(/[.\s]/g, '')
  if (unit === '') return fail('amount-no-unit', { value: whole })
  const content = inUnit(number * packs, unit)
  const digit = inUnit(10 ** -decimalsOf(found[1] ?? '') * packs, unit)
  if (content === null || digit === null) return fail('amount-unreadable', { value: whole })
  if (!(content.amount > 0)) return fail('amount-not-positive', { value: whole })
  if (content.amount > LARGEST) return fail('amount-absurd', { value: whole, largest: LARGEST })
  return ok({ content, halfDigit: digit.amount / 2, metric: !/oz|ounce/.test(unit) })
}

function decimalsOf(number: string): number {
  return /[.,](\d+)\s*$/.exec(number)?.[1]?.length ?? 0
}

/** The unit that a header names in brackets or as its last word: "Size (g)", "Inhalt ml"; null for none. */
export function unitNamed(header: string): string | null {
  const words = header
    .toLowerCase()
    .replace(/[.]/g, '')
    .split(/[^a-zé]+/)
  if (words.includes('fl') && words.includes('oz')) return 'fl oz'
  return words.find((word) => word !== '' && word !== 'l' && inUnit(1, word) !== null) ?? null
}

function inUnit(number: number, unit: string): NetContent | null {
  switch (unit) {
    case 'g':
    case 'gr':
    case 'gm':
    case 'gms':
    case 'gram':
    case 'grams':
    case 'gramm':
    case 'gramme':
    case 'grammes':
    case 'gramos':
    case 'grammi':
      return { unit: 'g', amount: number as Grams }
    case 'mg':
      return { unit: 'g', amount: (number / 1000) as Grams }
    case 'oz':
    case 'ozs':
    case 'ounce':
    case 'ounces':
    case 'ozwt':
      return { unit: 'g', amount: gramsFromOunces(number) }
    case 'ml':
    case 'mls':
    case 'cc':
    case 'millilitre':
    case 'milliliter':
    case 'millilitres':
    case 'milliliters':
      return { unit: 'ml', amount: number as Millilitres }
    case 'cl':
      return { unit: 'ml', amount: (number * 10) as Millilitres }
    case 'dl':
      return { unit: 'ml', amount: (number * 100) as Millilitres }
    case 'l':
    case 'litre':
    case 'liter':
      return { unit: 'ml', amount: (number * 1000) as Millilitres }
    case 'floz':
    case 'flozs':
    case 'ozfl':
    case 'flounce':
    case 'flounces':
    case 'fluidoz':
    case 'fluidounce':
    case 'fluidounces':
    case 'usfloz':
      return { unit: 'ml', amount: millilitresFromFluidOunces(number) }
    default:
      return null
  }
}
