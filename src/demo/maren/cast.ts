import { addDays, addMonths, daysBetween, fieldsOf, type Day } from '#core/calendar/day'
import { learnedWeek, yearlyStretches, type CalmStretch, type PlannedWeek } from '#core/calendar/planned-week'
import { paceOf, type Pace } from '#core/goal/pace'
import { eyeMeasureOf } from '#core/item/form'
import { HAY_FEVER, walks } from './looks.js'
import { PARTY_IN_DAYS, PROJECT_DAYS, type MarenLife } from './life.js'
import { liveWith } from './living.js'
import type { Thing, Stay } from './thing.js'
import { Random, uuidOf } from '../random.js'
import { stashOf, type DemoItem } from '../stash.js'

/** Months of wear in the demo's log. */
const LOGGED_MONTHS = 18
export const PLANNED_WEEK = [false, false, true, true, true, true, true]
/** So many lives are looked through for one in which every part is played. */
const MOST_LIVES = 200
/** What is photographed is photographed so many days before today; what is left of it then has to show a patch that grows. */
export const PHOTOGRAPHED_AGO = [93, 61, 29, 0] as const
const SHOWS_IN_A_PHOTO = [0.15, 0.7] as const

/** The parts that items play in the demo: found in her life, not made. */
export const ROLES = [
  'goal met',
  'met lately',
  'on pace',
  'behind',
  'out of reach',
  'without a date',
  'reached and out',
  'left unfinished',
  'finish by eye',
  'nearly done',
  'half panned palette',
  'photographed',
  'spoils soon',
  'lapsed sunscreen',
  'in-date sunscreen',
  'mascara in use',
  'has a backup',
  'trial due',
  'trial running',
  'rests',
  'fights',
  'mixed',
] as const
export type Role = (typeof ROLES)[number]
export type Cast = ReadonlyMap<Role, DemoItem>
export interface FoundLife {
  readonly life: MarenLife
  readonly cast: Cast
  readonly seed: number
}

/** A life with somebody for every part; where none of the lives has that, the one with the least missing. */
export function lifeWithCast(seed: number, today: Day): FoundLife {
  let best: (FoundLife & { readonly missing: number }) | null = null
  for (let n = 0; n < MOST_LIVES; n += 1) {
    const life = lifeOf(seed + n, today)
    const cast = castIn(life)
    const missing = ROLES.length - cast.size + Number(!hasFinished(life))
    if (best === null || missing < best.missing) best = { life, cast, seed: seed + n, missing }
    if (missing === 0) break
  }
  if (best === null) throw new Error('No life was lived')
  return best
}

/** Enough was finished, of enough kinds and after enough guesses, for her year to be looked back on. */
function hasFinished({ things, stays }: MarenLife): boolean {
  const finished = [...things.values()].filter(({ ended }) => ended !== null)
  const guessed = stays.filter(({ goal, out }) => goal.guessMonths !== null && out?.reason === 'finished')
  const inProject = stays.filter(({ project, out }) => project === 'centenary' && out?.reason === 'finished')
  const kinds = new Set(finished.map(({ item }) => item.kind))
  return finished.length >= 14 && kinds.size >= 6 && guessed.length >= 5 && inProject.length >= 3
}

export function lifeOf(seed: number, today: Day): MarenLife {
  const random = new Random(seed)
  const ids = new Random(seed + 1_000_003)
  const start = addMonths(today, -LOGGED_MONTHS)
  const stash = stashOf(random, start, addDays(today, -PROJECT_DAYS), () => uuidOf(ids))
  return liveWith(stash, random, start, today)
}

/** Who plays what, as far as somebody does. */
export function castIn(life: MarenLife): Cast {
  const { today } = life
  const things = [...life.things.values()]
  const there = things.filter((thing) => thing.here && thing.ended === null)
  const stays = life.stays.filter(({ project }) => project === 'centenary')
  const going = stays.filter(({ out }) => out === null)
  const thingOf = (stay: Stay): Thing | undefined => life.things.get(stay.item.id)
  const leftOf = (stay: Stay): number => thingOf(stay)?.left ?? 1
  const paces = new Map(
    going.filter(({ goal }) => goal.kind === 'uses' && goal.dated).map((stay) => [stay, paceNow(life, stay)] as const),
  )
  const dated = (is: (pace: Pace, stay: Stay) => boolean): DemoItem | undefined =>
    going.find((stay) => {
      const pace = paces.get(stay)
      return pace !== undefined && is(pace, stay)
    })?.item
  const ago = (day: Day | null): number => (day === null ? Infinity : daysBetween(day, today))
  const inDrawer = (categoryId: string, is: (thing: Thing) => boolean): Thing | undefined =>
    there.find((thing) => thing.item.kind.categoryId === categoryId && thing.inDrawer && is(thing))
  const good = (thing: Thing): boolean => (thing.goodUntil ?? today) > addDays(today, 30)
  const trial = (categoryId: string): DemoItem | undefined =>
    there.find(({ item, trial: on }) => on && item.kind.categoryId === categoryId)?.item

  const found: Readonly<Record<Role, DemoItem | undefined>> = {
    'goal met': dated(({ standing }) => standing === 'met'),
    'met lately': stays.find(
      ({ metOn, out }) => ago(metOn) <= 27 && ago(metOn) >= 2 && (out === null || out.reason === 'finished'),
    )?.item,
    'on pace': dated(({ standing, difference }) => standing === 'on pace' && Math.abs(difference ?? 9) < 0.97),
    behind: dated(({ standing, difference }) => standing === 'behind' && (difference ?? 0) < -2),
    'out of reach': dated(
      ({ standing, wearDaysLeft }, { goal, uses }) =>
        standing === 'out of reach' && (goal.target ?? 0) - uses > (wearDaysLeft ?? 0) + 3,
    ),
    'without a date': going.find(({ goal, metOn }) => !goal.dated && metOn === null)?.item,
    'reached and out': stays.find(({ out }) => out?.reason === 'met')?.item,
    'left unfinished': stays.find(({ out }) => out?.reason === 'left unfinished')?.item,
    'finish by eye': going.find(
      (stay) =>
        stay.goal.kind === 'finish' &&
        stay.uses >= 6 &&
        ['level', 'length'].includes(eyeMeasureOf(stay.item.fields.form, stay.item.fields.opaque)) &&
        leftOf(stay) > 0.05,
    )?.item,
    'nearly done': going.find((stay) => leftOf(stay) > 0.03 && leftOf(stay) < 0.25 && good(thingOf(stay) as Thing))
      ?.item,
    'half panned palette': going.find((stay) => {
      const bare = (thingOf(stay)?.parts ?? []).filter((left) => left <= PAN_SHOWS).length
      return bare >= 2 && bare <= 6
    })?.item,
    photographed: going.find(({ item }) => {
      const thing = life.things.get(item.id)
      return (
        thing !== undefined &&
        item.kind.categoryId === 'blush' &&
        PHOTOGRAPHED_AGO.every((when) => {
          const left = thing.leftOn(addDays(today, -when))
          return left >= SHOWS_IN_A_PHOTO[0] && left <= SHOWS_IN_A_PHOTO[1]
        })
      )
    })?.item,
    'spoils soon': there.find(
      (thing) => thing.inDrawer && thing.lastOn !== null && ago(thing.goodUntil) < -5 && ago(thing.goodUntil) > -80,
    )?.item,
    'lapsed sunscreen': there.find(
      ({ item }) => item.kind.categoryId === 'sunscreen' && item.fields.expiry !== null && ago(item.fields.expiry) > 10,
    )?.item,
    'in-date sunscreen': inDrawer('sunscreen', ({ goodUntil }) => (goodUntil ?? today) > today)?.item,
    'mascara in use': there.find(
      ({ item, opened, goodUntil }) =>
        item.kind.categoryId === 'mascara' && opened && goodUntil !== null && goodUntil > today,
    )?.item,
    'has a backup': there.find(
      (thing) =>
        thing.opened &&
        there.some(
          ({ item, opened }) =>
            !opened &&
            item.fields.name === thing.item.fields.name &&
            item.fields.maker === thing.item.fields.maker &&
            item !== thing.item,
        ),
    )?.item,
    'trial due': trial('lipstick'),
    'trial running': trial('blush') && trial('highlighter'),
    rests: there.find(
      (thing) =>
        thing.item.kind.categoryId === 'highlighter' &&
        thing.opened &&
        !thing.trial &&
        good(thing) &&
        ago(thing.lastOn) > 130,
    )?.item,
    fights: there.find((thing) => thing.item.kind.categoryId === 'primer' && thing.opened && good(thing))?.item,
    mixed: there.find(
      (thing) => thing.item.kind.categoryId === 'foundation' && thing.opened && good(thing) && thing.lastOn !== null,
    )?.item,
  }
  return new Map(ROLES.flatMap((role) => (found[role] ? [[role, found[role]] as const] : [])))
}

/** What is left of a pan below which its metal shows. Assumption, as in the readings of the demo. */
const PAN_SHOWS = 0.58

function paceNow({ today, days, start }: MarenLife, stay: Stay): Pace {
  const { year } = fieldsOf(today)
  const away: CalmStretch[] = [...walks(today), ...yearlyStretches(HAY_FEVER, year - 2, year + 2)]
  const all = [...days]
  const log = {
    recorded: all.filter(([, { kind, said }]) => kind !== 'none' || said).map(([day]) => day),
    calm: away,
    unwritten: [],
    until: addDays(today, -1),
  }
  const worn = new Set(all.filter(([, { kind }]) => kind !== 'none').map(([day]) => day))
  return paceOf({
    today,
    rolledIn: stay.since < start ? start : stay.since,
    by: addDays(today, PARTY_IN_DAYS),
    target: stay.goal.target ?? 0,
    headStart: 0,
    uses: stay.uses,
    wornToday: false,
    ended: false,
    week: learnedWeek(PLANNED_WEEK.map(Number) as unknown as PlannedWeek, worn, log).week,
    away,
  })
}
