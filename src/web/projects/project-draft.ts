import type { Day } from '#core/calendar/day'
import type { ProjectShape, Replacing, Theme } from '#core/goal/project-rules'
import type { ProjectView } from '#contract/projects'

/** A project as it is typed: numbers keep their letters. */
export interface ProjectDraft {
  shape: ProjectShape
  name: string
  startedOn: string
  by: string
  wanted: string
  atLeast: string
  mostItems: string
  replacing: Replacing
  breakDays: string
  leavingAllowed: boolean
  theme: Theme | null
  categoryId: string | null
  usesEach: string
  atOnce: string
  paletteId: string | null
  rules: string
}

export function draftOfProject(project: ProjectView | null, today: Day): ProjectDraft {
  const text = (value: number | null | undefined): string =>
    value === null || value === undefined ? '' : String(value)
  return {
    shape: project?.shape ?? 'rolling',
    name: project?.name ?? '',
    startedOn: project?.startedOn ?? today,
    by: project?.by ?? '',
    wanted: text(project?.finishesWanted),
    atLeast: text(project?.atLeast),
    mostItems: text(project?.mostItems),
    replacing: project?.replacing ?? 'as I feel',
    breakDays: text(project?.breakDays),
    leavingAllowed: project?.leavingAllowed ?? true,
    theme: project?.theme ?? null,
    categoryId: project?.categoryId ?? null,
    usesEach: text(project?.usesEach ?? (project === null ? 10 : null)),
    atOnce: text(project?.atOnce),
    paletteId: project?.paletteId ?? null,
    rules: project?.rules ?? '',
  }
}

/** What a shape usually brings: a fixed set replaces nothing. */
export function usualRules(shape: ProjectShape): Partial<ProjectDraft> {
  if (shape === 'season') return { replacing: 'none', mostItems: '15', atLeast: '10' }
  if (shape === 'until done' || shape === 'year-long') return { replacing: 'none', mostItems: '', atLeast: '' }
  return { replacing: 'as I feel', mostItems: '', atLeast: '' }
}

/** As the server takes it; only what belongs to the shape goes along. */
export function projectBody(draft: ProjectDraft) {
  const number = (text: string): number | null => (text.trim() === '' ? null : Number(text))
  const sweep = draft.shape === 'sweep'
  return {
    name: draft.name,
    startedOn: draft.startedOn,
    by: draft.by || null,
    finishesWanted: number(draft.wanted),
    rules: draft.rules,
    shape: draft.shape,
    atLeast: number(draft.atLeast),
    mostItems: sweep ? null : number(draft.mostItems),
    replacing: draft.replacing,
    breakDays: number(draft.breakDays),
    leavingAllowed: draft.leavingAllowed,
    theme: draft.theme,
    categoryId: sweep ? draft.categoryId : null,
    usesEach: sweep ? number(draft.usesEach) : null,
    atOnce: sweep ? number(draft.atOnce) : null,
    paletteId: draft.shape === 'palette' ? draft.paletteId : null,
  }
}

/** What each field is called where two drafts are compared. */
export const PROJECT_FIELDS: Readonly<Record<keyof ProjectDraft, string>> = {
  shape: 'Shape',
  name: 'Name',
  startedOn: 'Started on',
  by: 'Until',
  wanted: 'How many to reach',
  atLeast: 'Enough when',
  mostItems: 'At most',
  replacing: 'What rolls out is replaced',
  breakDays: 'Days a type rests',
  leavingAllowed: 'Items may leave unfinished',
  theme: 'Only',
  categoryId: 'Type',
  usesEach: 'Uses for each',
  atOnce: 'At a time',
  paletteId: 'Palette',
  rules: 'Other rules',
}
