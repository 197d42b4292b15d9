import { groupBy } from '../lists/grouping.js'
import { median } from '../lists/median.js'

/** What made the user's think of it. */
export const LESSON_PROMPTS = ['finale', 'verdict', 'empty', 'numbers', 'herself'] as const
export type LessonPrompt = (typeof LESSON_PROMPTS)[number]

/** What the user's numbers can show. */
export const LESSON_RULES = [
  'finishes fast',
  'finishes slowly',
  'never finishes',
  'guesses short',
  'source never worn',
  'maker again',
  'maker never again',
  'let go unused',
  'bought in twins',
] as const
export type LessonRule = (typeof LESSON_RULES)[number]

/** A rule is said from this many items on. Assumptions, printed in docs/deciding.md. */
export const LEAST_COUNTS: Readonly<Record<LessonRule, number>> = {
  'finishes fast': 3,
  'finishes slowly': 3,
  'never finishes': 8,
  'guesses short': 3,
  'source never worn': 4,
  'maker again': 3,
  'maker never again': 3,
  'let go unused': 4,
  'bought in twins': 4,
}

/** What the user's numbers show of one item, with the numbers; `about` is what it is about: a category, a brand, a source. */
export interface ShownLesson {
  readonly rule: LessonRule
  readonly about: string
  /** On how many items it stands. */
  readonly count: number
  /** The numbers that its sentence names, by rule. */
  readonly mine: number
  readonly others: number
}

export interface Ending {
  readonly categoryId: string
  readonly maker: string
  readonly how: 'finished' | 'left'
  /** Days in use; null where nobody knows. */
  readonly days: number | null
  /** Null where nobody knows: used before the log, and nobody said how often. */
  readonly uses: number | null
  readonly again: string | null
}

export interface Owned {
  readonly categoryId: string
  readonly source: string | null
  readonly uses: number | null
  /** Days since it came; null = not known, and long enough. */
  readonly daysHere: number | null
  /** A near twin of it was there when it came. */
  readonly hasTwin: boolean
}

export interface LessonFacts {
  readonly endings: readonly Ending[]
  readonly owned: readonly Owned[]
  /** By category, and of everything under ''. */
  readonly guesses: readonly {
    readonly about: string
    readonly finished: number
    readonly factor: number
    readonly short: boolean
  }[]
  readonly logDays: number
}

/** All endings with a known time that a comparison needs. Assumption. */
const LEAST_ENDINGS = 6
/** Twice as fast, or half. Assumption. */
const TIMES = 2
/** A year of log before "never" is said. Assumption. */
const NEVER_AFTER_DAYS = 365
/** Here for less than this, it had no time to be worn. Assumption. */
const SETTLED_DAYS = 180
const UNUSED_BELOW = 5
const MOST_OF_THEM = 2 / 3

/** Every rule that the user's numbers show, with its numbers; the same facts, the same lessons. */
export function lessonsShown(facts: LessonFacts): ShownLesson[] {
  const found = [
    ...byTime(facts.endings),
    ...neverFinished(facts),
    ...facts.guesses
      .filter(({ short }) => short)
      .map(({ about, finished, factor }) => of('guesses short', about, finished, factor, 1)),
    ...sourcesUnworn(facts.owned),
    ...makers(facts.endings),
    ...letGoUnused(facts.endings),
    ...twins(facts.owned),
  ]
  return found
    .filter(({ rule, count }) => count >= LEAST_COUNTS[rule])
    .sort((a, b) => b.count / LEAST_COUNTS[b.rule] - a.count / LEAST_COUNTS[a.rule])
}

function of(rule: LessonRule, about: string, count: number, mine: number, others: number): ShownLesson {
  return { rule, about, count, mine, others }
}

function byTime(endings: readonly Ending[]): ShownLesson[] {
  const timed = endings.filter((each) => each.how === 'finished' && each.days !== null)
  if (timed.length < LEAST_ENDINGS) return []
  return [...groupBy(timed, ({ categoryId }) => categoryId)].flatMap(([about, own]) => {
    const rest = timed.filter(({ categoryId }) => categoryId !== about)
    if (rest.length === 0) return []
    const [mine, others] = [middle(own), middle(rest)]
    if (mine * TIMES <= others) return [of('finishes fast', about, own.length, mine, others)]
    return mine >= others * TIMES ? [of('finishes slowly', about, own.length, mine, others)] : []
  })
}

function neverFinished({ owned, endings, logDays }: LessonFacts): ShownLesson[] {
  if (logDays < NEVER_AFTER_DAYS) return []
  const done = new Set(endings.filter(({ how }) => how === 'finished').map(({ categoryId }) => categoryId))
  return [...groupBy(owned, ({ categoryId }) => categoryId)]
    .filter(([about]) => !done.has(about))
    .map(([about, own]) =>
      of('never finishes', about, own.length, 0, endings.filter(({ how }) => how === 'finished').length),
    )
}

function sourcesUnworn(owned: readonly Owned[]): ShownLesson[] {
  const settled = owned.filter(({ daysHere, uses }) => uses !== null && (daysHere === null || daysHere >= SETTLED_DAYS))
  return [...groupBy(settled, ({ source }) => source ?? '')].flatMap(([about, own]) => {
    const unworn = own.filter(({ uses }) => uses === 0).length
    return about !== '' && about !== 'bought' && unworn * 2 >= own.length
      ? [of('source never worn', about, own.length, unworn, own.length)]
      : []
  })
}

function makers(endings: readonly Ending[]): ShownLesson[] {
  const told = endings.filter(({ again, maker }) => maker !== '' && (again === 'yes' || again === 'no'))
  return [...groupBy(told, ({ maker }) => maker)].flatMap(([about, own]) => {
    const yes = own.filter(({ again }) => again === 'yes').length
    if (yes >= own.length * MOST_OF_THEM) return [of('maker again', about, own.length, yes, own.length)]
    const no = own.length - yes
    return no >= own.length * MOST_OF_THEM ? [of('maker never again', about, own.length, no, own.length)] : []
  })
}

function letGoUnused(endings: readonly Ending[]): ShownLesson[] {
  const gone = endings.filter(({ how, uses }) => how === 'left' && uses !== null)
  return [...groupBy(gone, ({ categoryId }) => categoryId)].flatMap(([about, own]) => {
    const unused = own.filter(({ uses }) => uses !== null && uses < UNUSED_BELOW).length
    return unused * 2 > own.length ? [of('let go unused', about, own.length, unused, own.length)] : []
  })
}

function twins(owned: readonly Owned[]): ShownLesson[] {
  return [...groupBy(owned, ({ categoryId }) => categoryId)].flatMap(([about, own]) => {
    const doubled = own.filter(({ hasTwin }) => hasTwin).length
    return doubled >= LEAST_COUNTS['bought in twins'] && doubled * 2 >= own.length
      ? [of('bought in twins', about, doubled, doubled, own.length)]
      : []
  })
}

function middle(own: readonly Ending[]): number {
  return median(own.flatMap(({ days }) => days ?? []))
}

/** One the user kept or struck already. */
export interface KnownLesson {
  readonly rule: LessonRule
  readonly about: string
  readonly count: number
  readonly struck: boolean
}

/** A struck one comes again when it stands on so many times as many items. Assumption. */
const AGAIN_FROM = 2

/** Those to offer: not what the user keeps already, and what the user struck only when twice as much speaks for it. */
export function lessonsToOffer(shown: readonly ShownLesson[], known: readonly KnownLesson[]): ShownLesson[] {
  return shown.filter((each) => {
    const there = known.find(({ rule, about }) => rule === each.rule && about === each.about)
    return there === undefined || (there.struck && each.count >= Math.max(1, there.count) * AGAIN_FROM)
  })
}
