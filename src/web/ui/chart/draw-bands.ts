import { addDays, daysBetween, type Day } from '#core/calendar/day'
import { bodyOf } from './finish-body'
import type { ChartBand, ChartBody, ChartBracket } from './time-series'

/** A canvas with the places of its days and values. */
export interface Ground {
  readonly ctx: CanvasRenderingContext2D
  readonly x: (day: Day) => number
  /** Of a share in percent. */
  readonly y: (share: number) => number
  /** Of the lane, from 0 at its foot to 3. */
  readonly lane: (height: number) => number
  readonly inks: { readonly fill: string; readonly ink: string; readonly quiet: string; readonly primary: string }
}
const HATCH_STEP = 6
/** The body of the finish in the lane: its middle, and the most it is thick either way. */
const BODY = { at: 1.7, half: 0.6 } as const

/** Solid below what is sure, hatched where it is reckoned; a fan goes on into the days ahead. */
export function drawBand({ ctx, x, y, inks }: Ground, { kind, points }: ChartBand): void {
  const [first, last] = [points[0], points.at(-1)]
  if (points.length < 2 || !first || !last) return
  const outline = (): void => {
    ctx.beginPath()
    points.forEach(({ day, high }, n) => (n === 0 ? ctx.moveTo(x(day), y(high)) : ctx.lineTo(x(day), y(high))))
    for (const { day, low } of [...points].reverse()) ctx.lineTo(x(day), y(low))
    ctx.closePath()
  }
  ctx.save()
  if (kind === 'before') {
    ctx.strokeStyle = inks.quiet
    ctx.globalAlpha = 0.55
    ctx.lineWidth = 1
    ctx.setLineDash([2, 3])
    outline()
    ctx.stroke()
    ctx.restore()
    return
  }
  if (kind === 'ribbon') {
    ctx.beginPath()
    points.forEach(({ day, low }, n) => (n === 0 ? ctx.moveTo(x(day), y(low)) : ctx.lineTo(x(day), y(low))))
    ctx.lineTo(x(last.day), y(0))
    ctx.lineTo(x(first.day), y(0))
    ctx.closePath()
    ctx.globalAlpha = 0.28
    ctx.fillStyle = inks.fill
    ctx.fill()
  }
  ctx.globalAlpha = kind === 'ribbon' ? 0.42 : 0.2
  ctx.fillStyle = inks.fill
  outline()
  ctx.fill()
  ctx.globalAlpha = 0.75
  outline()
  ctx.clip()
  hatch(ctx, inks.ink)
  ctx.restore()
  ctx.save()
  ctx.strokeStyle = inks.ink
  ctx.globalAlpha = 0.8
  ctx.lineWidth = 1.2
  outline()
  ctx.stroke()
  if (kind === 'fan') {
    ctx.lineWidth = 2
    ctx.beginPath()
    points.forEach(({ day, middle = 0 }, n) =>
      n === 0 ? ctx.moveTo(x(day), y(middle)) : ctx.lineTo(x(day), y(middle)),
    )
    ctx.stroke()
  }
  ctx.restore()
}

/** When it will be gone: thickest where it is likeliest; hatched up to the last good day, hollow after it. */
export function drawBody({ ctx, x, lane, inks }: Ground, { points }: ChartBody, until: Day | null): void {
  const start = points[0]?.day
  if (start === undefined) return
  const shown = bodyOf(points.map(({ day, chance }) => ({ days: daysBetween(start, day), chance }))).map((part) => ({
    from: x(addDays(start, part.from)),
    to: x(addDays(start, part.to)),
    thick: part.thick,
  }))
  if (shown.length === 0) return
  const middle = lane(BODY.at)
  const reach = Math.abs(lane(BODY.at + BODY.half) - middle)
  const edge =
    (sign: 1 | -1) =>
    (part: (typeof shown)[number]): [number, number] => [
      (part.from + part.to) / 2,
      middle + sign * Math.max(1, reach * part.thick),
    ]
  const outline = (): void => {
    ctx.beginPath()
    ctx.moveTo(shown[0]?.from ?? 0, middle)
    for (const part of shown) ctx.lineTo(...edge(-1)(part))
    ctx.lineTo(shown.at(-1)?.to ?? 0, middle)
    for (const part of [...shown].reverse()) ctx.lineTo(...edge(1)(part))
    ctx.closePath()
  }
  ctx.save()
  outline()
  ctx.clip()
  if (until !== null) {
    ctx.beginPath()
    ctx.rect(0, middle - reach - 2, x(until), 2 * reach + 4)
    ctx.clip()
  }
  hatch(ctx, inks.ink)
  ctx.restore()
  ctx.save()
  ctx.strokeStyle = inks.ink
  ctx.lineWidth = 1.4
  outline()
  ctx.stroke()
  ctx.restore()
}

/** From when to when a goal runs, under the strokes of its uses. */
export function drawBracket({ ctx, x, lane, inks }: Ground, { from, to, words }: ChartBracket): void {
  const [left, right, foot] = [x(from), x(to), lane(0.06)]
  ctx.save()
  ctx.strokeStyle = inks.ink
  ctx.fillStyle = inks.ink
  ctx.lineWidth = 1.4
  ctx.beginPath()
  ctx.moveTo(left, lane(0.4))
  ctx.lineTo(left, foot)
  ctx.lineTo(right, foot)
  ctx.lineTo(right, lane(0.8))
  ctx.stroke()
  ctx.font = '600 12px "Instrument Sans Variable"'
  ctx.textAlign = 'left'
  ctx.fillText(words, right + 5, foot)
  ctx.restore()
}

function hatch(ctx: CanvasRenderingContext2D, ink: string): void {
  const { width, height } = ctx.canvas
  ctx.strokeStyle = ink
  ctx.lineWidth = 0.8
  ctx.beginPath()
  for (let at = -height; at < width; at += HATCH_STEP) {
    ctx.moveTo(at, height)
    ctx.lineTo(at + height, 0)
  }
  ctx.stroke()
}
