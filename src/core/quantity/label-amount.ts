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
export type LabelAmountFailure = 'amount-unreadable' | 'amount-no-unit' | 'amount-not-positive' | 'amount-absurd'

/** Nothing worn on a face comes in a package above this: a slipped comma. Assumption. */
const LARGEST = 5000

const SHAPE = /^([+-]?[\d.,\s]*\d[\d.,]*)\s*(.*)$/

/**
 * Reads the net content printed on a label: `0.212 oz`, `9,5g`, `30 ML`, `1.01 fl oz`.
 * Ounces are mass, fluid ounces volume; both are turned to g and mL by the exact factors.
 *
 * @example parseLabelAmount('0.5 fl oz') // ok, { unit: 'ml', amount: 14.78676478125 }
 */
export function parseLabelAmount(text: string): Outcome<NetContent, LabelAmountFailure> {
  const found = SHAPE.exec(text.trim())
  const number = found ? parseDecimal(found[1] ?? '') : null
  if (!found || number === null) return fail('amount-unreadable', { value: text })
  const unit = (found[2] ?? '').toLowerCase().replace(/[.\s]/g, '')
  if (unit === '') return fail('amount-no-unit', { value: text })
  const content = inUnit(number, unit)
  if (content === null) return fail('amount-unreadable', { value: text })
  if (!(content.amount > 0)) return fail('amount-not-positive', { value: text })
  if (content.amount > LARGEST) return fail('amount-absurd', { value: text, largest: LARGEST })
  return ok(content)
}

function inUnit(number: number, unit: string): NetContent | null {
  switch (unit) {
    case 'g':
    case 'gr':
    case 'gram':
    case 'grams':
      return { unit: 'g', amount: number as Grams }
    case 'mg':
      return { unit: 'g', amount: (number / 1000) as Grams }
    case 'oz':
    case 'ozs':
    case 'ounce':
    case 'ounces':
      return { unit: 'g', amount: gramsFromOunces(number) }
    case 'ml':
    case 'millilitre':
    case 'milliliter':
      return { unit: 'ml', amount: number as Millilitres }
    case 'cl':
      return { unit: 'ml', amount: (number * 10) as Millilitres }
    case 'l':
      return { unit: 'ml', amount: (number * 1000) as Millilitres }
    case 'floz':
    case 'fluidounce':
    case 'fluidounces':
      return { unit: 'ml', amount: millilitresFromFluidOunces(number) }
    default:
      return null
  }
}
