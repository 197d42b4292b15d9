import { addDays, type Day } from '#core/calendar/day'
import { mixed } from '#core/colour/mixing'
import { plural } from '#core/words/counted'
import type { Felt } from '#core/decide/feelings'
import type { Destination, LetGoWhy } from '#core/decide/verdict'
import { isSpoiled } from '#core/shelf-life/last-good-day'
import type { DemoHouse } from './demo-house.js'
import { PARTY_IN_DAYS, PROJECT_DAYS } from './maren/life.js'
import type { DemoItem } from './stash.js'

/** Twelve lipsticks by next summer; she began to say so half a year ago. */
const TARGET = { categoryId: 'lipstick', items: 12, setAgo: 210, inDays: 200 } as const
/** A week of shopping the stash, before the project. */
const STASH = { ago: 130, days: 7, worn: [129, 127, 126, 124] } as const
/** Category, how long ago, where to, why, to whom, handed over so many days later; null = it still waits. */
const GOING: readonly (readonly [string, number, Destination, LetGoWhy, string, number | null])[] = [
  ['bronzer', 118, 'give', 'too many', 'Ines from the depot', 6],
  ['eyeshadow', 117, 'bin', 'expired', '', 0],
  ['setting-powder', 22, 'give', 'shade', 'Ines from the depot', null],
  ['highlighter', 21, 'swap', 'never reached for', 'the skiffle choir', null],
]
const FELT: readonly (readonly [Felt, Felt | null, string])[] = [
  ['good', 'good', 'held through two sets'],
  ['so-so', 'bad', 'gone by the second tram'],
  ['good', null, ''],
  ['bad', 'bad', 'feathers without a liner'],
]

/** What Maren doubts, sets aside, lets go, wishes for and learns, evening by evening. */
export function decidingEvening(demo: DemoHouse, ago: number, today: Day): void {
  if (ago === TARGET.setAgo) setTarget(demo, today)
  if (ago === 205) setAside(demo, today)
  if (ago === STASH.ago) shopTheStash(demo)
  if ((STASH.worn as readonly number[]).includes(ago)) wearPicks(demo, ago)
  if (ago === STASH.ago - STASH.days) endTheStash(demo)
  for (const [categoryId, when, destination, why, toWhom, after] of GOING) {
    if (ago === when) letGo(demo, categoryId, destination, why, toWhom)
    if (after !== null && after > 0 && ago === when - after) handOver(demo, toWhom)
  }
  if (ago === PROJECT_DAYS) swearOff(demo, today)
  if (ago === 61) regret(demo)
  if (ago === 40)
    wish(demo, {
      categoryId: 'lipstick',
      maker: 'Zephyrine',
      name: 'Depot Red',
      colour: '#a3262c',
      price: 2450,
      wait: 30,
      reason: 'The red of the poster by the depot.',
    })
  if (ago === 26)
    wish(demo, {
      categoryId: 'eyeshadow-palette',
      maker: 'Rook & Damson',
      name: 'Twelve Gauge',
      colour: null,
      price: 4900,
      wait: 14,
      reason: 'The tin.',
    })
  if (ago === 12) dropLastWish(demo)
  if (ago === 11)
    wish(demo, {
      categoryId: 'blush',
      maker: 'Kitt Larkspur',
      name: 'Signal Rose',
      colour: '#c9707a',
      price: 1900,
      wait: 30,
      reason: 'Everybody in the choir wears it.',
    })
  if (ago === 100) learn(demo, 'What comes in a hat-box is worn within a month or never.')
  if (ago === 15) weighLessons(demo)
  if (ago === 3) reviewInFull(demo)
  if (ago === 1) feelTrials(demo)
}

/** What rests and stays resting, the fullest first. */
function spare(demo: DemoHouse, categoryId: string): DemoItem[] {
  const resting = demo
    .of(categoryId)
    .filter((item) => demo.restsForGood(item) && !demo.stays.has(item.id) && item !== demo.cast.get('rests'))
  const ids = resting.map(({ id }) => id)
  const there = new Map(demo.services.stock.facts(ids, demo.day).map((facts) => [facts.id, facts]))
  return resting
    .filter(({ id }) => {
      const facts = there.get(id)
      return facts !== undefined && facts.endedOn === null && facts.placement === null && !facts.onTrial
    })
    .sort((a, b) => demo.leftOf(b) - demo.leftOf(a))
}

function setTarget(demo: DemoHouse, today: Day): void {
  const { categoryId, items, inDays } = TARGET
  const by = addDays(today, inDays)
  demo.act('set-target', (changeId) =>
    demo.services.targets.set({ changeId, id: demo.services.newId(), categoryId, items, by }),
  )
}

function setAside(demo: DemoHouse, today: Day): void {
  const put = (item: DemoItem | undefined, kind: 'special' | 'keepsake', forDay: Day | null, words: string): void => {
    if (!item) return
    demo.act('set-aside', (changeId) =>
      demo.services.settingAside.set(item.id, { changeId, id: demo.services.newId(), kind, forDay, words }),
    )
  }
  const [special, other] = spare(demo, 'lipstick').filter(
    (item) => item.fields.opened.kind === 'range' && item.fields.priceMinor !== null && !isOver(demo, item),
  )
  put(special, 'special', addDays(today, PARTY_IN_DAYS), 'the centenary party')
  put(other, 'special', null, 'weddings')
  put(spare(demo, 'eyeshadow-palette').at(-1), 'keepsake', null, 'The lid shows the old depot.')
}

function shopTheStash(demo: DemoHouse): void {
  const chosen = demo.services.stash.all().proposed.slice(0, 4)
  const items = chosen.map(({ item }) => ({
    id: demo.services.newId(),
    itemId: item.id,
    placementId: demo.services.newId(),
  }))
  const to = addDays(demo.day, STASH.days)
  if (items.length > 0)
    demo.act('start-pick', (changeId) => demo.services.stash.start({ changeId, id: demo.services.newId(), to, items }))
}

/** The first of them is worn again and again, the last never. */
function wearPicks(demo: DemoHouse, ago: number): void {
  const now = demo.services.stash.all().now?.items ?? []
  const turn = (STASH.worn as readonly number[]).indexOf(ago)
  for (const { item } of now.slice(0, turn % 2 === 0 ? 1 : 3).slice(0, now.length - 1)) demo.wear(item, demo.day)
}

function endTheStash(demo: DemoHouse): void {
  const pick = demo.services.stash.all().now
  if (!pick) return
  demo.act('end-pick', (changeId) => demo.services.stash.end(pick.id, { changeId, endings: [] }))
}

function letGo(demo: DemoHouse, categoryId: string, destination: Destination, why: LetGoWhy, toWhom: string): void {
  const item = spare(demo, categoryId).find(
    (each) => each.fields.opened.kind === 'range' && isOver(demo, each) === (destination === 'bin'),
  )
  if (!item) return
  const done = demo.attempt('verdict', (changeId) =>
    demo.services.decide.giveVerdict({
      changeId,
      verdictId: demo.services.newId(),
      itemId: item.id,
      trialId: null,
      verdict: 'let go',
      reason: '',
      destination,
      until: null,
      usedAs: null,
      why,
      toWhom,
      lesson: null,
      into: null,
      again: null,
    }),
  )
  if (done.ok) item.ended = true
}

function isOver(demo: DemoHouse, item: DemoItem): boolean {
  const life = demo.services.stock.one(item.id, demo.day)?.shelfLife
  return life !== undefined && isSpoiled(life)
}

function handOver(demo: DemoHouse, toWhom: string): void {
  const row = demo.services.lettingGo.all().waiting.find((each) => each.toWhom === toWhom)
  if (row)
    demo.act('set-handed', (changeId) =>
      demo.services.lettingGo.setHanded(row.verdictId, { changeId, day: demo.day, toWhom }),
    )
}

/** Nothing new until the party; a mascara is planned, and what is finished may be replaced. */
function swearOff(demo: DemoHouse, today: Day): void {
  demo.act('add-rule', (changeId) =>
    demo.services.buyingRules.add({
      changeId,
      id: demo.services.newId(),
      from: demo.day,
      to: addDays(today, PARTY_IN_DAYS),
      most: 0,
      categoryId: null,
      sparesReplacements: true,
      exceptions: [{ id: demo.services.newId(), categoryId: 'mascara', most: 1, words: '' }],
      words: 'Ten finished before the party, and nothing new.',
    }),
  )
}

function regret(demo: DemoHouse): void {
  const row = demo.services.lettingGo.all().gone.find(({ item }) => item.categoryId === 'lipstick')
  if (row)
    demo.act('set-regret', (changeId) =>
      demo.services.lettingGo.setRegret(row.verdictId, {
        changeId,
        day: demo.day,
        words: 'It went with the green coat.',
      }),
    )
}

function wish(
  demo: DemoHouse,
  wished: {
    categoryId: string
    maker: string
    name: string
    colour: string | null
    price: number
    wait: number
    reason: string
  },
): void {
  const { price: priceMinor, wait, ...fields } = wished
  const waitUntil = addDays(demo.day, wait)
  const rest = { shade: '', finish: null, priceMinor, waitUntil }
  demo.act('add-wish', (changeId) =>
    demo.services.buying.addWish({ changeId, id: demo.services.newId(), ...fields, ...rest }),
  )
}

function dropLastWish(demo: DemoHouse): void {
  const [last] = demo.services.buying.all().wishes
  if (last) demo.act('drop-wish', () => demo.services.buying.dropWish(last.id))
}

function learn(demo: DemoHouse, words: string): void {
  const none = { rule: null, about: null, itemId: null, categoryId: null, span: null, struck: false }
  demo.act('keep-lesson', (changeId) =>
    demo.services.lessons.keep({ changeId, id: demo.services.newId(), words, promptedBy: 'herself', ...none }),
  )
}

/** Of what her numbers show she keeps one and strikes one. */
function weighLessons(demo: DemoHouse): void {
  const [kept, struck] = demo.services.lessons.all().offered
  for (const [shown, words] of [
    [kept, (about: string) => `With ${about} a mini would do.`],
    [struck, (about: string) => `No more ${about} for a year.`],
  ] as const)
    if (shown)
      demo.act('keep-lesson', (changeId) =>
        demo.services.lessons.keep({
          changeId,
          id: demo.services.newId(),
          words: words(plural(2, shown.aboutWords)),
          promptedBy: 'numbers',
          rule: shown.rule,
          about: shown.about,
          itemId: null,
          categoryId: demo.of(shown.about).length > 0 ? shown.about : null,
          span: null,
          struck: shown === struck,
        }),
      )
}

/** Some empties are told of at length. */
function reviewInFull(demo: DemoHouse): void {
  const TOLD: Readonly<Record<string, readonly [string, string, string, string]>> = {
    yes: ['Even by the evening, also under the lamp.', 'dry skin in winter', 'the lid', 'it never let me down'],
    no: ['Held for half a day.', 'short days', 'the smell', 'it dries out before it is empty'],
    'have a backup': ['Softened the lines of a night shift.', 'tired mornings', '', 'the next one is here already'],
  }
  // The last one of each verdict.
  const empties = demo.services.empties
    .all()
    .empties.filter(
      ({ wouldBuyAgain: said }, n, all) =>
        TOLD[said ?? ''] !== undefined && all.findIndex((each) => each.wouldBuyAgain === said) === n,
    )
  for (const [n, empty] of empties.slice(0, 3).entries()) {
    const [did, forWhom, dislikes, againWhy] = TOLD[empty.wouldBuyAgain ?? ''] ?? ['', '', '', '']
    if (!empty.reviewId || empty.wouldBuyAgain === null) continue
    const heir = demo.of(empty.item.categoryId).find((item) => item.id !== empty.item.id)
    const { wouldBuyAgain, words, packageGoes, version } = empty
    demo.act('put-review', (changeId) =>
      demo.services.empties.putReview(empty.item.id, {
        changeId,
        reviewId: demo.services.newId(),
        version,
        wouldBuyAgain,
        words,
        packageGoes,
        endedBy: n === 1 ? 'counted early' : n === 2 ? 'cannot be reached' : 'nothing comes out',
        remained: n === 0 ? null : 0.05 * n,
        did,
        forWhom,
        dislikes,
        againWhy,
        replacedBy: '',
        replacedById: n === 0 ? (heir?.id ?? null) : null,
      }),
    )
  }
}

function feelTrials(demo: DemoHouse): void {
  for (const trial of demo.services.decide.all().trials)
    trial.days.forEach(({ day }, n) => {
      const [all, time, words] = FELT[n % FELT.length] ?? ['good', null, '']
      const felt = [
        { aspect: 'in all' as const, felt: all },
        ...(time ? [{ aspect: 'wear time' as const, felt: time }] : []),
      ]
      demo.act('set-feelings', (changeId) =>
        demo.services.feeling.set({ changeId, itemId: trial.item.id, day, felt, words: words === '' ? null : words }),
      )
    })
}

/** The colour that a mix of two was aimed at: a third of the second. */
export function aimOf(first: string | null, second: string | null): string | null {
  return first === null || second === null ? null : mixed(first, second, 1 / 3)
}
