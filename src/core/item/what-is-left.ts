import type { Day } from '../calendar/day.js'
import { STAGE_LEVELS } from './stage-levels.js'
import { levelOfWord, type LevelWord, type ReadingKind } from '../measure/reading.js'
import { PAN_STAGES, type PanStage } from './form.js'

/** What is left at a pan stage, as the content model has it; an untouched one is drawn full. */
function leftAtStage(stage: PanStage): number {
  return stage === 'untouched' ? 1 : STAGE_LEVELS[stage].left
}

/** Bare area drawn for a stage when no area was measured: for the eye only. Assumption. */
const BARE_AT_STAGE: Readonly<Record<PanStage, number>> = {
  untouched: 0,
  'dome gone': 0,
  dip: 0,
  'first pan': 0.06,
  'half bare': 0.5,
  'mostly bare': 0.85,
}

/** What the eye reads: a level or a length as a share of the whole, the stage of a pan, its bare share, or a word of the user's. */
export interface EyeReading {
  readonly kind: Exclude<ReadingKind, 'gross'>
  /** A share, 0..1; null of a stage and a word. */
  readonly value: number | null
  readonly stage: PanStage | null
  readonly word: LevelWord | null
}

export interface DatedReading extends EyeReading {
  /** The shade it is of; null for the whole. */
  readonly partId: string | null
  readonly day: Day
  readonly moment: 'before-use' | 'after-use'
  readonly savedAt: string
}

/** Share of the content left, 0..1, by a reading of the eye. */
export function leftByReading({ kind, value, stage, word }: EyeReading): number {
  if (stage !== null) return leftAtStage(stage)
  if (word !== null) return levelOfWord(word)
  return kind === 'bare' ? leftAtBare(value ?? 0) : (value ?? 0)
}

export function bareAtStage(stage: PanStage): number {
  return BARE_AT_STAGE[stage]
}

/** Where a stage stands among the others, from 0. */
export function stageRank(stage: PanStage): number {
  return PAN_STAGES.indexOf(stage)
}

/** The furthest stage that a bare share has reached. No bare metal: a dip, at most. */
export function stageOfBare(bare: number): PanStage {
  const reached = PAN_STAGES.filter((stage) => BARE_AT_STAGE[stage] > 0 && bare >= BARE_AT_STAGE[stage])
  return reached.at(-1) ?? (bare > 0 ? 'first pan' : 'dip')
}

/** What is left at a bare share: in straight lines between the stages, to nothing where all is bare. Assumption. */
function leftAtBare(bare: number): number {
  const known = [
    [0, STAGE_LEVELS['no pan'].left],
    ...(['first pan', 'half bare', 'mostly bare'] as const).map((stage) => [
      BARE_AT_STAGE[stage],
      STAGE_LEVELS[stage].left,
    ]),
    [1, 0],
  ] as [number, number][]
  const after = known.findIndex(([at]) => at >= bare)
  const [x1, y1] = known[Math.max(0, after)] ?? [1, 0]
  const [x0, y0] = known[Math.max(0, after - 1)] ?? [0, 1]
  return x1 === x0 ? y1 : y0 + ((bare - x0) / (x1 - x0)) * (y1 - y0)
}

/** Readings of one day follow their moment, then the instant of saving. */
export function byTime(a: DatedReading, b: DatedReading): number {
  return (
    compare(a.day, b.day) ||
    Number(a.moment === 'after-use') - Number(b.moment === 'after-use') ||
    compare(a.savedAt, b.savedAt)
  )
}

/** What is left of an item by its readings. */
export interface Content {
  /** Share left, 0..1; null when nothing was read. */
  readonly left: number | null
  /** Bare share of the pan; of shades, their mean. Null when no stage was seen. */
  readonly bare: number | null
  /** Bare metal shows, of shades in any of them. */
  readonly panShows: boolean
  /** Of how many shades it speaks: one that was never read tells nothing. Null for an item without shades. */
  readonly shades: { readonly read: number; readonly all: number } | null
}

/**
 * What was left on a day by the readings up to it, given in the order of `byTime`. An item with shades follows them as soon
 * as one of them was read: the mean over those that are known, a reading of the whole standing in for those never read.
 */
export function contentOn(readings: readonly DatedReading[], partIds: readonly string[], day: Day): Content {
  const past = readings.filter((reading) => reading.day <= day)
  const whole = past.findLast((reading) => reading.partId === null)
  const own = partIds.map((id) => past.findLast((reading) => reading.partId === id))
  const read = own.filter((each) => each !== undefined).length
  const shades = partIds.length === 0 ? null : { read, all: partIds.length }
  const known = read === 0 ? (whole ? [whole] : []) : own.flatMap((each) => each ?? whole ?? [])
  const bares = known.flatMap((each) => bareBy(past, each) ?? [])
  return {
    left: mean(known.map(leftByReading)),
    bare: mean(bares),
    panShows: bares.some((bare) => bare > 0),
    shades,
  }
}

/**
 * Bare share by the last reading of an item or shade. A stage tells only from where on: an area measured before it that still fits
 * it stays true. Null where the reading tells nothing of a pan.
 */
function bareBy(past: readonly DatedReading[], last: DatedReading): number | null {
  if (last.kind === 'bare') return last.value
  if (last.stage === null) return null
  const least = BARE_AT_STAGE[last.stage]
  const next = PAN_STAGES[stageRank(last.stage) + 1]
  const measured = past.findLast((each) => each.kind === 'bare' && each.partId === last.partId)?.value ?? least
  return measured >= least && (next === undefined || measured < BARE_AT_STAGE[next]) ? measured : least
}

/**
 * The day whose content is the baseline of a goal: the day it rolled in where something was read by then, else that of the
 * first reading after; null while there is none.
 */
export function baselineDay(readings: readonly DatedReading[], rolledIn: Day): { day: Day; late: boolean } | null {
  if (readings.some((reading) => reading.day <= rolledIn)) return { day: rolledIn, late: false }
  const [first] = readings
  return first === undefined ? null : { day: first.day, late: true }
}

function mean(values: readonly number[]): number | null {
  return values.length === 0 ? null : values.reduce((sum, each) => sum + each, 0) / values.length
}

function compare(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0
}
