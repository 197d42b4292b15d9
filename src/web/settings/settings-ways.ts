/** The rooms of Settings. */
export const SETTINGS_WAYS = [
  { to: '/settings', words: 'Rules and data' },
  { to: '/settings/devices', words: 'Devices' },
  { to: '/settings/copies', words: 'Copies' },
] as const
