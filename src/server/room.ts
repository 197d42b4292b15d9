import { statfs } from 'node:fs/promises'

/** Kept free for what is small and matters most, bytes: a tally takes a few thousand. Assumption: some ten thousand of them. */
export const RESERVE = 64 * 1024 * 1024

/** Whether so many bytes fit on the disk of a folder and leave the reserve free. */
export async function hasRoom(folder: string, bytes: number): Promise<boolean> {
  const { bavail, bsize } = await statfs(folder)
  return bavail * bsize - bytes > RESERVE
}
