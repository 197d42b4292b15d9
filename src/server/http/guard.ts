import type { NextFunction, Request, Response } from 'express'
import { problemOf, sendProblem } from './problem.js'

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
