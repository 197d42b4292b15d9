import { createHash } from 'node:crypto'
import { createWriteStream } from 'node:fs'
import { mkdtemp, rm } from 'node:fs/promises'
import { join } from 'node:path'
import { Transform, type Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { fail, ok, type Outcome } from '../failing.js'
import { hasRoom } from '../room.js'

/** How often the disk is asked for room while a file comes in, bytes. */
const ASKED_EVERY = 16_000_000

/** A file that came in, in a folder of its own within the data folder. */
export interface Received {
  readonly file: string
  readonly work: string
  /** SHA-256 of what came, in hexadecimal. */
  readonly hash: string
  drop(): Promise<void>
}

/**
 * Receives a file into the data folder as it comes, looked at by `look` on its way. Refuses more than `most` bytes, and more than
 * the disk has room for `times` over, whether its length was announced or not; what was begun is deleted then.
 */
export async function receive(
  incoming: Readable & { readonly headers?: Readonly<Record<string, string | string[] | undefined>> },
  folder: string,
  options: { readonly times: number; readonly most?: number; readonly look?: (piece: Buffer) => void },
): Promise<Outcome<Received>> {
  const { times, most = Number.POSITIVE_INFINITY, look } = options
  const announced = Number(incoming.headers?.['content-length'] ?? 0)
  const tooLarge = fail('file-too-large', { value: announced, most: `${Math.round(most / 1e6)} MB` })
  if (announced > most) return tooLarge
  if (!(await hasRoom(folder, announced * times))) return fail('disk-full')
  const work = await mkdtemp(join(folder, 'incoming-'))
  const drop = (): Promise<void> => rm(work, { recursive: true, force: true })
  const file = join(work, 'received')
  const hash = createHash('sha256')
  let bytes = 0
  let asked = announced
  let stopped: ReturnType<typeof fail> | null = null
  const through = new Transform({
    transform(piece: Buffer, _encoding, done) {
      bytes += piece.length
      hash.update(piece)
      void Promise.resolve()
        .then(async () => {
          look?.(piece)
          if (bytes > most) stopped = tooLarge
          // A length that nobody announced is asked for as it comes.
          if (bytes > asked) {
            asked = bytes + ASKED_EVERY
            if (!(await hasRoom(folder, ASKED_EVERY + bytes * (times - 1)))) stopped = fail('disk-full')
          }
          if (stopped !== null) throw new Error('stopped')
        })
        .then(
          () => done(null, piece),
          (error: unknown) => done(error as Error),
        )
    },
  })
  const broke = (): unknown => through.destroy(new Error('the sender has gone'))
  incoming.once('error', broke).once('aborted', broke).pipe(through)
  try {
    await pipeline(through, createWriteStream(file, { mode: 0o600 }))
    return ok({ file, work, hash: hash.digest('hex'), drop })
  } catch (error) {
    await drop()
    // Read to its end all the same: whoever sends hears the answer only then.
    incoming.unpipe(through)
    incoming.resume()
    if (stopped !== null) return stopped
    throw error
  }
}
