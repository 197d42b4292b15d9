import { z } from 'zod'
import { addDays, type Day } from '#core/calendar/day'
import type { ContentFacts, Seen } from '#core/forecast/content'
import { calendarOf } from '#core/forecast/finish'
import { evidenceOf, forecastOf, type ForecastFacts } from '#core/forecast/forecast'
import { packageModelOf } from '#core/forecast/form-models'
import { median } from '#core/lists/median'
import { sinceFocus } from '#core/forecast/rate'
import { userEffectsOf, NO_USER_EFFECTS } from '#core/forecast/user-effects'
import { labelGrams, useAmountOf } from '#core/forecast/use-amounts'
import { ROLES } from '#core/forecast/role'
import type { Form } from '#core/item/form'
import type { ModelType } from '#core/item/model-type'

/** Days of a file are numbers; any day of the calendar serves as its last known one. */
const CUT_DAY = '2000-01-01' as Day

/** What the file calls each type, and how it is packed. Data table. */
const TYPES: Readonly<Record<string, readonly [ModelType, Form]>> = {
  liquid_foundation: ['liquid foundation', 'pump'],
  concealer: ['concealer', 'wand'],
  primer: ['primer', 'tube'],
  pressed_powder: ['pressed powder', 'pressed'],
  loose_powder: ['loose powder', 'loose'],
  blush: ['powder blush', 'pressed'],
  cream_blush: ['cream blush', 'stick'],
  bronzer: ['bronzer', 'pressed'],
  highlighter: ['highlighter', 'pressed'],
  eyeshadow: ['eyeshadow', 'pressed'],
  mascara: ['mascara', 'wand'],
  eyeliner_pencil: ['pencil liner', 'wooden pencil'],
  eyeliner_liquid: ['liquid liner', 'wand'],
  brow_pencil: ['brow pencil', 'wooden pencil'],
  brow_gel: ['brow gel', 'wand'],
  lipstick: ['lipstick', 'bullet'],
  lip_balm_stick: ['lip balm', 'bullet'],
  lip_balm_jar: ['lip balm', 'jar'],
  lip_gloss: ['gloss', 'wand'],
  lip_liner: ['lip liner', 'wooden pencil'],
  setting_spray: ['setting spray', 'spray'],
  fragrance: ['fragrance', 'spray'],
  makeup_remover: ['remover', 'pump'],
  face_cream: ['face cream', 'jar'],
  hand_cream: ['hand cream', 'tube'],
}
const STAGES = ['no pan', 'first pan', 'half bare', 'mostly bare'] as const
const Day = z.int()
const Weight = z.tuple([z.number(), z.number()]).nullable()

/** A file of items with their logs, readings and, of those that are to be forecast, what came of it. */
const Thing = z.object({
  id: z.string(),
  person: z.union([z.string(), z.number()]),
  type: z.enum(Object.keys(TYPES)),
  role: z.enum(ROLES),
  label: z.number().nullable(),
  start: z.enum(['new', 'used']),
  f0: z.number().nullish(),
  full: Weight.default(null),
  empty: Weight.default(null),
  focusDay: Day.nullable().default(null),
  away: z.array(z.tuple([Day, Day])).default([]),
  cut: Day,
  uses: z.array(Day),
  obs: z.array(
    z.union([
      z.tuple([Day, z.literal('gross'), z.number(), z.number()]),
      z.tuple([Day, z.literal('level'), z.number()]),
      z.tuple([Day, z.literal('len'), z.number()]),
      z.tuple([Day, z.literal('pan'), z.int().min(0).max(3)]),
    ]),
  ),
  finishedDay: Day.nullable().default(null),
  target: z.boolean().default(false),
  truth: z.object({ finishDay: z.number(), loggedUsesLeft: z.number() }).nullable().default(null),
})
type Thing = z.output<typeof Thing>
const ForecastFile = z.array(Thing)

export interface ForecastScore {
  readonly n: number
  readonly coverage80: number
  readonly early: number
  readonly late: number
  readonly medianAbsLogError: number
  readonly lifetimeAverageError: number
}

/** Reads such a file, or says where it is none. */
export function readForecastFile(text: string): Thing[] {
  return ForecastFile.parse(JSON.parse(text))
}

interface Scored {
  readonly thing: Thing
  readonly early: boolean
  readonly late: boolean
  readonly error: number
  readonly average: number
}

/** Forecasts every target by what was known at its cut, and scores what came of it. */
export function evaluateForecasts(things: readonly Thing[], withUserEffects = true): ForecastScore {
  return scoreOf(scoredOf(things, withUserEffects))
}

/** The same apart for what was recorded of each: everything that was measured, beside tallies and label. */
export function evaluateByRecord(things: readonly Thing[]): { recorded: string; score: ForecastScore }[] {
  const scored = scoredOf(things, true)
  return RECORDS.flatMap(([recorded, fits]) => {
    const own = scored.filter(({ thing }) => fits(thing))
    return own.length === 0 ? [] : [{ recorded, score: scoreOf(own) }]
  })
}

const weighings = (thing: Thing): number => thing.obs.filter((each) => each[1] === 'gross').length
const looks = (thing: Thing): number => thing.obs.length - weighings(thing)
const anchored = (thing: Thing): boolean => thing.empty !== null || thing.full !== null
const done = (thing: Thing): number => thing.uses.length

/** What of an item can have been recorded, the groups overlapping where that is told. */
const RECORDS: readonly (readonly [string, (thing: Thing) => boolean])[] = [
  ['everything', () => true],
  ['tallies and label alone', (thing) => thing.obs.length === 0 && !anchored(thing)],
  ['looks (level, length, pan), no scale', (thing) => looks(thing) > 0 && weighings(thing) === 0 && !anchored(thing)],
  ['one weighing, no empty, not weighed full', (thing) => weighings(thing) === 1 && !anchored(thing)],
  ['two or more weighings, no empty, not weighed full', (thing) => weighings(thing) > 1 && !anchored(thing)],
  ['weighings beside the weight of an empty or a full one', (thing) => weighings(thing) > 0 && anchored(thing)],
  ['the label isn’t known', (thing) => thing.label === null],
  ['began used', (thing) => thing.start === 'used'],
  ['fewer than 10 uses so far', (thing) => done(thing) < 10],
  ['10 uses or more so far', (thing) => done(thing) >= 10],
]

function scoredOf(things: readonly Thing[], withUserEffects: boolean): Scored[] {
  const facts = new Map(things.map((thing) => [thing, factsOf(thing)]))
  const userEffects = new Map(
    [...new Set(things.map((thing) => thing.person))].map((person) => {
      const own = things.filter((thing) => thing.person === person)
      return [
        person,
        withUserEffects
          ? userEffectsOf(own.flatMap((thing) => evidenceOf(facts.get(thing) ?? factsOf(thing))))
          : NO_USER_EFFECTS,
      ]
    }),
  )
  return things.flatMap((thing) => {
    if (!thing.target || thing.truth === null) return []
    const { finish } = forecastOf(facts.get(thing) ?? factsOf(thing), userEffects.get(thing.person))
    const truth = thing.truth.finishDay - thing.cut
    return [
      {
        thing,
        early: truth < finish.low,
        late: truth > finish.high,
        error: Math.abs(Math.log(finish.middle / truth)),
        average: Math.abs(Math.log(lifetimeAverage(thing) / truth)),
      },
    ]
  })
}

function scoreOf(scored: readonly Scored[]): ForecastScore {
  const n = scored.length
  const share = (of: (each: Scored) => boolean): number => scored.filter(of).length / n
  return {
    n,
    coverage80: share((each) => !each.early && !each.late),
    early: share((each) => each.early),
    late: share((each) => each.late),
    medianAbsLogError: median(scored.map((each) => each.error)),
    lifetimeAverageError: median(scored.map((each) => each.average)),
  }
}

/** What the model is fed of an item; what came of it is not among it. */
function factsOf(thing: Thing): ForecastFacts {
  const [type, form] = TYPES[thing.type] ?? (['other', 'jar'] as const)
  const amount = useAmountOf(type, form)
  const label =
    thing.label === null ? null : labelGrams({ amount: thing.label, unit: amount.typicalLabel.unit }, amount)
  const after = (day: number): number => thing.uses.filter((use) => use >= day).length
  const content: ContentFacts = {
    amount,
    package: packageModelOf(type, form),
    label,
    handShift: 0,
    start:
      thing.start === 'new'
        ? { kind: 'new' }
        : thing.f0 === null || thing.f0 === undefined
          ? { kind: 'unknown' }
          : { kind: 'used', share: thing.f0 },
    uses: thing.uses.length,
    lost: 0,
    series: 1,
    empties: thing.empty ? [{ grams: thing.empty[0], resolution: thing.empty[1], cleaned: false, series: 0 }] : [],
    full: thing.full ? { grams: thing.full[0], resolution: thing.full[1] } : null,
    seen: thing.obs.map((each): Seen => {
      const uses = after(each[0])
      switch (each[1]) {
        case 'gross':
          return { kind: 'gross', grams: each[2], resolution: each[3], series: 0, uses, lost: 0 }
        case 'level':
          return { kind: 'level', share: each[2], uses, lost: 0 }
        case 'len':
          return { kind: 'length', share: each[2], uses, lost: 0 }
        case 'pan':
          return { kind: 'stage', stage: STAGES[each[2]] ?? 'no pan', uses, lost: 0 }
      }
    }),
    finished: thing.finishedDay !== null,
  }
  const cut = thing.finishedDay ?? thing.cut
  return {
    content,
    log: {
      role: thing.role,
      cut,
      uses: thing.uses,
      out: thing.away,
      // What never was in focus goes on there as it did: all of its days count.
      weights: thing.focusDay === null ? [[0, cut, 1]] : sinceFocus(thing.focusDay, cut),
      inFocus: thing.focusDay !== null,
    },
    ahead: calendarOf(
      CUT_DAY,
      thing.away.map(([first, last]) => ({
        earliest: addDays(CUT_DAY, first - cut),
        latest: addDays(CUT_DAY, last - cut),
      })),
    ),
  }
}

/** Uses so far over days so far, and what a use takes by the tables of what can be reached: a careful spreadsheet, days. */
function lifetimeAverage({ type, label, start, f0, uses, cut }: Thing): number {
  const [model, form] = TYPES[type] ?? (['other', 'jar'] as const)
  const amount = useAmountOf(model, form)
  const full = labelGrams({ amount: label ?? amount.typicalLabel.amount, unit: amount.typicalLabel.unit }, amount) ?? 0
  const content = full * ((start === 'new' ? 1 : (f0 ?? 0.6)) - packageModelOf(model, form).residue)
  return (Math.max(1, content / amount.median - uses.length) * (cut + 1)) / (uses.length + 0.5)
}
