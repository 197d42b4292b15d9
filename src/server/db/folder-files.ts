import { readdirSync } from 'node:fs'

/**
 * The names of the regular files in a folder; none where it is not there, is no folder, or may not be read. Links that lead nowhere,
 * pipes and folders are no files of ours: opening one could wait for ever.
 */
export function filesIn(folder: string): string[] {
  try {
    return readdirSync(folder, { withFileTypes: true })
      .filter((entry) => entry.isFile())
      .map(({ name }) => name)
  } catch {
    return []
  }
}
