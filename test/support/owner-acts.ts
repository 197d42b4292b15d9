import { addDays, type Day } from '#core/calendar/day'
import type { ProjectView, StayView } from '#contract/projects'
import { shadeFields } from './fields'
import { TODAY, type Answer, type TestHouse } from './test-house'

/** What an owner does and reads, in the short words of the tests; of the house that stands at that moment. */
export function ownerActs(house: () => TestHouse) {
  const ago = (days: number): Day => addDays(TODAY, -days)
  const wear = (itemId: string, days: number, over: object = {}) =>
    house().post('/wear', { itemId, day: ago(days), worn: true, ...over })
  const item = async (id: string): Promise<Answer['body']> => (await house().get(`/items/${id}`)).body.item
  const goal = (over: object = {}) => ({ kind: 'uses', target: 10, headStart: 0, by: { kind: 'none' }, ...over })
  const addProject = (id = 'p', over: object = {}) =>
    house().post('/projects', { id, name: id, startedOn: ago(60), by: null, finishesWanted: null, rules: '', ...over })
  const rollIn = (itemId: string, day: Day, over: object = {}, projectId = 'p') =>
    house().post(`/projects/${projectId}/roll-in`, {
      stayId: `s-${itemId}-${projectId}`,
      itemId,
      day,
      goal: goal(),
      ...over,
    })
  const project = async (id = 'p'): Promise<ProjectView> => {
    const { body } = await house().get('/projects')
    return [...body.projects, ...body.closed].find((each: ProjectView) => each.id === id)
  }
  const stayOf = async (itemId: string, id = 'p'): Promise<StayView> => {
    const found = (await project(id)).stays.find((stay) => stay.item.id === itemId)
    if (!found) throw new Error(`${itemId} isn’t in ${id}`)
    return found
  }
  const rollOut = (itemId: string, day: Day, reason: string) =>
    house().post(`/stays/s-${itemId}-p/roll-out`, { day, reason, words: '' })
  const carry = (itemId: string, day: Day) =>
    house().post(`/stays/s-${itemId}-p/carry-over`, { stayId: `c-${itemId}`, projectId: 'q', day })
  const finish = (itemId: string, days = 0) =>
    house().post(`/items/${itemId}/finish`, {
      reviewId: house().id('r'),
      day: ago(days),
      wouldBuyAgain: 'no',
      words: '',
      packageGoes: null,
    })
  const read = (itemId: string, days: number, stage: string, partId: string | null = null) =>
    house().post(`/items/${itemId}/readings`, {
      id: house().id('m'),
      partId,
      reading: { kind: 'stage', stage, day: ago(days) },
    })
  const code = (answer: Answer): [number, string, string] => [
    answer.status,
    answer.body.code,
    answer.body.errors?.[0]?.field ?? '',
  ]
  const palette = (...ids: string[]) =>
    house().item({
      shade: 'Hedgerow',
      structure: 'palette',
      categoryId: 'eyeshadow-palette',
      parts: ids.map((id) => shadeFields(id)),
    })
  return {
    ago,
    wear,
    item,
    goal,
    addProject,
    rollIn,
    project,
    stayOf,
    rollOut,
    carry,
    finish,
    read,
    code,
    part: shadeFields,
    palette,
  }
}
