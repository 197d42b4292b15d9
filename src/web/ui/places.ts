import { counted } from '#core/words/counted'
import type { Fronts } from '#contract/today'

export interface Tab {
  readonly to: string
  readonly words: string
  /** A live figure that is true of what the tab shows first; empty where there is none. */
  readonly figure?: (fronts: Fronts) => string
}

export interface Place {
  readonly to: string
  readonly name: string
  readonly question: string
  /** The one live figure of its front; the question stands there where it is empty. */
  readonly figure: (fronts: Fronts) => string
  readonly tabs: readonly Tab[]
}

/** The map: six places and Settings, each with its question and its tabs. */
export const PLACES: readonly Place[] = [
  {
    to: '/',
    name: 'Today',
    question: 'What are you wearing today?',
    figure: (f) => (f.wornToday === 0 ? 'nothing worn yet' : `${counted(f.wornToday, 'item')} worn`),
    tabs: [],
  },
  {
    to: '/collection',
    name: 'Collection',
    question: 'What do I own, and what should I use first?',
    figure: (f) => (f.items === 0 ? 'empty so far' : counted(f.items, 'item')),
    tabs: [
      { to: '/collection', words: 'Items' },
      {
        to: '/collection/use-first',
        words: 'Use first',
        figure: (f) => (f.spoilSoon === 0 ? '' : `${f.spoilSoon} soon`),
      },
      { to: '/collection/how-much', words: 'How much I own' },
    ],
  },
  {
    to: '/projects',
    name: 'Projects',
    question: 'What am I working on, and will it add up?',
    figure: (f) => (f.projects === 0 ? 'none yet' : counted(f.projects, 'project')),
    tabs: [
      { to: '/projects', words: 'Projects' },
      {
        to: '/projects/check-in',
        words: 'Check-in',
        figure: (f) => (f.checkIn === null ? '' : `${f.checkIn.done} of ${f.checkIn.items}`),
      },
      { to: '/projects/plan', words: 'Plan' },
    ],
  },
  {
    to: '/keep',
    name: 'Keep or let go',
    question: 'Does it stay?',
    figure: (f) => (f.decisionsDue > 0 ? `${f.decisionsDue} due` : 'nothing due'),
    tabs: [
      { to: '/keep', words: 'To decide' },
      { to: '/keep/trials', words: 'Trials', figure: (f) => (f.trials === 0 ? '' : String(f.trials)) },
      { to: '/keep/compare', words: 'Compare' },
      { to: '/keep/how-many', words: 'How many to keep' },
      { to: '/keep/let-go', words: 'Let go' },
    ],
  },
  {
    to: '/buying',
    name: 'Before buying',
    question: 'Do I need it?',
    figure: () => '',
    tabs: [
      { to: '/buying', words: 'Check' },
      { to: '/buying/wish-list', words: 'Wish list' },
      { to: '/buying/no-buys', words: 'No-buys' },
    ],
  },
  {
    to: '/look-back',
    name: 'Look back',
    question: 'How did it go?',
    figure: () => '',
    tabs: [
      { to: '/look-back', words: 'Month' },
      { to: '/look-back/year', words: 'Year' },
      { to: '/look-back/empties', words: 'Empties', figure: (f) => `${f.emptiesThisYear} this year` },
      { to: '/look-back/looks', words: 'Looks' },
      { to: '/look-back/guesses', words: 'Guesses' },
    ],
  },
  {
    to: '/settings',
    name: 'Settings',
    question: 'My rules, my phones, my data.',
    figure: () => '',
    tabs: [
      { to: '/settings', words: 'Settings' },
      { to: '/settings/phones', words: 'Phones' },
      { to: '/settings/safety-copies', words: 'Safety copies' },
      { to: '/settings/history', words: 'History' },
    ],
  },
]

/** The place that an address belongs to by its route's `place`; Today where it names none. */
export function placeOf(name: unknown): Place {
  return PLACES.find((place) => place.name === name) ?? (PLACES[0] as Place)
}
