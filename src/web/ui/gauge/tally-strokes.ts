/** Tally strokes as paths on the label (x 11..39, y 47..78): four upright, the fifth across. */
export function tallyStrokes(count: number): string[] {
  const strokes: string[] = []
  for (let n = 0; n < count; n += 1) {
    const gate = Math.floor(n / 5)
    const x = 12.5 + (gate % 2) * 14
    const y = 47.5 + Math.floor(gate / 2) * 15
    const within = n % 5
    strokes.push(
      within === 4
        ? `M${x - 1.5} ${y + 9.5}L${x + 11} ${y + 1.5}`
        : `M${x + within * 3.1} ${y + ((within * 7) % 3) * 0.3}l${within % 2 === 0 ? 0.3 : -0.3} 11`,
    )
  }
  return strokes
}
