import { seedOf } from './gauge-model'

const POINTS = 22

/**
 * The outline of a patch of bare metal whose area is `share` of a dish with radius `radius` about
 * (centre, centre): a smooth closed curve that belongs to the id. Large patches are rounder, as
 * they are in a pan.
 */
export function barePatch(id: string, share: number, radius: number, centre: number): string {
  const seed = seedOf(id)
  const phase = (n: number): number => ((seed >>> (n * 5)) % 628) / 100
  const rough = 1 - share
  const waves = [0.16 * rough, 0.11 * rough, 0.06 * rough]
  // Area of r = r0 (1 + Σ a sin): π r0² (1 + ½ Σ a²).
  const swell = 1 + 0.5 * waves.reduce((sum, a) => sum + a * a, 0)
  const base = radius * Math.sqrt(share / swell)
  const drift = (radius - base) * 0.22
  const cx = centre + Math.cos(phase(3)) * drift
  const cy = centre + Math.sin(phase(3)) * drift
  const at = (step: number): [number, number] => {
    const angle = (step / POINTS) * Math.PI * 2
    const r = base * (1 + waves.reduce((sum, a, n) => sum + a * Math.sin((n + 1) * angle + phase(n)), 0))
    return [cx + r * Math.cos(angle), cy + r * Math.sin(angle)]
  }
  return closedCurve(Array.from({ length: POINTS }, (_, step) => at(step)))
}

/** A closed Catmull-Rom curve through the points, as an SVG path. */
function closedCurve(points: readonly (readonly [number, number])[]): string {
  const n = points.length
  const point = (i: number): readonly [number, number] => points[(i + n) % n] ?? [0, 0]
  const text = (x: number): string => x.toFixed(2)
  let path = `M${point(0).map(text).join(' ')}`
  for (let i = 0; i < n; i += 1) {
    const [x0, y0] = point(i - 1)
    const [x1, y1] = point(i)
    const [x2, y2] = point(i + 1)
    const [x3, y3] = point(i + 2)
    path += `C${[x1 + (x2 - x0) / 6, y1 + (y2 - y0) / 6, x2 - (x3 - x1) / 6, y2 - (y3 - y1) / 6, x2, y2].map(text).join(' ')}`
  }
  return `${path}Z`
}
