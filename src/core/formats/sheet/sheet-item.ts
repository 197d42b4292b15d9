import type { Day } from '../../calendar/day.js'
import type { DateOrder, DayRange } from '../../calendar/when.js'
import type { Failure } from '../../failure.js'
import type { Finish, Format } from '../../item/traits.js'
import type { NetContent } from '../../quantity/mass-volume.js'
import type { Minor } from '../../quantity/money.js'
import type { KnownCategory } from './category-match.js'
import type { SaidLeft } from './left-words.js'
import type { SheetField } from './header-words-data.js'
import type { SheetStatus } from './status-words.js'

/** One item as a row of a sheet gives it. Null = the sheet does not say, or says it wrongly. */
export interface SheetItem {
  /** Counts the items from 1, over all tabs. */
  readonly row: number
  /** Where the user's sheet has it: the tab, blank in a text, and the row as a spreadsheet numbers it. */
  readonly tab: string
  readonly line: number
  readonly maker: string
  readonly name: string
  readonly shade: string
  /** The category's cell, else the section line or tab it stands under. */
  readonly categoryText: string
  readonly categoryId: string | null
  /** The category was read off the product's name, since nothing else told it. */
  readonly categoryFromName: boolean
  readonly content: NetContent | null
  readonly format: Format | null
  readonly price: Minor | null
  /** A price in another currency, as it stands there. */
  readonly priceSaid: string | null
  /** The user said it cost nothing, or that it was a gift. */
  readonly gift: boolean
  readonly acquired: DayRange | null
  readonly opened: DayRange | null
  readonly openedSaid: string
  readonly openedAs: 'unopened' | 'unknown' | 'range'
  readonly paoMonths: number | null
  readonly expiry: Day | null
  /** Uses before the log: the counts of the sheet without those that have a day of their own; null = not said. */
  readonly uses: number | null
  /** How much is left, as it says. */
  readonly left: SaidLeft | null
  readonly leftSaid: string
  /** Days ticked in columns of days. */
  readonly wornOn: readonly Day[]
  /** Finished or gone: history, not stock. Null while it is there. */
  readonly ended: Exclude<SheetStatus, { kind: 'here' }> | null
  /** Unopened packages of the same product beside this one. */
  readonly backups: number
  readonly finish: Finish | null
  readonly colour: string | null
  readonly notes: string
  /** Cells that no column meaning took, and cells that could not be read, kept as text. */
  readonly kept: readonly { readonly column: string; readonly text: string }[]
  /** 1 for the first row of these three, 2 for the next alike …: rows are never merged unasked. */
  readonly occurrence: number
}

export interface SheetProblem {
  readonly row: number
  readonly tab: string
  readonly line: number
  /** Which column it stands in, from 0. */
  readonly at: number
  readonly column: string
  readonly value: string
  readonly failure: Failure
}

export interface SheetReading {
  readonly headers: readonly string[]
  readonly meanings: readonly (SheetField | null)[]
  readonly tabs: readonly { readonly name: string; readonly rows: number }[]
  readonly currency: string
  readonly dateOrder: DateOrder
  readonly items: readonly SheetItem[]
  readonly problems: readonly SheetProblem[]
}

export interface SheetOptions {
  readonly today: Day
  readonly categories: readonly KnownCategory[]
  /** The collection's currency; null when it has none yet: then the sheet's own rules. */
  readonly currency: string | null
  /** The order of day and month where nothing in the sheet shows it. */
  readonly fallbackOrder: DateOrder
  /** The user's correction of what the columns mean. */
  readonly meanings?: readonly (SheetField | null)[]
  /** Cells typed again: the row counted as items are, the column from 0. */
  readonly mended?: readonly { readonly row: number; readonly at: number; readonly text: string }[]
  /** Names of the tabs to read; all when not said. */
  readonly tabs?: readonly string[]
}
