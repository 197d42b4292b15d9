import { addDays } from '#core/calendar/day'
import { ago, opened } from './long-used'
import { TODAY, type Answer, type TestHouse } from './test-house'

export const SOON = addDays(TODAY, 20)
/** In use for some months, with nothing before the log. */
export const OLD = { opened: opened(ago(200)), usesBefore: 0 }

/** What is done and read when something is decided; of the house that stands at that moment. */
export function decidingActs(house: () => TestHouse) {
  const trials = (itemIds: readonly string[], over: object = {}): Promise<Answer> =>
    house().post('/trials/together', {
      setId: house().id('set'),
      trials: itemIds.map((itemId) => ({ trialId: `t-${itemId}`, itemId })),
      wearsWanted: 2,
      dueOn: SOON,
      question: '',
      ...over,
    })
  const verdict = (itemId: string, said: string, over: object = {}): Promise<Answer> =>
    house().post('/verdicts', {
      verdictId: house().id('v'),
      itemId,
      trialId: null,
      verdict: said,
      reason: '',
      destination: said === 'let go' ? 'bin' : null,
      until: null,
      usedAs: null,
      ...over,
    })
  const read = async <T>(path: string): Promise<T> => (await house().get(path)).body as T
  const undo = (answer: Answer): Promise<Answer> => house().post(`/changes/${answer.body.change.id}/take-back`, {})
  return { trials, verdict, read, undo }
}
