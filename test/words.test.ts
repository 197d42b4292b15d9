import { readdirSync, readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { expect, test } from 'vitest'
import { interfaceWords, retiredIn } from '../scripts/interface-words'

const page = (path: string): string => readFileSync(fileURLToPath(new URL(`../${path}`, import.meta.url)), 'utf8')
const words = interfaceWords()

test('docs/words.txt holds all words of the interface as they stand; npm run words writes it anew', () => {
  expect(page('docs/words.txt')).toBe(words)
})

test('no page, message, export or doc says a word that was retired', () => {
  expect(retiredIn(words)).toEqual([])
  expect(retiredIn(page('README.md'))).toEqual([])
})

test('the check finds retired words of one word, in templates and in strings, and leaves values of the code alone', () => {
  expect(words).toContain('Put in the drawer')
  expect(words.split('\n')).not.toContain('dome gone')
  expect(retiredIn('Store\nWithin reach\nReckoned\n-- web/things.ts\nSave')).toHaveLength(3)
  expect(readdirSync(fileURLToPath(new URL('../docs', import.meta.url)))).toContain('words.txt')
})
