import { sectionOf, splitLine, type LineCells, type LineContext } from './split-line.js'

/** A line that is an item, as it stands and as it is understood. */
export interface ReadLine {
  /** Which line of the text it is, from 0. */
  readonly at: number
  readonly text: string
  readonly cells: LineCells
}

/** The columns of the sheet that lines are turned into, in their order. */
export const LINE_COLUMNS = [
  'maker',
  'shade',
  'category',
  'size',
  'opened',
  'pao',
  'expiry',
  'price',
  'uses',
  'left',
  'quantity',
  'notes',
] as const satisfies readonly (keyof LineCells)[]

/**
 * Reads a list of items, one a line, with lines of their own for the kind of what follows. A brand named once is known from
 * then on; `corrected` gives the pieces the user mended, by the text of the line.
 */
export function readLines(
  text: string,
  context: LineContext,
  corrected: ReadonlyMap<string, LineCells> = new Map(),
): ReadLine[] {
  const makers = [...context.makers]
  let section = ''
  return text.split(/\r?\n/).flatMap((line, at): ReadLine[] => {
    const bare = line.trim()
    if (bare === '') return []
    if (sectionOf(bare, context.categories) !== null) {
      section = bare.replace(/^#+\s*|[:–-]+\s*$/g, '').trim()
      return []
    }
    const split = corrected.get(bare) ?? splitLine(bare, { ...context, makers })
    const cells = split.category === '' ? { ...split, category: section } : split
    if (cells.maker !== '' && !makers.includes(cells.maker)) makers.push(cells.maker)
    return [{ at, text: bare, cells }]
  })
}

/** The same as tab-separated text with headers, as a sheet is imported; what would break a cell is taken out of it. */
export function asSheet(lines: readonly ReadLine[]): string {
  const cell = (text: string): string => text.replace(/[\t\r\n"]+/g, ' ').trim()
  return [
    LINE_COLUMNS.join('\t'),
    ...lines.map(({ cells }) => LINE_COLUMNS.map((column) => cell(cells[column])).join('\t')),
  ].join('\n')
}
