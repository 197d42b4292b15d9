import { addDays, fieldsOf, type Day } from '#core/calendar/day'
import type { DayRange } from '#core/calendar/when'
import { aimOf } from './deciding-story.js'
import type { DemoHouse } from './demo-house.js'
import type { FaceKind } from './faces.js'
import { ROLLING } from './scene.js'

/** A season project ran and was closed before the centenary one began. */
export const SPRING_DAYS = 280
const SPRING_ID = 'spring'
const UNSAID = { skin: null, clothes: null, minutes: null, occasion: null, hands: null, weather: null, note: null }

/** Hay fever in May: less makeup every year. */
export const HAY_FEVER = { from: '05-01', to: '05-31', factor: 0.6 } as const

/** Two walking weeks in June, of this year and the ones around it. */
export function walks(today: Day): DayRange[] {
  const { year } = fieldsOf(today)
  return [year - 2, year - 1, year, year + 1].map((each) => ({
    earliest: `${each}-06-08` as Day,
    latest: `${each}-06-21` as Day,
  }))
}

export function setTheRhythm(demo: DemoHouse, today: Day): void {
  for (const range of walks(today))
    demo.act('add-away', (changeId) =>
      demo.services.stretches.addAway({ changeId, id: demo.services.newId(), ...range, words: 'walking' }),
    )
  demo.act('add-low-season', (changeId) =>
    demo.services.stretches.addLowSeason({ changeId, id: demo.services.newId(), ...HAY_FEVER, words: 'hay fever' }),
  )
}

/** What she says of a day: short for work, more for a gig. */
export function tellTheDay(demo: DemoHouse, kind: FaceKind): void {
  const { date } = fieldsOf(demo.day)
  if (date % 3 === 0) return
  const occasion = kind === 'bold' ? 'gig' : 'work'
  const said = {
    occasion,
    minutes: kind === 'bold' ? 40 : 10,
    clothes: date % 2 === 0 ? ('warm' as const) : null,
  }
  demo.act('set-day', (changeId) => demo.services.dayFacts.setDay({ set: said, was: UNSAID, changeId, day: demo.day }))
}

export function startSpring(demo: DemoHouse): void {
  const chosen = ['primer', 'blush', 'lipstick', 'mascara', 'brow-pencil', 'cream-eyeshadow'].flatMap((categoryId) => {
    const item = demo.of(categoryId).find((each) => each.inDrawer && !each.cast)
    return item ? [item] : []
  })
  demo.act('add-project', (changeId) =>
    demo.services.projects.add({
      changeId,
      id: SPRING_ID,
      name: 'Spring six',
      startedOn: demo.day,
      by: addDays(demo.day, 90),
      finishesWanted: null,
      rules: 'Nothing new before the end of May.',
      ...ROLLING,
      shape: 'season',
      mostItems: 6,
      atLeast: 4,
      replacing: 'none',
    }),
  )
  demo.act('roll-in-many', (changeId) =>
    demo.services.projects.rollInMany(SPRING_ID, {
      changeId,
      day: demo.day,
      goal: { kind: 'uses', target: 15, headStart: 0, by: { kind: 'project' } },
      stays: chosen.map((item) => ({ stayId: demo.services.newId(), itemId: item.id, partId: null })),
    }),
  )
}

export function closeSpring(demo: DemoHouse): void {
  const version = demo.services.projects.all().projects.find((project) => project.id === SPRING_ID)?.version ?? 1
  demo.act('close-project', () =>
    demo.services.projects.close(
      SPRING_ID,
      version,
      'Six is a good number. The cream shadow needs its own brush, or it stays in the pot.',
    ),
  )
}

export function tellTheRest(demo: DemoHouse, today: Day): void {
  const { care, dayFacts, projects, newId } = demo.services
  const base = demo.playing('fought')
  const other = demo.stash.find((item) => item.roles.includes('mixed') && item !== base)
  const none = { itemAmount: null, otherAmount: null, amountUnit: null }
  if (!other) throw new Error('Nothing to mix with')
  demo.act('put-pair', (changeId) =>
    care.putPair(base.id, {
      targetColour: aimOf(base.fields.colour, other.fields.colour),
      changeId,
      id: newId(),
      otherItemId: other.id,
      verdict: 'works',
      itemAmount: 2,
      otherAmount: 1,
      amountUnit: 'pumps',
      words: 'two to one in winter',
    }),
  )
  demo.act('put-pair', (changeId) =>
    care.putPair(demo.playing('fights').id, {
      targetColour: null,
      ...none,
      changeId,
      id: newId(),
      otherItemId: base.id,
      verdict: 'fights',
      words: 'it pills within the hour',
    }),
  )
  const face = ['concealer', 'blush', 'mascara', 'lipstick'].flatMap(
    (id) => demo.of(id).find((item) => item.inDrawer)?.id ?? [],
  )
  demo.act('save-face', (changeId) =>
    dayFacts.saveFace({ changeId, id: newId(), day: null, name: 'late shift', occasion: 'work', itemIds: face }),
  )
  for (const ago of [9, 5, 2])
    demo.act('put-back', () => dayFacts.setPutBack(demo.playing('doubted').id, addDays(today, -ago), true))
  for (const [categoryId, season, words] of [
    ['bronzer', 'summer', 'with bare shoulders'],
    ['lipstick', 'winter', 'for the party'],
  ] as const) {
    const item = demo
      .of(categoryId)
      .filter((each) => !each.inDrawer && !each.cast && each.fields.opened.kind === 'range')
      .at(-1)
    if (item)
      demo.act('short-list', (changeId) =>
        projects.putOnShortList({ changeId, id: newId(), itemId: item.id, season, words }),
      )
  }
  demo.act('set-day', (changeId) =>
    dayFacts.setDay({
      changeId,
      day: today,
      set: { skin: 'dry', clothes: 'warm', minutes: 10, occasion: 'work' },
      was: dayFacts.conditions(today),
    }),
  )
}
