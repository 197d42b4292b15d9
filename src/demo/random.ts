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
