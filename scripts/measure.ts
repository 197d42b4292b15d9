/**
 * Measures the tree and prints one JSON object: lines by folder with and without tests, small files, repeated passages, cycles of
 * imports, imports from a lower layer to a higher one, share of tests. Usage: npm run -s measure [-- FOLDER]
 */
import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { cruise, type ICruiseResult } from 'dependency-cruiser'
import { layerOf } from '../layers.mjs'

const PARTS = ['src/core', 'src/contract', 'src/server', 'src/demo', 'src/web', 'test', 'e2e', 'bench', 'scripts']
/** Lines that two places have to share to count as repeated. */
const PASSAGE = 6

const root = resolve(process.argv[2] ?? '.')
const files = execFileSync('git', ['ls-files', ...PARTS], { cwd: root, encoding: 'utf8' })
  .split('\n')
  .filter((file) => /\.(ts|vue)$/.test(file) && !file.endsWith('.d.ts'))
  .map((name) => ({ name, isTest: isTest(name), lines: linesOf(name) }))
const underneath = files.filter(({ name }) => /^src\/(core|contract|server|demo)\//.test(name))

const part = (name: string): (typeof files)[number][] => files.filter((file) => file.name.startsWith(`${name}/`))
const tests = files.filter((file) => file.isTest)
const graph = await importGraph()

console.log(
  JSON.stringify(
    {
      parts: Object.fromEntries(
        PARTS.map((name) => [
          name,
          {
            files: part(name).length,
            lines: countLines(part(name)),
            withoutTests: countLines(part(name).filter((file) => !file.isTest)),
          },
        ]),
      ),
      underneathWithoutTests: countLines(underneath.filter((file) => !file.isTest)),
      filesUnder30: underneath.filter((file) => !file.isTest && file.lines.length < 30).length,
      filesUnder40: underneath.filter((file) => !file.isTest && file.lines.length < 40).length,
      repeatedPassages: {
        underneath: repeatedPassages(underneath.filter((file) => !file.isTest)),
        everywhere: repeatedPassages(files),
      },
      filesInCycles: cyclesOf(graph).flat().length,
      importsUp: graph.filter(([from, to]) => layerOf(to) > layerOf(from)).length,
      testLines: countLines(tests),
      shareOfTests: Number((countLines(tests) / countLines(files)).toFixed(3)),
    },
    null,
    2,
  ),
)

function isTest(name: string): boolean {
  return /^(test|e2e)\//.test(name) || /\.test\./.test(name)
}

/** The lines of a file as an editor counts them. */
function linesOf(name: string): string[] {
  return readFileSync(join(root, name), 'utf8').trimEnd().split('\n')
}

function countLines(list: readonly { readonly lines: readonly string[] }[]): number {
  return list.reduce((sum, { lines }) => sum + lines.length, 0)
}

/**
 * Pairs of places that share at least six lines, imports, blank lines and comments aside. A passage of ten lines that stands in two
 * places is one pair; one that stands in three is three.
 */
function repeatedPassages(list: readonly { readonly name: string; readonly lines: readonly string[] }[]): number {
  const seen = new Map<string, { file: number; at: number }[]>()
  const bare = list.map(({ lines }) => codeLines(lines))
  bare.forEach((lines, file) => {
    for (let at = 0; at + PASSAGE <= lines.length; at++) {
      const key = lines.slice(at, at + PASSAGE).join('\n')
      seen.set(key, [...(seen.get(key) ?? []), { file, at }])
    }
  })
  let pairs = 0
  for (const places of seen.values())
    places.forEach((one, n) => {
      for (const other of places.slice(n + 1)) {
        const before = bare[one.file]?.[one.at - 1]
        // Counted where the passage begins.
        if (before === undefined || before !== bare[other.file]?.[other.at - 1]) pairs++
      }
    })
  return pairs
}

function codeLines(lines: readonly string[]): string[] {
  const text = lines
    .join('\n')
    .replace(/\/\*[\s\S]*?\*\//g, '')
    .replace(/^import\b[\s\S]*?from '[^']*'$/gm, '')
  return text
    .split('\n')
    .map((line) => line.replace(/\/\/.*$/, '').trim())
    .filter((line) => line !== '')
}

/** Every import of the sources beneath the pages, those of types too. */
async function importGraph(): Promise<[string, string][]> {
  const cruised = await cruise(['src/core', 'src/contract', 'src/server', 'src/demo'], {
    baseDir: root,
    tsPreCompilationDeps: true,
    exclude: { path: '\\.test\\.ts$' },
    doNotFollow: { path: 'node_modules' },
    enhancedResolveOptions: { conditionNames: ['source', 'import', 'node', 'default'], extensions: ['.ts', '.js'] },
  })
  return (cruised.output as ICruiseResult).modules.flatMap(({ source, dependencies }) =>
    dependencies
      .filter(({ resolved: to }) => to.startsWith('src/'))
      .map(({ resolved: to }): [string, string] => [source, to]),
  )
}

/** Groups of files that import each other round in a circle (strongly connected components, Tarjan 1972). */
function cyclesOf(edges: readonly [string, string][]): string[][] {
  const next = new Map<string, string[]>()
  for (const [from, to] of edges) next.set(from, [...(next.get(from) ?? []), to])
  const index = new Map<string, number>()
  const low = new Map<string, number>()
  const stack: string[] = []
  const found: string[][] = []
  const visit = (file: string): void => {
    index.set(file, index.size)
    low.set(file, index.get(file) ?? 0)
    stack.push(file)
    for (const to of next.get(file) ?? []) {
      if (!index.has(to)) visit(to)
      if (stack.includes(to)) low.set(file, Math.min(low.get(file) ?? 0, low.get(to) ?? 0))
    }
    if (low.get(file) !== index.get(file)) return
    const group = stack.splice(stack.indexOf(file))
    if (group.length > 1) found.push(group)
  }
  for (const file of next.keys()) if (!index.has(file)) visit(file)
  return found
}
