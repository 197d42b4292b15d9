import { capital } from '#core/words/capital'
import type { Day } from '#core/calendar/day'
import type { Verdict } from '#core/forecast/verdict'
import type { OutlookView } from '#contract/forecast'
import type { GoalView } from '#contract/item'
import { betweenWords } from './forecast-words'
import { ratesWords, verdictSentence, VERDICT_WORDS } from './verdict-words'
import { shortDay } from './when-words'
import { usesWords } from './item-words'
import { plural } from '#core/words/counted'

/** Beside a gauge: its verdict, with how far it is off where that is what it says. Nothing while it is not known. */
export function shortVerdict(goal: GoalView, verdict: Verdict | null): string {
  if (verdict === null) return ''
  const off = goal.difference === null ? '' : `${Math.round(Math.abs(goal.difference))} `
  const plan = byPlan(goal) ? ' on the plan' : ''
  if (verdict === 'behind' || verdict === 'ahead') return `${off}${VERDICT_WORDS[verdict]}${plan}`
  return VERDICT_WORDS[verdict]
}

/** It has no date, and takes its notch from the plan in force. */
function byPlan(goal: GoalView): boolean {
  return goal.by === null && goal.notch !== null && goal.standing !== 'no date'
}

/** What a share done is a share of. */
const AIM: Partial<Record<GoalView['kind'], string>> = {
  finish: 'of what was left is used',
  'hit pan': 'of the way to pan',
  'expand pan': 'of the way to the bare area aimed for',
  level: 'of the way to the level aimed for',
}

/** "12 of 20 uses, 3 of them a head start". */
export function progressWords(goal: GoalView): string {
  if (goal.usesLeft === null) {
    const uses =
      goal.wearsInStay === 0 ? 'not worn since it rolled in' : `${usesWords(goal.wearsInStay)} since it rolled in`
    if (goal.kind === 'keep using') return uses
    if (goal.done === 0) return `No difference to be seen yet; ${uses}`
    return goal.done === null
      ? `${uses}; not measured yet`
      : `${Math.round(goal.done * 100)} % ${AIM[goal.kind] ?? 'of the way'}; ${uses}`
  }
  const base = `${goal.uses} of ${usesWords(goal.target ?? 0)}`
  return goal.headStart > 0 ? `${base}, ${goal.headStart} of them a head start` : base
}

/** A goal in one line, its verdict apart: "29 of 36 uses · needs 2 a week, you're at 1.7". */
export function goalLine(goal: GoalView, outlook: OutlookView | null): string {
  const done =
    goal.usesLeft === null
      ? goal.done === null || goal.kind === 'keep using'
        ? progressWords(goal)
        : `${Math.round(goal.done * 100)} % ${AIM[goal.kind] ?? 'of the way'}`
      : `${goal.uses} of ${usesWords(goal.target ?? 0)}`
  const open = !goal.met && outlook !== null && !['missed', 'expired', 'gone off', 'ended'].includes(outlook.verdict)
  return open ? `${done} · ${ratesWords(outlook)}` : done
}

/**
 * The sum and how it came about: progress, the verdict with what it needs and the pace, and what the date or the plan would have by
 * today. `outlook` = what is forecast of it; null where nothing is.
 */
export function paceWords(goal: GoalView, outlook: OutlookView | null, today: Day): string {
  const sentences = [`${capital(progressWords(goal))}.`]
  if (goal.met) return [...sentences, 'The goal is met.'].join(' ')
  if (goal.standing === 'ended') return [...sentences, 'Finished before its goal; what was reached stands.'].join(' ')
  if (goal.usesLeft !== null) sentences.push(`${goal.usesLeft} left.`)
  if (goal.baseline?.late === true)
    sentences.push(`Counted from its first reading, on ${shortDay(goal.baseline.day, today)}.`)
  if (outlook !== null) sentences.push(verdictSentence(goal, outlook, today))
  sentences.push(notchWords(goal))
  if (goal.by === null && outlook !== null)
    sentences.push(`At this pace ${betweenWords(outlook.reach, today)}, 8 times in 10.`)
  return sentences.filter(Boolean).join(' ')
}

/** Where it should be today, as a figure; nothing where it is there. */
function notchWords(goal: GoalView): string {
  const { difference, wearDaysLeft, standing } = goal
  const days =
    wearDaysLeft === null || wearDaysLeft <= 0 || goal.by === null
      ? ''
      : `${rounded(Math.round(wearDaysLeft), 'wear day')} left`
  const should = byPlan(goal) ? 'where the plan has it today' : 'where it should be today'
  const off =
    difference === null || (standing !== 'behind' && standing !== 'ahead')
      ? ''
      : `${rounded(Math.abs(difference), 'use')} ${standing === 'ahead' ? 'ahead of' : 'behind'} ${should}`
  const told = [off, days].filter(Boolean).join('; ')
  return told === '' ? '' : `${capital(told)}.`
}

function round(value: number): string {
  return value >= 10 ? String(Math.round(value)) : (Math.round(value * 10) / 10).toString()
}

function rounded(value: number, word: string): string {
  const text = round(value)
  return `${text} ${plural(Number(text), word)}`
}
