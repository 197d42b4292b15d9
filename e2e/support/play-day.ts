/** The day on which every story plays, for the server, the demo and the browser alike: a Tuesday. */
export const PLAY_DAY = '2026-11-24'

/** The instant at which a story begins, on the clock of the machine it plays on. */
export const PLAY_TIME = `${PLAY_DAY}T09:00:00`
