import type { Response } from 'express'
import type { z } from 'zod'
import type { FieldError, Problem } from '#contract/basic'
import type { Failure } from '../failing.js'
import { failureWords } from './failure-words.js'

export function problemOf(failure: Failure): Problem {
  const { status, title, detail, field } = failureWords(failure)
  const errors = field === undefined ? [] : [{ field, value: String(failure.data['value'] ?? ''), message: detail }]
  const current = failure.data['current']
  return {
    type: 'about:blank',
    title,
    status,
    code: failure.code,
    detail,
    errors,
    ...(typeof current === 'string' ? { current: JSON.parse(current) as unknown } : {}),
  }
}

/** Turns what Zod refused into one entry by field, with the value as it came. */
export function problemOfInput(error: z.ZodError, body: unknown): Problem {
  const errors: FieldError[] = error.issues.flatMap((issue) => {
    const keys = issue.code === 'unrecognized_keys' ? issue.keys : [null]
    return keys.map((key) => {
      const path = key === null ? issue.path : [...issue.path, key]
      return {
        field: path.map(String).join('.'),
        value: shown(valueAt(body, path)),
        message: key === null ? issue.message : `There is no field called "${key}".`,
      }
    })
  })
  return {
    type: 'about:blank',
    title: 'Some of that can’t be saved as it stands.',
    status: 422,
    code: 'invalid',
    detail: errors.map((each) => `${each.field || 'request'}: ${each.message}`).join(' '),
    errors,
  }
}

export function sendProblem(response: Response, problem: Problem): void {
  response.status(problem.status).type('application/problem+json').send(JSON.stringify(problem))
}

function valueAt(body: unknown, path: readonly PropertyKey[]): unknown {
  let value = body
  for (const key of path)
    value = value !== null && typeof value === 'object' ? (value as Record<PropertyKey, unknown>)[key] : undefined
  return value
}

function shown(value: unknown): string {
  if (value === undefined) return ''
  return (typeof value === 'string' ? value : (JSON.stringify(value) ?? '')).slice(0, 200)
}
