import { z } from 'zod'
import { ChangeId, Id } from './basic.js'
import { TABLES } from './collection-file-data.js'

/** The meaning of the export; raised when it changes. */
export const COLLECTION_FILE_VERSION = 11

/**
 * Everything she has recorded: what an export holds and an import takes. Rows are the tables of the database with their
 * ids; pictures are JPEG in base64 under the ids of their rows in `photo`. The journal of changes stays where it is.
 */
export const CollectionFile = z.strictObject({
  format: z.literal('seligo collection'),
  version: z.literal(COLLECTION_FILE_VERSION),
  exportedAt: z.iso.datetime(),
  tables: z.strictObject({
    ...(Object.fromEntries(Object.entries(TABLES).map(([name, row]) => [name, z.array(row)])) as {
      [Name in keyof typeof TABLES]: z.ZodArray<(typeof TABLES)[Name]>
    }),
  }),
  pictures: z.record(Id, z.base64()),
  /** Rows of `photo` whose pictures are too much for one file: they lie in the data folder still. */
  picturesLeftOut: z.array(Id),
})
export type CollectionFile = z.infer<typeof CollectionFile>

/** The tables in the order in which rows can be put: what is referred to comes first. */
export const TABLE_NAMES = Object.keys(TABLES) as (keyof typeof TABLES)[]

/** JSON Schema 2020-12 of a collection file, made from the Zod schema. */
export function collectionFileSchema(): object {
  return { title: 'Seligo collection', ...z.toJSONSchema(CollectionFile, { target: 'draft-2020-12' }) }
}

export const PutCollection = z.strictObject({
  changeId: ChangeId,
  /** True = what is there now goes (one take-back brings it again); false = only into an empty collection. */
  replace: z.boolean(),
  collection: z.unknown(),
})
