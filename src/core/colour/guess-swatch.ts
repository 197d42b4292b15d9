import type { ModelType } from '../item/model-type.js'
import { plainWords } from '../words/plain-words.js'
import { KIND_COLOURS, TRADE_WORDS } from './trade-words-data.js'

/** What a colour is guessed from. */
export interface Worded {
  readonly shade: string
  readonly name: string
  readonly kind: ModelType
}

/** Words of colours that make another lighter or darker; as shares of the way to white or black. Assumption. */
const SHIFTS: Readonly<Record<string, number>> = {
  light: 0.3,
  pale: 0.35,
  soft: 0.2,
  deep: -0.3,
  dark: -0.35,
  rich: -0.2,
}

/**
 * The colour a thing probably has, from its words and its kind, as `#rrggbb`; `named` finds the colour of a whole name in a
 * list of colour names, plain ("rust bloom"). In this order: a word of the trade in the shade, the shade as a whole in the
 * list, a word of the trade in the name, then what its kind usually looks like. It is a guess, and only ever drawn as one.
 *
 * @example guessSwatch({ shade: 'Deep Plum', name: 'Velvet lip', kind: 'lipstick' }, () => null) === '#4c2135'
 */
export function guessSwatch({ shade, name, kind }: Worded, named: (plain: string) => string | null): string {
  const inShade = wordsOf(shade)
  const found = tradeWord(inShade) ?? named(inShade.join(' ')) ?? tradeWord(wordsOf(name)) ?? KIND_COLOURS[kind]
  return inShade.reduce((colour, word) => shifted(colour, SHIFTS[word] ?? 0), found)
}

/** The words of a name without its numbers: "02 Rust Bloom" is rust bloom. */
function wordsOf(text: string): string[] {
  return plainWords(text)
    .split(' ')
    .filter((word) => word !== '' && !/\d/.test(word))
}

/** The last word of the trade: in "rose nude" the nude is meant. */
function tradeWord(words: readonly string[]): string | null {
  const last = [...words].reverse().find((word) => TRADE_WORDS[word] !== undefined)
  return last === undefined ? null : (TRADE_WORDS[last] ?? null)
}

/** A colour lighter (above 0, towards white) or darker (below 0, towards black), channel by channel in sRGB. */
function shifted(colour: string, share: number): string {
  if (share === 0) return colour
  const goal = share > 0 ? 255 : 0
  return `#${[1, 3, 5]
    .map((at) => parseInt(colour.slice(at, at + 2), 16))
    .map((channel) => Math.round(channel + (goal - channel) * Math.abs(share)))
    .map((channel) => channel.toString(16).padStart(2, '0'))
    .join('')}`
}
