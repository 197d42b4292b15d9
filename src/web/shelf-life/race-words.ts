import type { Day } from '#core/calendar/day'
import { counted } from '#core/words/counted'
import { moneyWords } from '#web/data/locale'
import { actsFor, type ActContext, type ItemAct } from '#web/ui/acts/item-acts'
import { betweenWords } from '#web/ui/words/forecast-words'
import { capital } from '#core/words/capital'
import { goodTo, reasonWords, sunWords } from '#web/ui/words/shelf-life-words'
import { shortDay } from '#web/ui/words/when-words'
import type { RaceRow } from './race-rows'

const percent = (share: number): string => `${Math.round(share * 100)} %`

/** How the race of one thing stands, with everything it comes from. */
export function raceSentences({ item, race, standing }: RaceRow, today: Day, currency: string): string[] {
  const { actOn } = item.shelfLife
  const good = `${capital(goodTo(item, today))}. ${reasonWords({ lastGood: item.shelfLife.lastGood, reason: race.reason })}`
  if (standing === 'past')
    return [good, ...(item.eye ? ['Worn at the eye and expired: stop using it.'] : []), ...sun(), ...stake()]
  const uses = `About ${percent(race.share)} left, ${race.uses.low} to ${race.uses.high} more uses; at your pace gone ${betweenWords(race.finish, today)}, 8 times in 10.`
  const chance =
    race.chance === null || actOn === null ? [] : [`Gone by ${shortDay(actOn, today)}: ${chanceWords(race.chance)}.`]
  return [uses, good, ...chance, ...stake(), ...sun()]

  function sun(): string[] {
    const words = sunWords(item.shelfLife.sun && { ...item.shelfLife.sun, lastDay: race.sunLastDay })
    return words === null ? [] : [words]
  }

  function stake(): string[] {
    if (race.stake === null || race.price === null || race.leftThen === null)
      return ["We don't know what it cost, so we can't say what would expire in money."]
    const price = `${race.price.usual ? 'the usual price of its type' : 'its price'}, ${moneyWords(race.price.minor, currency)}`
    const left = percent(race.leftThen)
    return [
      standing === 'past'
        ? `${moneyWords(race.stake, currency)} left in it: ${price}, times the ${left} that are left.`
        : `${moneyWords(race.stake, currency)} would expire: ${price}, times the ${left} expected to be left then.`,
    ]
  }
}

/** A chance as people say it. */
function chanceWords(chance: number): string {
  const of10 = Math.round(chance * 10)
  if (chance < 0.02) return 'hardly ever at this pace'
  if (chance > 0.98) return 'nearly surely'
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
  sign: { words: 'A sign it is over', act: 'sign', context: {} },
  'let go': { words: 'Let go', act: 'decide', context: { verdict: 'let go' } },
} as const satisfies Readonly<Record<string, RaceAct>>

/** What can be done about it: the one that helps most, and all that bear on the race. */
export function actsOfRow({ item, race, standing }: RaceRow): { first: RaceAct | null; all: RaceAct[] } {
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
    return standing === 'close' ? null : (offer('lay') ?? offer('use up'))
  }
}
