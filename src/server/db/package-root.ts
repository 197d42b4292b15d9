import { existsSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

/** The folder that holds package.json, found upwards: the same from `src` under a test and from `dist`. */
export function packageRoot(): string {
  let folder = dirname(fileURLToPath(import.meta.url))
  while (!existsSync(join(folder, 'package.json'))) {
    const parent = dirname(folder)
    if (parent === folder) throw new Error('package.json not found above the server')
    folder = parent
  }
  return folder
}
