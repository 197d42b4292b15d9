import type { App } from 'vue'
import { OutOfReach, Refused } from '#web/api/client'
import { useChanges } from './changes'

/** Whatever a place could not load or store is said in the house's own words; a true fault goes on as one. */
export function reportFailures(app: App): void {
  app.config.errorHandler = (error) => {
    if (!said(error)) throw error
  }
  window.addEventListener('unhandledrejection', (event) => {
    if (said(event.reason)) event.preventDefault()
  })
}

function said(error: unknown): boolean {
  if (!(error instanceof OutOfReach) && !(error instanceof Refused)) return false
  useChanges().show(error)
  return true
}
