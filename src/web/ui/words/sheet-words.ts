import { isCounted } from '#core/goal/progress'
import { counted } from '#core/words/counted'
import type { ClosedSheet, LookView, SheetItem } from '#contract/check-in'
import type { Day } from '#core/calendar/day'
import { dateWords } from '#web/data/locale'
import { shortDay } from './when-words'
import { readingWords, massWords, EVENT_WORDS, type MassUnit } from './measure-words'

/** How an item was found: on the scale, by eye, its shades; each with its own day unless that is the one it stands under. */
export function lookWords(look: LookView | null, unit: MassUnit, under: Day | null): string {
  if (look === null) return ''
  const on = (words: string, day: Day): string => (day === under ? words : `${words} on ${shortDay(day, under ?? day)}`)
  const shades = look.parts.filter((part) => part.reading.kind !== 'word')
  const lastShade = shades.map(({ reading }) => reading.day).reduce<Day | null>((a, b) => (a && a > b ? a : b), null)
  return [
    look.gross ? on(massWords(look.gross.grams, look.gross.resolution, unit), look.gross.day) : '',
    look.reading ? on(readingWords(look.reading), look.reading.day) : '',
    lastShade ? on(`${counted(shades.length, 'shade')} looked at`, lastShade) : '',
  ]
    .filter(Boolean)
    .join(', ')
}

/** "7 of 12 uses", "finish it, 61 % done": the goal and how far it is. */
export function goalLine({ goal }: SheetItem): string {
  if (goal === null) return 'no goal'
  if (isCounted(goal.kind) && goal.target !== null) return `${goal.uses} of ${counted(goal.target, 'use')}`
  const names = {
    finish: 'finish it',
    'hit pan': 'hit pan',
    'expand pan': 'expand the pan',
    level: 'reach a level',
  } as const
  const name = goal.kind in names ? names[goal.kind as keyof typeof names] : 'keep using it'
  return goal.done === null ? name : `${name}, ${Math.round(goal.done * 100)} % of the way`
}

/** What to reach by the next one. */
export function aimWords({ aim, goal }: SheetItem): string {
  if (aim === null) return ''
  if (aim.code === 'roll out') return 'met: it can roll out'
  if (aim.code === 'uses') return `next: ${counted(aim.count, 'use')}`
  return goal?.kind === 'finish'
    ? `next: ${Math.round(aim.share * 100)} % of the way`
    : `next: to ${Math.round(aim.share * 100)} % of it`
}

/** "1 Oct to 2 Nov": between which weighings grams went, where those are not the days they stand under. */
export function weighedWords({ grams }: SheetItem, { from, to }: { readonly from: Day; readonly to: Day }): string {
  if (!grams?.from || !grams.to || (grams.from === from && grams.to === to)) return ''
  return `${shortDay(grams.from, to)} to ${shortDay(grams.to, to)}`
}

/** What went between the two looks: grams where it was weighed twice, else why not. */
export function goneWords(line: SheetItem, unit: MassUnit, span: { readonly from: Day; readonly to: Day }): string {
  if (line.grams !== null) {
    const days = weighedWords(line, span)
    return `${massWords(line.grams.grams, line.grams.giveOrTake, unit)}${days === '' ? '' : `, ${days}`}`
  }
  if (line.skipped) return 'skipped'
  if (line.after === null) return 'not looked at'
  const [was, is] = [line.before?.gross, line.after.gross]
  if (was && was.id === is?.id) return 'not weighed since'
  if (line.after.gross && line.before === null) return 'first time'
  if (line.after.gross && line.before?.gross) return 'another package'
  return line.after.gross ? 'first weighing' : 'by eye'
}

/** The whole sheet as Markdown, to be pasted anywhere. */
export function sheetMarkdown(name: string, sheet: ClosedSheet, unit: MassUnit): string {
  const { totals, items } = sheet
  const cell = (words: string): string => words.replaceAll('|', '/')
  const rows = items.map((line) =>
    [
      `${line.kind}`,
      lookWords(line.before, unit, sheet.from) || (line.cameIn ? `came in ${dateWords(line.cameIn)}` : '–'),
      lookWords(line.after, unit, sheet.to) || (line.skipped ? 'skipped' : '–'),
      goneWords(line, unit, sheet),
      String(line.uses),
      goalLine(line),
      aimWords(line),
      [...line.events.map((event) => EVENT_WORDS[event.kind].toLowerCase()), line.words].filter(Boolean).join('; '),
    ].map(cell),
  )
  const push = items.find((line) => line.itemId === sheet.pushItemId)
  return [
    `# ${name}`,
    '',
    `${dateWords(sheet.from)} to ${dateWords(sheet.to)}: ${totals.looked} of ${counted(totals.asked, 'item')} looked at, ${counted(totals.uses, 'use')} on ${counted(totals.wearDays, 'wear day')}, ${totals.weighed > 0 ? `${massWords(totals.grams, 0.1, unit)} used of ${totals.weighed} weighed twice, ` : ''}${totals.finished} finished.`,
    '',
    `| | before | now | used | uses | goal | next | |`,
    `|---|---|---|---|---|---|---|---|`,
    ...rows.map((row) => `| ${row.join(' | ')} |`),
    ...(push ? ['', `Next focus: ${push.kind}.`] : []),
    '',
  ].join('\n')
}
