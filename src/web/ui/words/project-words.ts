import type { ProjectShape, Replacing } from '#core/goal/project-rules'
import type { OverloadView, ProjectView } from '#contract/projects'
import { shortDay } from './when-words'
import type { Day } from '#core/calendar/day'
import { counted, plural } from '#core/words/counted'

/** Of the plan in force, when it asks to be laid anew. */
export function planWords(otherwise: number): string {
  if (otherwise === 0) return 'The months of your current plan are over.'
  return `${counted(otherwise, 'item')} went differently from your plan: look for a new one.`
}

export const SHAPE_NAMES: Readonly<Record<ProjectShape, string>> = {
  rolling: 'Rolling',
  season: 'A season',
  'year-long': 'A year',
  'until done': 'Until it is done',
  sweep: 'Every item of a type',
  palette: 'One palette',
}

/** One line of why, for each school. */
export const SHAPE_WHY: Readonly<Record<ProjectShape, string>> = {
  rolling: 'What’s done rolls out, something new rolls in.',
  season: 'A fixed set for about three months: a few easy finishes and some long hauls.',
  'year-long': 'A set for the year: time for what takes long.',
  'until done': 'A fixed set, nothing replaced, until all of it is done; then stop.',
  sweep: 'Every item of a type gets the same number of uses.',
  palette: 'Some shades of one palette, each with a goal of its own.',
}

export const REPLACING_WORDS: Readonly<Record<Replacing, string>> = {
  'as I feel': 'whenever I feel like it',
  'like for like': 'one for one, of the same type',
  'any category': 'one for one, of any type',
  none: 'nothing is replaced',
}

/** The rules that the app holds to, one sentence each; what she left open is no rule. */
export function ruleSentences(project: ProjectView): string[] {
  const said: string[] = []
  if (project.shape === 'sweep') {
    const each = `Every ${project.category ?? 'item'} gets ${counted(project.usesEach ?? 0, 'use')}`
    said.push(project.atOnce === null ? `${each}, all at once.` : `${each}, ${project.atOnce} at a time.`)
  } else if (project.mostItems !== null) said.push(`At most ${project.mostItems} at a time.`)
  if (project.atLeast !== null) said.push(`${project.atLeast} of them ${plural(project.atLeast, 'is')} enough.`)
  if (project.theme !== null) said.push(`Only ${project.theme}.`)
  if (project.replacing === 'none') said.push('Nothing is replaced.')
  else if (project.replacing !== 'as I feel')
    said.push(`What rolls out is replaced ${REPLACING_WORDS[project.replacing]}.`)
  if (project.breakDays !== null)
    said.push(`A type rests ${counted(project.breakDays, 'day')} after one reaches its goal.`)
  if (!project.leavingAllowed) said.push('Nothing is dropped unfinished.')
  return said
}

/** "5 of at least 7 reached". */
export function reachedWords(project: ProjectView): string {
  const { reached, finishesWanted, atLeast } = project
  if (atLeast !== null) return `${reached} of at least ${atLeast} reached`
  return finishesWanted === null ? `${reached} reached` : `${reached} of ${finishesWanted} reached`
}

/** What cannot be met together, with the sum. */
export function overloadWords(overload: OverloadView, today: Day): string {
  const { items, category, needed, wearDays, by } = overload
  return `${counted(items, category)} ${plural(items, 'needs')} ${counted(needed, 'use')} by ${shortDay(by, today)} between them; ${counted(Math.round(wearDays), 'wear day')} ${plural(Math.round(wearDays), 'is')} left, at one of them a day. A later date, fewer uses or fewer items would add up.`
}

/** Evenness in words, with its figure. */
export function evennessWords(evenness: number): string {
  const word =
    evenness > 0.95 ? 'very even' : evenness > 0.8 ? 'fairly even' : evenness > 0.5 ? 'uneven' : 'mostly one of them'
  return `${word} (${Math.round(evenness * 100)} of 100)`
}
