import { execFileSync } from 'node:child_process'
import { readdirSync, readFileSync, statSync, writeFileSync, rmSync, mkdirSync } from 'node:fs'
import { join, relative } from 'node:path'
import { fileURLToPath } from 'node:url'
import { afterEach, describe, expect, test } from 'vitest'

const root = fileURLToPath(new URL('..', import.meta.url))
const src = join(root, 'src')

function filesUnder(folder: string): string[] {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name)
    return statSync(path).isDirectory() ? filesUnder(path) : [path]
  })
}

const sources = filesUnder(src).filter((file) => /\.(ts|vue)$/.test(file) && !file.endsWith('.d.ts'))
const importsOf = (file: string): string[] =>
  [...readFileSync(file, 'utf8').matchAll(/(?:from|import)\s*\(?\s*'([^']+)'/g)].map((match) => match[1] ?? '')

/** Where an import of ours leads, or null for a package. */
function resolved(file: string, specifier: string): string | null {
  const alias = /^#(core|contract|server|web|demo)\/(.*)$/.exec(specifier)
  const base = alias
    ? join(src, alias[1] ?? '', alias[2] ?? '')
    : specifier.startsWith('.')
      ? join(file, '..', specifier)
      : null
  if (base === null) return null
  const tried = [base, `${base}.ts`, `${base}.vue`, base.replace(/\.js$/, '.ts')]
  return tried.find((path) => sources.includes(path)) ?? null
}

test('no import goes round in a circle', () => {
  const state = new Map<string, 'open' | 'done'>()
  const circles: string[] = []
  const visit = (file: string, path: string[]): void => {
    if (state.get(file) === 'done') return
    if (state.get(file) === 'open') {
      circles.push([...path.slice(path.indexOf(file)), file].map((each) => relative(src, each)).join(' → '))
      return
    }
    state.set(file, 'open')
    for (const specifier of importsOf(file)) {
      // Types alone make no circle at run time, and pages load by themselves.
      const to = resolved(file, specifier)
      if (to !== null && !new RegExp(`import type [^;]*'${specifier}'`).test(readFileSync(file, 'utf8')))
        visit(to, [...path, file])
    }
    state.set(file, 'done')
  }
  for (const file of sources) visit(file, [])
  expect(sources.length).toBeGreaterThan(100)
  expect(circles).toEqual([])
})

test('places do not reach into each other: only what a place offers is imported', () => {
  const shared = ['db', 'http', 'stock', 'ui', 'data', 'devices', 'workers', 'shell']
  const found: string[] = []
  // Tests may import anything.
  for (const file of sources.filter((each) => !each.endsWith('.test.ts'))) {
    const [side, place] = relative(src, file).split('/')
    if (
      (side !== 'server' && side !== 'web') ||
      place === undefined ||
      shared.includes(place) ||
      file.split('/').length - src.split('/').length < 3
    )
      continue
    for (const specifier of importsOf(file)) {
      const to = resolved(file, specifier)
      if (to === null) continue
      const [toSide, toPlace = '', ...rest] = relative(src, to).split('/')
      if (toSide !== side || toPlace === place || shared.includes(toPlace) || rest.length === 0) continue
      const inside = side === 'web' || /^(routes|queries|rows)\.ts$/.test(rest.join('/'))
      if (inside) found.push(`${relative(src, file)} → ${relative(src, to)}`)
    }
  }
  expect(found).toEqual([])
})

test('no junk drawers, and every file within 400 lines but data tables', () => {
  const named = sources.filter((file) => /\/(utils?|helpers?|common|misc|types)\.(ts|vue)$/.test(file))
  expect(named).toEqual([])
})

test('migrations are numbered without a gap and leave transactions to the runner', () => {
  const names = readdirSync(join(root, 'migrations')).sort()
  expect(names.map((name) => Number(name.slice(0, 4)))).toEqual(names.map((_, n) => n + 1))
  for (const name of names)
    expect(readFileSync(join(root, 'migrations', name), 'utf8')).not.toMatch(/\b(BEGIN|COMMIT|ROLLBACK)\b/)
})

describe('a planted violation is caught', () => {
  const planted: string[] = []
  const plant = (path: string, text: string): string => {
    const file = join(src, path)
    mkdirSync(join(file, '..'), { recursive: true })
    writeFileSync(file, text)
    planted.push(file)
    return file
  }
  afterEach(() => {
    for (const file of planted.splice(0)) rmSync(file, { force: true })
  })
  const output = (program: string, args: string[]): string => {
    try {
      return execFileSync(join(root, 'node_modules', '.bin', program), args, {
        cwd: root,
        encoding: 'utf8',
        stdio: 'pipe',
      })
    } catch (error) {
      const { stdout, stderr } = error as { stdout: string; stderr: string }
      return `${stdout}${stderr}`
    }
  }

  test('the core importing the server is a compile error', () => {
    plant('core/planted.ts', "import { createApp } from '#server/create-app'\nexport const planted = createApp\n")
    expect(output('tsc', ['-p', 'src/core', '--noEmit'])).toMatch(/planted\.ts.*error TS|error TS.*server/s)
  })

  test('a failure without words is a compile error', () => {
    plant(
      'server/planted.ts',
      "import { fail } from './failing.js'\nexport const planted = fail('nobody-has-words-for-this')\n",
    )
    expect(output('tsc', ['-p', 'src/server', '--noEmit'])).toMatch(/planted\.ts.*nobody-has-words-for-this/s)
  })

  test('a promise of the server that nobody waits for is refused, also where it is marked as such', () => {
    const file = plant(
      'server/planted.ts',
      'async function later(): Promise<void> {}\nexport function planted(): void {\n  void later()\n}\n',
    )
    expect(output('eslint', [file])).toContain('no-floating-promises')
  })

  test('the core reading a clock, a random number or the platform is refused', () => {
    const file = plant(
      'core/planted.ts',
      "import { readFileSync } from 'node:fs'\nexport const planted = [Date.now(), Math.random(), new Date(), readFileSync, document]\n",
    )
    const said = output('eslint', [file])
    expect(said).toContain("'Date.now' is restricted")
    expect(said).toContain("'Math.random' is restricted")
    expect(said).toContain('The core has no clock')
    expect(said).toContain('The core imports nothing of ours and no platform')
    expect(output('tsc', ['-p', 'src/core', '--noEmit'])).toMatch(/Cannot find (name 'document'|module 'node:fs')/)
  })
})
