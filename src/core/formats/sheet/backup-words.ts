/** More backups than this of one item are a slip of the hand. Assumption. */
export const MOST_BACKUPS = 60

/**
 * Unopened packages that a note speaks of beside the one in the row: "backup x2", "2 backups", "+1 backup", "have a
 * backup". 0 when it speaks of none.
 *
 * @example backupsIn('limited, backup x2') === 2
 */
export function backupsIn(note: string): number {
  const counted =
    /\bback-?\s?ups?\s*[x×*]\s*(\d{1,2})\b/i.exec(note) ??
    /(?:^|[^\d.])(\d{1,2})\s*[x×]?\s*(?:more\s+)?back-?\s?ups?\b/i.exec(note) ??
    /\bback-?\s?ups?\s*[:=(]\s*(\d{1,2})\b/i.exec(note)
  if (counted) return Math.min(MOST_BACKUPS, Number(counted[1]))
  if (/\b(?:no|without|need a|buy a|want a)\s+back-?\s?up/i.test(note)) return 0
  return /\b(?:has|have|had|got|with|plus|and|\+)\s*(?:a|one|an unopened)?\s*back-?\s?up\b/i.test(note) ? 1 : 0
}

/** A count of packages: `2`, `x3`, `3 pcs`; null when it is none, or not a whole number from 1 to 60. */
export function quantityOf(cell: string): number | null {
  const found = /^[x×]?\s*(\d{1,2})(?:[.,]0+)?\s*[x×]?\s*(?:pcs|pieces|st|stk|stuck|stück|units)?\.?$/i.exec(
    cell.trim(),
  )
  const count = found ? Number(found[1]) : 0
  return count >= 1 && count <= MOST_BACKUPS ? count : null
}
