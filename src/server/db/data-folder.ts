import { existsSync, mkdirSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import envPaths from 'env-paths'

/** Where a collection lives: outside the clone, so that cleaning a checkout cannot delete it. */
export function dataFolder(environment: Readonly<Record<string, string | undefined>>): string {
  const folder = environment['SELIGO_DATA'] ?? envPaths('seligo', { suffix: '' }).data
  mkdirSync(folder, { recursive: true })
  return folder
}

/** The collection is gone from a folder that holds copies of it: not the time to begin a new one. */
export class CollectionMissing extends Error {
  constructor(folder: string) {
    super(
      `There is no collection.db in ${folder}, but copies of one are in ${join(folder, 'copies')}. To go back to a copy, put ` +
        'it in the place of collection.db; to begin anew, move the folder of copies elsewhere. Nothing was changed.',
    )
  }
}

/** The collection's file; throws `CollectionMissing` where one was and is no more. */
export function collectionFile(folder: string): string {
  const file = join(folder, 'collection.db')
  const copies = join(folder, 'copies')
  if (!existsSync(file) && existsSync(copies) && readdirSync(copies).some((name) => name.endsWith('.db')))
    throw new CollectionMissing(folder)
  return file
}
