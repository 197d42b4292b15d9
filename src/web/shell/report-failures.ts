import type { App } from 'vue'
import type { Router } from 'vue-router'
import { useChanges } from '#web/data/changes'
import { OutOfReach, Refused } from '#web/data/client'
import { isLostPart } from '#web/ui/late-part'

/** Whatever a place could not load or store is said in the house's own words; a true fault is logged and said in one quiet bar. */
export function reportFailures(app: App, router: Router): void {
  app.config.errorHandler = report
  router.onError(report)
  window.addEventListener('unhandledrejection', (event) => {
    event.preventDefault()
    report(event.reason)
  })
}

function report(error: unknown): void {
  const changes = useChanges()
  // Left before it had come: nobody waits for it.
  if (error instanceof DOMException && error.name === 'AbortError') return
  if (error instanceof OutOfReach || error instanceof Refused) return changes.show(error)
  if (error instanceof Error && isLostPart(error))
    return changes.fault('A part of the page couldn’t be loaded. Is Seligo still running? Try again when it is.')
  console.error(error)
  changes.fault('Something on this page doesn’t work. What you have saved is safe; reload the page.')
}
