// The small step before every command: plain Node, no packages. Installs what is missing, builds,
// then runs what was asked for. Usage: node scripts/run.mjs demo|start|test|screenshots|evaluate|measure|words|bench|faults
import { spawn, spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { once } from 'node:events'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

const root = join(dirname(fileURLToPath(import.meta.url)), '..')
const cache = join(root, 'node_modules', '.cache', 'seligo')
const [command = 'demo', ...rest] = process.argv.slice(2)

const OLDEST_NODE = [20, 19]

checkNode()
installPackages()
switch (command) {
  case 'demo':
    build()
    run('node', ['dist/demo/main.js', demoFolder()])
    serve({ SELIGO_DATA: demoFolder() })
    break
  case 'start':
    build()
    serve({})
    break
  case 'test':
    needChromium()
    build()
    await runAll([
      [
        ['npx', ['prettier', '--check', '--log-level', 'warn', '.']],
        ['npx', ['vue-tsc', '-p', 'src/web', '--noEmit']],
      ],
      [
        ['npx', ['eslint', '.', '--max-warnings', '0']],
        ['npx', ['depcruise', '--config', '.dependency-cruiser.mjs', '--output-type', 'err', 'src']],
        ['npx', ['tsc', '-p', 'tsconfig.tests.json']],
      ],
      [['npx', ['vitest', 'run', ...rest]]],
      [['npx', ['playwright', 'test']]],
    ])
    break
  case 'screenshots':
    needChromium()
    build()
    run('npx', ['tsx', 'scripts/screenshots.ts', ...rest])
    break
  case 'bench':
    needChromium()
    build()
    run('npx', ['tsx', 'bench/bench.ts', ...rest])
    break
  case 'faults':
    build()
    run('npx', ['tsx', '--conditions=source', 'scripts/faults/faults.ts', ...rest])
    break
  case 'evaluate':
    // From the sources, without a build; only the JSON goes to standard output.
    run('npx', ['tsx', '--conditions=source', 'scripts/evaluate.ts', ...rest])
    break
  case 'measure':
    run('npx', ['tsx', 'scripts/measure.ts', ...rest])
    break
  case 'words':
    run('npx', ['tsx', 'scripts/words.ts', ...rest])
    break
  default:
    stop(`Unknown command: ${command}`)
}

function checkNode() {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number)
  if (major > OLDEST_NODE[0] || (major === OLDEST_NODE[0] && minor >= OLDEST_NODE[1])) return
  stop(`Seligo needs Node ${OLDEST_NODE.join('.')} or newer; this is ${process.versions.node}.`)
}

/** Packages from the lockfile, once per lockfile. */
function installPackages() {
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex')
  const stamp = join(cache, 'installed')
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock && databaseLoads()) return
  console.error('Installing packages. The database driver is compiled from source: about two minutes.')
  const done = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    cwd: root,
    stdio: ['ignore', 2, 2],
  })
  if (done.status !== 0 || !databaseLoads())
    stop(
      'Packages could not be installed. Compiling the database driver needs a C++ compiler, make and Python 3:\n' +
        '  Debian, Ubuntu: apt-get install build-essential python3\n' +
        '  macOS: xcode-select --install\n' +
        '  Windows: the "Desktop development with C++" workload of the Visual Studio build tools\n' +
        'Then run the same command again.',
    )
  mkdirSync(cache, { recursive: true })
  writeFileSync(stamp, lock)
}

function databaseLoads() {
  try {
    const Database = createRequire(join(root, 'package.json'))('better-sqlite3')
    new Database(':memory:').close()
    return true
  } catch {
    return false
  }
}

/** Debian's Chromium, for the tests and the pictures only. */
function needChromium() {
  if (useChromium()) return
  const mayInstall = process.getuid?.() === 0 && find('apt-get')
  if (!mayInstall)
    stop(
      'The tests drive Chromium. Install it so that `chromium` is on the PATH (Debian: apt-get install chromium), then run this again.',
    )
  console.log('Installing Chromium from Debian for the tests.')
  const environment = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
  for (const step of [['update'], ['install', '-y', '--no-install-recommends', 'chromium']])
    spawnSync('apt-get', ['-q', ...step], { stdio: ['ignore', 'ignore', 'inherit'], env: environment })
  if (!useChromium()) stop('Chromium could not be installed. Install it by hand so that `chromium` is on the PATH.')
}

/** Lets the stories and pictures use the Chromium on the PATH; false where there is none. */
function useChromium() {
  const found = spawnSync('sh', ['-c', 'command -v chromium'], { encoding: 'utf8' })
  if (found.status === 0) process.env.SELIGO_CHROMIUM ??= found.stdout.trim()
  return found.status === 0
}

function find(program) {
  return spawnSync('sh', ['-c', `command -v ${program}`]).status === 0
}

/** The pages' types are checked with the tests; a person who starts Seligo need not wait for that. */
function build() {
  run('npx', ['tsc', '-b'])
  run('npx', ['vite', 'build', '--logLevel', 'warn'])
}

function demoFolder() {
  return process.env.SELIGO_DEMO_DATA ?? join(cache, 'demo')
}

function run(program, args) {
  const done = spawnSync(program, args, { cwd: root, stdio: 'inherit', env: quietNpm() })
  if (done.status !== 0) process.exit(done.status ?? 1)
}

/** Runs every step, also after one failed, those of a group side by side, and fails at the end when any did. */
async function runAll(groups) {
  const failed = []
  for (const group of groups)
    await Promise.all(
      group.map(async ([program, args]) => {
        const name = args.slice(0, 2).join(' ')
        const started = Date.now()
        console.log(`\n# ${name}`)
        const child = spawn(program, args, { cwd: root, stdio: 'inherit', env: quietNpm() })
        const [code] = await once(child, 'exit')
        const seconds = Math.round((Date.now() - started) / 1000)
        console.log(`# ${name}: ${code === 0 ? 'passed' : 'FAILED'} in ${seconds} s`)
        if (code !== 0) failed.push(name)
      }),
    )
  if (failed.length > 0) stop(`Failed: ${failed.join(', ')}`)
  console.log('\nEverything passed.')
}

/** The server in this very process, so that Ctrl+C reaches it. */
function serve(environment) {
  Object.assign(process.env, environment)
  void import(new URL('../dist/server/main.js', import.meta.url).href)
}

function quietNpm() {
  return { ...process.env, npm_config_loglevel: 'error' }
}

function stop(words) {
  console.error(words)
  process.exit(1)
}
