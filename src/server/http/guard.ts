import type { NextFunction, Request, Response } from 'express'
import { problemOf, sendProblem } from './problem.js'

/** Where an answer keeps the question whether who asks is let in still. */
export const STILL = 'still let in'

/** Whether who asks is let in still; asked again right before something is stored that took a while to read. */
export function isStillLetIn(response: Response): boolean {
  const still = response.locals[STILL] as (() => boolean) | undefined
  return still === undefined || still()
}

/** Looks again, once all of a request has come, whether who sent it was sent away meanwhile. */
export function onlyWhileLetIn(_request: Request, response: Response, next: NextFunction): void {
  if (isStillLetIn(response)) next()
  else sendProblem(response, problemOf({ code: 'not-let-in', data: {} }))
}

const OWN_NAMES = ['127.0.0.1', 'localhost', '[::1]']

/**
 * Refuses what does not come from Seligo's own pages: a foreign Host (a name rebound to this
 * machine) or a foreign Origin (another site's page in the same browser).
 */
export function ownPagesOnly(request: Request, response: Response, next: NextFunction): void {
  const host = request.headers.host ?? ''
  const origin = request.headers.origin
  if (!isOwnHost(host) || (origin !== undefined && origin !== `http://${host}`)) {
    sendProblem(response, problemOf({ code: 'foreign-host', data: {} }))
    return
  }
  next()
}

/** Whether a Host header names this machine to itself, at whatever port. */
export function isOwnHost(host: string): boolean {
  return OWN_NAMES.includes(host.replace(/:\d+$/, ''))
}
