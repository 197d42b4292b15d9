/** *keepsake*: kept to look at, not to use. *special*: kept for occasions, perhaps for one day. */
export const SET_ASIDE = ['keepsake', 'special'] as const
export type SetAside = (typeof SET_ASIDE)[number]
