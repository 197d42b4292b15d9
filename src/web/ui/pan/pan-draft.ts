import { maskOf, maskText } from '#core/measure/mask-text'
import { isOnFloor, straighten, type Outline, type OutlineShape, type Point } from '#core/measure/outline'
import { pixelAt, place, SIDE } from '#core/measure/rectified'

/** Painted by hand: raised when it counts otherwise. */
export const BRUSH_METHOD = 'brush 1'
/** Radius of the brush, px of the straightened square. */
export const BRUSH = 16

/** What a finished reading of a pan says. */
export interface PanResult {
  readonly bare: number
  readonly how: 'photo' | 'brush' | 'typed' | 'her word'
  readonly pan: PanOnPhoto | null
}
export interface PanOnPhoto {
  readonly photoId: string
  readonly shape: OutlineShape
  readonly handles: readonly Point[]
  readonly powderTaps: readonly Point[]
  readonly metalTaps: readonly Point[]
  readonly mask: string
  readonly method: string
}

/** Handles to begin with: a round in the middle, or a square; in cyclic order. */
export function firstHandles(shape: OutlineShape, width: number, height: number): Point[] {
  const [cx, cy, r] = [width / 2, height / 2, Math.min(width, height) * 0.36]
  return shape === 'round'
    ? [
        [cx, cy - r],
        [cx + r, cy],
        [cx, cy + r],
        [cx - r, cy],
      ]
    : [
        [cx - r, cy - r],
        [cx + r, cy - r],
        [cx + r, cy + r],
        [cx - r, cy + r],
      ]
}

interface Size {
  readonly width: number
  readonly height: number
}
/** How far the proportions of two photos may differ, as a share, to be taken as photographed alike. */
const SAME_PROPORTIONS = 0.02

/** Handles of one photo on another of the same proportions; null where the other shows the pan otherwise. */
export function handlesOn(handles: readonly Point[], from: Size, to: Size): Point[] | null {
  const [x, y] = [to.width / from.width, to.height / from.height]
  if (Math.abs(x / y - 1) > SAME_PROPORTIONS) return null
  return handles.map(([left, top]) => [left * x, top * y])
}

export function outlineOf(shape: OutlineShape, points: readonly Point[]): Outline {
  const [a, b, c, d] = points
  return { shape, handles: [a ?? [0, 0], b ?? [0, 0], c ?? [0, 0], d ?? [0, 0]] }
}

/** The rim as a path in the picture, as the handles have it; empty where they make none. */
export function rimPath(outline: Outline): string {
  const straight = straighten(outline)
  if (!straight.ok) return ''
  const steps = outline.shape === 'round' ? 72 : 4
  const spots = Array.from({ length: steps }, (_, n) => {
    if (outline.shape === 'rect')
      return (
        (
          [
            [-1, -1],
            [1, -1],
            [1, 1],
            [-1, 1],
          ] as const
        )[n] ?? [0, 0]
      )
    const angle = (n / steps) * 2 * Math.PI
    return [Math.cos(angle), Math.sin(angle)] as const
  })
  return `M${spots
    .map(([x, y]) =>
      straight.value
        .toPicture(x, y)
        .map((each) => each.toFixed(1))
        .join(' '),
    )
    .join('L')}Z`
}

/** The edge of a mask as strokes in the picture: every pixel with another beside it. */
export function maskPath(mask: string, outline: Outline): string {
  const bits = maskOf(mask, SIDE * SIDE)
  const straight = straighten(outline)
  if (bits === null || !straight.ok) return ''
  const found: string[] = []
  const step = 2
  for (let row = 0; row < SIDE; row += step)
    for (let column = 0; column < SIDE; column += step) {
      const at = row * SIDE + column
      if (bits[at] !== 1) continue
      const edge =
        bits[at - step] !== 1 || bits[at + step] !== 1 || bits[at - step * SIDE] !== 1 || bits[at + step * SIDE] !== 1
      if (!edge) continue
      const [x, y] = straight.value.toPicture(place(column), place(row))
      found.push(`M${x.toFixed(1)} ${y.toFixed(1)}h.1`)
    }
  return found.join('')
}

/** A mask with a dab of the brush more or less, at a place of the picture; the same where it lies off the floor. */
export function painted(mask: string, outline: Outline, at: Point, bare: boolean): string {
  const straight = straighten(outline)
  const bits = maskOf(mask, SIDE * SIDE) ?? new Uint8Array(SIDE * SIDE)
  if (!straight.ok) return mask
  const [x, y] = straight.value.toSquare(at)
  const [column, row] = [pixelAt(x), pixelAt(y)]
  for (let dy = -BRUSH; dy <= BRUSH; dy++)
    for (let dx = -BRUSH; dx <= BRUSH; dx++) {
      const [c, r] = [column + dx, row + dy]
      if (dx * dx + dy * dy > BRUSH * BRUSH || c < 0 || r < 0 || c >= SIDE || r >= SIDE) continue
      if (isOnFloor(outline.shape, place(c), place(r))) bits[r * SIDE + c] = bare ? 1 : 0
    }
  return maskText(bits)
}

/** Bare share of the floor by a mask. */
export function bareOf(mask: string, shape: OutlineShape): number {
  const bits = maskOf(mask, SIDE * SIDE)
  if (bits === null) return 0
  let floor = 0
  let bare = 0
  for (let row = 0; row < SIDE; row++)
    for (let column = 0; column < SIDE; column++) {
      if (!isOnFloor(shape, place(column), place(row))) continue
      floor += 1
      bare += bits[row * SIDE + column] ?? 0
    }
  return bare / floor
}

export function emptyMask(): string {
  return maskText(new Uint8Array(SIDE * SIDE))
}
