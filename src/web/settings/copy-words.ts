import { numberWords } from '#web/data/locale'
import type { CopyDifference, CopyKind, CopyView } from '#contract/host'

/** Why a copy was made: all that it stands for. */
export function whyWords({ kinds }: Pick<CopyView, 'kinds'>): string {
  return kinds.map((kind) => WHY[kind]).join(', ')
}

const WHY: Readonly<Record<CopyKind, string>> = {
  day: 'the day’s',
  week: 'first of its week',
  month: 'first of its month',
  'before-import': 'before an import',
  'before-migration': 'before an update of Seligo',
  'before-going-back': 'before a restore',
}

export const WHAT: Readonly<Record<CopyDifference['what'], string>> = {
  items: 'items',
  wears: 'ticks',
  measurements: 'measurements',
  projects: 'projects',
  reviews: 'reviews',
  pictures: 'pictures',
}

const KILO = 1000

/** A size of a file as a person reads it: 7.7 MB. */
export function bytesWords(bytes: number): string {
  if (bytes < KILO * KILO) return `${numberWords(Math.max(1, Math.round(bytes / KILO)), 0)} kB`
  if (bytes < KILO ** 3) return `${numberWords(bytes / KILO ** 2, 1)} MB`
  return `${numberWords(bytes / KILO ** 3, 1)} GB`
}
