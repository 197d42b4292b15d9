import type { Forecast } from '../../forecast/forecast.js'
import { usesUntil, type GoalAim } from '../../forecast/outlook.js'

/** Uses that a goal still asks for, from 1: equally likely numbers, the smallest first, to a tenth. */
export function needsOfGoal(forecast: Pick<Forecast, 'content'>, aim: GoalAim): number[] {
  return usesUntil(forecast, aim)
    .map((each) => Math.max(1, Math.round(each * 10) / 10))
    .sort((a, b) => a - b)
}
