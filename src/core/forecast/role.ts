/** How an item stands among its like: the only one in reach, one of several, or not in reach at all. */
export const ROLES = ['staple', 'rotation', 'occasional'] as const
export type Role = (typeof ROLES)[number]

/** Why a forecast was kept as it was shown. */
export const FORECAST_REASONS = ['rolled in', 'read', 'four weeks'] as const
export type ForecastReason = (typeof FORECAST_REASONS)[number]
