import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { addDays, type Day } from '../calendar/day.js'
import { evennessOf } from './evenness.js'
import { overloads, type DatedNeed } from './overload.js'
import { breachBy, type Newcomer, type ProjectRules, type RuledStay } from './project-rules.js'

const START = '2026-01-01' as Day
const LATER = addDays(START, 60)
const RULES: ProjectRules = {
  shape: 'rolling',
  startedOn: START,
  replacing: 'as I feel',
  mostItems: null,
  breakDays: null,
  leavingAllowed: true,
  theme: null,
  categoryId: null,
  atOnce: null,
  paletteId: null,
}
const stay = (facts: Partial<RuledStay> = {}): RuledStay => ({
  itemId: 'a',
  categoryId: 'blush',
  rolledIn: START,
  rolledOut: null,
  reached: false,
  beside: false,
  ...facts,
})
const NEW: Newcomer = { itemId: 'n', categoryId: 'blush', sample: false, powder: true, beside: false }
const code = (rules: Partial<ProjectRules>, stays: RuledStay[], newcomer: Partial<Newcomer> = {}, day = LATER) =>
  breachBy({ ...RULES, ...rules }, stays, { ...NEW, ...newcomer }, day)?.code ?? null

describe('a rule of hers says no', () => {
  test('to one more than the most, but not to what merely goes along', () => {
    const two = [stay(), stay({ itemId: 'b' }), stay({ itemId: 'c', beside: true })]
    expect(code({ mostItems: 2 }, two)).toBe('full')
    expect(code({ mostItems: 3 }, two)).toBeNull()
    expect(code({ mostItems: 2 }, two, { beside: true })).toBeNull()
  })
  test('to additions to a fixed set, once its first fortnight is over', () => {
    expect(code({ shape: 'season', replacing: 'none' }, [stay()], {}, addDays(START, 14))).toBeNull()
    expect(code({ shape: 'season', replacing: 'none' }, [stay()], {}, addDays(START, 15))).toBe('fixed-set')
  })
  test('to another category where only like replaces like', () => {
    const out = stay({ rolledOut: addDays(START, 40), reached: true })
    expect(code({ replacing: 'like for like' }, [out])).toBeNull()
    expect(code({ replacing: 'like for like' }, [out], { categoryId: 'lipstick' })).toBe('like-for-like')
    // Once replaced, the place is taken.
    const came = stay({ itemId: 'b', rolledIn: addDays(START, 41) })
    expect(code({ replacing: 'like for like' }, [out, came])).toBe('like-for-like')
    expect(code({ replacing: 'any category' }, [out], { categoryId: 'lipstick' })).toBeNull()
    expect(code({ replacing: 'any category' }, [out, came])).toBe('one-for-one')
  })
  test('to a category that has its break after one of it was reached', () => {
    const out = stay({ rolledOut: addDays(LATER, -10), reached: true })
    expect(code({ breakDays: 14 }, [out])).toBe('category-rests')
    expect(code({ breakDays: 14 }, [out], { categoryId: 'lipstick' })).toBeNull()
    expect(code({ breakDays: 10 }, [out])).toBeNull()
    expect(code({ breakDays: 14 }, [{ ...out, reached: false }])).toBeNull()
  })
  test('to what isn’t of the theme, the category, the palette', () => {
    expect(code({ theme: 'powders' }, [], { powder: false })).toBe('not-in-theme')
    expect(code({ theme: 'creams and liquids' }, [], { powder: true })).toBe('not-in-theme')
    expect(code({ theme: 'samples' }, [], { sample: true })).toBeNull()
    expect(code({ shape: 'sweep', categoryId: 'lipstick' }, [])).toBe('other-category')
    expect(code({ shape: 'sweep', categoryId: 'blush', atOnce: 1 }, [stay()])).toBe('full')
    expect(code({ shape: 'palette', paletteId: 'p' }, [], { itemId: 'q' })).toBe('other-palette')
  })
})

let needs = 0
const need = (categoryId: string, usesLeft: number, days: number, itemId = `item-${(needs += 1)}`): DatedNeed => ({
  categoryId,
  itemId,
  usesLeft,
  by: addDays(START, days),
  wearDaysLeft: days,
})

test('two lipsticks that each fit but not both are told with their sum', () => {
  expect(overloads([need('lipstick', 60, 100), need('lipstick', 60, 100), need('blush', 90, 100)])).toEqual([
    { categoryId: 'lipstick', items: 2, needed: 120, wearDays: 100, by: addDays(START, 100) },
  ])
  expect(overloads([need('lipstick', 40, 100), need('lipstick', 60, 100)])).toEqual([])
  // One that cannot be met alone is said of itself, not of its category.
  expect(overloads([need('lipstick', 120, 100), need('lipstick', 1, 100)])).toEqual([])
})

test('one day of wear serves all shades of a palette: three times ten uses in 21 days is no overload', () => {
  const shade = () => need('eyeshadow-palette', 10, 21, 'hedgerow')
  expect(overloads([shade(), shade(), shade()])).toEqual([])
  // With another palette beside it the two share the days; worked by hand: 10 + 12 > 21.
  expect(overloads([shade(), shade(), need('eyeshadow-palette', 12, 21, 'skiffle')])).toMatchObject([
    { items: 2, needed: 22, wearDays: 21 },
  ])
})

test('an overload is told exactly where no day-by-day plan serves all (brute force over small cases)', () => {
  // One item of the category a day: serve the need that is due first; if that leaves one short, every plan does.
  const fits = (list: readonly DatedNeed[]): boolean => {
    const left = list.map((each) => ({ ...each }))
    for (let day = 0; day < 12; day += 1) {
      const due = left.filter((each) => each.usesLeft > 0 && each.wearDaysLeft > day)
      const first = due.sort((a, b) => a.wearDaysLeft - b.wearDaysLeft)[0]
      if (first) Object.assign(first, { usesLeft: first.usesLeft - 1 })
    }
    return left.every((each) => each.usesLeft === 0)
  }
  const one = fc.record({ uses: fc.integer({ min: 1, max: 6 }), days: fc.integer({ min: 1, max: 10 }) })
  fc.assert(
    fc.property(fc.array(one, { minLength: 1, maxLength: 4 }), (list) => {
      const wanted = list.map(({ uses, days }) => need('lipstick', Math.min(uses, days), days))
      expect(overloads(wanted).length === 0).toBe(fits(wanted))
    }),
    { seed: 7, numRuns: 400 },
  )
})

test('evenness is Pielou’s J', () => {
  expect(evennessOf([5, 5, 5])).toBeCloseTo(1, 12)
  expect(evennessOf([9, 0, 0])).toBe(0)
  // H = -(3/4 ln 3/4 + 1/4 ln 1/4), S = 2; worked by hand.
  expect(evennessOf([3, 1])).toBeCloseTo(0.8112781244591328, 12)
  expect(evennessOf([4])).toBeNull()
  expect(evennessOf([0, 0])).toBeNull()
})
