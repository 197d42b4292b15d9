import { addDays, type Day } from '#core/calendar/day'
import type { DemoHouse } from './demo-house.js'
import { REVIEWS } from './stash-data.js'
import type { DemoItem } from './stash.js'

/** The project of the scenario. */
export const PROJECT_ID = 'centenary'
/** The centenary party is this many days ahead. */
const PARTY_IN_DAYS = 26

/** Her rules for it: rolling, one for one as it comes, leaving allowed. */
export const ROLLING = {
  shape: 'rolling',
  atLeast: null,
  mostItems: null,
  replacing: 'as I feel',
  breakDays: null,
  leavingAllowed: true,
  theme: null,
  categoryId: null,
  usesEach: null,
  atOnce: null,
  paletteId: null,
} as const
const CHOSEN = [
  'foundation',
  'concealer',
  'setting-powder',
  'bronzer',
  'blush',
  'eyeshadow-palette',
  'lipstick',
  'lip-gloss',
  'setting-spray',
  'primer',
  'highlighter',
]
const TARGETS = [30, 60, 36, 44]

/** Ten things finished by the tram line's centenary party. */
export function startProject(demo: DemoHouse, today: Day): void {
  demo.act('add-project', (changeId) =>
    demo.projects.add({
      changeId,
      id: PROJECT_ID,
      name: 'Ten by the centenary',
      startedOn: demo.day,
      by: addDays(today, PARTY_IN_DAYS),
      finishesWanted: 10,
      ...ROLLING,
      rules: 'No buying until the centenary party. One out, one in, like for like where I can. Sundays are free.',
    }),
  )
  CHOSEN.forEach((categoryId, at) => {
    const item = demo.of(categoryId).find((each) => each.inDrawer)
    if (!item) return
    const goal =
      at % 3 === 0
        ? ({ kind: 'finish', target: null, headStart: 0 } as const)
        : ({ kind: 'uses', target: TARGETS[at % 4] ?? 40, headStart: at % 2 === 0 ? 0 : 4 } as const)
    demo.rollIn(item, goal, PROJECT_ID, at % 4 !== 3)
  })
}

/** Goals that are met roll out, and the first of the short list comes in. */
export function rollWhatIsMet(demo: DemoHouse, layIn: (item: DemoItem) => void): void {
  if (demo.inProject.size === 0) return
  for (const stay of demo.projects
    .all()
    .projects.flatMap((project) => (project.id === PROJECT_ID ? project.stays : []))) {
    if (stay.rolledOut !== null || !stay.goal.met) continue
    demo.act('roll-out', (changeId) =>
      demo.projects.rollOut(stay.stayId, { changeId, day: demo.day, reason: 'met', words: '' }),
    )
    demo.inProject.delete(stay.item.id)
    const list = demo.projects.shortList(PROJECT_ID, stay.item.id)
    const next = list.ok ? demo.stash.find((item) => item.id === list.value.items[0]?.item.id) : undefined
    if (!next || next.ended) continue
    if (!next.inDrawer) layIn(next)
    demo.rollIn(next, { kind: 'uses', target: 12, headStart: 0 }, PROJECT_ID, true)
  }
}

/** An empty with what she thought; a finished goal rolls out the same day. */
export function finish(demo: DemoHouse, item: DemoItem, count: number): void {
  const [wouldBuyAgain, words] = REVIEWS[count % REVIEWS.length] ?? ['maybe', '']
  demo.act('finish', (changeId) =>
    demo.empties.finish(item.id, {
      changeId,
      reviewId: `r-${item.id}`,
      day: demo.day,
      wouldBuyAgain,
      words,
      packageGoes: count % 3 === 0 ? 'recycle' : 'bin',
    }),
  )
  item.ended = true
  item.inDrawer = false
  const stay = demo.projects
    .all()
    .projects.flatMap((project) => project.stays)
    .find((each) => each.item.id === item.id && each.rolledOut === null)
  if (!stay) return
  demo.act('roll-out', (changeId) =>
    demo.projects.rollOut(stay.stayId, { changeId, day: demo.day, reason: 'finished', words: '' }),
  )
  demo.inProject.delete(item.id)
}

/** Two lipsticks decided on in summer: one back into use, one let go. */
export function oldVerdicts(demo: DemoHouse): void {
  const [keep, away] = demo.of('lipstick').filter((item) => !item.inDrawer && item.fields.opened.kind === 'range')
  const none = { trialId: null, until: null, usedAs: null }
  if (keep)
    demo.act('verdict', (changeId) =>
      demo.decide.giveVerdict({
        ...none,
        changeId,
        verdictId: `v-${keep.id}`,
        itemId: keep.id,
        verdict: 'keep and use',
        reason: 'Five wears and two compliments; it only needed a liner.',
        destination: null,
      }),
    )
  if (!away) return
  demo.act('verdict', (changeId) =>
    demo.decide.giveVerdict({
      ...none,
      changeId,
      verdictId: `v-${away.id}`,
      itemId: away.id,
      verdict: 'let go',
      reason: 'I kept it for the case.',
      destination: 'bin',
    }),
  )
  away.ended = true
}

/** Category, question, wears wanted, days until due, wears so far. */
const TRIALS: readonly (readonly [string, string, number, number, number])[] = [
  ['lipstick', 'Does it feather without a liner?', 4, -2, 4],
  ['blush', 'Bought for the name. Do I like the colour?', 5, 9, 2],
  ['highlighter', 'Too light, or only in summer?', 6, 20, 1],
]

export function startTrials(demo: DemoHouse, today: Day): void {
  for (const [categoryId, question, wearsWanted, due] of TRIALS) {
    const item = demo.of(categoryId).find((each) => !each.inDrawer && each.fields.opened.kind === 'range')
    if (!item) continue
    demo.act('start-trial', (changeId) =>
      demo.decide.startTrial({
        changeId,
        trialId: `t-${item.id}`,
        itemId: item.id,
        wearsWanted,
        dueOn: addDays(today, due),
        question,
      }),
    )
  }
}

/** The last weeks: one goal met and not yet rolled, some trial wears; the day itself still blank. */
export function setTheScene(demo: DemoHouse, today: Day): void {
  const days = demo.faceDays.filter((day) => day >= addDays(today, -21))
  const blush = demo.of('blush').find((item) => item.inDrawer && !demo.inProject.has(item.id))
  if (blush) {
    demo.day = addDays(today, -21)
    demo.rollIn(blush, { kind: 'uses', target: 5, headStart: 0 }, PROJECT_ID, true)
    demo.day = today
    for (const day of days.slice(0, 5)) demo.wear(blush, day)
  }
  for (const trial of demo.decide.all().trials) {
    const wears = TRIALS.find(([categoryId]) => categoryId === trial.item.categoryId)?.[4] ?? 0
    for (const day of days.slice(-wears)) demo.wear(trial.item, day)
  }
}
