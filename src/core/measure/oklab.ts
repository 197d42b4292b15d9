/** sRGB, 0..255, to linear light, 0..1, by the curve of IEC 61966-2-1 [published]. */
export const LINEAR_OF_BYTE: Float32Array = Float32Array.from({ length: 256 }, (_, byte) => {
  const value = byte / 255
  return value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4
})

/**
 * Linear sRGB to OKLab, written into `out` at `at`: L 0..1, a and b about -.4..+.4. Matrices of Ottosson 2020 [published]; written
 * here since a library's objects per pixel take ten times as long.
 */
export function writeOklab(r: number, g: number, b: number, out: Float32Array, at: number): void {
  const l = Math.cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b)
  const m = Math.cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b)
  const s = Math.cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b)
  out[at] = 0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s
  out[at + 1] = 1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s
  out[at + 2] = 0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s
}
