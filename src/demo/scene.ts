import { addDays, type Day } from '#core/calendar/day'
import type { DemoHouse } from './demo-house.js'
import { PARTY_IN_DAYS, SPRING_LASTS } from './maren/life.js'
import type { ProjectId } from './maren/thing.js'
import { REVIEWS } from './stash-data.js'
import type { DemoItem } from './stash.js'

/** Her rules for it: rolling, one for one as it comes, leaving allowed. */
const ROLLING = {
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

const PROJECTS = {
  centenary: {
    name: 'Ten by the centenary',
    finishesWanted: 10,
    rules: 'No buying until the centenary party. One out, one in, like for like where I can. Sundays are free.',
    ...ROLLING,
  },
  spring: {
    name: 'Spring six',
    finishesWanted: null,
    rules: 'Nothing new before the end of May.',
    ...ROLLING,
    shape: 'season',
    mostItems: 6,
    atLeast: 4,
    replacing: 'none',
  },
} as const

export function startProject(demo: DemoHouse, id: ProjectId, today: Day): void {
  const by = id === 'centenary' ? addDays(today, PARTY_IN_DAYS) : addDays(demo.day, SPRING_LASTS)
  demo.act('add-project', (changeId) =>
    demo.services.projects.add({ changeId, id, startedOn: demo.day, by, ...PROJECTS[id] }),
  )
}

export function closeSpring(demo: DemoHouse): void {
  const version = demo.services.projects.all().projects.find((project) => project.id === 'spring')?.version ?? 1
  demo.act('close-project', () =>
    demo.services.projects.close(
      'spring',
      version,
      'Six is a good number. The cream shadow needs its own brush, or it stays in the pot.',
    ),
  )
}

/** What she says of what she leaves unfinished. */
const LEFT_WORDS = ['It emphasises the tram dust.', 'I am tired of the smell.', 'Not my colour any more.']

export function rollOut(demo: DemoHouse, item: DemoItem, reason: 'met' | 'left unfinished'): void {
  const stayId = demo.stays.get(item.id) ?? ''
  demo.act('roll-out', (changeId) =>
    demo.services.projects.rollOut(stayId, {
      changeId,
      day: demo.day,
      reason,
      words: reason === 'met' ? '' : (LEFT_WORDS[stayId.charCodeAt(0) % LEFT_WORDS.length] ?? ''),
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
    .filter((item) => item.fields.opened.kind === 'range' && demo.restsForGood(item))
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

/** Of a trial: the question, the wears wanted, and in how many days it is due. */
const TRIALS: Readonly<Record<string, readonly [string, number, number]>> = {
  lipstick: ['Does it feather without a liner?', 4, -2],
  blush: ['Bought for the name. Do I like the colour?', 5, 9],
  highlighter: ['Too light, or only in summer?', 6, 20],
}

export function startTrial(demo: DemoHouse, item: DemoItem, today: Day): void {
  const [question, wearsWanted, due] = TRIALS[item.kind.categoryId] ?? ['Do I like it?', 4, 7]
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

/** One thing was put away for a season, and its date has come. */
export function putAway(demo: DemoHouse, until: Day): void {
  const item = demo.playing('rests')
  demo.act('put-somewhere', (changeId) =>
    demo.services.care.putSomewhere(item.id, { changeId, location: 'season box', until }),
  )
}
