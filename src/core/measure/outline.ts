import { fail, ok, type Outcome } from '../failure.js'

/** A place in a picture, in pixels from its left upper corner: [x, y]. */
export type Point = readonly [x: number, y: number]
export type OutlineShape = 'round' | 'rect'

/** Where a pan lies in a picture: four points on the inner rim, or the four corners, each in cyclic order. */
export interface Outline {
  readonly shape: OutlineShape
  readonly handles: readonly [Point, Point, Point, Point]
}

export type OutlineFailure = 'handles-crossed' | 'handles-on-a-line'

/** Between the picture and the square [-1, 1] x [-1, 1] that the outline fills. */
export interface Straightening {
  /** The place in the picture of a place in the square. */
  readonly toPicture: (x: number, y: number) => Point
  /** The place in the square of a place in the picture. */
  readonly toSquare: (point: Point) => Point
}

/** The floor lies below the rim and looks smaller: the mask is scaled about the centre by this. Tuned by simulation. */
const FLOOR_SCALE = 0.99
/** Corner radius of a rectangular pan, of the half side. Assumption. */
const CORNER = 0.1
/** Handles that span less than this share of the square of their longest side lie on one line. Assumption. */
const FLATTEST = 0.02

/**
 * How an outline is straightened: a round pan seen at an angle is an ellipse (affine by its half diameters), a rectangular one a
 * quadrangle (homography). Fails where the handles cross or lie on one line.
 */
export function straighten({ shape, handles }: Outline): Outcome<Straightening, OutlineFailure> {
  if (isFlat(handles)) return fail('handles-on-a-line')
  if (!isCyclic(handles)) return fail('handles-crossed')
  return ok(shape === 'round' ? byHalfDiameters(handles) : byCorners(handles))
}

/** Whether a place of the square belongs to the pan's floor. */
export function isOnFloor(shape: OutlineShape, x: number, y: number): boolean {
  if (shape === 'round') return x * x + y * y <= FLOOR_SCALE * FLOOR_SCALE
  const half = FLOOR_SCALE
  const radius = CORNER * FLOOR_SCALE
  const dx = Math.abs(x) - (half - radius)
  const dy = Math.abs(y) - (half - radius)
  if (dx <= 0 || dy <= 0) return Math.abs(x) <= half && Math.abs(y) <= half
  return dx * dx + dy * dy <= radius * radius
}

function byHalfDiameters([a, b, c, d]: Outline['handles']): Straightening {
  const centre = [(a[0] + b[0] + c[0] + d[0]) / 4, (a[1] + b[1] + c[1] + d[1]) / 4] as const
  const u = [(a[0] - c[0]) / 2, (a[1] - c[1]) / 2] as const
  const v = [(b[0] - d[0]) / 2, (b[1] - d[1]) / 2] as const
  const area = u[0] * v[1] - u[1] * v[0]
  return {
    toPicture: (x, y) => [centre[0] + x * u[0] + y * v[0], centre[1] + x * u[1] + y * v[1]],
    toSquare: ([px, py]) => {
      const dx = px - centre[0]
      const dy = py - centre[1]
      return [(dx * v[1] - dy * v[0]) / area, (u[0] * dy - u[1] * dx) / area]
    },
  }
}

/** The homography that takes (-1,-1), (1,-1), (1,1), (-1,1) to the corners. Heckbert 1989, by way of the unit square. */
function byCorners([a, b, c, d]: Outline['handles']): Straightening {
  const dx1 = b[0] - c[0]
  const dx2 = d[0] - c[0]
  const sx = a[0] - b[0] + c[0] - d[0]
  const dy1 = b[1] - c[1]
  const dy2 = d[1] - c[1]
  const sy = a[1] - b[1] + c[1] - d[1]
  const det = dx1 * dy2 - dx2 * dy1
  const g = (sx * dy2 - dx2 * sy) / det
  const h = (dx1 * sy - sx * dy1) / det
  const m = [
    b[0] - a[0] + g * b[0],
    d[0] - a[0] + h * d[0],
    a[0],
    b[1] - a[1] + g * b[1],
    d[1] - a[1] + h * d[1],
    a[1],
    g,
    h,
    1,
  ] as const
  const i = [
    m[4] * m[8] - m[5] * m[7],
    m[2] * m[7] - m[1] * m[8],
    m[1] * m[5] - m[2] * m[4],
    m[5] * m[6] - m[3] * m[8],
    m[0] * m[8] - m[2] * m[6],
    m[2] * m[3] - m[0] * m[5],
    m[3] * m[7] - m[4] * m[6],
    m[1] * m[6] - m[0] * m[7],
    m[0] * m[4] - m[1] * m[3],
  ] as const
  return {
    toPicture: (x, y) => {
      const s = (x + 1) / 2
      const t = (y + 1) / 2
      const w = m[6] * s + m[7] * t + m[8]
      return [(m[0] * s + m[1] * t + m[2]) / w, (m[3] * s + m[4] * t + m[5]) / w]
    },
    toSquare: ([px, py]) => {
      const w = i[6] * px + i[7] * py + i[8]
      return [(2 * (i[0] * px + i[1] * py + i[2])) / w - 1, (2 * (i[3] * px + i[4] * py + i[5])) / w - 1]
    },
  }
}

/** In cyclic order around a convex quadrangle, either way round. */
function isCyclic(handles: Outline['handles']): boolean {
  const turns = handles.map((_, at) => turn(at, handles))
  return turns.every((each) => each > 0) || turns.every((each) => each < 0)
}

function isFlat(handles: Outline['handles']): boolean {
  const longest = Math.max(...handles.flatMap((a) => handles.map((b) => (a[0] - b[0]) ** 2 + (a[1] - b[1]) ** 2)))
  // Twice the area of the largest triangle among them.
  const widest = Math.max(...handles.map((_, at) => Math.abs(turn(at, handles))))
  return !(longest > 0) || widest < FLATTEST * longest
}

function turn(at: number, handles: Outline['handles']): number {
  const [a, b, c] = [0, 1, 2].map((step) => handles[(at + step) % 4] ?? handles[0]) as [Point, Point, Point]
  return (b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0])
}
