import { bareAtStage, stageRank } from '../item/what-is-left.js'
import { isRealChange } from './bare-words.js'
import { levelOfWord, LENGTH_STEP, LEVEL_STEP, WORD_STEP, type KeptReading } from './reading.js'

/** What went back though it can only go on: more is there than before. */
export type Contradiction =
  | { readonly code: 'level rose'; readonly before: number; readonly now: number }
  | { readonly code: 'bare area shrank'; readonly before: number; readonly now: number }
  | { readonly code: 'stage went back' }

/** Whether a reading by eye says that there is more than the one before it, beyond what both may be out by. Weights: `weighingDoubts`. */
export function contradictionOf(before: KeptReading, now: KeptReading): Contradiction | null {
  if (before.stage !== null && now.stage !== null)
    return stageRank(now.stage) < stageRank(before.stage) ? { code: 'stage went back' } : null
  if (before.kind === 'bare' && now.kind === 'bare') {
    const [then, current] = [before.value ?? 0, now.value ?? 0]
    return current < then && isRealChange(then, current)
      ? { code: 'bare area shrank', before: then, now: current }
      : null
  }
  if (before.stage !== null && now.kind === 'bare')
    return bareAtStage(before.stage) > 0 && (now.value ?? 0) === 0
      ? { code: 'bare area shrank', before: bareAtStage(before.stage), now: 0 }
      : null
  const [then, current] = [levelOf(before), levelOf(now)]
  if (then === null || current === null) return null
  const apart = (stepOf(before) + stepOf(now)) / 2
  return current - then > apart + 1e-9 ? { code: 'level rose', before: then, now: current } : null
}

function levelOf({ kind, value, word }: KeptReading): number | null {
  if (kind === 'level' || kind === 'length') return value
  return word === null ? null : levelOfWord(word)
}

function stepOf({ kind }: KeptReading): number {
  return kind === 'word' ? WORD_STEP : kind === 'length' ? LENGTH_STEP : LEVEL_STEP
}
