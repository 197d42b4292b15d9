import { Random } from '#demo/random'
import { PLAN_WEIGHTS, type PlanItem, type PlanProblem } from '#core/plan/schedule/problem'

const WEEKS_A_MONTH = 52 / 12

/**
 * A seeded instance of so many things over so many months, in so many zones (one = nothing falls apart into easy parts): uses of 5 to 40,
 * half with a date within, a third with seasons, slots for half of them at a time. As hard as what the method was measured on: the
 * draft comes to 94 to 99 % of the plan. With uses up to 60 it comes to 90 to 96 %, and the bound of 80 x 12 is 1.3 to 3.7 % away.
 */
export function planInstance(seed: number, count: number, months: number, zones = 1): PlanProblem {
  const random = new Random(seed)
  const weeks = Math.round(months * WEEKS_A_MONTH)
  const monthOf = Array.from({ length: weeks }, (_, week) => Math.min(months - 1, Math.floor(week / WEEKS_A_MONTH)))
  const wearDays = Array.from({ length: weeks }, () => random.whole(2, 6))
  const kinds = Math.max(2, Math.round(count / 10), 2 * zones)
  const items = Array.from({ length: count }, (_, n): PlanItem => {
    const last = random.chance(0.5) ? random.whole(Math.floor(weeks / 4), weeks - 1) : weeks - 1
    const perWeek = random.chance(0.3) ? random.whole(1, 3) : 7
    const seasonal = random.chance(0.3)
    const firstMonth = random.whole(0, months - 1)
    return {
      id: `thing-${n}`,
      categoryId: `type-${n % kinds}`,
      uses: random.whole(5, 40),
      most: wearDays.map((days, week) => {
        const out = week > last || (seasonal && Math.abs((monthOf[week] ?? 0) - firstMonth) > months / 3)
        return out ? 0 : Math.min(days, perWeek)
      }),
      after: last < weeks - 1 ? 0 : random.whole(0, 100),
      value: random.whole(10, 100),
      slots: 1,
      inDrawer: random.chance(0.3),
      fixed: Array.from({ length: months }, () => null),
    }
  })
  return {
    grain: 'runs',
    monthOf,
    items,
    categories: Array.from({ length: kinds }, (_, n) => ({
      id: `type-${n}`,
      zoneId: `zone-${n % zones}`,
      uses: n % 4 === 3 ? wearDays.map((days) => 2 * days) : wearDays,
    })),
    zones: Array.from({ length: zones }, (_, n) => ({
      id: `zone-${n}`,
      slots: Array.from({ length: months }, () => Math.max(2, Math.round(count / zones / 2))),
    })),
    caps: [],
    weights: PLAN_WEIGHTS,
  }
}
