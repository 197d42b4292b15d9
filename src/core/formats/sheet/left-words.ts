import { eyeMeasureOf, type Form, PAN_STAGES, type PanStage } from '../../item/form.js'
import { leftByReading } from '../../item/what-is-left.js'
import { LEVEL_WORDS, levelOfWord } from '../../measure/reading.js'

/** How much is left as a list says it: a share 0..1, or a pan's stage. */
export type SaidLeft =
  { readonly kind: 'share'; readonly share: number } | { readonly kind: 'stage'; readonly stage: PanStage }

const STAGES: readonly (readonly [RegExp, PanStage])[] = [
  [/\bhalf pan\b/i, 'half bare'],
  [/\b(?:big pan|mostly pan)\b/i, 'mostly bare'],
  [/\b(?:hit pan|pan showing|panned a little)\b/i, 'first pan'],
  [/\b(?:embossing|dome) gone\b/i, 'dome gone'],
  [/\buntouched\b/i, 'untouched'],
]
/** What each phrase stands for, the longer first; a phrase counts wherever it stands. Assumption, as of the words of a level. */
const SHARES: readonly (readonly [RegExp, number])[] = [
  [/\bthree quarters\b|\b3\/4|¾/i, 0.75],
  [/\btwo thirds\b|\b2\/3|⅔/i, 2 / 3],
  [/\bhalf\b|\b1\/2|½/i, 0.5],
  [/\bthird\b|\b1\/3|⅓/i, 1 / 3],
  [/\bquarter\b|\b1\/4|¼/i, 0.25],
  [/\b(?:nearly|almost) (?:empty|gone|finished)\b|\b(?:last bit|a few uses)\b/i, levelOfWord('a few uses')],
  [/\b(?:nearly|almost|mostly) full\b/i, levelOfWord('mostly full')],
  [/\bfull\b/i, 1],
]

/** Reads how much is left: "half left", "80 %", "3/4 full", "hit pan"; null for anything else. */
export function parseLeft(text: string): SaidLeft | null {
  const stage = STAGES.find(([words]) => words.test(text))?.[1]
  if (stage !== undefined) return { kind: 'stage', stage }
  const percent = /(?:^|\s)(\d{1,3}(?:[.,]\d+)?)\s?%/.exec(text)?.[1]
  const share =
    percent === undefined ? SHARES.find(([words]) => words.test(text))?.[1] : Number(percent.replace(',', '.')) / 100
  return share === undefined || share > 1 ? null : { kind: 'share', share }
}

/** What was said as a reading that its package allows: the nearest stage or word where no share can be seen; null where none fits. */
export function readingOfLeft(said: SaidLeft, form: Form, opaque: boolean) {
  const measure = eyeMeasureOf(form, opaque)
  if (measure === 'pan')
    return {
      kind: 'stage',
      stage: said.kind === 'stage' ? said.stage : nearest(PAN_STAGES, leftAt, said.share),
    } as const
  if (said.kind === 'stage') return null
  if (measure === 'none') return { kind: 'word', word: nearest(LEVEL_WORDS, levelOfWord, said.share) } as const
  return { kind: measure, value: said.share } as const
}

function leftAt(stage: PanStage): number {
  return leftByReading({ kind: 'stage', value: null, stage, word: null })
}

function nearest<T>(all: readonly T[], of: (one: T) => number, aim: number): T {
  return all.reduce((best, one) => (Math.abs(of(one) - aim) < Math.abs(of(best) - aim) ? one : best))
}
