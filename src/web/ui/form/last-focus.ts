/** Where the focus goes back to when a dialog closes; a menu that opened it has closed by then. */
let last: HTMLElement | null = null

/** Follows the focus outside menus and dialogs; from the start of the page, since the first dialog comes later. */
export function followFocus(): void {
  document.addEventListener('focusin', ({ target }) => {
    if (target instanceof HTMLElement && target.closest('.v-overlay, [role="dialog"]') === null) last = target
  })
}

/** The element outside any menu or dialog that had the focus last. */
export function lastFocus(): HTMLElement | null {
  return last
}
