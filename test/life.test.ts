import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from 'vitest'
import { readLifeFile } from '#demo/life/life-file'
import { playLife, scoreLives } from '#demo/life/score-life'
import { openDatabase } from '#server/db/open-database'

/**
 * The first year of one simulated person, written down as she would, played through the product's own commands. One life scatters: the
 * limits are those of several lives (docs/forecasts.md) with room for that.
 */
test('a year of a life: what the product says of it holds', () => {
  const folder = mkdtempSync(join(tmpdir(), 'seligo-life-'))
  const db = openDatabase(join(folder, 'life.db'), { appliedAt: 'x' })
  try {
    const played = playLife(db, readLifeFile(readFileSync(join(import.meta.dirname, 'reference/life.json'), 'utf8')))
    expect(played.refused).toEqual([])
    const { inUse, resting, left, firstTick, verdicts, pace, needs } = scoreLives([played])
    expect(inUse.n).toBeGreaterThan(80)
    expect(inUse.inside).toBeGreaterThan(0.74)
    expect(inUse.error).toBeLessThan(0.62)
    expect(resting.inside).toBeGreaterThan(0.74)
    expect(left.all.inside).toBeGreaterThan(0.7)
    expect(left.inUse.error).toBeLessThan(0.24)
    expect(firstTick.n).toBeGreaterThan(5)
    expect(firstTick.fell).toBe(0)
    expect(verdicts['not in time']?.cameTrue).toBeLessThan(0.25)
    expect(pace.shownOverCounted).toBeCloseTo(1, 1)
    expect(needs.inside).toBeGreaterThan(0.8)
  } finally {
    db.close()
    rmSync(folder, { recursive: true })
  }
}, 60_000)
