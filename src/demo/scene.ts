import { addDays, type Day } from '#core/calendar/day'
import { eyeMeasureOf } from '#core/item/form'
import { LEVELS, PALETTE_STAGES, type Role } from './cast-data.js'
import type { DemoHouse } from './demo-house.js'
import type { Plot } from './plot.js'
import { REVIEWS } from './stash-data.js'
import type { DemoItem } from './stash.js'

/** The project of the scenario. */
export const PROJECT_ID = 'centenary'
/** The centenary party is this many days ahead. */
export const PARTY_IN_DAYS = 26
/** The project has run this long. */
export const PROJECT_DAYS = 120

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

type Goal = { kind: 'finish' | 'uses'; target: number | null; dated: boolean }

/** What each of the cast is worked on for. */
function goalOf(role: Role, plot: Plot): Goal | null {
  switch (role) {
    case 'goal met':
    case 'on pace':
    case 'behind':
    case 'out of reach':
      return { kind: 'uses', target: plot.targets[role], dated: true }
    case 'without a date':
      return { kind: 'uses', target: plot.targets[role], dated: false }
    case 'finish by eye':
      return { kind: 'finish', target: null, dated: true }
    case 'half panned palette':
    case 'nearly done':
      return { kind: 'finish', target: null, dated: false }
    case 'reached and out':
      return { kind: 'uses', target: 6, dated: true }
    case 'left unfinished':
      return { kind: 'uses', target: 30, dated: true }
    default:
      return null
  }
}

export function startProject(demo: DemoHouse, today: Day, plot: Plot): void {
  demo.act('add-project', (changeId) =>
    demo.services.projects.add({
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
  for (const item of demo.stash)
    for (const role of item.roles) {
      const goal = goalOf(role, plot)
      if (goal) demo.rollIn(item, { kind: goal.kind, target: goal.target, headStart: 0 }, PROJECT_ID, goal.dated)
    }
}

/** One goal was reached a while ago and rolled out; one thing was left unfinished. */
export function rollOut(demo: DemoHouse, role: 'reached and out' | 'left unfinished'): void {
  const item = demo.playing(role)
  const stay = demo.services.projects
    .all()
    .projects.flatMap((project) => project.stays)
    .find((each) => each.item.id === item.id && each.rolledOut === null)
  if (!stay) throw new Error(`${role} is in no project`)
  const reason = role === 'reached and out' ? 'met' : 'left unfinished'
  demo.act('roll-out', (changeId) =>
    demo.services.projects.rollOut(stay.stayId, {
      changeId,
      day: demo.day,
      reason,
      words: reason === 'met' ? '' : 'It emphasises the tram dust.',
    }),
  )
}

const UNSAID_REVIEW = {
  endedBy: null,
  remained: null,
  did: '',
  forWhom: '',
  dislikes: '',
  againWhy: '',
  replacedBy: '',
  replacedById: null,
  lesson: null,
} as const

export function finish(demo: DemoHouse, item: DemoItem, count: number): void {
  const [wouldBuyAgain, words] = REVIEWS[count % REVIEWS.length] ?? ['maybe', '']
  demo.act('finish', (changeId) =>
    demo.services.empties.finish(item.id, {
      ...UNSAID_REVIEW,
      changeId,
      reviewId: demo.services.newId(),
      day: demo.day,
      wouldBuyAgain,
      words,
      // The empty one is weighed once, of the kinds that the scale carries well.
      empty:
        count % 2 === 0
          ? {
              id: demo.services.newId(),
              state: count % 4 === 0 ? 'cleaned' : 'as finished',
              grams: 18 + count * 1.3,
              resolution: 0.1,
            }
          : null,
      packageGoes: count % 4 === 0 ? 'keep the container' : count % 3 === 0 ? 'recycle' : 'bin',
    }),
  )
  item.ended = true
  item.inDrawer = false
}

/** Two lipsticks decided on in summer: one back into use, one let go. */
export function oldVerdicts(demo: DemoHouse): void {
  const [keep, away] = demo
    .of('lipstick')
    .filter((item) => !item.inDrawer && !item.cast && item.fields.opened.kind === 'range')
  const none = {
    trialId: null,
    until: null,
    usedAs: null,
    why: null,
    toWhom: '',
    into: null,
    again: null,
    lesson: null,
  } as const
  if (!keep || !away) throw new Error('too few lipsticks to decide on')
  demo.act('verdict', (changeId) =>
    demo.services.decide.giveVerdict({
      ...none,
      changeId,
      verdictId: demo.services.newId(),
      itemId: keep.id,
      verdict: 'keep and use',
      reason: 'Five wears and two compliments; it only needed a liner.',
      destination: null,
    }),
  )
  demo.act('verdict', (changeId) =>
    demo.services.decide.giveVerdict({
      ...none,
      changeId,
      verdictId: demo.services.newId(),
      itemId: away.id,
      verdict: 'let go',
      reason: 'I kept it for the case.',
      destination: 'bin',
    }),
  )
  away.ended = true
}

/** Category, question, wears wanted, days until due. */
const TRIALS: readonly (readonly [string, string, number, number])[] = [
  ['lipstick', 'Does it feather without a liner?', 4, -2],
  ['blush', 'Bought for the name. Do I like the colour?', 5, 9],
  ['highlighter', 'Too light, or only in summer?', 6, 20],
]

export function startTrials(demo: DemoHouse, today: Day): void {
  for (const [categoryId, question, wearsWanted, due] of TRIALS) {
    const item = demo.of(categoryId).find((each) => each.roles.some((role) => role.startsWith('trial')))
    if (!item) throw new Error(`no ${categoryId} for a trial`)
    demo.act('start-trial', (changeId) =>
      demo.services.decide.startTrial({
        changeId,
        trialId: demo.services.newId(),
        itemId: item.id,
        wearsWanted,
        dueOn: addDays(today, due),
        question,
      }),
    )
  }
}

/** One thing was put away for a season, and its date has come. */
export function putAway(demo: DemoHouse, until: Day): void {
  const item = demo.playing('asks back')
  demo.act('put-somewhere', (changeId) =>
    demo.services.care.putSomewhere(item.id, { changeId, location: 'season box', until }),
  )
}

/** What is read of the cast by eye, so many days before today. */
export function readCast(demo: DemoHouse, ago: number): void {
  for (const [role, levels] of Object.entries(LEVELS) as [Role, readonly (readonly [number, number])[]][])
    for (const [when, value] of levels) {
      if (when !== ago) continue
      const item = demo.playing(role)
      const kind = eyeMeasureOf(item.fields.form, item.fields.opaque) === 'length' ? 'length' : 'level'
      demo.read(item, null, { kind, value, day: demo.day })
    }
  if (ago !== 30) return
  const palette = demo.playing('half panned palette')
  palette.fields.parts.forEach((part, at) =>
    demo.read(palette, part.id, { kind: 'stage', stage: PALETTE_STAGES[at] ?? 'untouched', day: demo.day }),
  )
}
