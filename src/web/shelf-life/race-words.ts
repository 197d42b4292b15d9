import { daysBetween, type Day } from '#core/calendar/day'
import { counted } from '#core/words/counted'
import { moneyWords } from '#web/data/locale'
import { actsFor, type ActContext, type ItemAct } from '#web/ui/acts/item-acts'
import { betweenWords } from '#web/ui/words/forecast-words'
import { capital } from '#core/words/capital'
import { goodTo, reasonWords, sunWords } from '#web/ui/words/shelf-life-words'
import { shortDay } from '#web/ui/words/when-words'
import type { RaceRow } from './race-rows'

/** More than this a week is more than anybody wears one item. */
const MOST_A_WEEK = 7
const percent = (share: number): string => `${Math.round(share * 100)} %`

/** How the race of one thing stands, with everything it comes from. */
export function raceSentences({ item, race, standing }: RaceRow, today: Day, currency: string): string[] {
  const { actOn } = item.shelfLife
  const good = `${capital(goodTo(item, today))}. ${reasonWords({ lastGood: item.shelfLife.lastGood, reason: race.reason })}`
  if (standing === 'past')
    return [good, ...(item.eye ? ['Worn at the eye and expired: stop using it.'] : []), ...sun(), ...stake()]
  const uses = `About ${percent(race.share)} left, ${race.uses.low} to ${race.uses.high} more uses; at your pace finished ${betweenWords(race.finish, today)}, 8 times in 10.`
  const chance =
    race.chance === null || actOn === null
      ? []
      : [`Finished by ${shortDay(actOn, today)}: ${chanceWords(race.chance)}.`]
  return [uses, good, ...chance, ...stake(), ...sun()]

  function sun(): string[] {
    const words = sunWords(item.shelfLife.sun && { ...item.shelfLife.sun, lastDay: race.sunLastDay })
    return words === null ? [] : [words]
  }

  function stake(): string[] {
    if (race.stake === null || race.price === null || race.leftThen === null)
      return ['We don’t know what it cost, so we can’t say what would expire in money.']
    const price = `${race.price.usual ? 'the usual price of its type' : 'its price'}, ${moneyWords(race.price.minor, currency)}`
    const left = percent(race.leftThen)
    return [
      standing === 'past'
        ? `${moneyWords(race.stake, currency)} left in it: ${price}, times the ${left} that are left.`
        : `${moneyWords(race.stake, currency)} would expire: ${price}, times the ${left} expected to be left then.`,
    ]
  }
}

/** How often a week it would have to be worn to be finished by a day. */
function wearsAWeek({ uses }: RaceRow['race'], day: Day, today: Day): number {
  return Math.ceil((uses.middle * 7) / Math.max(1, daysBetween(today, day)))
}

/** How full it is, as people say it. */
function fullWords(share: number): string {
  if (share >= 0.9) return 'almost full'
  if (share >= 0.62) return 'three quarters full'
  if (share >= 0.38) return 'half full'
  return share >= 0.15 ? 'a quarter left' : 'almost finished'
}

/**
 * Why to use it first, or not, in one line: when it expires, how much is left, and what can still be done: its wears until then at her
 * pace, or how often it would have to be worn.
 */
export function useFirstWords({ item, race, standing }: RaceRow, today: Day, paceKnown: boolean): string {
  const { actOn } = item.shelfLife
  const left = item.lifecycle === 'unopened' ? 'unopened' : fullWords(race.share)
  if (standing === 'past') return item.eye ? 'Expired and worn at the eye: stop using it.' : `Expired, ${left}.`
  if (actOn === null) return `We don’t know its use-by date: say when it was opened. ${capital(left)}.`
  const head = `Expires ${shortDay(actOn, today)}, ${left}`
  if (!paceKnown || race.leftThen === null) return `${head}.`
  if (standing === 'in time') return `${head}: finished by then at your pace.`
  const wears = Math.round((race.uses.middle * Math.max(0, race.share - race.leftThen)) / Math.max(race.share, 0.01))
  const pace = wears === 0 ? 'no wear by then' : `${counted(wears, 'wear')} by then`
  const aWeek = wearsAWeek(race, actOn, today)
  if (aWeek > MOST_A_WEEK) return `${head}: ${pace} at your pace. Use it up another way, or let it go.`
  const needs = `wear it ${aWeek === 1 ? 'once' : aWeek === 2 ? 'twice' : `${aWeek} times`} a week to finish it`
  return standing === 'not in time' ? `${head}: ${pace} at your pace; ${needs}.` : `${head}: ${needs}.`
}

/** A chance as people say it. */
function chanceWords(chance: number): string {
  const of10 = Math.round(chance * 10)
  if (chance < 0.02) return 'hardly ever at this pace'
  if (chance > 0.98) return 'almost certainly'
  return of10 === 0
    ? 'fewer than 1 time in 10'
    : of10 === 10
      ? 'more than 9 times in 10'
      : `about ${counted(of10, 'time')} in 10`
}

/** An act as the race offers it, with what is leant to already. */
export interface RaceAct {
  readonly words: string
  readonly act: ItemAct
  readonly context: ActContext
}
const ACTS = {
  lay: { words: 'To the drawer', act: 'lay', context: {} },
  opening: { words: 'Fix the opening', act: 'opening', context: {} },
  'use up': { words: 'Use up as …', act: 'decide', context: { verdict: 'use up as something else' } },
  trial: { words: 'Put on trial', act: 'trial', context: {} },
  sign: { words: 'It has gone off', act: 'sign', context: {} },
  'let go': { words: 'Let go', act: 'decide', context: { verdict: 'let go' } },
} as const satisfies Readonly<Record<string, RaceAct>>

/** What can be done about it: the one that helps most, and all that bear on the race. */
export function actsOfRow({ item, race, standing }: RaceRow, today: Day): { first: RaceAct | null; all: RaceAct[] } {
  const possible = actsFor(item)
  const all = Object.values(ACTS).filter(
    (each) =>
      possible.includes(each.act) &&
      !(each.act === 'opening' && item.lifecycle === 'unopened') &&
      !(each.words === 'Use up as …' && item.shelfLife.state === 'sign seen'),
  )
  const offer = (name: keyof typeof ACTS): RaceAct | null => all.find((each) => each === ACTS[name]) ?? null
  return { first: firstOf(), all }

  function firstOf(): RaceAct | null {
    const { lastGood } = item.shelfLife
    const { reason } = race
    if (standing === 'not known') return reason.code === 'opening-unknown' ? offer('opening') : null
    if (standing === 'past') return offer('let go')
    if (standing === 'in time') return null
    if (lastGood !== null && lastGood.earliest.slice(0, 7) < lastGood.latest.slice(0, 7)) return offer('opening')
    const { actOn } = item.shelfLife
    // What can't be finished by then at any pace is not worth a place in the drawer.
    if (actOn !== null && wearsAWeek(race, actOn, today) > MOST_A_WEEK) return offer('use up')
    return standing === 'close' ? null : (offer('lay') ?? offer('use up'))
  }
}
