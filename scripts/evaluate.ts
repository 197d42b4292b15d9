// Judges the very code the app runs: reads a file, prints one JSON object, stores nothing.
// usage: npm run -s evaluate -- import FILE
import { readFileSync } from 'node:fs'
import { basename } from 'node:path'
import { failureWords } from '#server/http/failure-words'
import { evaluateImport } from '#server/importing/evaluate-import'
import { dayNow } from '#server/house'

const [what, file] = process.argv.slice(2)
if (what !== 'import' || file === undefined) stop('usage: npm run -s evaluate -- import FILE')
else {
  const outcome = await evaluateImport(readFileSync(file), basename(file), dayNow(new Date(), 0))
  if (outcome.ok) console.log(JSON.stringify(outcome.value))
  else stop(failureWords(outcome.failure).detail)
}

function stop(words: string): void {
  console.error(words)
  process.exitCode = 1
}
