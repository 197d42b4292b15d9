import {
  closeSync,
  existsSync,
  fstatSync,
  fsyncSync,
  openSync,
  readFileSync,
  renameSync,
  rmSync,
  writeSync,
} from 'node:fs'
import { join } from 'node:path'
import { z } from 'zod'

/** A device that was let in. Its token is known to it alone; here is what the token hashes to. */
const DeviceRecord = z.strictObject({
  id: z.string(),
  name: z.string(),
  tokenHash: z.string(),
  pairedAt: z.string(),
  lastSeenAt: z.string(),
})
export type DeviceRecord = z.infer<typeof DeviceRecord>

const Machine = z.strictObject({
  version: z.literal(1),
  letIn: z.strictObject({ address: z.string(), port: z.int() }).nullable(),
  devices: z.array(DeviceRecord),
  alsoCopyTo: z.string().nullable(),
})
export type Machine = z.infer<typeof Machine>

const NOTHING: Machine = { version: 1, letIn: null, devices: [], alsoCopyTo: null }

/**
 * What belongs to this machine and not to the collection: who is let in, where, and where copies also go. It lies beside the
 * database, so that going back to an older copy lets nobody in again. A file that cannot be read lets nobody in; it is moved
 * aside and said.
 */
export class MachineFile {
  readonly #file: string
  #machine: Machine

  constructor(folder: string, say: (words: string) => void = console.error) {
    this.#file = join(folder, 'this-machine.json')
    this.#machine = this.#read(say)
  }

  get now(): Machine {
    return this.#machine
  }

  /** Stored on the disk when this returns. Throws where the disk takes no more; nothing is changed then. */
  change(part: Partial<Omit<Machine, 'version'>>): void {
    const next = { ...this.#machine, ...part }
    const making = `${this.#file}.making`
    try {
      const handle = openSync(making, 'w', 0o600)
      try {
        writeSync(handle, JSON.stringify(next, null, 2))
        fsyncSync(handle)
      } finally {
        closeSync(handle)
      }
      renameSync(making, this.#file)
    } catch (error) {
      rmSync(making, { force: true })
      throw error
    }
    this.#machine = next
  }

  /**
   * Takes something away: a device, or the door. It holds at once, whatever the disk does. Where the disk takes no more the file is
   * written over in its own room, and where that fails it goes: at the next start nobody is let in.
   */
  restrict(part: Partial<Pick<Machine, 'letIn' | 'devices'>>): void {
    this.#machine = { ...this.#machine, ...part }
    for (const way of [() => this.change({}), () => this.#writeOver(), () => rmSync(this.#file, { force: true })])
      try {
        return way()
      } catch (error) {
        console.error(`${this.#file}: ${error instanceof Error ? error.message : String(error)}`)
      }
  }

  /** Within the bytes that it has: they need no new room. */
  #writeOver(): void {
    const text = JSON.stringify(this.#machine)
    const handle = openSync(this.#file, 'r+')
    try {
      const { size } = fstatSync(handle)
      if (Buffer.byteLength(text) > size) throw new Error('it needs more room than it has')
      writeSync(handle, text.padEnd(size - Buffer.byteLength(text) + text.length))
      fsyncSync(handle)
    } finally {
      closeSync(handle)
    }
  }

  #read(say: (words: string) => void): Machine {
    if (!existsSync(this.#file)) return NOTHING
    try {
      return Machine.parse(JSON.parse(readFileSync(this.#file, 'utf8')))
    } catch {
      try {
        renameSync(this.#file, `${this.#file}.unreadable`)
      } catch {
        // A folder that cannot be written: it stays where it is, and lets nobody in all the same.
      }
      say(
        `${this.#file} could not be read and was moved aside: no phone is connected. Connect your phone again in Settings.`,
      )
      return NOTHING
    }
  }
}
