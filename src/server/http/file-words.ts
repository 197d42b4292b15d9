import { counted } from '#core/words/counted'
import { conflict, refused, type Writer } from './words.js'

/** Words for files that are taken in: sheets and collections. Data table. */
export const FILE_WORDS = {
  'not-a-table': ({ name, looksLike }) =>
    refused(
      `${name} looks like ${looksLike}, not like a table. Save the sheet as CSV and choose that file. Nothing was stored.`,
      'file',
    ),
  'file-too-large': ({ most }) => ({
    status: 413,
    title: 'The file is too large.',
    detail: `Files up to ${most} are read. Split the sheet and import the parts.`,
    field: 'file',
  }),
  'too-many-rows': ({ count, most }) =>
    refused(`${counted(Number(count), 'row')}; up to ${most} are read at once. Split the sheet.`, 'file'),
  'too-many-columns': ({ line, count, most }) =>
    refused(
      `Line ${line} has ${count} columns; up to ${most} are read. Delete those beyond your table. Nothing was stored.`,
      'file',
    ),
  'cell-too-long': ({ line, count, most }) =>
    refused(
      `A cell of line ${line} has ${count} signs; up to ${most} are read. Is a quotation mark missing? Nothing was stored.`,
      'file',
    ),
  'cell-far-out': ({ name, cell }) =>
    refused(
      `In ${name} something stands far out, at ${cell}. Delete what lies beyond your table, or save it as CSV. Nothing was stored.`,
      'file',
    ),
  'sheet-too-large': ({ name }) =>
    refused(
      `${name} takes more room or time to read than any sheet of items. Save only your table as CSV and choose that. Nothing was stored.`,
      'file',
    ),
  'no-rows': () => refused('The file has no rows under its headers. Nothing was stored.', 'file'),
  'no-name-column': ({ headers }) =>
    refused(
      `No column for the product or its maker was recognised among: ${headers}. The first row must hold the headers. Nothing was stored.`,
      'file',
    ),
  'unreadable-table': ({ reason }) => refused(`The table cannot be read: ${reason}. Nothing was stored.`, 'file'),
  'nothing-to-store': () => refused('No row is left to store; every row is skipped or has no category.', 'file'),
  'not-a-collection': ({ where, why }) =>
    refused(
      `That file is no collection of Seligo: ${String(where) || 'the file'}: ${why}. Nothing was changed.`,
      'file',
    ),
  'collection-not-empty': () =>
    conflict(
      'Something is in the collection.',
      'A file takes the place of what is there. Say so, and it can be taken back as one change.',
    ),
  'collection-inconsistent': ({ where, why }) =>
    refused(`That file does not hold together: ${where}: ${why}. Nothing was changed.`, 'file'),
  'collection-too-large': () => ({
    status: 413,
    title: 'The file is too large.',
    detail:
      'That collection takes more memory than can be given to it. Nothing was changed; take in an archive instead.',
    field: 'file',
  }),
} satisfies Readonly<Record<string, Writer>>
