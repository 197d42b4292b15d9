/** The rooms of Look back. */
export const LOOK_BACK_WAYS = [
  { to: '/look-back', words: 'The month' },
  { to: '/look-back/year', words: 'The year' },
  { to: '/look-back/span', words: 'Any span' },
  { to: '/look-back/faces', words: 'Faces' },
  { to: '/look-back/guesses', words: 'Guesses and forecasts' },
  { to: '/look-back/asks', words: 'Which next?' },
] as const
