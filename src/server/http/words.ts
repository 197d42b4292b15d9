import type { Failure } from '#core/failure'

export interface Words {
  readonly status: number
  readonly title: string
  readonly detail: string
  readonly field?: string
}

export type Writer = (data: Failure['data']) => Words

export const refused = (detail: string, field?: string): Words => ({
  status: 422,
  title: 'That can’t be saved as it stands.',
  detail,
  ...(field === undefined ? {} : { field }),
})
export const missing = (what: string): Words => ({
  status: 404,
  title: `There is no such ${what}.`,
  detail: `This ${what} isn’t in the collection. It may have been undone in another window; reload the page.`,
})
export const conflict = (title: string, detail: string): Words => ({ status: 409, title, detail })
