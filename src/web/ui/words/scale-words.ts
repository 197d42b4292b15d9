import type { ScaleReading } from '#core/scale/reader'

/** What the scale says, in a sentence with what to do. */
export function scaleWords(reading: ScaleReading): string {
  switch (reading.code) {
    case 'waiting':
      return 'Listening to the scale.'
    case 'empty':
      return 'Nothing on it. Put the item on, as it is.'
    case 'settling':
      return 'Settling.'
    case 'steady':
      return 'Steady. Lift it off to keep it.'
    case 'kept':
      return 'Kept.'
    case 'silent':
      return 'The scale has stopped sending. Check its cable, or type the weight.'
    case 'refused':
      return REFUSALS[reading.why](reading.unit)
  }
}

const REFUSALS: Readonly<Record<Extract<ScaleReading, { code: 'refused' }>['why'], (unit: string) => string>> = {
  overload: () => 'Too heavy for this scale. Lift it off; a larger scale, or no weight for this one.',
  net: () => 'The scale shows a net weight: the package has to be in it. Take its tare off and weigh again.',
  volume: (unit) =>
    `The scale shows ${unit}. A scale weighs; it can’t tell a volume. Set it to grams or ounces, and weigh again.`,
  'unknown unit': (unit) => `The scale shows ${unit}, which is no unit Seligo reads. Set it to grams or ounces.`,
  'below zero': () => 'It shows less than zero. Empty it, set it to zero, and weigh again.',
  asleep: () => 'The scale is asleep. Touch it, or put the package on.',
  garbled: () => 'What the scale sends can’t be read. Is it set to the right speed? Type the weight meanwhile.',
}
