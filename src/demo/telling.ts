import { addDays, fieldsOf, type Day } from '#core/calendar/day'
import type { DemoHouse } from './demo-house.js'
import type { FaceKind } from './faces.js'
import { ROLLING } from './scene.js'

/** A season project ran and was closed before the centenary one began. */
export const SPRING_DAYS = 280
const SPRING_ID = 'spring'
const UNSAID = { skin: null, clothes: null, minutes: null, occasion: null, hands: null, weather: null, note: null }

/** Two walking weeks in June, hay fever in May: less makeup every year. */
export function setTheRhythm(demo: DemoHouse, today: Day): void {
  const { year } = fieldsOf(today)
  for (const each of [year - 1, year])
    demo.act('add-away', (changeId) =>
      demo.stretches.addAway({
        changeId,
        id: `walking-${each}`,
        earliest: `${each}-06-08` as Day,
        latest: `${each}-06-21` as Day,
        words: 'walking',
      }),
    )
  demo.act('add-low-season', (changeId) =>
    demo.stretches.addLowSeason({
      changeId,
      id: 'hay-fever',
      from: '05-01',
      to: '05-31',
      factor: 0.6,
      words: 'hay fever',
    }),
  )
}

/** What she says of a day: short for work, more for a gig. */
export function tellTheDay(demo: DemoHouse, kind: FaceKind): void {
  const { date } = fieldsOf(demo.day)
  if (date % 3 === 0) return
  const occasion = kind === 'bold' ? 'gig' : 'work'
  const said = {
    ...UNSAID,
    occasion,
    minutes: kind === 'bold' ? 40 : 10,
    clothes: date % 2 === 0 ? ('warm' as const) : null,
  }
  demo.act('set-day', (changeId) => demo.facts.setDay({ ...said, changeId, day: demo.day }))
}

/** Six things for a spring, four of them enough. */
export function startSpring(demo: DemoHouse): void {
  const chosen = ['primer', 'blush', 'lipstick', 'mascara', 'brow-pencil', 'cream-eyeshadow'].flatMap((categoryId) => {
    const item = demo.of(categoryId).find((each) => each.inDrawer)
    return item ? [item] : []
  })
  demo.act('add-project', (changeId) =>
    demo.projects.add({
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
    demo.projects.rollInMany(SPRING_ID, {
      changeId,
      day: demo.day,
      goal: { kind: 'uses', target: 15, headStart: 0, by: { kind: 'project' } },
      stays: chosen.map((item) => ({ stayId: `spring-${item.id}`, itemId: item.id, partId: null })),
    }),
  )
}

export function closeSpring(demo: DemoHouse): void {
  const version = demo.projects.all().projects.find((project) => project.id === SPRING_ID)?.version ?? 1
  demo.act('close-project', () =>
    demo.projects.close(
      SPRING_ID,
      version,
      'Six is a good number. The cream shadow needs its own brush, or it stays in the pot.',
    ),
  )
}

/** Pairs, a kept face, things put back, a short list, and how today is. */
export function tellTheRest(demo: DemoHouse, today: Day): void {
  const [base, other] = demo.of('foundation').filter((item) => item.inDrawer)
  const [primer] = demo.of('primer').filter((item) => item.inDrawer)
  if (base && other)
    demo.act('put-pair', (changeId) =>
      demo.care.putPair(base.id, {
        changeId,
        id: 'pair-bases',
        otherItemId: other.id,
        verdict: 'works',
        itemAmount: 2,
        otherAmount: 1,
        amountUnit: 'pumps',
        words: 'two to one in winter',
      }),
    )
  if (base && primer)
    demo.act('put-pair', (changeId) =>
      demo.care.putPair(primer.id, {
        changeId,
        id: 'pair-fight',
        otherItemId: base.id,
        verdict: 'fights',
        itemAmount: null,
        otherAmount: null,
        amountUnit: null,
        words: 'it pills within the hour',
      }),
    )
  const face = ['concealer', 'blush', 'mascara', 'lipstick'].flatMap(
    (id) => demo.of(id).find((item) => item.inDrawer)?.id ?? [],
  )
  demo.act('save-face', (changeId) =>
    demo.facts.saveFace({ changeId, id: 'face-early', name: 'late shift', occasion: 'work', itemIds: face }),
  )
  const doubtful = demo.of('lipstick').find((item) => !item.inDrawer && item.fields.opened.kind === 'range')
  for (const ago of [9, 5, 2])
    if (doubtful) demo.act('put-back', () => demo.facts.setPutBack(doubtful.id, addDays(today, -ago), true))
  for (const [categoryId, season, words] of [
    ['bronzer', 'summer', 'with bare shoulders'],
    ['lipstick', 'winter', 'for the party'],
  ] as const) {
    const item = demo
      .of(categoryId)
      .filter((each) => !each.inDrawer && each.fields.opened.kind === 'range')
      .at(-1)
    if (item)
      demo.act('short-list', (changeId) =>
        demo.projects.putOnShortList({ changeId, id: `later-${item.id}`, itemId: item.id, season, words }),
      )
  }
  demo.act('set-day', (changeId) =>
    demo.facts.setDay({ ...UNSAID, changeId, day: today, skin: 'dry', clothes: 'warm', minutes: 10, occasion: 'work' }),
  )
}
