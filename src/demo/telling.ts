import { addDays, fieldsOf, type Day } from '#core/calendar/day'
import { aimOf } from './deciding-story.js'
import type { DemoHouse } from './demo-house.js'
import { HAY_FEVER, walks, type LookKind } from './maren/looks.js'

const UNSAID = { skin: null, clothes: null, minutes: null, occasion: null, hands: null, weather: null, note: null }

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
export function tellTheDay(demo: DemoHouse, kind: LookKind): void {
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

export function tellTheRest(demo: DemoHouse, today: Day): void {
  const { care, dayFacts, projects, newId } = demo.services
  const base = demo.playing('mixed')
  const other = demo.of(base.kind.categoryId).find((item) => item !== base)
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
  const look = ['concealer', 'blush', 'mascara', 'lipstick'].flatMap(
    (id) => demo.of(id).find((item) => item.inDrawer)?.id ?? [],
  )
  demo.act('save-face', (changeId) =>
    dayFacts.saveLook({ changeId, id: newId(), day: null, name: 'late shift', occasion: 'work', itemIds: look }),
  )
  const doubted = demo.of('lipstick').find((item) => item.fields.opened.kind === 'range' && demo.restsForGood(item))
  if (!doubted) throw new Error('No lipstick to doubt')
  for (const ago of [9, 5, 2]) demo.act('put-back', () => dayFacts.setPutBack(doubted.id, addDays(today, -ago), true))
  for (const [categoryId, season, words] of [
    ['bronzer', 'summer', 'with bare shoulders'],
    ['lipstick', 'winter', 'for the party'],
  ] as const) {
    const item = demo
      .of(categoryId)
      .filter((each) => each !== doubted && each.fields.opened.kind === 'range' && demo.restsForGood(each))
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
