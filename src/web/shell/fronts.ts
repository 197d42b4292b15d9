import type { Fronts } from '#contract/today'
import { counted } from '#core/words/counted'
import { dateWords } from '#web/data/locale'

export interface Front {
  readonly to: string
  readonly name: string
  /** The one live figure, in words; empty while nothing is known. */
  readonly figure: (fronts: Fronts) => string
}

/** The places that work, in the order of the chest. */
export const FRONTS: readonly Front[] = [
  { to: '/', name: 'Today', figure: (f) => (f.wornToday === 0 ? 'nothing ticked yet' : `${f.wornToday} worn`) },
  { to: '/collection', name: 'Collection', figure: (f) => (f.items === 0 ? 'empty' : counted(f.items, 'item')) },
  {
    to: '/projects',
    name: 'Projects',
    figure: (f) =>
      f.projects === 0 ? 'none yet' : f.inProjects === 0 ? 'nothing in yet' : `${f.inProjects} on the go`,
  },
  {
    to: '/check-in',
    name: 'Check-in',
    figure: (f) =>
      f.checkIn !== null
        ? `${f.checkIn.done} of ${f.checkIn.items}`
        : f.lastCheckIn === null
          ? 'none yet'
          : `last ${dateWords(f.lastCheckIn)}`,
  },
  { to: '/shelf-life', name: 'Shelf life', figure: (f) => (f.spoilSoon === 0 ? 'none soon' : `${f.spoilSoon} soon`) },
  {
    to: '/decide',
    name: 'Decide',
    figure: (f) =>
      f.decisionsDue > 0 ? `${f.decisionsDue} due` : f.trials > 0 ? `${f.trials} on trial` : 'nothing due',
  },
  { to: '/empties', name: 'Empties', figure: (f) => `${f.emptiesThisYear} this year` },
  {
    to: '/look-back',
    name: 'Look back',
    figure: (f) => (f.guesses === 0 ? 'no guesses yet' : counted(f.guesses, 'guess')),
  },
  { to: '/settings', name: 'Settings', figure: () => 'rules and data' },
]
