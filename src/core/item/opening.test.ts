import { describe, expect, test } from 'vitest'
import type { Day } from '../calendar/day.js'
import { cannotBeUnopened, lifecycleOf, openingOf, saidOn, type OpeningFacts } from './opening.js'

const d = (text: string): Day => text as Day
const FACTS: OpeningFacts = {
  said: { kind: 'unopened' },
  by: 'she',
  acquired: null,
  firstWear: null,
  usesBefore: null,
  endedOn: null,
}
const of = (over: Partial<OpeningFacts>) => openingOf({ ...FACTS, ...over })
const kindOf = (over: Partial<OpeningFacts>) => lifecycleOf(of(over), null)

describe('whatever has been used isn’t unopened, whoever says so', () => {
  test('a first tick opens it, that day, and its taking back closes it', () => {
    const ticked = of({ firstWear: d('2026-11-20') })
    expect(ticked).toMatchObject({
      kind: 'range',
      by: 'tick',
      within: { earliest: '2026-11-20', latest: '2026-11-20' },
    })
    // A tick typed in later for an earlier day moves it there.
    expect(of({ firstWear: d('2026-11-02') }).within?.earliest).toBe('2026-11-02')
    expect(kindOf({})).toBe('unopened')
  })
  test('uses before the log leave it open, nobody knows since when', () => {
    expect(of({ usesBefore: 4, acquired: { earliest: d('2025-01-01'), latest: d('2025-01-31') } })).toMatchObject({
      kind: 'unknown',
      within: null,
      notBefore: '2025-01-01',
    })
    expect(of({ usesBefore: 4, firstWear: d('2026-11-20') })).toMatchObject({ kind: 'unknown', notAfter: '2026-11-20' })
    expect(kindOf({ usesBefore: 4 })).toBe('open')
  })
  test('nobody having said how many isn’t none', () => {
    expect([null, 0].map((usesBefore) => kindOf({ usesBefore }))).toEqual(['unopened', 'unopened'])
    expect(cannotBeUnopened({ wears: 0, usesBefore: null })).toBe(false)
    expect(cannotBeUnopened({ wears: 1, usesBefore: null })).toBe(true)
  })
  test('what is finished was opened some time, and not after its end', () => {
    expect(of({ endedOn: d('2026-10-01') })).toMatchObject({ kind: 'unknown', notAfter: '2026-10-01' })
    expect(lifecycleOf(of({ endedOn: d('2026-10-01') }), 'finished')).toBe('finished')
  })
})

describe('what she said is clipped to what else is known', () => {
  const said = { kind: 'range', earliest: d('2022-01-01'), latest: d('2022-12-31'), said: '2022' } as const
  test('to the day it came and its first wear', () => {
    const acquired = { earliest: d('2022-05-01'), latest: d('2022-05-31') }
    expect(of({ said, acquired, firstWear: d('2022-09-09') }).within).toEqual({
      earliest: '2022-05-01',
      latest: '2022-09-09',
    })
  })
  test('but where both contradict each other her word stands', () => {
    const acquired = { earliest: d('2023-05-01'), latest: d('2023-05-31') }
    expect(of({ said, acquired }).within).toEqual({ earliest: '2022-01-01', latest: '2022-12-31' })
  })
  test('a year under way ends on the day it is said; one that lies ahead is none', () => {
    const year = { kind: 'range', earliest: d('2026-01-01'), latest: d('2026-12-31'), said: '2026' } as const
    expect(saidOn(year, d('2026-11-24'))).toMatchObject({ latest: '2026-11-24', said: '2026' })
    expect(saidOn(year, d('2025-11-24'))).toBeNull()
  })
})
