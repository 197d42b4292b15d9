import { chmodSync, existsSync, mkdirSync } from 'node:fs'
import { join } from 'node:path'
import envPaths from 'env-paths'
import { filesIn } from './folder-files.js'

/** Where a collection lives: outside the clone, so that cleaning a checkout cannot delete it. */
export function dataFolder(environment: Readonly<Record<string, string | undefined>>): string {
  const folder = environment['SELIGO_DATA'] ?? envPaths('seligo', { suffix: '' }).data
  // Hers alone: on a machine with several people nobody else looks in.
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  closeToOthers(folder)
  return folder
}

function closeToOthers(folder: string): void {
  try {
    chmodSync(folder, 0o700)
  } catch {
    // A folder that is not the user's, or a disk that knows no rights: it is as it was given.
  }
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

export function collectionFile(folder: string): string {
  const file = join(folder, 'collection.db')
  if (!existsSync(file) && holdsCopies(folder)) throw new CollectionMissing(folder)
  return file
}

export function holdsCopies(folder: string): boolean {
  return filesIn(join(folder, 'copies')).some((name) => name.endsWith('.db'))
}
