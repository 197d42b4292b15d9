const SIDE = 6

/** Slanting strokes on a ground, as a canvas fills with them; the plain ink where no canvas can be had. */
export function hatchOf(ink: string, ground: string): CanvasPattern | string {
  const tile = document.createElement('canvas')
  tile.width = SIDE
  tile.height = SIDE
  const ctx = tile.getContext('2d')
  if (!ctx) return ink
  ctx.fillStyle = ground
  ctx.fillRect(0, 0, SIDE, SIDE)
  ctx.strokeStyle = ink
  ctx.lineWidth = 1.2
  for (const at of [-SIDE, 0, SIDE]) {
    ctx.beginPath()
    ctx.moveTo(at, SIDE)
    ctx.lineTo(at + SIDE, 0)
    ctx.stroke()
  }
  return ctx.createPattern(tile, 'repeat') ?? ink
}
