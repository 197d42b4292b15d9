import { copyFileSync, mkdtempSync } from 'node:fs'
import { join } from 'node:path'
import { tmpdir } from 'node:os'
import { readsOf, talliesOf } from './places.js'
const made = process.argv[2]!
const NOW = new Date('2026-11-24T12:00:00')
const f = join(mkdtempSync(join(tmpdir(), 'b-')), 'collection.db')
copyFileSync(made, f)
const r = await readsOf(f, NOW)
for (const [k, v] of Object.entries(r)) if (v.p95 > 12) console.log(k, v.p50, v.p95, v.ratio, v.kilobytes)
console.log('tally', JSON.stringify(await talliesOf(f, NOW)))
