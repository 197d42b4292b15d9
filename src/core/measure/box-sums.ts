/** How many pixels of the mask lie in the window about every pixel. */
export function boxCounts(mask: Uint8Array | null, side: number, radius: number): Float32Array {
  const ones = mask === null ? new Float32Array(side * side).fill(1) : Float32Array.from(mask)
  return columns(rows(ones, side, radius), side, radius)
}

/** Sums over the square window of `radius` px about every pixel of a square picture: by rows, then by columns. */
export function boxSumsOf(values: Float32Array, side: number, radius: number): Float32Array {
  return columns(rows(values, side, radius), side, radius)
}

function rows(values: Float32Array, side: number, radius: number): Float32Array {
  const out = new Float32Array(side * side)
  for (let row = 0; row < side; row++) {
    const start = row * side
    let sum = 0
    for (let column = 0; column < Math.min(radius, side); column++) sum += values[start + column] ?? 0
    for (let column = 0; column < side; column++) {
      if (column + radius < side) sum += values[start + column + radius] ?? 0
      if (column - radius - 1 >= 0) sum -= values[start + column - radius - 1] ?? 0
      out[start + column] = sum
    }
  }
  return out
}

function columns(values: Float32Array, side: number, radius: number): Float32Array {
  const out = new Float32Array(side * side)
  const sums = new Float64Array(side)
  for (let row = 0; row < Math.min(radius, side); row++)
    for (let column = 0; column < side; column++)
      sums[column] = (sums[column] ?? 0) + (values[row * side + column] ?? 0)
  for (let row = 0; row < side; row++) {
    const into = row + radius
    const gone = row - radius - 1
    for (let column = 0; column < side; column++) {
      let sum = sums[column] ?? 0
      if (into < side) sum += values[into * side + column] ?? 0
      if (gone >= 0) sum -= values[gone * side + column] ?? 0
      sums[column] = sum
      out[row * side + column] = sum
    }
  }
  return out
}
