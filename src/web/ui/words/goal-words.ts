import { capital } from '#core/words/capital'
import type { Day } from '#core/calendar/day'
import type { OutlookView } from '#contract/forecast'
import type { GoalView } from '#contract/item'
import { outlookWords } from './forecast-words'
import { shortDay } from './when-words'
import { usesWords } from './item-words'
import { plural } from '#core/words/counted'

/** Beside a gauge: the one thing worth saying, or nothing. */
export function shortStanding(goal: GoalView): string {
  const plan = byPlan(goal) ? ' the plan' : ''
  switch (goal.standing) {
    case 'met':
      return 'goal met'
    case 'behind':
      return goal.difference === null ? `behind${plan}` : `${Math.round(-goal.difference)} behind${plan}`
    case 'ahead':
      return `${goal.difference === null ? '' : `${Math.round(goal.difference)} `}ahead${plan && ` of${plan}`}`
    case 'out of reach':
      return 'out of reach by its date'
    case 'on pace':
      return plan === '' ? 'on pace' : `on pace with${plan}`
    case 'missed':
      return 'missed its date'
    case 'ended':
      return 'finished short of it'
    case 'not known':
      return 'not read yet'
    case 'no date':
      return ''
  }
}

/** It has no date, and takes its notch from the plan in force. */
function byPlan(goal: GoalView): boolean {
  return goal.by === null && goal.notch !== null && goal.standing !== 'no date'
}

/** What a share done is a share of. */
const AIM: Partial<Record<GoalView['kind'], string>> = {
  finish: 'of what was left is gone',
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
      ? `${uses}; how much went is not read yet`
      : `${Math.round(goal.done * 100)} % ${AIM[goal.kind] ?? 'of the way'}; ${uses}`
  }
  const base = `${goal.uses} of ${usesWords(goal.target ?? 0)}`
  return goal.headStart > 0 ? `${base}, ${goal.headStart} of them a head start` : base
}

/**
 * The sum and how it came about: progress, how it stands, and how likely it is reached at her pace. `outlook` = what is forecast
 * of it; null where nothing is.
 */
export function paceWords(goal: GoalView, outlook: OutlookView | null, today: Day): string {
  const sentences = [`${capital(progressWords(goal))}.`]
  if (goal.met) return [...sentences, 'The goal is met.'].join(' ')
  if (goal.usesLeft !== null && goal.standing !== 'ended') sentences.push(`${goal.usesLeft} left.`)
  if (goal.baseline?.late === true)
    sentences.push(`Reckoned from its first reading, on ${shortDay(goal.baseline.day, today)}.`)
  if (byPlan(goal)) sentences.push(`${capital(shortStanding(goal))} today.`)
  else if (goal.by !== null || goal.standing === 'ended') sentences.push(standingSentence(goal, outlook, today))
  if (goal.standing !== 'ended') sentences.push(outlookWords(outlook, today))
  return sentences.filter(Boolean).join(' ')
}

/** What would still do: a day by which it is nearly sure at her pace, or fewer uses. */
function rescueWords(outlook: OutlookView | null, fewer: number, today: Day): string {
  const date = outlook?.sure ? `by ${shortDay(outlook.sure, today)} it is nearly sure, or ` : ''
  return capital(`${date}a goal of ${usesWords(fewer)} would do.`)
}

function standingSentence(goal: GoalView, outlook: OutlookView | null, today: Day): string {
  const by = goal.by === null ? '' : shortDay(goal.by, today)
  const days =
    goal.wearDaysLeft === null
      ? ''
      : `${rounded(goal.wearDaysLeft, 'wear day')} ${round(goal.wearDaysLeft) === '1' ? 'is' : 'are'} left until ${by}`
  switch (goal.standing) {
    case 'behind':
      return goal.difference === null
        ? `Behind where it should be; ${days}.`
        : `${rounded(-goal.difference, 'use')} behind where it should be today; ${days}.`
    case 'ahead':
      return goal.difference === null
        ? `Ahead of where it should be; ${days}.`
        : `${rounded(goal.difference, 'use')} ahead; ${days}.`
    case 'on pace':
      return `On pace today; ${days}.`
    case 'out of reach': {
      const sum = `Out of reach: ${days}, at one use a day.`
      return goal.rescue ? `${sum} ${rescueWords(outlook, goal.rescue.smallerGoal, today)}` : sum
    }
    case 'missed': {
      const missed = `Its date, ${by}, has passed.`
      return goal.rescue ? `${missed} ${rescueWords(outlook, goal.uses, today)}` : missed
    }
    case 'ended':
      return 'Nothing of it is left to use; what was reached stands.'
    default:
      return `By ${by}; ${days}.`
  }
}

function round(value: number): string {
  return value >= 10 ? String(Math.round(value)) : (Math.round(value * 10) / 10).toString()
}

function rounded(value: number, word: string): string {
  const text = round(value)
  return `${text} ${plural(Number(text), word)}`
}
