/** A seeded source of numbers, so that the same seed and day give the same demo (mulberry32, public domain, from memory). */
export class Random {
  #state: number

  constructor(seed: number) {
    this.#state = seed >>> 0
  }

  /** 0 ≤ x < 1. */
  next(): number {
    this.#state = (this.#state + 0x6d2b79f5) >>> 0
    let t = this.#state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }

  whole(low: number, high: number): number {
    return low + Math.floor(this.next() * (high - low + 1))
  }

  chance(share: number): boolean {
    return this.next() < share
  }

  /** Of mean 0 and standard deviation 1 (Box and Muller). */
  normal(): number {
    return Math.sqrt(-2 * Math.log(1 - this.next())) * Math.cos(2 * Math.PI * this.next())
  }

  pick<T>(list: readonly T[]): T {
    const found = list[Math.floor(this.next() * list.length)]
    if (found === undefined) throw new Error('Nothing to pick from')
    return found
  }

  /** One of a list by weight; undefined when the list is empty. */
  weighted<T>(list: readonly T[], weight: (each: T) => number): T | undefined {
    let at = this.next() * list.reduce((sum, each) => sum + weight(each), 0)
    for (const each of list) {
      at -= weight(each)
      if (at <= 0) return each
    }
    return list.at(-1)
  }
}

export function uuidOf(random: Random): string {
  const hex = Array.from({ length: 32 }, (_, at) =>
    at === 12 ? 4 : at === 16 ? random.whole(8, 11) : random.whole(0, 15),
  )
    .map((digit) => digit.toString(16))
    .join('')
  return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20)].join('-')
}
