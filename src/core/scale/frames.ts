import { GRAMS_PER_OUNCE } from '../quantity/mass-volume.js'

/**
 * What a scale says, one line at a time (`docs/scale-protocol.md`): `steady gross +44.0 g`, `moving gross -0.1 g`, or one word:
 * `overload`, `asleep`.
 */
export type ScaleFrame =
  | {
      readonly code: 'weight'
      readonly steady: boolean
      /** Gross: all that lies on it. Net: something was tared away. */
      readonly basis: 'gross' | 'net'
      readonly grams: number
      /** Its smallest step, g: the last digit it shows. */
      readonly resolution: number
    }
  | { readonly code: 'overload' }
  | { readonly code: 'asleep' }
  /** A unit that is no mass, or none that is read. */
  | { readonly code: 'wrong unit'; readonly unit: string; readonly isVolume: boolean }
  | { readonly code: 'garbled'; readonly text: string }

const WEIGHT = /^(steady|moving) (gross|net) ([+-])(\d{1,6})(?:\.(\d{1,4}))? ?([a-z. ]{1,14})$/
const GRAMS_PER: Readonly<Record<string, number>> = { g: 1, kg: 1000, oz: GRAMS_PER_OUNCE, mg: 0.001 }
const LONGEST_LINE = 80

/** Reads one line. What is no frame is garbled; it is told apart, not guessed at. */
export function frameOf(line: string): ScaleFrame {
  const text = line.trim().toLowerCase()
  if (text === 'overload' || text === 'asleep') return { code: text }
  const found = WEIGHT.exec(text)
  if (!found) return { code: 'garbled', text: line.slice(0, LONGEST_LINE) }
  const [, steadiness, basis, sign, whole = '', decimals = '', unit = ''] = found
  const per = GRAMS_PER[unit.trim()]
  if (per === undefined) {
    const spelled = unit.trim()
    return { code: 'wrong unit', unit: spelled, isVolume: /^(fl|fluid|ml|cl|floz)/.test(spelled.replace(/[. ]/g, '')) }
  }
  const value = Number(`${whole}.${decimals || '0'}`)
  return {
    code: 'weight',
    steady: steadiness === 'steady',
    basis: basis === 'net' ? 'net' : 'gross',
    grams: (sign === '-' ? -1 : 1) * value * per,
    resolution: 10 ** -decimals.length * per,
  }
}

/** Lines out of pieces as a cable brings them: split anywhere, several at once. A line that never ends is given up. */
export class FrameStream {
  #rest = ''

  push(piece: string): ScaleFrame[] {
    const lines = (this.#rest + piece).split(/\r\n|\n|\r/)
    this.#rest = lines.pop() ?? ''
    if (this.#rest.length > LONGEST_LINE) {
      lines.push(this.#rest)
      this.#rest = ''
    }
    return lines.filter((line) => line.trim() !== '').map(frameOf)
  }
}
