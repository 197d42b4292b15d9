import { dateWords } from '#web/data/locale'
import { readingWords } from './measure-words'
import type { GoalView, ListedItem, ListedReading } from '#contract/item'
import { bareAtStage } from '#core/item/what-is-left'
import { callIt, usesWords } from './item-words'
import type { Verdict } from '#core/forecast/verdict'
import { shortVerdict } from './goal-words'
import { counted } from '#core/words/counted'

/** The gauge in words: the same things it draws, for those who hear it. */
export function gaugeWords(
  item: ListedItem,
  worn: boolean,
  wornParts: readonly string[],
  verdict: Verdict | null = null,
): string {
  const said = [callIt(item), leftWords(item)]
  if (item.goal) {
    said.push(
      item.goal.usesLeft === null || item.goal.target === null
        ? goalAim(item.goal.kind)
        : `${item.goal.uses} of ${usesWords(item.goal.target)}`,
    )
    const standing = shortVerdict(item.goal, verdict)
    if (standing) said.push(standing)
  }
  if (item.backups > 0) said.push(counted(item.backups, 'backup'))
  if (item.shelfLife.state !== 'in date' && item.shelfLife.state !== 'unknown') said.push(stateWords(item))
  if (worn) said.push(wornParts.length > 0 ? `worn: ${partNames(item, wornParts)}` : 'worn')
  return said.join(', ')
}

function goalAim(kind: GoalView['kind']): string {
  if (kind === 'finish') return 'to finish'
  return kind === 'keep using' ? 'keep using it' : `to ${kind === 'level' ? 'reach a level' : kind}`
}

/** What is left, as read by eye; honest about nothing being recorded. */
export function leftWords(item: ListedItem): string {
  if (item.lifecycle === 'finished') return 'empty'
  if (item.parts.length > 0) {
    const there = item.parts.filter((part) => part.depottedOn === null)
    const bare = there.filter((part) => part.finishedOn !== null || (part.reading && showsPan(part.reading)))
    const seen = there.some((part) => part.reading !== null || part.finishedOn !== null)
    const pan = seen ? 'no pan yet' : 'not looked at yet'
    return `${counted(there.length, 'shade')}, ${bare.length === 0 ? pan : `${bare.length} with pan showing`}`
  }
  const { reading, lastWorn } = item
  if (reading !== null) {
    // Nobody wears what is untouched: that was then.
    const { stage, day } = reading
    const then = stage === 'untouched' && day !== undefined && lastWorn !== null && lastWorn >= day
    return then ? `untouched on ${dateWords(day)}` : readingWords(reading)
  }
  if (item.estimate === null) return 'no measurements yet'
  return `likely ${Math.round(item.estimate.low * 100)} to ${Math.round(item.estimate.high * 100)} % left, by its weight`
}

function showsPan({ stage, kind, value }: ListedReading): boolean {
  return stage === null ? kind === 'bare' && (value ?? 0) > 0 : bareAtStage(stage) > 0
}

export function stateWords(item: ListedItem): string {
  const { state } = item.shelfLife
  if (state === 'sign seen') return 'spoiled'
  if (state === 'past') return 'expired'
  return state === 'within 90 days' ? 'expires soon' : ''
}

function partNames(item: ListedItem, ids: readonly string[]): string {
  return item.parts
    .filter((part) => ids.includes(part.id))
    .map((part) => part.name)
    .join(' and ')
}
