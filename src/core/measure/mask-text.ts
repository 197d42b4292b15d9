/**
 * A mask as text, since the journal keeps no blobs: lengths of runs in base 36, the first of zeros, row by row.
 *
 * @example maskText(Uint8Array.of(0, 0, 1)) // '2.1'
 */
export function maskText(mask: Uint8Array): string {
  const runs: number[] = []
  let value = 0
  let length = 0
  for (const each of mask) {
    if (each === value) length += 1
    else {
      runs.push(length)
      value = each
      length = 1
    }
  }
  runs.push(length)
  return runs.map((run) => run.toString(36)).join('.')
}

/** The mask of a text, or null where it is none of `pixels` pixels. */
export function maskOf(text: string, pixels: number): Uint8Array | null {
  if (!/^[0-9a-z]{1,8}(?:\.[0-9a-z]{1,8})*$/.test(text)) return null
  const mask = new Uint8Array(pixels)
  let at = 0
  let value = 0
  for (const run of text.split('.')) {
    const end = at + parseInt(run, 36)
    if (end > pixels) return null
    mask.fill(value, at, end)
    at = end
    value = 1 - value
  }
  return at === pixels ? mask : null
}
