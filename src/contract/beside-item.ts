import type { Day } from '#core/calendar/day'

export interface PairView {
  id: string
  otherItemId: string
  other: string
  verdict: 'works' | 'fights'
  /** Of this item and of the other one, whichever of them the pair was recorded at. */
  itemAmount: number | null
  otherAmount: number | null
  amountUnit: 'pumps' | 'drops' | null
  words: string
  /** The colour that a mix of the two was aimed at. */
  targetColour: string | null
}

export interface PhotoView {
  id: string
  day: Day
  width: number
  height: number
  words: string
}
