import type { Form } from '#core/item/form'
import { formModelOf, type FormModel } from '#core/forecast/form-models'
import type { PackageEvent } from '#core/measure/package-events'

/** What usually happens to a package of each kind, the likeliest first. Common practice, no source. */
const LIKELY: Readonly<Record<FormModel, readonly PackageEvent[]>> = {
  pressed: ['repressed', 'broken'],
  loose: ['spilt', 'decanted'],
  pot: ['spilt', 'decanted'],
  pump: ['pump trouble', 'decanted'],
  tube: ['cut open', 'decanted'],
  wand: ['stopper removed', 'decanted'],
  pencil: ['broken', 'cap lost'],
  bullet: ['broken', 'decanted'],
  stick: ['broken', 'cap lost'],
  spray: ['mister trouble', 'decanted'],
  jar: ['spilt', 'decanted'],
}

export function likelyEvents(form: Form): readonly PackageEvent[] {
  return LIKELY[formModelOf(form)]
}

/** What can happen to a package of this kind at all. */
export function possibleEvents(form: Form): PackageEvent[] {
  const never: Readonly<Record<string, readonly PackageEvent[]>> = {
    pressed: ['stopper removed', 'pump trouble', 'mister trouble', 'cut open'],
    loose: ['stopper removed', 'pump trouble', 'mister trouble'],
  }
  const all: readonly PackageEvent[] = [
    'repressed',
    'decanted',
    'cut open',
    'stopper removed',
    'other cap',
    'broken',
    'spilt',
    'pump trouble',
    'mister trouble',
    'cap lost',
  ]
  const model = formModelOf(form)
  const likely = LIKELY[model]
  const possible = all.filter(
    (event) =>
      !(never[model] ?? []).includes(event) &&
      (event !== 'repressed' || model === 'pressed' || model === 'loose') &&
      (event !== 'pump trouble' || model === 'pump') &&
      (event !== 'mister trouble' || model === 'spray'),
  )
  return [...likely.filter((event) => possible.includes(event)), ...possible.filter((event) => !likely.includes(event))]
}
