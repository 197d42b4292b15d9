/** Places of which a device that was let in may ask what it likes, by the first word of the path under /api. */
const READS: ReadonlySet<string> = new Set(
  `fronts find today worn-days day-after-ticks drawer laying layouts collection categories items photos containers check-ins projects
   plan shelf-life look-back supply set-up calendar.ics decide feelings aside stash letting-go targets doubts compare buying lessons
   empties settings stretches changes devices stream copies`.split(/\s+/),
)
/** Places in which it may log, measure, decide, wish and set right. */
const WRITES: ReadonlySet<string> = new Set(
  `wear face wear-details mix tally-sheet no-makeup silence day put-back not-today saved-faces drawer zones laying items pairs edit-many
   openings swatches merge categories photos readings events blends containers check-ins import projects stays short-list plan guesses
   package-weights trials verdicts feelings stash targets wishes buying-rules lessons parts look-back settings away low-seasons wear-less
   changes`.split(/\s+/),
)
/** Within these, what replaces or restores, or tells of the machine. */
const NOT: readonly RegExp[] = [/^\/changes\/[^/]+\/go-back$/, /^\/copies\/./]

/**
 * Whether a device may ask for a path under /api. What is not listed only the machine on which Seligo runs may do: replacing,
 * restoring, taking everything out, letting others in. A test holds every route to this.
 */
export function phoneMay(method: string, path: string): boolean {
  const place = path.split('/')[1] ?? ''
  const places = method === 'GET' || method === 'HEAD' ? READS : method === 'POST' || method === 'PUT' ? WRITES : null
  return places !== null && places.has(place) && !NOT.some((pattern) => pattern.test(path))
}
