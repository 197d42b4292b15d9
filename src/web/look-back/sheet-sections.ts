import { MONTH_DAYS } from '#core/calendar/lengths'
import type { SpanSheet, MoneyView } from '#contract/look-back'
import { addDays } from '#core/calendar/day'
import { counted, plural } from '#core/words/counted'
import { capital } from '#core/words/capital'
import { dateWords, moneyShort, moneyWords } from '#web/data/locale'
import { ruleSentences, ruleTitle } from '#web/ui/words/buying-words'
import { massWords, type MassUnit } from '#web/ui/words/measure-words'
import { goalLine, goneWords, lookWords } from '#web/ui/words/sheet-words'
import { shortDay, spanWords, timesWords } from '#web/ui/words/when-words'
import { spanTitle } from '#web/ui/words/span-words'

/** One part of a sheet as words: what the screen draws around, what Markdown and a friend read as they are. */
export interface SheetSection {
  readonly id: SectionId
  readonly title: string
  readonly sentences: readonly string[]
  readonly table: { readonly head: readonly string[]; readonly rows: readonly (readonly string[])[] } | null
}
export type SectionId =
  | 'sums'
  | 'words'
  | 'project'
  | 'push'
  | 'finishes'
  | 'most'
  | 'least'
  | 'times'
  | 'trials'
  | 'spoiled'
  | 'let go'
  | 'came in'
  | 'kinds'
  | 'pairs'
  | 'lessons'

export interface SheetOptions {
  readonly prices: boolean
  readonly photos: boolean
  readonly unit: MassUnit
}

/** Every part of a sheet that has something to say, in the order in which it is read. */
export function sectionsOf(sheet: SpanSheet, options: SheetOptions): SheetSection[] {
  const section = (
    id: SectionId,
    title: string,
    sentences: readonly string[],
    table: SheetSection['table'] = null,
  ): SheetSection => ({ id, title, sentences: sentences.filter(Boolean), table: table?.rows.length ? table : null })
  const money = (minor: number | null): string =>
    minor === null ? 'no price' : moneyWords(Math.round(minor), sheet.currency)
  const day = (on: Parameters<typeof shortDay>[0]): string => shortDay(on, sheet.to)
  const priced = (words: string): string => (options.prices ? words : '')
  const cells = (...all: (string | false)[]): string[] => all.filter((cell): cell is string => cell !== false)
  return [
    section('sums', 'In all', sumSentences(sheet, options)),
    section('words', 'How it felt', sheet.words ? [sheet.words.words] : []),
    section('project', projectTitle(sheet), projectSentences(sheet), {
      head: ['Item', 'Before', 'After', 'Uses', 'Let go', 'Goal'],
      rows: sheet.lines.map((line) => [
        line.kind,
        lookWords(line.before, options.unit, null) || 'not measured',
        lookWords(line.after, options.unit, null) || 'not measured',
        String(line.uses),
        line.grams ? goneWords(line, options.unit, sheet) : '',
        goalLine(line),
      ]),
    }),
    section('push', 'Next focus', sheet.pushes.map(pushWords)),
    section('finishes', 'Finished', finishSentences(sheet), {
      head: cells('Item', 'On', 'Uses', 'Took', 'Your guess', 'Forecast', options.prices && 'Price', 'Again?'),
      rows: sheet.finishes.map((each) =>
        cells(
          each.mark,
          day(each.on),
          each.usesKnown ? String(each.uses) : `${each.uses} ticked`,
          each.days === null ? 'not known' : spanWords(each.days),
          guessWords(each),
          forecastWords(each),
          options.prices && money(each.priceMinor),
          each.again ?? '',
        ),
      ),
    }),
    section('most', 'Reached for', evennessSentences(sheet), {
      head: ['Item', 'Uses'],
      rows: sheet.most.map(({ mark, uses }) => [mark, String(uses)]),
    }),
    section('least', 'Not worn', leastSentences(sheet), {
      head: ['Item', 'Uses', 'Last worn'],
      // Of one month a list of the unworn says little: most of a collection is.
      rows: (sheet.kind === 'month' ? [] : sheet.least).map(({ mark, uses, lastWorn }) => [
        mark,
        String(uses),
        lastWorn === null ? 'never ticked' : dateWords(lastWorn),
      ]),
    }),
    section('times', 'First and last time', [
      listed(
        'First worn',
        sheet.firstTimes.map(({ mark, on }) => `${mark} (${day(on)})`),
      ),
      listed(
        'Last worn',
        sheet.lastTimes.map(({ mark, on, how }) => `${mark} (${day(on)}${howWords(how)})`),
      ),
    ]),
    section(
      'trials',
      'Trials decided',
      sheet.verdicts.map(
        ({ mark, on, verdict, reason, wears }) =>
          `${mark}, worn ${timesWords(wears)}: ${verdict}, ${day(on)}${reason === '' ? '' : ` (${reason})`}.`,
      ),
    ),
    section('spoiled', 'Expired before it was finished', spoiledSentences(sheet, options, money), {
      head: cells('Item', 'On', 'How', 'Unused', options.prices && 'Lost'),
      rows: sheet.spoiled.map((each) =>
        cells(each.mark, day(each.on), each.how, aboutPercent(each.unused), options.prices && money(each.minor)),
      ),
    }),
    section('let go', 'Let go', [], {
      head: cells('Item', 'On', 'Why', 'Where to', 'Uses', options.prices && 'Unused'),
      rows: sheet.letGo.map((each) =>
        cells(
          each.mark,
          day(each.on),
          each.why ?? '',
          each.destination ?? '',
          String(each.uses),
          options.prices && money(each.unusedMinor),
        ),
      ),
    }),
    section('came in', 'Came in', cameInSentences(sheet, priced, money), {
      head: cells('Item', 'When', 'How', options.prices && 'Price'),
      rows: sheet.cameIn.map((each) =>
        cells(
          each.mark,
          each.earliest === each.latest ? day(each.latest) : `by ${day(each.latest)}`,
          each.made ? 'made here' : (each.source ?? 'not said'),
          options.prices && (each.priceMinor === null ? (each.priceSaid ?? 'no price') : money(each.priceMinor)),
        ),
      ),
    }),
    section('kinds', 'Type by type', kindSentences(sheet), {
      head: ['Kind', 'Then', 'In', 'Out', 'Net', 'Now', 'Finished', 'Uses', 'Target'],
      rows: sheet.kind === 'month' ? [] : sheet.kinds.map(kindRow),
    }),
    section(
      'pairs',
      'Worn together',
      sheet.pairs.map(({ one, other, days }) => `${one.mark} with ${other.mark}: on ${counted(days, 'day')}.`),
    ),
    section(
      'lessons',
      'Lessons',
      sheet.lessons.map(({ words, struck }) => (struck ? `No longer holds: ${words}` : words)),
    ),
  ].filter(({ sentences, table }) => sentences.length > 0 || table !== null)
}

/** The whole of it in a few sentences. */
export function sumSentences(sheet: SpanSheet, { prices, unit }: SheetOptions): string[] {
  const { days, totals, running } = sheet
  const of = running ? `the ${days.all} days so far` : counted(days.all, 'day')
  const more = [
    [days.noMakeup, 'without makeup'],
    [days.other, 'with other notes'],
    [days.notRecorded, 'with nothing recorded'],
    [days.beforeLog, 'before you began ticking'],
  ] as const
  const rest = more.map(([n, words]) => (n > 0 ? `, ${n} ${words}` : '')).join('')
  return [
    `Makeup on ${days.wear} of ${of}${rest}.`,
    totals.uses === 0
      ? 'Nothing was ticked.'
      : `${counted(totals.uses, 'use')} of ${counted(totals.things, 'item')}, in ${counted(days.looks, 'different look')}.`,
    totals.grams
      ? `${massWords(totals.grams.grams, totals.grams.giveOrTake, unit)} used, by weighing ${counted(totals.grams.things, 'item')}.`
      : '',
    prices ? spentWords(sheet) : '',
  ].filter(Boolean)
}

/** What was used up in money, how it was reckoned, and what is not in it. */
export function spentWords({ totals: { spent, perUse }, currency }: SpanSheet): string {
  if (spent.of === 0) return ''
  const each = perUse === null ? '' : `, about ${moneyWords(Math.round(perUse), currency)} a use`
  return `About ${moneyShort(spent.minor, currency)} used up${each}: of ${counted(spent.of, 'item')}, the price by the share of all likely uses${unknownWords(spent)}.`
}

function unknownWords({ unknown }: MoneyView): string {
  return unknown === 0
    ? ''
    : `; ${unknown} more ${plural(unknown, 'has')} no price in your currency or no known content`
}

function projectTitle(sheet: SpanSheet): string {
  return sheet.project?.name ?? 'In projects'
}

function projectSentences({ lines, stays, rolledIn, rolledOut, to }: SpanSheet): string[] {
  const day = (on: Parameters<typeof shortDay>[0]): string => shortDay(on, to)
  if (stays === 0) return []
  return [
    listed(
      'Rolled out',
      rolledOut.map(({ mark, on, reason }) => `${mark} (${day(on)}, ${reason})`),
    ),
    listed(
      'Rolled in',
      rolledIn.map(({ mark, on }) => `${mark} (${day(on)})`),
    ),
    stays > lines.length ? `${lines.length} of ${counted(stays, 'item')} are shown here.` : '',
  ]
}

/** More names in a row than this nobody reads. */
const MOST_NAMES = 12
function listed(what: string, each: readonly string[]): string {
  if (each.length === 0) return ''
  const rest = each.length > MOST_NAMES + 2 ? each.length - MOST_NAMES : 0
  const named = rest > 0 ? each.slice(0, MOST_NAMES) : each
  return `${what}: ${named.join(', ')}${rest > 0 ? ` and ${rest} more` : ''}.`
}

/** What became of a push. */
export function pushWords(push: SpanSheet['pushes'][number]): string {
  const { mark, since, until, uses, usesBefore, met, finishedOn } = push
  const stretch = `${dateWords(since)} to ${dateWords(until)}`
  const end =
    finishedOn !== null
      ? `; finished ${dateWords(finishedOn)}`
      : met
        ? '; its goal was reached'
        : '; its goal is still ahead'
  return `${mark}, ${stretch}: ${counted(uses, 'use')}, after ${usesBefore} in as many days before${end}.`
}

function finishSentences({ finishes }: SpanSheet): string[] {
  if (finishes.length === 0) return []
  const guessed = finishes.filter(({ guess }) => guess !== null)
  const short = guessed.filter(({ guess }) => guess !== null && guess.days > guess.months * MONTH_DAYS).length
  const kept = finishes.filter(({ forecast }) => forecast !== null)
  const held = kept.filter(({ forecast: f }) => f !== null && f.came >= f.low && f.came <= f.high).length
  return [
    `${counted(finishes.length, 'item')} finished.`,
    guessed.length === 1 ? `The guess ${short === 1 ? 'ran short' : 'did not run short'}.` : '',
    guessed.length > 1 ? `Of ${guessed.length} guesses, ${short === 0 ? 'none' : short} ran short.` : '',
    kept.length === 1 ? `The forecast ${held === 1 ? 'held' : 'did not hold'}.` : '',
    kept.length > 1 ? `Of ${kept.length} forecasts, ${held === 0 ? 'none' : held} held.` : '',
  ]
}

function guessWords({ guess }: SpanSheet['finishes'][number]): string {
  return guess ? `${counted(guess.months, 'month')}, came to ${spanWords(guess.days)}` : 'none'
}

/** The kept range and what came, both counted from the day it was made. */
function forecastWords({ forecast }: SpanSheet['finishes'][number]): string {
  if (!forecast) return 'none kept'
  const { low, high, came } = forecast
  const held = came < low ? 'earlier' : came > high ? 'later' : 'held'
  return `${spanWords(Math.round(low))} to ${spanWords(Math.round(high))}, came after ${spanWords(came)}: ${held}`
}

/** How evenly the things in reach were worn, in a sentence; the number beside it, never alone. */
export function evennessSentences({ evenness }: SpanSheet): string[] {
  if (!evenness) return []
  const { gini, things, uses, fewest } = evenness
  const word = gini < 0.25 ? 'evenly' : gini < 0.5 ? 'fairly evenly' : gini < 0.7 ? 'unevenly' : 'very unevenly'
  return [
    `Half of ${counted(uses, 'use')} went to ${fewest} of ${counted(things, 'item')} in the drawer: worn ${word}.`,
  ]
}

function leastSentences({ totals, neglected }: SpanSheet): string[] {
  return [
    totals.here > 0 ? `${totals.unworn} of ${totals.here} that were here all along weren’t worn once.` : '',
    ...(neglected.length > 0
      ? [
          `In the drawer and never worn: ${neglected.map(({ mark, wearDays }) => `${mark} (${counted(wearDays, 'wear day')})`).join(', ')}.`,
        ]
      : []),
  ]
}

function howWords(how: 'finished' | 'left' | 'blended'): string {
  return how === 'finished' ? ', since finished' : how === 'left' ? ', since let go' : ', since blended'
}

function spoiledSentences(
  { spoiled }: SpanSheet,
  { prices }: SheetOptions,
  money: (minor: number) => string,
): string[] {
  if (spoiled.length === 0) return []
  const known = spoiled.flatMap(({ minor }) => minor ?? [])
  const lost = known.reduce((sum, each) => sum + each, 0)
  const rest = spoiled.length - known.length
  return [
    `${counted(spoiled.length, 'item')} passed ${plural(spoiled.length, 'its')} date or showed a sign before ${spoiled.length === 1 ? 'it was' : 'they were'} used up.`,
    prices && known.length > 0
      ? `What was unused of ${known.length === spoiled.length ? plural(known.length, 'it') : `${known.length} of them`} cost about ${money(lost)}${rest > 0 ? `; ${rest} without a price` : ''}.`
      : '',
  ]
}

function cameInSentences(
  { cameIn, bought, rules, running, to, today }: SpanSheet,
  priced: (words: string) => string,
  money: (minor: number) => string,
): string[] {
  const spent =
    bought.of === 0
      ? ''
      : ` for ${money(bought.minor)}${bought.unknown > 0 ? ` and ${bought.unknown} without a price in your currency` : ''}`
  return [
    cameIn.length === 0
      ? ''
      : `${counted(cameIn.length, 'item')} came, ${bought.items === 0 ? 'none of them bought' : `${bought.items} bought${priced(spent)}`}${bought.sourceUnknown > 0 ? `; of ${bought.sourceUnknown} nobody said how` : ''}.`,
    // How a rule stands today is no part of a span that is over.
    ...rules.map((rule) =>
      running ? `${ruleTitle(rule, to)}: ${ruleSentences(rule, today).join(' ')}` : `${ruleTitle(rule, to)}.`,
    ),
  ]
}

function kindSentences({ kind, kinds, from }: SpanSheet): string[] {
  if (kind === 'month') return []
  const sum = (of: (each: SpanSheet['kinds'][number]) => number): number =>
    kinds.reduce((all, each) => all + of(each), 0)
  const [then, cameIn, out, now] = [sum((e) => e.then), sum((e) => e.cameIn), sum((e) => e.wentOut), sum((e) => e.now)]
  return [
    `${then} on ${dateWords(addDays(from, -1))}, ${cameIn} came, ${out} went, ${now} now: ${netWords(cameIn - out)}.`,
    'Items without a purchase date count as owned from the start.',
  ]
}

function netWords(net: number): string {
  return net === 0 ? 'as many as before' : net > 0 ? `${net} more` : `${-net} fewer`
}

function kindRow(each: SpanSheet['kinds'][number]): string[] {
  const net = each.cameIn - each.wentOut
  const { target } = each
  return [
    each.category,
    String(each.then),
    String(each.cameIn),
    String(each.wentOut),
    net > 0 ? `+${net}` : net < 0 ? `−${-net}` : '0',
    String(each.now),
    String(each.finished),
    String(each.uses),
    target === null
      ? ''
      : `${target.items} by ${dateWords(target.by)}${each.now > target.items ? `, ${each.now - target.items} too many` : ', met'}`,
  ]
}

function aboutPercent(share: number): string {
  return share >= 0.995 ? 'all of it' : `about ${Math.round(share * 100)} %`
}

/** The sheet as Markdown, to be pasted anywhere. */
export function sheetAsMarkdown(sheet: SpanSheet, title: string, options: SheetOptions): string {
  const cell = (words: string): string => words.replaceAll('|', '/').replaceAll('\n', ' ')
  const line = (words: string): string => words.replace(/^([#>*+-]|\d+\.)/gm, '\\$1')
  return [
    `# ${title}`,
    ...sectionsOf(sheet, options).map(({ title: head, sentences, table }) =>
      [
        `## ${head}`,
        sentences.map((words) => `- ${line(words)}`).join('\n'),
        table
          ? [
              `| ${table.head.map(cell).join(' | ')} |`,
              `|${table.head.map(() => ' --- ').join('|')}|`,
              ...table.rows.map((row) => `| ${row.map(cell).join(' | ')} |`),
            ].join('\n')
          : '',
      ]
        .filter(Boolean)
        .join('\n\n'),
    ),
    '',
  ].join('\n\n')
}

/** What a sheet is about, for its head. */
export function titleOf(sheet: SpanSheet, name = ''): string {
  return capital(name || (sheet.project?.name ?? spanTitle(sheet)))
}
