/** The fields in which two drafts of one form differ, each with its name and both values in words. */
export function differencesOf<T extends object>(
  names: Readonly<Record<keyof T, string>>,
  mine: T,
  theirs: T,
): { name: string; mine: string; theirs: string }[] {
  return (Object.keys(names) as (keyof T)[])
    .filter((field) => JSON.stringify(mine[field]) !== JSON.stringify(theirs[field]))
    .map((field) => ({ name: names[field], mine: words(mine[field]), theirs: words(theirs[field]) }))
}

function words(value: unknown): string {
  if (value === null || value === undefined) return ''
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (Array.isArray(value)) return value.map((each) => (isNamed(each) ? each.name : words(each))).join(', ')
  return typeof value === 'object' ? JSON.stringify(value) : String(value)
}

function isNamed(value: unknown): value is { name: string } {
  return typeof value === 'object' && value !== null && typeof (value as { name?: unknown }).name === 'string'
}
