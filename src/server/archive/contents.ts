import { z } from 'zod'

/** The file within an archive that names every other, with its length and what it hashes to. */
export const CONTENTS = 'contents.json'
export const DATABASE = 'collection.db'
export const PICTURE = /^pictures\/([0-9A-Za-z_-]{1,120})\.jpg$/

export const Contents = z.strictObject({
  format: z.literal('seligo archive'),
  version: z.literal(1),
  madeAt: z.iso.datetime(),
  files: z.array(
    z.strictObject({ name: z.string().max(200), bytes: z.int().min(0), sha256: z.string().regex(/^[0-9a-f]{64}$/) }),
  ),
})
export type Contents = z.infer<typeof Contents>
