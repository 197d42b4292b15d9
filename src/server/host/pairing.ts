import { createHash, randomBytes, randomInt, timingSafeEqual } from 'node:crypto'
import { fail, ok, type Outcome } from '../failing.js'
import type { DeviceRecord, MachineFile } from './machine-file.js'

/** Letters and digits that cannot be taken for one another on a small screen: no 0 and O, 1 and I and L, U and V, 5 and S. */
export const CODE_SIGNS = '2346789ABCDEFGHJKMNPQRTVWXYZ'
export const CODE_LENGTH = 8
/** A code is good for this long, in milliseconds, and for so many wrong tries. */
export const CODE_GOOD_MS = 120_000
export const CODE_TRIES = 5
/** When a device was last seen is written down this often, in milliseconds: its every request would wear the disk. */
const SEEN_EVERY_MS = 60_000
/** More devices than a household has; assumption. */
export const MOST_DEVICES = 20

interface OpenCode {
  readonly code: string
  readonly goodUntil: number
  readonly shownAt: number
  triesLeft: number
}

/**
 * Lets devices in: a one-time code on the laptop's screen becomes a token of 256 bits that the device keeps. Only one code is
 * open at a time, and it is kept in memory alone.
 */
export class Pairing {
  readonly #machine: MachineFile
  readonly #now: () => Date
  readonly #elapsed: () => number
  #open: OpenCode | null = null

  constructor(machine: MachineFile, now: () => Date, elapsed: () => number = () => performance.now()) {
    this.#machine = machine
    this.#now = now
    this.#elapsed = elapsed
  }

  /** A fresh code in the place of any before it: 28^8 of them, some 38 bits, against five tries in two minutes. */
  newCode(): string {
    const code = Array.from({ length: CODE_LENGTH }, () => CODE_SIGNS.charAt(randomInt(CODE_SIGNS.length))).join('')
    const goodUntil = this.#now().getTime() + CODE_GOOD_MS
    this.#open = { code, goodUntil, shownAt: this.#elapsed(), triesLeft: CODE_TRIES }
    return code
  }

  /** The code is taken back: the page that showed it was left. */
  closeCode(): void {
    this.#open = null
  }

  /** What a device sends: its code, however it was spaced, and a name. Answers with the token, which is stored nowhere here. */
  pair(typed: string, name: string): Outcome<{ token: string; device: DeviceRecord }> {
    const open = this.#open
    if (open === null || !this.#isGood(open)) return fail('no-code-open')
    if (open.triesLeft <= 0) return fail('code-locked')
    if (!sameText(typed.toUpperCase().replace(/[^0-9A-Z]/g, ''), open.code)) {
      open.triesLeft -= 1
      return open.triesLeft === 0 ? fail('code-locked') : fail('wrong-code', { left: open.triesLeft })
    }
    if (this.#machine.now.devices.length >= MOST_DEVICES) return fail('too-many-devices', { most: MOST_DEVICES })
    const token = randomBytes(32).toString('base64url')
    const at = this.#now().toISOString()
    const device: DeviceRecord = {
      id: randomBytes(9).toString('base64url'),
      name: name.trim().slice(0, 60) || 'a phone',
      tokenHash: hashOf(token),
      pairedAt: at,
      lastSeenAt: at,
    }
    this.#machine.change({ devices: [...this.#machine.now.devices, device] })
    this.#open = null
    return ok({ token, device })
  }

  /** Two minutes, however the clock is set meanwhile. */
  #isGood({ goodUntil, shownAt }: OpenCode): boolean {
    return this.#now().getTime() < goodUntil && this.#elapsed() - shownAt < CODE_GOOD_MS
  }

  isLetIn(id: string): boolean {
    return this.#machine.now.devices.some((each) => each.id === id)
  }

  who(token: string): DeviceRecord | null {
    const hash = hashOf(token)
    const device = this.#machine.now.devices.find((each) => sameText(each.tokenHash, hash))
    if (!device) return null
    if (this.#now().getTime() - Date.parse(device.lastSeenAt) >= SEEN_EVERY_MS) this.#seen(device)
    return device
  }

  revoke(id: string): Outcome<{ name: string }> {
    const { devices } = this.#machine.now
    const device = devices.find((each) => each.id === id)
    if (!device) return fail('unknown-device')
    this.#machine.restrict({ devices: devices.filter((each) => each !== device) })
    return ok({ name: device.name })
  }

  /** On a full disk a device is let in all the same; only when it was last seen is not written. */
  #seen(device: DeviceRecord): void {
    const lastSeenAt = this.#now().toISOString()
    try {
      this.#machine.change({
        devices: this.#machine.now.devices.map((each) => (each.id === device.id ? { ...each, lastSeenAt } : each)),
      })
    } catch (error) {
      console.error(`When ${device.name} was last seen could not be saved: ${String(error)}`)
    }
  }
}

function hashOf(text: string): string {
  return createHash('sha256').update(text).digest('hex')
}

/** Compared in a time that tells nothing of where they differ. */
function sameText(one: string, other: string): boolean {
  const digest = (text: string): Buffer => createHash('sha256').update(text).digest()
  return timingSafeEqual(digest(one), digest(other))
}
