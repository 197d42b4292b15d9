/** Days ahead at which the chance of being finished is told for the body of a race: near ones closer together. */
export const CURVE_DAYS = [
  7, 14, 30, 45, 61, 91, 122, 152, 183, 213, 244, 274, 304, 335, 365, 456, 548, 639, 731, 913, 1096, 1461, 1826,
] as const
