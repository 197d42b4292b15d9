// Judges the very code the app runs: reads a file, prints one JSON object, stores nothing.
// usage: npm run -s evaluate -- import FILE | pan FOLDER
import { readFileSync } from 'node:fs'
import { basename } from 'node:path'
import { failureWords } from '#server/http/failure-words'
import { evaluateImport } from '#server/importing/evaluate-import'
import { evaluatePans } from '#server/measuring/evaluate-pan'
import { dayNow } from '#server/house'

const [what, path] = process.argv.slice(2)
if (path === undefined) stop('usage: npm run -s evaluate -- import FILE | pan FOLDER')
else if (what === 'import') {
  const outcome = await evaluateImport(readFileSync(path), basename(path), dayNow(new Date(), 0))
  if (outcome.ok) console.log(JSON.stringify(outcome.value))
  else stop(failureWords(outcome.failure).detail)
} else if (what === 'pan') console.log(JSON.stringify(await evaluatePans(path)))
else stop(`There is nothing to evaluate called "${String(what)}": import FILE or pan FOLDER.`)

function stop(words: string): void {
  console.error(words)
  process.exitCode = 1
}
