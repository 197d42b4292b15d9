import type { ListedItem, ListedPart } from '#contract/item'
import type { Content, GaugeSize } from './gauge-model'

/** What every drawing of the gauge is given. */
export interface DrawingProps {
  readonly uid: string
  readonly seed: string
  readonly form: ListedItem['form']
  readonly size: GaugeSize
  readonly content: Content
  readonly colour: string | null
  /** Where there is no swatch: a colour guessed, drawn as a guess. */
  readonly guess: string | null
  readonly finish: ListedItem['finish']
  /** An unopened second one: a thin outline behind. */
  readonly backup: boolean
}

export interface PaletteProps {
  readonly uid: string
  readonly size: GaugeSize
  readonly parts: readonly ListedPart[]
  readonly wornParts: readonly string[]
  readonly backup: boolean
}

/** The paint of a swatch: its true colour; a guess through the hatching of what is not known; or that hatching alone. */
export function paintOf(props: { uid: string; colour: string | null }): string {
  return props.colour ?? `url(#${props.uid}-undyed)`
}

/** How far an estimate reaches above what is surely there; null for what was read. */
export function upToOf({ content, size }: { content: Content; size: GaugeSize }): number | null {
  return content.kind === 'left' && size !== 'small' ? (content.upTo ?? null) : null
}

/** The share to fill: of an estimate in the small drawing, which has no hatching, the middle. */
export function shareOf({ content, size }: { content: Content; size: GaugeSize }): number | null {
  if (content.kind !== 'left') return null
  return size === 'small' && content.upTo !== undefined ? (content.share + content.upTo) / 2 : content.share
}

/** Whether an overlay is drawn for the finish. */
export function hasGrain(props: { size: GaugeSize; finish: ListedItem['finish'] }): boolean {
  return (
    props.size !== 'small' && (props.finish === 'shimmer' || props.finish === 'metallic' || props.finish === 'satin')
  )
}

/** Sheer things let the glass shine through. */
export function opacityOf(finish: ListedItem['finish']): number {
  return finish === 'sheer' ? 0.72 : 1
}
