import { expect, test } from 'vitest'
import type { Day } from '#core/calendar/day'
import { locationWords } from './location-words'

type Where = Parameters<typeof locationWords>[0]
const NOWHERE: Where = { placement: null, location: 'resting', restingUntil: null, lifecycle: 'open' }
const UNTIL = '2027-03-01' as Day
const PLACED = { zoneId: 'lips', since: UNTIL, position: 1, beside: false }

test.each<[Partial<Where>, string]>([
  [{}, 'resting'],
  [{ restingUntil: UNTIL }, 'resting until 1 Mar 2027'],
  [{ lifecycle: 'unopened' }, 'unopened, stored away'],
  [{ placement: PLACED }, 'in the drawer'],
  [{ placement: { ...PLACED, beside: true } }, 'beside the drawer'],
  [{ location: 'season box', restingUntil: UNTIL }, 'in the season box until 1 Mar 2027'],
  [{ location: 'season box' }, 'in the season box'],
  [{ location: 'handbag' }, 'in the handbag'],
  [{ location: 'travel' }, 'in the travel bag'],
  [{ location: 'backups box' }, 'in the backups box'],
])('where it lies, as the rest of a sentence: %o', (where, words) => {
  expect(locationWords({ ...NOWHERE, ...where })).toBe(words)
})
