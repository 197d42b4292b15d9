import { z } from 'zod'

export const LetIn = z.strictObject({ address: z.string().max(60).nullable() })

export interface DeviceView {
  readonly id: string
  readonly name: string
  readonly pairedAt: string
  readonly lastSeenAt: string
  /** Whether it is the one that asks. */
  readonly asks: boolean
}

export interface DevicesAnswer {
  /** Whether the question came from the machine Seligo runs on: there alone any of it can be changed. */
  readonly here: boolean
  /** The addresses this machine has in a network, each with the name of its card. */
  readonly addresses: readonly { readonly address: string; readonly card: string }[]
  /** The address the user picked; null = none. */
  readonly picked: string | null
  /** Where a phone finds it; null while the door is shut. */
  readonly url: string | null
  /** Why the door is shut though the user opened it, in words; empty else. */
  readonly trouble: string
  readonly secure: boolean
  readonly devices: readonly DeviceView[]
}

/** A one-time code, with the picture of the address that a phone's camera reads. */
export interface CodeAnswer {
  readonly code: string
  /** For how long it is good. */
  readonly seconds: number
  readonly url: string
  /** An SVG picture as text. */
  readonly qr: string
}

export type CopyKind = 'day' | 'week' | 'month' | 'before-import' | 'before-migration' | 'before-going-back'

export interface CopyView {
  readonly name: string
  /** What it stands for: the first copy of a week is its day's as well. */
  readonly kinds: readonly CopyKind[]
  readonly madeAt: string
  readonly items: number
  readonly wears: number
  readonly pictures: number
  readonly picturesGone: number
  readonly bytes: number
  readonly checkedAt: string
  /** Null when it is sound; else what is wrong with it. */
  readonly wrong: string | null
}

export interface AlsoTo {
  readonly folder: string
  /** When a copy last arrived there, as an instant; null = not since Seligo started. */
  readonly lastAt: string | null
  readonly trouble: string
}

export interface CopiesAnswer {
  readonly here: boolean
  readonly folder: string
  readonly copies: readonly CopyView[]
  readonly alsoTo: AlsoTo | null
  /** Why the copy of the day could not be made, in words; empty else. */
  readonly trouble: string
  readonly kept: Readonly<Record<CopyKind, number>>
}

export interface CopyDifference {
  readonly what: 'items' | 'wears' | 'measurements' | 'projects' | 'reviews' | 'pictures'
  readonly then: number
  readonly now: number
  readonly onlyThen: number
  readonly onlyNow: number
}

export interface CopyInside {
  readonly name: string
  readonly differences: readonly CopyDifference[]
  /** Items by their names that are in one and not in the other, at most a dozen each. */
  readonly itemsOnlyThen: readonly string[]
  readonly itemsOnlyNow: readonly string[]
  /** The last change that it holds, in words; empty when none. */
  readonly lastChange: string
  readonly lastChangeAt: string | null
}

export const AlsoCopyTo = z.strictObject({ folder: z.string().trim().min(1).max(1000).nullable() })
export const Nothing = z.strictObject({})

/** What came of going back: the copy that was made first, to which one act leads again; or, where it was damaged, what it lies under now. */
export interface WentBack {
  readonly before: string | null
  readonly aside: string | null
  readonly items: number
}
