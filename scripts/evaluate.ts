// Judges the very code the app runs: reads a file, prints JSON, stores nothing.
// usage: npm run -s evaluate -- import FILE | pan FOLDER | forecast FILE | forecast-table FILE | life FILE… | life-table FILE… | plan FILE
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { basename, join } from 'node:path'
import loadHighs from 'highs'
import { readLifeFile } from '#demo/life/life-file'
import { playLife, scoreLives, scoresByRecord } from '#demo/life/score-life'
import type { Db } from '#server/db/query'
import { openDatabase } from '#server/db/open-database'
import { failureWords } from '#server/http/failure-words'
import { evaluateByRecord, evaluateForecasts, readForecastFile } from '#server/forecast/evaluate-forecast'
import { evaluateImport } from '#server/importing/evaluate-import'
import { evaluatePlans } from '#server/planning/evaluate-plan'
import { evaluatePans } from '#server/measuring/evaluate-pan'
import { dayNow } from '#server/context'

const [what, path, ...more] = process.argv.slice(2)
const WAYS =
  'import FILE, pan FOLDER, forecast FILE, forecast-table FILE, life FILE or life-table FILE (or several) or plan FILE'
if (path === undefined) stop(`usage: npm run -s evaluate -- ${WAYS}`)
else if (what === 'import') {
  const outcome = await evaluateImport(readFileSync(path), basename(path), dayNow(new Date(), 0))
  if (outcome.ok) console.log(JSON.stringify(outcome.value))
  else stop(failureWords(outcome.failure).detail)
} else if (what === 'pan') console.log(JSON.stringify(await evaluatePans(path)))
else if (what === 'forecast') console.log(JSON.stringify(evaluateForecasts(forecastFile(path))))
else if (what === 'forecast-table') {
  const rows = evaluateByRecord(forecastFile(path)).map(({ recorded, score }) => [
    recorded,
    String(score.n),
    percent(score.coverage80),
    percent(score.early),
    percent(score.late),
    score.medianAbsLogError.toFixed(3),
    score.lifetimeAverageError.toFixed(3),
  ])
  table(['recorded', 'n', 'inside the range', 'earlier', 'later', 'error', 'lifetime average'], rows)
} else if (what === 'life' || what === 'life-table') {
  // Several are scored together: a single life scatters.
  const lives = [path, ...more].map((file) => inFolderOfItsOwn((db) => playLife(db, lifeFile(file))))
  for (const words of lives.flatMap(({ refused }) => refused)) console.error(`refused on ${words}`)
  if (what === 'life') console.log(JSON.stringify(scoreLives(lives)))
  else
    table(
      ['items in use', 'n', 'finish inside', 'earlier', 'later', 'error', 'left inside', 'error'],
      scoresByRecord(lives).map(({ recorded, finish, left }) => [
        recorded,
        String(finish.n),
        percent(finish.inside),
        percent(finish.early),
        percent(finish.late),
        finish.error.toFixed(3),
        percent(left.inside),
        left.error.toFixed(3),
      ]),
    )
} else if (what === 'plan') {
  const highs = await loadHighs()
  try {
    for (const each of evaluatePlans(path, highs, () => performance.now())) console.log(JSON.stringify(each))
  } catch (error) {
    stop(`${path} is no file of plans: ${error instanceof Error ? error.message : String(error)}`)
  }
} else stop(`There is nothing to evaluate called "${String(what)}": ${WAYS}.`)

function table(head: readonly string[], rows: readonly (readonly string[])[]): void {
  for (const row of [head, head.map(() => '---'), ...rows]) console.log(`| ${row.join(' | ')} |`)
}

/** A file of things with what came of them; what it is not is said. */
function forecastFile(file: string): ReturnType<typeof readForecastFile> {
  try {
    return readForecastFile(readFileSync(file, 'utf8'))
  } catch (error) {
    stop(`${file} is no file of forecasts: ${error instanceof Error ? error.message : String(error)}`)
    process.exit(1)
  }
}

function lifeFile(file: string): ReturnType<typeof readLifeFile> {
  try {
    return readLifeFile(readFileSync(file, 'utf8'))
  } catch (error) {
    stop(`${file} is no life: ${error instanceof Error ? error.message : String(error)}`)
    process.exit(1)
  }
}

function inFolderOfItsOwn<T>(use: (db: Db) => T): T {
  const folder = mkdtempSync(join(tmpdir(), 'seligo-life-'))
  const db = openDatabase(join(folder, 'collection.db'), { appliedAt: new Date().toISOString() })
  try {
    return use(db)
  } finally {
    db.close()
    rmSync(folder, { recursive: true })
  }
}

function percent(share: number): string {
  return `${(100 * share).toFixed(1)} %`
}

function stop(words: string): void {
  console.error(words)
  process.exitCode = 1
}
