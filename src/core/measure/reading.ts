import { eyeMeasureOf, type Form, type PanStage } from '../item/form.js'

/** What can be read of an item. *bare* = bare share of a pan; *word* = how full, as the user would say it. */
export const READING_KINDS = ['level', 'length', 'stage', 'gross', 'bare', 'word'] as const
export type ReadingKind = (typeof READING_KINDS)[number]

export const READ_HOW = ['typed', 'scale', 'slider', 'photo', 'brush', 'her word'] as const
export type ReadHow = (typeof READ_HOW)[number]

/** How full, in the user's words, fullest first. */
export const LEVEL_WORDS = [
  'full',
  'mostly full',
  'half',
  'a quarter',
  'scraping the sides',
  'a few uses',
  'nothing comes',
] as const
export type LevelWord = (typeof LEVEL_WORDS)[number]

/** Why a reading contradicts an earlier one. */
export const CONTRADICTION_CAUSES = ['typing', 'other package', 'repressed', 'scale', 'none of these'] as const
export type ContradictionCause = (typeof CONTRADICTION_CAUSES)[number]

/** What each word stands for as a level, 0..1. Assumption. */
const LEVEL_OF_WORD: Readonly<Record<LevelWord, number>> = {
  full: 1,
  'mostly full': 0.8,
  half: 0.5,
  'a quarter': 0.25,
  'scraping the sides': 0.12,
  'a few uses': 0.05,
  'nothing comes': 0,
}

export function levelOfWord(word: LevelWord): number {
  return LEVEL_OF_WORD[word]
}

/** Give or take of a level, a length and a word, as shares; by a photo a level is surer of nothing. Assumptions. */
export const LEVEL_STEP = 0.05
export const LENGTH_STEP = 0.03
export const WORD_STEP = 0.12

/** What can be read of a package, the most telling first; a shade is read as the pan it is. */
export function kindsFor(form: Form, opaque: boolean, ofShade: boolean): ReadingKind[] {
  if (ofShade) return ['stage', 'bare']
  const eye = eyeMeasureOf(form, opaque)
  switch (eye) {
    case 'pan':
      return ['gross', 'stage', 'bare']
    case 'length':
      return ['gross', 'length']
    case 'level':
      return ['gross', 'level', 'word']
    case 'none':
      return ['gross', 'word']
  }
}

/** A reading as it is kept. */
export interface KeptReading {
  readonly kind: ReadingKind
  /** A share 0..1, or grams; null of a stage and a word. */
  readonly value: number | null
  readonly stage: PanStage | null
  readonly word: LevelWord | null
}
