/** What a key stands for, in the order in which it first came. */
export function groupBy<T, K>(list: Iterable<T>, keyOf: (each: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>()
  for (const each of list) {
    const key = keyOf(each)
    const own = groups.get(key)
    if (own) own.push(each)
    else groups.set(key, [each])
  }
  return groups
}

export function sumBy<T>(list: Iterable<T>, numberOf: (each: T) => number): number {
  let sum = 0
  for (const each of list) sum += numberOf(each)
  return sum
}

export function sum(numbers: Iterable<number>): number {
  return sumBy(numbers, (each) => each)
}
