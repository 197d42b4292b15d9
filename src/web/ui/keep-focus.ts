import { onScopeDispose } from 'vue'

const FOCUSABLE =
  'a[href], button:not([disabled]), input:not([disabled]), select, textarea, [tabindex]:not([tabindex="-1"])'

/**
 * Keeps the focus where she was when what had it goes: a row that was stored away, a card that gave way to the next, a thing that
 * moved. It goes to what stands in its place now, else to the heading around it; never to the top of the page.
 */
export function keepFocus(): void {
  let held: HTMLElement | null = null
  /** Where it was: what stood around it, from near to far, and the how manieth it was within each. */
  let around: { within: HTMLElement; at: number }[] = []

  function note({ target }: FocusEvent): void {
    if (!(target instanceof HTMLElement) || target.closest('.v-overlay') !== null) return
    held = target
    around = []
    for (let within = target.parentElement; within !== null && within !== document.body; within = within.parentElement)
      around.push({ within, at: [...within.querySelectorAll(FOCUSABLE)].indexOf(target) })
  }

  function look(): void {
    const lost = document.activeElement === document.body || document.activeElement === null
    if (!lost || held === null || document.querySelector('.v-overlay--active:not(.v-snackbar)') !== null) return
    // It was left on purpose, by a click beside it.
    if (held.isConnected && !held.matches(':disabled') && !moved) return
    moved = false
    if (held.isConnected && !held.matches(':disabled')) return held.focus({ preventScroll: true })
    for (const { within, at } of around) {
      if (!within.isConnected) continue
      const there = [...within.querySelectorAll<HTMLElement>(FOCUSABLE)]
      const from = Math.min(Math.max(at, 0), there.length)
      // Whether one is seen costs a layout: the nearest are asked first, and no more than have to be.
      const next =
        [...there.slice(from), ...there.slice(0, from).reverse()].find((each) => each.offsetParent !== null) ??
        headingIn(within)
      if (next) return next.focus({ preventScroll: true })
    }
  }

  /** What had the focus was taken out of the page, if only to be put elsewhere in it. */
  let moved = false
  const watcher = new MutationObserver((changes) => {
    const gone = held
    if (gone === null) return
    moved ||= changes.some(({ removedNodes }) => [...removedNodes].some((node) => node === gone || node.contains(gone)))
    look()
  })
  const place = document.getElementById('app')
  if (place) watcher.observe(place, { childList: true, subtree: true, attributes: true, attributeFilter: ['disabled'] })
  document.addEventListener('focusin', note)
  onScopeDispose(() => {
    watcher.disconnect()
    document.removeEventListener('focusin', note)
  })
}

function headingIn(within: HTMLElement): HTMLElement | null {
  const heading = within.querySelector<HTMLElement>('h1, h2, h3')
  heading?.setAttribute('tabindex', '-1')
  return heading
}

/** How long a heading is waited for that comes with its answer, in milliseconds. */
const HEADING_MS = 4000

/** After a place was opened its heading takes the focus, as soon as it is there, unless she is elsewhere by then. */
export function focusHeading(): void {
  const place = document.getElementById('place')
  if (place === null) return
  const there = (): boolean => {
    const at = document.activeElement
    const free = at === null || at === document.body || at === place
    const heading = place.querySelector<HTMLElement>('h1')
    if (free && heading === null) return false
    if (free && heading !== null) {
      heading.setAttribute('tabindex', '-1')
      heading.focus({ preventScroll: true })
    }
    return true
  }
  // A field that the place itself puts her in, to type at once, is where she is.
  const at = document.activeElement
  if (at !== place && place.contains(at)) return
  place.focus({ preventScroll: true })
  if (there()) return
  const watcher = new MutationObserver(() => there() && watcher.disconnect())
  watcher.observe(place, { childList: true, subtree: true })
  setTimeout(() => watcher.disconnect(), HEADING_MS)
}
