import { describe, expect, test } from 'vitest'
import { bodyOf } from './finish-body'

describe('the body of a finish', () => {
  test('is thickest where it is likeliest by the day, and begins where it begins to be likely', () => {
    const body = bodyOf([
      { days: 0, chance: 0 },
      { days: 100, chance: 0 },
      { days: 200, chance: 0.6 },
      { days: 400, chance: 1 },
    ])
    expect(body.map(({ from, to }) => [from, to])).toEqual([
      [100, 200],
      [200, 400],
    ])
    // .6 over 100 days against .4 over 200: three times as likely by the day.
    expect((body[0]?.thick ?? 0) / (body[1]?.thick ?? 1)).toBeCloseTo(3, 10)
    expect(body[0]?.thick).toBe(1)
  })
  test('one that is spread over years is thin all over, and one that is nowhere likely is none', () => {
    const [wide] = bodyOf([
      { days: 0, chance: 0 },
      { days: 1460, chance: 1 },
    ])
    // Evenly over four years: a quarter of what one year would be.
    expect(wide?.thick).toBeCloseTo(0.25, 10)
    expect(bodyOf([{ days: 0, chance: 0 }])).toEqual([])
    expect(
      bodyOf([
        { days: 0, chance: 0 },
        { days: 1826, chance: 0.01 },
      ]),
    ).toEqual([])
  })
})
