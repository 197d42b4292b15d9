import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { cruise, type ICruiseResult } from 'dependency-cruiser'
import { ESLint } from 'eslint'
import { afterAll, expect, test } from 'vitest'
import { fail } from '#server/failing'
import rules from '../.dependency-cruiser.mjs'

const root = fileURLToPath(new URL('..', import.meta.url))
const planted: string[] = []
afterAll(() => {
  for (const file of planted) rmSync(file, { force: true })
})
/** Puts a file of two exports somewhere; the names are nobody's. */
function plant(path: string, text: string): void {
  const file = join(root, 'src', path)
  mkdirSync(join(file, '..'), { recursive: true })
  writeFileSync(file, text)
  planted.push(file)
}

// The types are checked with the tests: without the error this line is one.
// @ts-expect-error -- a failure that nobody has words for does not compile
export const withoutWords = (): unknown => fail('nobody-has-words-for-this')

test('migrations are numbered without a gap and leave transactions to the runner', () => {
  const names = readdirSync(join(root, 'migrations')).sort()
  expect(names.map((name) => Number(name.slice(0, 4)))).toEqual(names.map((_, n) => n + 1))
  for (const name of names)
    expect(readFileSync(join(root, 'migrations', name), 'utf8')).not.toMatch(/\b(BEGIN|COMMIT|ROLLBACK)\b/)
})

test('an import that leads up or round in a circle is refused, one of a type as well', async () => {
  plant('core/planted.ts', "import type { Services } from '../server/services.js'\nexport type Planted = Services\n")
  plant('server/stock/planted.ts', "import type { Other } from './planted-other.js'\nexport type Planted = Other\n")
  plant(
    'server/stock/planted-other.ts',
    "import type { Planted } from './planted.js'\nexport type Other = Planted | 1\n",
  )
  const found = await cruise(planted, { ...rules.options, ruleSet: rules, validate: true } as never)
  const { violations } = (found.output as ICruiseResult).summary
  const of = (name: string): string[] =>
    violations.filter(({ rule, from }) => rule.name === name && from.includes('planted')).map(({ from }) => from)
  expect(of('core-imports-nothing-above')).toEqual(['src/core/planted.ts'])
  // Told once, from one of the two.
  expect(of('no-circles')).toEqual([expect.stringMatching(/^src\/server\/stock\/planted/)])
}, 120_000)

test('the core reading a clock, a random number or the platform is refused', async () => {
  const eslint = new ESLint({ cwd: root })
  const [found] = await eslint.lintText(
    "import { readFileSync } from 'node:fs'\nexport const planted = [Date.now(), Math.random(), new Date(), readFileSync, document]\n",
    { filePath: 'src/core/item/form.ts' },
  )
  const said = (found?.messages ?? []).map(({ message }) => message).join('\n')
  expect(said).toContain("'Date.now' is restricted")
  expect(said).toContain("'Math.random' is restricted")
  expect(said).toContain('The core has no clock')
  expect(said).toContain('The core imports nothing of ours and no platform')
  expect(said).toContain("'document'")
})

test('on the server no promise may be left to itself, on any file', async () => {
  const eslint = new ESLint({ cwd: root })
  for (const file of ['src/server/main.ts', 'src/server/host/host.ts', 'src/server/http/routes.ts']) {
    const { rules: on } = (await eslint.calculateConfigForFile(file)) as { rules: Record<string, unknown[]> }
    expect(on['@typescript-eslint/no-floating-promises'], file).toEqual([
      2,
      expect.objectContaining({ ignoreVoid: false }),
    ])
    expect(on['@typescript-eslint/no-misused-promises']?.[0], file).toBe(2)
  }
})
