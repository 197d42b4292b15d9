/**
 * Writes all words of the interface, place by place, to docs/words.txt, so that they can be read in one sitting; prints those that
 * Seligo no longer says. Usage: npm run words
 */
import { writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { interfaceWords, retiredIn } from './interface-words.js'

const words = interfaceWords()
writeFileSync(fileURLToPath(new URL('../docs/words.txt', import.meta.url)), words)
const retired = retiredIn(words)
for (const each of retired) console.log(each)
console.log(`${words.split('\n').length} lines in docs/words.txt, ${retired.length} with a retired word`)
if (retired.length > 0) process.exitCode = 1
