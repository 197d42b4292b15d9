import type { ProjectShape, Replacing } from '#core/goal/project-rules'
import type { OverloadView, ProjectView } from '#contract/projects'
import { shortDay } from './when-words'
import type { Day } from '#core/calendar/day'
import { counted, plural } from '#core/words/counted'

/** The rooms of Projects. */
export const PROJECT_WAYS = [
  { to: '/projects', words: 'Projects' },
  { to: '/plan', words: 'The plan' },
  { to: '/plan/month', words: 'The month on a sheet' },
] as const

/** Of the plan in force, when it asks to be laid anew. */
export function planWords(otherwise: number): string {
  if (otherwise === 0) return 'The months of the plan in force are over.'
  return `${counted(otherwise, 'thing')} went otherwise than the plan in force has it: a fresh one is laid when you look.`
}

export const SHAPE_NAMES: Readonly<Record<ProjectShape, string>> = {
  rolling: 'Rolling',
  season: 'A season',
  'year-long': 'A year',
  'until done': 'Until it is done',
  sweep: 'Sweep a category',
  palette: 'One palette',
}

/** One line of why, for each school. */
export const SHAPE_WHY: Readonly<Record<ProjectShape, string>> = {
  rolling: 'What is done rolls out, something else rolls in: it never gets stale.',
  season: 'A fixed set for about three months, with some of it enough: a few sure ones and some long hauls.',
  'year-long': 'A set for the year: time enough for what takes long.',
  'until done': 'A fixed set, nothing replaced, until all of it is done; then stop.',
  sweep: 'Every item of a category gets the same number of uses, so that the whole of it stays even.',
  palette: 'Some shades of one palette, each with a goal of its own.',
}

export const REPLACING_WORDS: Readonly<Record<Replacing, string>> = {
  'as I feel': 'whenever I feel like it',
  'like for like': 'one for one, of the same category',
  'any category': 'one for one, of any category',
  none: 'nothing is replaced',
}

/** The rules that the app holds to, one sentence each; what she left open is no rule. */
export function ruleSentences(project: ProjectView): string[] {
  const said: string[] = []
  if (project.shape === 'sweep') {
    const each = `Every ${project.category ?? 'item'} gets ${counted(project.usesEach ?? 0, 'use')}`
    said.push(project.atOnce === null ? `${each}, all side by side.` : `${each}, ${project.atOnce} at a time.`)
  } else if (project.mostItems !== null) said.push(`At most ${project.mostItems} at a time.`)
  if (project.atLeast !== null) said.push(`${project.atLeast} of them ${plural(project.atLeast, 'is')} enough.`)
  if (project.theme !== null) said.push(`Only ${project.theme}.`)
  if (project.replacing === 'none') said.push('Nothing is replaced.')
  else if (project.replacing !== 'as I feel')
    said.push(`What rolls out is replaced ${REPLACING_WORDS[project.replacing]}.`)
  if (project.breakDays !== null)
    said.push(`A category rests ${counted(project.breakDays, 'day')} after one of it is reached.`)
  if (!project.leavingAllowed) said.push('Nothing leaves unfinished.')
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
