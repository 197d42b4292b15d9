// Measures a collection of 2,000 items, ten years and 100,000 tallies, built through the real code.
// usage: npm run bench [-- --json] [-- --keep]   (--json: one JSON object; --keep: write bench/baseline.json)
import { copyFileSync, existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { createHash } from 'node:crypto'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Day } from '#core/calendar/day'
import { readMigrations } from '#server/db/migrate'
import { openDatabase } from '#server/db/open-database'
import { buildDemo } from '#demo/build-demo'
import { browse, browseLookBack, browsePlan } from './browser.js'
import { deciding } from './deciding.js'
import { knowing } from './knowing.js'
import { buildLarge, ITEMS, TALLIES, YEARS } from './large-collection.js'
import { largeDraft, planning } from './planning.js'
import { readsOf, stepsOf, talliesOf, type PlaceFigure } from './places.js'
import { startServer } from './server-process.js'

const TODAY = '2026-11-24' as Day
const NOW = new Date(`${TODAY}T12:00:00`)
const BASELINE = 'bench/baseline.json'
/** A ratio may grow by this much before it counts as a regression; machines and runs scatter. */
const TOLERATED = 1.5
const LIMITS = {
  readP95Ms: 60,
  tallyP95Ms: 8,
  checkInStepP95Ms: 60,
  trainingMs: 300,
  allColdMs: 3000,
  allCachedMs: 100,
  afterTallyP95Ms: 30,
  doubtsAfterTallyP95Ms: 60,
  compareAfterTallyP95Ms: 60,
  buyingAfterTallyP95Ms: 60,
  // Everything that is open, with its forecast, once for a page that then works by itself.
  gatherMs: 100,
  spanTenYearsP95Ms: 300,
  firstChartMs: 500,
  pictureMs: 2000,
  largeDraftMs: 200,
  planDraftedMs: 1000,
  planLongestTaskMs: 200,
  solverMb: 150,
  raceDrawnMs: 500,
  raceJumpP95Ms: 80,
  coldStartMs: 1500,
  todayUsableMs: 600,
  todayUsableSlowMs: 1600,
  collectionKb: 600,
  tickCalls: 2,
  tickKb: 10,
  longestScrollTaskMs: 100,
  firstLoadJsKb: 130,
  firstLoadCssKb: 60,
  memoryMb: 170,
}

/** Places that are read within a limit of their own. */
const OWN_LIMITS: Readonly<Record<string, number>> = {
  spanTenYears: LIMITS.spanTenYearsP95Ms,
}

const asJson = process.argv.includes('--json')
const say = (words: string): void => {
  if (!asJson) console.log(words)
}

/** Of the seeded plans: the draft, what is proved, and how far from the bound after three seconds. */
const PLAN_LIMITS = {
  draftMs: 100,
  provedMs: 500,
  gapPercent: { '15 x 3': 0.1, '40 x 6': 0.1, '80 x 12': 2 } as Readonly<Record<string, number>>,
}

const made = largeCollection()
const folder = mkdtempSync(join(tmpdir(), 'seligo-bench-'))
const file = join(folder, 'collection.db')
copyFileSync(made, file)
say('Reading every place …')
const reads = await readsOf(file, NOW)
say('Ticking …')
const tally = await talliesOf(file, NOW)
say('Checking in …')
const checkInStep = await stepsOf(file, NOW)
say('Forecasting …')
const forecasts = await knowing(file, NOW)
say('Deciding …')
const decisions = deciding(file, NOW)
say('Planning …')
const { plans, solverMb } = await planning()
const draft = largeDraft(file, NOW)
// The pages are opened on a day nobody has yet ticked two hundred things for.
copyFileSync(made, file)
say('Starting the server, opening the pages …')
const server = await startServer(folder, NOW)
// Forecasts are made in a thread of their own soon after the start: what is measured is what comes after.
await (await fetch(`${server.url}/api/look-back`)).arrayBuffer()
const pages = await browse(server.url)
for (let n = 0; n < 20; n += 1) await (await fetch(`${server.url}/api/collection`)).arrayBuffer()
const memoryMb = server.memoryMb()
await server.stop()
say('Laying the plan of the demo …')
for (const name of ['collection.db', 'collection.db-wal', 'collection.db-shm'])
  rmSync(join(folder, name), { force: true })
const demo = openDatabase(file, { appliedAt: NOW.toISOString() })
buildDemo(demo, { seed: 1, today: TODAY, forecasts: false })
demo.close()
const small = await startServer(folder, NOW)
await (await fetch(`${small.url}/api/look-back`)).arrayBuffer()
const planPage = await browsePlan(small.url)
const lookBackPage = await browseLookBack(small.url)
await small.stop()
rmSync(folder, { recursive: true, force: true })

const result = {
  items: ITEMS,
  tallies: TALLIES,
  years: YEARS,
  reads,
  tally,
  checkInStep,
  forecasts,
  decisions,
  plans,
  solverMb,
  draft,
  coldStartMs: server.coldStartMs,
  memoryMb,
  ...pages,
  ...planPage,
  ...lookBackPage,
}
const over = overLimits()
const slower = slowerThanBaseline()
if (asJson) console.log(JSON.stringify({ ...result, over, slower }))
else {
  console.table(reads)
  console.table({ tally, checkInStep })
  console.table(forecasts)
  console.table(decisions)
  console.table(plans)
  console.table({ ...draft, solverMb })
  console.table({ coldStartMs: server.coldStartMs, memoryMb, ...pages, ...planPage, ...lookBackPage })
  for (const words of [...over, ...slower]) console.log(words)
}
if (process.argv.includes('--keep')) writeFileSync(BASELINE, `${JSON.stringify(baselineOf(), null, 2)}\n`)
if (over.length > 0 || slower.length > 0) process.exitCode = 1

/** Built once for a schema and a way of building; kept with the other things that can be made again. */
function largeCollection(): string {
  const cache = join('node_modules', '.cache', 'seligo')
  mkdirSync(cache, { recursive: true })
  const hash = createHash('sha256')
  for (const { hash: migration } of readMigrations()) hash.update(migration)
  hash.update(readFileSync('bench/large-collection.ts'))
  const path = join(cache, `bench-${hash.digest('hex').slice(0, 12)}.db`)
  if (existsSync(path)) return path
  say('Building the large collection, about two minutes …')
  rmSync(`${path}.part`, { force: true })
  buildLarge(`${path}.part`, TODAY, say).close()
  copyFileSync(`${path}.part`, path)
  rmSync(`${path}.part`, { force: true })
  return path
}

function overLimits(): string[] {
  const found: string[] = []
  const check = (name: string, value: number, limit: number): void => {
    if (value > limit) found.push(`over its limit: ${name} ${value} (at most ${limit})`)
  }
  for (const [name, figure] of Object.entries(reads))
    check(`${name} p95 ms`, figure.p95, OWN_LIMITS[name] ?? LIMITS.readP95Ms)
  check('tally p95 ms', tally.p95, LIMITS.tallyP95Ms)
  check('check-in step p95 ms', checkInStep.p95, LIMITS.checkInStepP95Ms)
  for (const [name, value] of Object.entries({ ...forecasts, ...decisions, ...draft }))
    check(name, value, LIMITS[name as keyof typeof LIMITS])
  for (const [size, figure] of Object.entries(plans)) {
    check(`draft of ${size} ms`, figure.draftMs, PLAN_LIMITS.draftMs)
    check(`gap of ${size} %`, figure.gapPercent, PLAN_LIMITS.gapPercent[size] ?? Infinity)
  }
  check('15 x 3 proved ms', plans['15 x 3']?.layMs ?? Infinity, PLAN_LIMITS.provedMs)
  check('plan drafted ms', planPage.planDraftedMs, LIMITS.planDraftedMs)
  check('first chart ms', lookBackPage.firstChartMs, LIMITS.firstChartMs)
  check('picture ms', lookBackPage.pictureMs, LIMITS.pictureMs)
  check('longest task while a plan is laid ms', planPage.planLongestTaskMs, LIMITS.planLongestTaskMs)
  check('memory of the solver MB', solverMb, LIMITS.solverMb)
  check('Use first drawn ms', pages.raceDrawnMs, LIMITS.raceDrawnMs)
  check('a jump through Use first p95 ms', pages.raceJumpP95Ms, LIMITS.raceJumpP95Ms)
  check('cold start ms', server.coldStartMs, LIMITS.coldStartMs)
  check('Today usable ms', pages.todayUsableMs, LIMITS.todayUsableMs)
  check('Today usable at a quarter of the speed ms', pages.todayUsableSlowMs, LIMITS.todayUsableSlowMs)
  check('collection kB', reads['collection']?.kilobytes ?? Infinity, LIMITS.collectionKb)
  check('calls of a tick', pages.tickCalls, LIMITS.tickCalls)
  check('kB of a tick', pages.tickKb, LIMITS.tickKb)
  check('longest task while scrolling ms', pages.longestScrollTaskMs, LIMITS.longestScrollTaskMs)
  check('first load JavaScript kB gzip', pages.firstLoadJsKb, LIMITS.firstLoadJsKb)
  check('first load CSS kB gzip', pages.firstLoadCssKb, LIMITS.firstLoadCssKb)
  check('memory MB', memoryMb, LIMITS.memoryMb)
  return found
}

function baselineOf(): Record<string, number> {
  return Object.fromEntries(
    Object.entries({ ...reads, tally }).map(([name, figure]: [string, PlaceFigure]) => [name, figure.ratio]),
  )
}

/** Compared by ratio to a fixed piece of work of the same run, since machines differ. */
function slowerThanBaseline(): string[] {
  if (!existsSync(BASELINE)) return []
  const baseline = JSON.parse(readFileSync(BASELINE, 'utf8')) as Record<string, number>
  return Object.entries(baselineOf()).flatMap(([name, ratio]) => {
    const before = baseline[name]
    return before !== undefined && ratio > before * TOLERATED && ratio - before > 1
      ? [`slower than the baseline: ${name} takes ${ratio} times the fixed work, was ${before}`]
      : []
  })
}
