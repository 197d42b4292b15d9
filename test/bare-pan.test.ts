import { fileURLToPath } from 'node:url'
import { expect, test } from 'vitest'
import { evaluatePans } from '#server/measuring/evaluate-pan'

/** Ray-cast photos with known truth, drawn with handles about 2 % off; near-white and metal-coloured powders are to be refused. */
test('pans are measured within their promise, and what can’t be told apart is refused', async () => {
  const found = await evaluatePans(fileURLToPath(new URL('reference/pan', import.meta.url)))
  expect(found.n).toBe(23)
  expect(found.refused).toBeLessThanOrEqual(4)
  expect(found.medianPoints).toBeLessThanOrEqual(0.7)
  expect(found.p90Points).toBeLessThanOrEqual(2)
  expect(found.wrongAccepted).toBe(0)
}, 240_000)
