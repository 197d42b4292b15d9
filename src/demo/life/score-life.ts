import { daysBetween, type Day } from '#core/calendar/day'
import { chanceWord } from '#core/forecast/verdict'
import { MONTH_DAYS } from '#core/calendar/lengths'
import { lifeTable, type Watched } from '#core/forecast/life-table'
import { chanceOf } from '#core/forecast/forecast'
import type { Span } from '#core/forecast/weighed'
import { median } from '#core/lists/median'
import type { Db } from '#server/db/query'
import type { ItemFacts } from '#server/stock/item-facts'
import type { Known, LifeEvent, LifeFile, LifeTruth } from './life-file.js'
import { PlayedLife } from './play-life.js'

interface Interval {
  readonly n: number
  readonly inside: number
  readonly error: number
}
interface FinishScore extends Interval {
  readonly early: number
  readonly late: number
}

/** What is shown on the days it is asked, against what came: shares of rows, and median absolute log errors. */
export interface LifeScore {
  readonly inUse: FinishScore
  readonly resting: FinishScore
  readonly left: { readonly inUse: Interval; readonly all: Interval }
  readonly firstTick: { readonly n: number; readonly fell: number }
  readonly verdicts: Readonly<Record<string, { readonly n: number; readonly cameTrue: number; readonly said: number }>>
  readonly pace: { readonly shownOverCounted: number }
  readonly needs: Interval
  /** What the product says of its own forecasts at the end: the share finished by each mark. */
  readonly itsOwn: { readonly tenth: number | null; readonly half: number | null; readonly nineTenths: number | null }
}

/** One item on one day that is asked. */
export interface LifeRow {
  readonly ask: number
  readonly id: string
  /** What was said of it when it was written down. */
  readonly known: Known
  readonly inUse: boolean
  /** Days from the last known one until it is finished. */
  readonly finish: { readonly said: Span; readonly came: number | null; readonly followed: number }
  readonly left: { readonly said: Span; readonly came: number }
}
interface Said {
  readonly word: string
  readonly chance: number
  readonly cameTrue: boolean
}
interface Need {
  readonly said: Span
  readonly came: number
}
export interface LifeRows {
  readonly rows: readonly LifeRow[]
  readonly verdicts: readonly Said[]
  readonly paces: readonly number[]
  readonly needs: readonly Need[]
  readonly firstTicks: readonly number[]
  readonly watched: readonly Watched[]
  readonly refused: readonly string[]
}

/** What falls by more than this share at its first tick, fell. */
const FALL = 0.2

/** Plays a life through the product's own commands into an empty database, and asks on its days what the product says. */
export function playLife(db: Db, life: LifeFile): LifeRows {
  const played = new PlayedLife(db, life)
  const { services } = played.house
  const found = {
    rows: [] as LifeRow[],
    verdicts: [] as Said[],
    paces: [] as number[],
    needs: [] as Need[],
    firstTicks: [] as number[],
  }
  const shareOf = (id: string): number | null => {
    const item = services.stock.one(id, services.today())
    return item && services.forecasts.of(item).forecast.content.share.middle
  }
  const worn = new Set<string>()
  /** Shares on the morning before the first tick, of what is asked about again the morning after. */
  let ticked = new Map<string, number>()
  const morning = (_: number, events: readonly LifeEvent[]): void => {
    services.forecastKeeping.due()
    for (const [id, before] of ticked) found.firstTicks.push(before - (shareOf(id) ?? before))
    ticked = new Map()
    for (const event of events)
      if (event.do === 'wear')
        for (const id of event.items) {
          if (worn.has(id)) continue
          worn.add(id)
          const item = services.stock.one(id, services.today())
          if (item && openedInLog(item, life.start as Day)) ticked.set(id, shareOf(id) ?? 1)
        }
  }
  for (const ask of life.asks) {
    played.playUntil(ask, morning)
    asked(played, life, ask, found)
  }
  played.playUntil(life.days, morning)
  const watched = services.lookingBack.watched(services.today()).map(({ came }) => came)
  return { ...found, watched, refused: played.refused }
}

/** It cannot have been opened before the log began. */
function openedInLog(item: ItemFacts, start: Day): boolean {
  return item.opening.kind === 'unopened' || (item.opening.within !== null && item.opening.within.earliest >= start)
}

function asked(
  { house }: PlayedLife,
  life: LifeFile,
  ask: number,
  found: { rows: LifeRow[]; verdicts: Said[]; paces: number[]; needs: Need[] },
): void {
  const { services } = house
  const today = services.today()
  const numberOf = (day: Day): number => daysBetween(life.start as Day, day)
  const truths = new Map<string, LifeTruth>()
  for (const [id, { at }] of Object.entries(life.truth.things)) {
    const truth = at[String(ask)]
    if (truth) truths.set(id, truth)
  }
  const present = services.stock.facts(services.stock.presentIds(), today)
  for (const item of present) {
    const truth = truths.get(item.id)
    if (!truth) continue
    const said = services.forecasts.of(item)
    const { forecast } = said
    const last = numberOf(said.last)
    found.rows.push({
      ask,
      id: item.id,
      known: life.truth.things[item.id]?.known ?? 'unknown',
      inUse: truth.inDrawer || truth.inProject,
      finish: {
        said: forecast.finish,
        came: truth.kept === null ? null : truth.kept - last,
        followed: ask + life.beyond - last,
      },
      left: { said: forecast.content.grams, came: truth.grams },
    })
    const counted = countedPace(life, item.id, ask)
    if (counted !== null && said.pace !== null) found.paces.push(said.pace.perWeek / counted)
    const { actOn } = item.shelfLife
    if (actOn !== null && actOn >= today) {
      const chance = chanceOf(forecast, daysBetween(said.last, actOn))
      found.verdicts.push({
        word: chanceWord(chance),
        chance,
        cameTrue: truth.kept !== null && truth.kept <= numberOf(actOn),
      })
    }
    const goals = (services.stock.goals([item.id], today).get(item.id) ?? []).flatMap(({ goal, stay }) =>
      stay.rolled_out === null ? [goal] : [],
    )
    for (const { stayId, chance } of services.forecastViews.outlooks(item, goals)) {
      const goal = goals.find((each) => each.stayId === stayId)
      if (chance === null || !goal || goal.by === null) continue
      const reached = goal.kind === 'finish' ? truth.kept : truth.goalDay
      found.verdicts.push({
        word: chanceWord(chance),
        chance,
        cameTrue: reached !== null && reached <= numberOf(goal.by),
      })
    }
  }
  needsOf(services.supplying.needs(), present, truths, life, ask, today, found.needs)
}

const PACE_DAYS = 84
/** A pace is compared of what was ticked so often in those days. */
const LEAST_TICKS = 6

/** Uses a week over the twelve weeks before a day, of an item that lay in the drawer all that time, counted in the file itself. */
function countedPace({ events }: LifeFile, id: string, ask: number): number | null {
  const from = ask - PACE_DAYS
  const moves = events.filter(
    (event) => (event.do === 'drawer in' || event.do === 'drawer out') && event.item === id && event.day < ask,
  )
  const last = moves.at(-1)
  if (last?.do !== 'drawer in' || last.day > from) return null
  const ticks = new Set<number>()
  const written = new Set<number>()
  const away = new Set<number>()
  for (const event of events) {
    if (event.day >= ask) continue
    if (event.do === 'wear' || event.do === 'no makeup') written.add(event.of)
    if (event.do === 'wear' && event.of >= from && event.items.includes(id)) ticks.add(event.of)
    if (event.do === 'away') for (let day = event.from; day <= event.to; day += 1) away.add(day)
  }
  if (ticks.size < LEAST_TICKS) return null
  let days = 0
  for (let day = from; day < ask; day += 1) if (!away.has(day) && !inSilence(written, day)) days += 1
  return (7 * ticks.size) / days
}

/** A week or more without anything written is silent and tells nothing of the pace. */
function inSilence(written: ReadonlySet<number>, day: number): boolean {
  let first = day
  let last = day
  while (day - first < 7 && !written.has(first)) first -= 1
  while (last - day < 7 && !written.has(last)) last += 1
  return last - first - 1 >= 7
}

/** The day on which each category runs out, served by last good days, against the uses that came. */
function needsOf(
  said: readonly { categoryId: string; need: { low: Day | null; middle: Day | null; high: Day | null } | null }[],
  present: readonly ItemFacts[],
  truths: ReadonlyMap<string, LifeTruth>,
  life: LifeFile,
  ask: number,
  today: Day,
  found: Need[],
): void {
  const uses = life.truth.categories[String(ask)] ?? {}
  for (const { categoryId, need } of said) {
    const months = uses[categoryId]
    if (need === null || need.middle === null || months === undefined) continue
    const stock = present
      .filter((item) => item.categoryId === categoryId)
      .map((item) => ({
        uses: truths.get(item.id)?.usesLeft ?? life.truth.usesWhenFull[item.id] ?? 0,
        goodFor: daysBetween(today, item.useByAtLatest),
      }))
      .sort((a, b) => a.goodFor - b.goodFor)
    const days = (day: Day | null): number => (day === null ? Infinity : daysBetween(today, day))
    found.push({
      said: { low: days(need.low), middle: days(need.middle), high: days(need.high) },
      came: runsOut(stock, months),
    })
  }
}

function runsOut(stock: { uses: number; goodFor: number }[], months: readonly number[]): number {
  const left = stock.map((each) => ({ ...each }))
  for (let day = 0; day < months.length * 30; day += 1) {
    let wanted = (months[Math.floor(day / 30)] ?? 0) / 30
    const good = left.filter((each) => each.uses > 0 && each.goodFor >= day)
    if (good.length === 0) return day
    for (const each of good) {
      const taken = Math.min(wanted, each.uses)
      each.uses -= taken
      wanted -= taken
    }
  }
  return months.length * 30
}

/** The score of one life or of several together. */
export function scoreLives(lives: readonly LifeRows[]): LifeScore {
  const rows = lives.flatMap((life) => life.rows)
  const verdicts = lives.flatMap((life) => life.verdicts)
  const paces = lives.flatMap((life) => life.paces)
  const needs = lives.flatMap((life) => life.needs)
  const firstTicks = lives.flatMap((life) => life.firstTicks)
  const [tenth, half, nineTenths] = lifeTable(lives.flatMap((life) => life.watched))
  const words = [...new Set(verdicts.map(({ word }) => word))].sort()
  return {
    inUse: finishScore(rows.filter((row) => row.inUse)),
    resting: finishScore(rows.filter((row) => !row.inUse)),
    left: {
      inUse: leftScore(rows.filter((row) => row.inUse)),
      all: leftScore(rows),
    },
    firstTick: { n: firstTicks.length, fell: firstTicks.filter((fall) => fall > FALL).length },
    verdicts: Object.fromEntries(
      words.map((word) => {
        const own = verdicts.filter((each) => each.word === word)
        const share = (of: (each: Said) => number): number => own.reduce((sum, each) => sum + of(each), 0) / own.length
        return [
          word,
          { n: own.length, cameTrue: share((each) => Number(each.cameTrue)), said: share(({ chance }) => chance) },
        ]
      }),
    ),
    pace: { shownOverCounted: median(paces) },
    needs: intervalScore(needs),
    itsOwn: { tenth: tenth?.came ?? null, half: half?.came ?? null, nineTenths: nineTenths?.came ?? null },
  }
}

/** The same of items in use, by how long the log was and by what was known of their beginning. */
export function scoresByRecord(
  lives: readonly LifeRows[],
): { readonly recorded: string; readonly finish: FinishScore; readonly left: Interval }[] {
  const rows = lives.flatMap((life) => life.rows).filter((row) => row.inUse)
  const months = [...new Set(rows.map(({ ask }) => ask))].sort((a, b) => a - b)
  const groups: [string, readonly LifeRow[]][] = [
    ['everything in use', rows],
    ...months.map((ask): [string, LifeRow[]] => [
      `after ${Math.round(ask / MONTH_DAYS)} months of log`,
      rows.filter((row) => row.ask === ask),
    ]),
    ...Object.entries(KNOWN_WORDS).map(([known, words]): [string, LifeRow[]] => [
      words,
      rows.filter((row) => row.known === known),
    ]),
  ]
  return groups
    .filter(([, own]) => own.length > 0)
    .map(([recorded, own]) => ({ recorded, finish: finishScore(own), left: leftScore(own) }))
}

const KNOWN_WORDS: Readonly<Record<Known, string>> = {
  new: 'opened within the log',
  uses: 'uses before the log stated',
  look: 'about how much was left stated',
  'uses and look': 'both stated',
  unknown: 'opened before the log, nothing stated',
}

function finishScore(rows: readonly LifeRow[]): FinishScore {
  const cut = 5479
  const early = rows.filter(({ finish: { said, came } }) => came !== null && came < said.low).length
  const late = rows.filter(({ finish: { said, came, followed } }) =>
    came === null ? said.high < followed : came > said.high,
  ).length
  const n = rows.length
  return {
    n,
    inside: (n - early - late) / n,
    early: early / n,
    late: late / n,
    error: median(
      rows.map(({ finish: { said, came } }) =>
        Math.abs(Math.log(Math.min(said.middle, cut) / Math.min(came ?? cut, cut))),
      ),
    ),
  }
}

function leftScore(rows: readonly LifeRow[]): Interval {
  return intervalScore(rows.map(({ left }) => left).filter(({ came }) => came > 0))
}

function intervalScore(rows: readonly Need[]): Interval {
  return {
    n: rows.length,
    inside: rows.filter(({ said, came }) => came >= said.low && came <= said.high).length / rows.length,
    error: median(rows.map(({ said, came }) => Math.abs(Math.log(Math.max(said.middle, 1e-9) / Math.max(came, 1e-9))))),
  }
}
