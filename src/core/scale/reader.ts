import type { ScaleFrame } from './frames.js'

/** What the reader makes of a scale. */
export type ScaleReading =
  | { readonly code: 'waiting' }
  | { readonly code: 'empty' }
  | { readonly code: 'settling'; readonly grams: number; readonly resolution: number }
  /** It stands still: lifting the item off keeps it. */
  | { readonly code: 'steady'; readonly grams: number; readonly resolution: number }
  /** It was lifted off: this is the weight. */
  | { readonly code: 'kept'; readonly grams: number; readonly resolution: number }
  | { readonly code: 'refused'; readonly why: ScaleRefusal; readonly unit: string }
  | { readonly code: 'silent' }
export type ScaleRefusal = 'overload' | 'net' | 'volume' | 'unknown unit' | 'below zero' | 'asleep' | 'garbled'

/** So many steady frames alike in a row are believed. Assumption. */
const BELIEVED = 3
/** Nothing lies on it below this many steps, or this weight, g. Assumption. */
const EMPTY_STEPS = 2
const EMPTY_GRAMS = 0.3
/** Frames that make no sense in a row before it is said. */
const PATIENCE = 5
/** Frames without tare that are waited for once it was asked off. */
const TARE_PATIENCE = 8

/**
 * Waits for a weight that stands still, and keeps it when the item is lifted off. Overload, a unit that is no mass, and net
 * weights are refused with the reason: the package has to be in it. `askTareOff` is called once when a net weight comes.
 */
export class ScaleReader {
  #alike: { grams: number; resolution: number; times: number } | null = null
  #steady: { grams: number; resolution: number } | null = null
  #garbled = 0
  #net = 0
  readonly #askTareOff: () => void

  constructor(askTareOff: () => void = () => undefined) {
    this.#askTareOff = askTareOff
  }

  /** Begins anew, for the next item. */
  reset(): void {
    this.#alike = null
    this.#steady = null
    this.#garbled = 0
    this.#net = 0
  }

  /** Nothing came for a while: what was steady before is not kept by silence. */
  silence(): ScaleReading {
    this.#alike = null
    this.#steady = null
    return { code: 'silent' }
  }

  take(frame: ScaleFrame): ScaleReading {
    switch (frame.code) {
      case 'overload':
        return this.#refuse('overload')
      case 'asleep':
        return this.#refuse('asleep')
      case 'wrong unit':
        return this.#refuse(frame.isVolume ? 'volume' : 'unknown unit', frame.unit)
      case 'garbled':
        this.#garbled += 1
        return this.#garbled < PATIENCE ? { code: 'waiting' } : this.#refuse('garbled', frame.text)
      case 'weight':
        this.#garbled = 0
        return this.#weigh(frame)
    }
  }

  #weigh(frame: ScaleFrame & { code: 'weight' }): ScaleReading {
    if (frame.basis === 'net') {
      if (this.#net === 0) this.#askTareOff()
      this.#net += 1
      this.#alike = null
      this.#steady = null
      return this.#net < TARE_PATIENCE ? { code: 'waiting' } : { code: 'refused', why: 'net', unit: '' }
    }
    this.#net = 0
    const { grams, resolution } = frame
    const nothing = Math.max(EMPTY_STEPS * resolution, EMPTY_GRAMS)
    if (grams < -nothing) return this.#refuse('below zero')
    if (Math.abs(grams) <= nothing) {
      const kept = this.#steady
      this.#alike = null
      this.#steady = null
      return kept ? { code: 'kept', ...kept } : { code: 'empty' }
    }
    if (!frame.steady) {
      this.#alike = null
      // While it is lifted off, the scale moves: what stood still before still stands.
      return this.#steady && grams < this.#steady.grams
        ? { code: 'steady', ...this.#steady }
        : this.#settling(grams, resolution)
    }
    const alike = this.#alike
    const same = alike !== null && Math.abs(alike.grams - grams) <= resolution * 1.001
    this.#alike = { grams, resolution, times: same ? alike.times + 1 : 1 }
    if (this.#alike.times < BELIEVED) return this.#settling(grams, resolution)
    this.#steady = { grams, resolution }
    return { code: 'steady', grams, resolution }
  }

  #settling(grams: number, resolution: number): ScaleReading {
    if (this.#steady && Math.abs(this.#steady.grams - grams) > resolution) this.#steady = null
    return { code: 'settling', grams, resolution }
  }

  #refuse(why: ScaleRefusal, unit = ''): ScaleReading {
    this.#alike = null
    this.#steady = null
    return { code: 'refused', why, unit }
  }
}
