import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { archive } from './archive.js'
import { damaged, flipped, largeBodies, oddFolders, strangers } from './broken.js'
import { amidMigration, clocks } from './clocks.js'
import { crowd, slowClients } from './crowd.js'
import { fullDisk } from './full-disk.js'
import { killed } from './killed.js'
import { meanwhile } from './meanwhile.js'

/** Measures what docs/faults.md promises. Usage: npm run faults [killed|killed:going back|crowd|slow|archive|disk|meanwhile|clocks|migration|damage|flips|folders|strangers|bodies] */
const [what = 'all'] = process.argv.slice(2)
const demo = mkdtempSync(join(tmpdir(), 'seligo-faults-demo-'))
const wanted = (name: string): boolean => what === 'all' || what === name || what.startsWith(`${name}:`)
let bad = 0
try {
  execFileSync(process.execPath, ['dist/demo/main.js', demo, '2026-11-24'], { stdio: 'ignore' })
  if (wanted('killed')) {
    const rows = await killed(demo, what.split(':')[1])
    console.table(rows)
    // Where nothing was acknowledged nothing was tried.
    for (const { acknowledged, lost, doubled, unsound, picturesMissing, leftovers } of rows)
      bad += (acknowledged === 0 ? 1 : 0) + lost + doubled + unsound + picturesMissing + leftovers
  }
  if (wanted('crowd')) {
    const found = await crowd(demo)
    console.table(found)
    bad += (found['mistakes'] ?? 0) + (found['lost'] ?? 0) + (found['doubled'] ?? 0)
  }
  if (wanted('slow')) {
    const found = await slowClients(demo)
    console.table(found)
    bad += found['othersUnanswered'] ?? 0
  }
  if (wanted('archive')) {
    const found = await archive(demo)
    console.table(found)
    bad += (found['wearsMissing'] ?? 0) + (found['picturesDifferent'] ?? 0)
  }
  if (wanted('clocks')) {
    const found = await clocks(demo)
    console.table(found)
    bad += (found['lost'] ?? 0) + (found['mistakes'] ?? 0) + (found['unsound'] ?? 0)
  }
  if (wanted('migration')) {
    const found = await amidMigration()
    console.table(found)
    bad += (found['unsound'] ?? 0) + (found['behind'] ?? 0)
  }
  // Each with the counts that must be none.
  for (const [name, act, none] of [
    ['damage', damaged, ['mistakes', 'stuck']],
    ['flips', flipped, ['passedAsSound']],
    ['folders', oddFolders, ['ended', 'mistakes']],
    ['strangers', strangers, ['herSilence', 'stillHeld']],
    ['bodies', largeBodies, ['notRefused', 'mistakes']],
  ] as const) {
    if (!wanted(name)) continue
    const found = await act(demo)
    console.table(found)
    for (const each of none) bad += found[each] ?? 0
  }
  if (wanted('meanwhile')) console.table(await meanwhile(demo))
  if (wanted('disk')) {
    const found = await fullDisk(demo)
    if (found === null) console.log('A full disk wasn’t tried: this account may not mount one.')
    else {
      console.table(found)
      bad +=
        Number(found['onFullOther']) + Math.max(0, Number(found['lostOfAcknowledged'])) + Number(found['leftBehind'])
    }
  }
} finally {
  rmSync(demo, { recursive: true, force: true })
}
if (bad > 0) process.exitCode = 1
