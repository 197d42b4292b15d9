import { statSync } from 'node:fs'

/**
 * Tells whether the files of an open database are still the ones that were opened. A file that was deleted or replaced goes on
 * taking writes that nobody will ever see again.
 */
export function watchFiles(file: string): () => boolean {
  const seen = new Map<string, number>()
  return () =>
    [file, `${file}-wal`].every((path) => {
      const now = inodeOf(path)
      const before = seen.get(path)
      // The log beside the database is made with the first write.
      if (before === undefined) {
        if (now !== null) seen.set(path, now)
        return now !== null || path !== file
      }
      return now === before
    })
}

function inodeOf(path: string): number | null {
  return statSync(path, { throwIfNoEntry: false })?.ino ?? null
}
