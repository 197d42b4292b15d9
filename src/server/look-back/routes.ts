import { AnswerAsk, DropAsk, DropSpan, PutAsk, PutSpan, PutSpanWords } from '#contract/look-back'
import { fail, ok } from '../failing.js'
import { dayParam, read, write, type Route } from '../http/routes.js'
import { looksOf } from './looks-of.js'
import type { Stock } from '../stock/stock.js'
import type { Context } from '../context.js'
import type { SpanSheets } from './sheets.js'
import type { KeptSpans } from './keeping.js'
import type { Asking } from './asking.js'

export function lookBackRoutes(
  services: Context & { stock: Stock; spanSheets: SpanSheets; keptSpans: KeptSpans; asking: Asking },
): Route[] {
  const { spanSheets, keptSpans, asking, today } = services
  return [
    read(
      '/look-back/sheet',
      (_, query) => {
        const [from, to] = [dayParam(query['from']), dayParam(query['to'])]
        if (from === null) return fail('no-such-day', { value: String(query['from'] ?? '') })
        if (to === null) return fail('no-such-day', { value: String(query['to'] ?? '') })
        return spanSheets.of({ from, to }, typeof query['project'] === 'string' ? query['project'] : null)
      },
      'all',
    ),
    read('/look-back/spans', () => ok(keptSpans.all())),
    read('/look-back/faces', (_, query) => {
      const until = query['until'] === undefined ? today() : dayParam(query['until'])
      if (until === null || until > today()) return fail('day-in-future', { value: String(query['until']) })
      return ok(looksOf(services, until))
    }),
    read('/look-back/asks', () => ok(asking.all()), 'all'),
    write('post', '/look-back/spans', 'put-span', PutSpan, (body) => keptSpans.put(body)),
    write('post', '/look-back/spans/:id/drop', 'drop-span', DropSpan, (_, id) => keptSpans.drop(id)),
    write('post', '/look-back/words', 'span-words', PutSpanWords, (body) => keptSpans.putWords(body)),
    write('post', '/look-back/asks', 'put-ask', PutAsk, (body) => asking.put(body)),
    write('post', '/look-back/asks/:id/answer', 'answer-ask', AnswerAsk, (body, id) => asking.answer(id, body)),
    write('post', '/look-back/asks/:id/drop', 'drop-ask', DropAsk, (_, id) => asking.drop(id)),
  ]
}
