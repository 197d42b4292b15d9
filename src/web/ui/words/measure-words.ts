import type { UnitSystem } from '#core/settings'
import { GRAMS_PER_OUNCE } from '#core/quantity/mass-volume'
import type { PackageEvent } from '#core/measure/package-events'
import type { ContradictionCause, LevelWord, ReadingKind } from '#core/measure/reading'
import type { MassFailure } from '#core/measure/weighing'
import type { ContentView, ReadingDoubt, ReadingView } from '#contract/reading'
import { dateWords, HER_LOCALE, numberWords } from '#web/data/locale'
import type { ListedReading } from '#contract/item'

export type MassUnit = 'g' | 'oz'

/** Digits after the point that a weight of this resolution has: .1 g is 1 digit, and in ounces as many as tell it. */
export function massDigits(resolution: number, unit: MassUnit): number {
  const step = unit === 'g' ? resolution : resolution / GRAMS_PER_OUNCE
  return Math.max(0, Math.min(4, Math.ceil(-Math.log10(step) - 1e-9)))
}

/** The figure alone, in her unit. */
export function massFigure(grams: number, resolution: number, unit: MassUnit): string {
  const digits = massDigits(resolution, unit)
  const value = unit === 'g' ? grams : grams / GRAMS_PER_OUNCE
  return value.toLocaleString(HER_LOCALE, {
    minimumFractionDigits: digits,
    maximumFractionDigits: digits,
    useGrouping: false,
  })
}

/** "44.0 g", "1.552 oz". */
export function massWords(grams: number, resolution: number, unit: MassUnit): string {
  return `${massFigure(grams, resolution, unit)} ${unit}`
}

/** "5.1 to 6.9 g"; never two figures that read the same: "about 5.1 g", "less than 0.1 g". */
export function massRangeWords(low: number, high: number, resolution: number, unit: MassUnit): string {
  const [from, to] = [massFigure(low, resolution, unit), massFigure(high, resolution, unit)]
  if (from !== to) return `${from} to ${to} ${unit}`
  return Number(to.replace(',', '.')) === 0
    ? `less than ${massWords(resolution, resolution, unit)}`
    : `about ${to} ${unit}`
}

export function unitOf(system: UnitSystem): MassUnit {
  return system === 'metric' ? 'g' : 'oz'
}

/** Why what was typed is no weight, with the remedy. */
export function massTrouble(code: MassFailure): string {
  switch (code) {
    case 'mass-unreadable':
      return 'Write the weight as a number, for instance 44.0.'
    case 'mass-is-volume':
      return 'Fluid ounces and millilitres are volumes; a scale weighs. Write what it shows in grams or ounces.'
    case 'mass-not-positive':
      return 'A weight is above 0; put the item on the scale.'
    case 'mass-absurd':
      return 'That’s over 5,000 g. Check the figure and its point.'
  }
}

export const KIND_WORDS: Readonly<Record<ReadingKind, string>> = {
  gross: 'Weigh it',
  level: 'Level',
  length: 'Length',
  stage: 'How much pan is showing',
  bare: 'Bare area',
  word: 'In a word',
}

/** What was read, whatever it was: "44.0 g on the scale", "half bare", "40 % full". */
export function anyReadingWords(
  reading: Pick<ReadingView, 'kind' | 'value' | 'stage' | 'word' | 'resolution'>,
  unit: MassUnit,
): string {
  if (reading.kind === 'gross') return massWords(reading.value ?? 0, reading.resolution ?? 0.1, unit)
  const { kind, value, stage, word } = reading
  return readingWords({ kind, value, stage, word })
}

/** What is odd about a reading, as a sentence. */
export function doubtWords(doubt: ReadingDoubt, unit: MassUnit): string {
  const mass = massWords(doubt.value ?? 0, 0.1, unit)
  const share = `${Math.round((doubt.value ?? 0) * 100)} %`
  switch (doubt.code) {
    case 'looks like ounces':
      return `That looks like ounces: it would be ${massWords(doubt.value ?? 0, 0.1, 'g')}.`
    case 'ten times too heavy':
    case 'ten times too light':
      return `Ten times off what it weighed before: ${mass} would fit.`
    case 'above the capacity':
      return `Your scale carries up to ${mass}.`
    case 'lighter than an empty':
      return `An empty one of its type weighs ${mass}.`
    case 'heavier than before':
      return `${mass} heavier than the time before.`
    case 'level rose':
      return `Fuller than the time before, when it was ${share}.`
    case 'bare area shrank':
      return `Less bare than the time before, when it was ${share}.`
    case 'stage went back':
      return 'The pan showed more the time before.'
  }
}

export const CAUSE_WORDS: Readonly<Record<ContradictionCause, string>> = {
  typing: 'a slip in typing',
  'other package': 'it is in another package',
  repressed: 'it was repressed',
  scale: 'the scale was off',
  'none of these': 'none of these',
}

/** What can have happened, as it is offered. */
export const EVENT_WORDS: Readonly<Record<PackageEvent, string>> = {
  repressed: 'Repressed',
  decanted: 'Decanted',
  'gave to a blend': 'Gave to a blend',
  'cut open': 'Cut open',
  'stopper removed': 'Stopper out',
  'other cap': 'Another cap',
  depotted: 'A shade depotted',
  broken: 'A piece broke',
  spilt: 'Spilt',
  'pump trouble': 'Pump trouble',
  'mister trouble': 'Mister trouble',
  'cap lost': 'Cap lost',
}

/** How a content came about: its inputs in a sentence. */
export function contentWords(content: ContentView, unit: MassUnit): string {
  const { from } = content
  const known = [
    from.weighings > 0 ? `${from.weighings} weighing${from.weighings === 1 ? '' : 's'}` : '',
    from.marks > 0 ? `${from.marks} look${from.marks === 1 ? '' : 's'}` : '',
    `${from.uses} use${from.uses === 1 ? '' : 's'}`,
    from.label === null ? 'no size on record' : `${numberWords(from.label, 2)} g by the label`,
    from.empty === null
      ? 'no empty one of the same weighed yet'
      : `an empty one at ${massWords(from.empty.grams, 0.1, unit)}, ${dateWords(from.empty.day)}`,
  ].filter(Boolean)
  return `Estimated from ${known.join(', ')}.`
}

export function readingWords(reading: ListedReading): string {
  if (reading.kind === 'stage') return STAGE_WORDS[reading.stage ?? 'untouched'] ?? ''
  if (reading.word !== null) return WORD_WORDS[reading.word]
  const share = Math.round((reading.value ?? 0) * 100)
  if (reading.kind === 'bare') return share === 0 ? 'no bare metal yet' : `${share} % bare`
  return reading.kind === 'length' ? `${share} % of its length` : `${share} % full`
}

/** How full, as a sentence goes on. */
export const WORD_WORDS: Readonly<Record<LevelWord, string>> = {
  full: 'full, by your word',
  'mostly full': 'mostly full',
  half: 'about half full',
  'a quarter': 'about a quarter full',
  'scraping the sides': 'scraping the sides',
  'a few uses': 'a few uses left',
  'nothing comes': 'nothing comes any more',
}

export const STAGE_WORDS: Readonly<Record<string, string>> = {
  untouched: 'untouched',
  'dome gone': 'embossing gone',
  dip: 'dip',
  'first pan': 'hit pan',
  'half bare': 'half pan',
  'mostly bare': 'big pan',
}
