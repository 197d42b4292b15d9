import type { Day } from '#core/calendar/day'
import type { Verdict } from '#core/forecast/verdict'
import type { OutlookView, PaceView } from '#contract/forecast'
import type { GoalView } from '#contract/item'
import { numberWords } from '#web/data/locale'
import { shortDay } from './when-words'

/** The one verdict on an item, a shade or a goal, as every screen prints it. */
export const VERDICT_WORDS: Readonly<Record<Verdict, string>> = {
  met: 'goal met',
  ahead: 'ahead',
  'in time': 'in time',
  'on pace': 'on track',
  close: 'close',
  '50-50': '50-50',
  behind: 'behind',
  'not in time': 'not in time',
  'out of reach': 'can’t be done by then',
  missed: 'date missed',
  ended: 'finished before its goal',
  'no date': '',
  'not known': 'not known yet',
  expired: 'expired',
  'gone off': 'gone off',
}

/** The colour a verdict is printed in. */
export function verdictTone(verdict: Verdict | null): 'attention' | 'alarm' | 'done' | null {
  if (verdict === 'met') return 'done'
  if (verdict === 'expired' || verdict === 'gone off') return 'alarm'
  return verdict !== null && ['behind', 'not in time', 'out of reach', 'missed'].includes(verdict) ? 'attention' : null
}

/** "you're at 1.7", with what it is counted from beside it where there is room. */
export function paceShort(pace: PaceView | null): string {
  return pace === null ? 'your pace isn’t known yet' : `you’re at ${numberWords(pace.perWeek, 1)} a week`
}

/** "needs 2 a week, you're at 1.7" */
export function ratesWords({ needed, pace }: OutlookView): string {
  if (needed === null) return paceShort(pace)
  const needs = `needs ${numberWords(needed, 1)} a week`
  return pace === null ? `${needs}, ${paceShort(pace)}` : `${needs}, you’re at ${numberWords(pace.perWeek, 1)}`
}

/** "50-50 by 27 December: needs 2 a week, you're at 1.7." */
export function verdictSentence(goal: GoalView, outlook: OutlookView, today: Day): string {
  const { verdict } = outlook
  const by = goal.by === null ? '' : ` by ${shortDay(goal.by, today)}`
  const words = VERDICT_WORDS[verdict]
  if (verdict === 'missed') return `Its date, ${goal.by === null ? '' : shortDay(goal.by, today)}, has passed.`
  if (verdict === 'out of reach') return `Can’t be done${by}: ${moreByThen(goal, outlook)}.`
  const told = words === '' ? '' : `${words.charAt(0).toUpperCase()}${words.slice(1)}`
  if (verdict === 'expired' || verdict === 'gone off') return `${told}.`
  const rates = ratesWords(outlook)
  return told === '' ? `${rates.charAt(0).toUpperCase()}${rates.slice(1)}.` : `${told}${by}: ${rates}.`
}

/** What can still come: "at your pace 17 more, on every wear day 18". */
function moreByThen({ wearDaysLeft, usesLeft }: GoalView, { pace, needed }: OutlookView): string {
  const days = Math.round(wearDaysLeft ?? 0)
  const every = `on every wear day ${days}`
  const asks = usesLeft === null ? '' : `it asks for ${usesLeft} more; `
  if (pace === null || needed === null || needed <= 0 || usesLeft === null) return `${asks}${every}`
  const weeks = usesLeft / needed
  return `${asks}at your pace ${Math.min(days, Math.round(pace.perWeek * weeks))}, ${every}`
}
