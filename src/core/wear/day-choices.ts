/** What an amount is counted in. */
export const AMOUNT_UNITS = ['pumps', 'drops', 'sprays', 'sharpenings'] as const

/** What can be said of a day; each may stay unsaid. */
export const SKINS = ['dry', 'oily', 'normal', 'flaring'] as const
export const TONES = ['warm', 'cool', 'neutral'] as const
export const HANDS = ['sore', 'fine'] as const
export const WEATHERS = ['hot', 'mild', 'cold', 'wet'] as const
