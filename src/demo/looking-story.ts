import { addDays } from '#core/calendar/day'
import { monthOf, type LookSpan } from '#core/look-back/span'
import type { DemoHouse } from './demo-house.js'

/** She writes on evenings of so many days ago, of the month that was over by then. Data table. */
const WRITTEN: readonly (readonly [ago: number, words: string, lesson: string])[] = [
  [
    52,
    'Early shifts ate the mornings: primer, powder, out of the door. The bold looks were all on gig nights, and they were fun again.',
    '',
  ],
  [
    20,
    'The hat-box things are getting worn at last. Two lip colours are enough within reach; the third one only ever watches.',
    'Two lip colours within reach, no more.',
  ],
]
const MOVED_AGO = 285
const ASKED_AGO = 26
const ANSWERED_AGO = 22
const OPEN_ASK_AGO = 5

/** Maren looks back: what she felt of two months, the span since the move, and what she asks the band. */
export function lookingEvening(demo: DemoHouse, ago: number): void {
  for (const [when, words, lesson] of WRITTEN) if (when === ago) write(demo, words, lesson)
  if (ago === ASKED_AGO) ask(demo, 'Which of these next, for the party?', ['lipstick', 'lip-gloss', 'highlighter'])
  if (ago === ANSWERED_AGO) answerLast(demo)
  if (ago === OPEN_ASK_AGO) ask(demo, 'One of these blushes goes. Which one?', ['blush', 'blush', 'blush'])
  if (ago === OPEN_ASK_AGO) keepSpan(demo)
}

function write(demo: DemoHouse, words: string, lesson: string): void {
  const { keptSpans, lessons } = demo.services
  const month: LookSpan = monthOf(addDays(monthOf(demo.day).from, -1))
  demo.act('span-words', (changeId) =>
    keptSpans.putWords({ changeId, id: demo.services.newId(), version: null, ...month, words }),
  )
  if (lesson === '') return
  const none = { rule: null, about: null, itemId: null, categoryId: null, struck: false }
  demo.act('keep-lesson', (changeId) =>
    lessons.keep({ changeId, id: demo.services.newId(), words: lesson, promptedBy: 'herself', ...none, span: month }),
  )
}

function keepSpan(demo: DemoHouse): void {
  const from = addDays(demo.day, OPEN_ASK_AGO - MOVED_AGO)
  demo.act('put-span', (changeId) =>
    demo.services.keptSpans.put({
      changeId,
      id: demo.services.newId(),
      version: null,
      name: 'Since the move',
      from,
      to: null,
    }),
  )
}

/** The first things of these kinds that still lie there, each once. */
function ask(demo: DemoHouse, question: string, kinds: readonly string[]): void {
  const chosen = new Set<string>()
  for (const kind of kinds) {
    const next = demo.of(kind).find((item) => !chosen.has(item.id))
    if (next) chosen.add(next.id)
  }
  if (chosen.size < 2) return
  demo.act('put-ask', (changeId) =>
    demo.services.asking.put({ changeId, id: demo.services.newId(), version: null, question, itemIds: [...chosen] }),
  )
}

function answerLast(demo: DemoHouse): void {
  const [last] = demo.services.asking.all().asks
  const [first] = last?.candidates ?? []
  if (!last || !first) return
  demo.act('answer-ask', (changeId) =>
    demo.services.asking.answer(last.id, {
      changeId,
      version: last.version,
      answer: 'The first one. You sing louder in red, says the washboard.',
      chosenItemId: first.item.id,
    }),
  )
}
