import { counted } from '#core/words/counted'
import { conflict, refused, type Writer } from './words.js'

/** Words for files that are taken in: sheets and collections. Data table. */
export const FILE_WORDS = {
  'not-a-table': ({ name, looksLike }) =>
    refused(
      `${name} looks like ${looksLike}, not like a table. Save the sheet as CSV and choose that file. Nothing was saved.`,
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
      `Line ${line} has ${count} columns; up to ${most} are read. Delete those beyond your table. Nothing was saved.`,
      'file',
    ),
  'cell-too-long': ({ line, count, most }) =>
    refused(
      `A cell of line ${line} has ${count} signs; up to ${most} are read. Is a quotation mark missing? Nothing was saved.`,
      'file',
    ),
  'cell-far-out': ({ name, cell }) =>
    refused(
      `In ${name} something stands far out, at ${cell}. Delete what is outside your table, or save it as CSV. Nothing was saved.`,
      'file',
    ),
  'sheet-too-large': ({ name }) =>
    refused(
      `${name} takes more room or time to read than any sheet of items. Save only your table as CSV and choose that. Nothing was saved.`,
      'file',
    ),
  'no-rows': () => refused('The file has no rows under its headers. Nothing was saved.', 'file'),
  'no-name-column': ({ headers }) =>
    refused(
      `No column for the product or its brand was recognised among: ${headers}. The first row must hold the headers. Nothing was saved.`,
      'file',
    ),
  'unreadable-table': ({ reason }) => refused(`The table can’t be read: ${reason}. Nothing was saved.`, 'file'),
  'nothing-to-store': () => refused('No row is left to save; every row is skipped or has no type.', 'file'),
  'not-a-collection': ({ where, why }) =>
    refused(
      `That file is no collection of Seligo: ${String(where) || 'the file'}: ${why}. Nothing was changed.`,
      'file',
    ),
  'collection-not-empty': () =>
    conflict('Something is in the collection.', 'A file replaces what’s there. Confirm it; you can undo it.'),
  'collection-inconsistent': ({ where, why }) =>
    refused(`That file doesn’t fit together: ${where}: ${why}. Nothing was changed.`, 'file'),
  'collection-too-large': () => ({
    status: 413,
    title: 'The file is too large.',
    detail:
      'That collection takes more memory than can be given to it. Nothing was changed; import an archive instead.',
    field: 'file',
  }),
} satisfies Readonly<Record<string, Writer>>
