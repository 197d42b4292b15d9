import { eyeMeasureOf, type Form, type PanStage } from '#core/item/form'
import { bareAtStage, stageOfBare } from '#core/item/what-is-left'
import { levelOfWord } from '#core/measure/reading'
import type { GoalView, ListedItem, ListedPart, ListedReading } from '#contract/item'

export type GaugeSize = 'large' | 'middle' | 'small'
export type Drawing = 'pan' | 'palette' | 'bottle' | 'tube' | 'wand' | 'pencil' | 'bullet' | 'pot' | 'label'

/** What the body shows. Unknown is an open outline, never a full one. */
export type Content =
  | { readonly kind: 'unknown' }
  /** `upTo` = estimated, not read: what is left likely lies between the two. */
  | { readonly kind: 'left'; readonly share: number; readonly upTo?: number }
  | { readonly kind: 'stage'; readonly stage: PanStage; readonly bare: number }

export interface GaugeRail {
  /** Share done, 0..1; null = the goal has a rail, but nothing measures it yet. */
  readonly done: number | null
  readonly notch: number | null
  /** Steps to draw on the rail, when they are few enough to be told apart. */
  readonly steps: number | null
}

const DRAWING: Readonly<Record<Form, Drawing>> = {
  pressed: 'pan',
  baked: 'pan',
  loose: 'label',
  pot: 'pot',
  jar: 'pot',
  cushion: 'label',
  pump: 'bottle',
  dropper: 'bottle',
  spray: 'bottle',
  tube: 'tube',
  sachet: 'label',
  wand: 'wand',
  'wooden pencil': 'pencil',
  'twist-up pencil': 'pencil',
  stick: 'bullet',
  bullet: 'bullet',
}

const STANDING: readonly Drawing[] = ['bottle', 'tube', 'wand', 'pencil', 'bullet', 'label']
/** More steps than this run together on a rail. */
const MOST_STEPS = 24

/** Which drawing an item takes: an opaque package bears a label, whatever its form. */
export function drawingOf(item: Pick<ListedItem, 'form' | 'opaque' | 'parts'>): Drawing {
  if (item.parts.length > 0) return 'palette'
  if (item.opaque && eyeMeasureOf(item.form, true) === 'none') return 'label'
  return DRAWING[item.form]
}

export function stands(drawing: Drawing): boolean {
  return STANDING.includes(drawing)
}

export function contentOf(reading: ListedReading | null, estimate: ListedItem['estimate'] = null): Content {
  if (reading === null)
    return estimate === null ? { kind: 'unknown' } : { kind: 'left', share: estimate.low, upTo: estimate.high }
  if (reading.kind === 'stage') {
    const stage = reading.stage ?? 'untouched'
    return { kind: 'stage', stage, bare: bareAtStage(stage) }
  }
  if (reading.kind === 'bare') {
    const bare = reading.value ?? 0
    return { kind: 'stage', stage: stageOfBare(bare), bare }
  }
  return { kind: 'left', share: reading.word === null ? (reading.value ?? 0) : levelOfWord(reading.word) }
}

/** What an item's body shows: nothing is left in one that was finished, whatever was seen of it last. */
export function contentOfItem(item: Pick<ListedItem, 'lifecycle' | 'form' | 'reading' | 'estimate'>): Content {
  if (item.lifecycle !== 'finished') return contentOf(item.reading, item.estimate)
  return DRAWING[item.form] === 'pan' ? { kind: 'stage', stage: 'mostly bare', bare: 1 } : { kind: 'left', share: 0 }
}

/** What a shade's well shows: one used up is bare, one that was taken out leaves its well empty. */
export function contentOfPart(part: ListedPart): Content | { readonly kind: 'taken out' } {
  if (part.depottedOn !== null) return { kind: 'taken out' }
  if (part.finishedOn !== null) return { kind: 'stage', stage: 'mostly bare', bare: 1 }
  return contentOf(part.reading)
}

export function railOf(goal: GoalView | null): GaugeRail | null {
  if (goal === null || goal.kind === 'keep using') return null
  const steps = goal.usesLeft !== null && goal.target !== null && goal.target <= MOST_STEPS ? goal.target : null
  return { done: goal.done, notch: goal.notch, steps }
}

/** Height of a standing drawing, breadth of a lying one, in px. */
export const EXTENT: Readonly<Record<GaugeSize, { standing: number; lying: number }>> = {
  large: { standing: 210, lying: 150 },
  middle: { standing: 94, lying: 70 },
  small: { standing: 40, lying: 34 },
}

/** A palette's breadth in px: its columns decide, within what a compartment holds. */
export function paletteBreadth(size: GaugeSize, columns: number, rows: number): number {
  const pan = size === 'large' ? 62 : size === 'middle' ? 38 : 11
  const wanted = columns * pan + (size === 'small' ? 4 : 16)
  const most = size === 'large' ? 420 : size === 'middle' ? 178 : 46
  return Math.min(wanted, most, rows > 3 ? most * 0.7 : most)
}

/** A number that belongs to an id: the same item always has the same patch of bare metal. */
export function seedOf(id: string): number {
  let hash = 2166136261
  for (const letter of id) hash = Math.imul(hash ^ letter.charCodeAt(0), 16777619) >>> 0
  return hash
}
