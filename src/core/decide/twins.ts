import { comparableFinish, differenceOf, labOf, tooFarInLightness, TWIN_BELOW, type Lab } from '../colour/difference.js'
import type { ModelType } from '../item/model-type.js'
import type { Finish } from '../item/traits.js'

/** What is compared by colour: only within the same use. */
export interface Coloured {
  readonly id: string
  readonly kind: string
  readonly colour: string
  readonly finish: Finish | null
}

export interface Twin {
  readonly id: string
  /** CIEDE2000. */
  readonly difference: number
}

/** Worn for their colour: two of one colour are twice the same. Assumption. */
const FOR_COLOUR: ReadonlySet<ModelType> = new Set([
  'powder blush',
  'cream blush',
  'bronzer',
  'highlighter',
  'eyeshadow',
  'pencil liner',
  'liquid liner',
  'lipstick',
  'gloss',
  'lip liner',
])
/** Matched to the user's skin: alike they are meant to be, and still one of them does. Assumption. */
const MATCHED: ReadonlySet<ModelType> = new Set(['liquid foundation', 'concealer', 'pressed powder', 'loose powder'])

/** Whether a swatch tells what an item of this type is for; of a primer or a mascara it tells nothing. */
export function colourTells(type: ModelType): boolean {
  return FOR_COLOUR.has(type) || MATCHED.has(type)
}

/** Whether it is worn for its colour, so that two of one colour are one too many. */
export function wornForColour(type: ModelType): boolean {
  return FOR_COLOUR.has(type)
}

/** The near twins of each, the nearest first: of the same use, of comparable finish, below 5. What has no swatch has no twins. */
export function twinsAmong(all: readonly Coloured[]): Map<string, Twin[]> {
  const found = new Map<string, Twin[]>()
  const byKind = new Map<string, { readonly each: Coloured; readonly lab: Lab }[]>()
  for (const each of all) {
    const own = byKind.get(each.kind) ?? []
    own.push({ each, lab: labOf(each.colour) })
    byKind.set(each.kind, own)
  }
  const add = (id: string, twin: Twin): void => {
    const own = found.get(id)
    if (own) own.push(twin)
    else found.set(id, [twin])
  }
  for (const own of byKind.values())
    own.forEach((one, n) => {
      for (const other of own.slice(n + 1)) {
        if (tooFarInLightness(one.lab, other.lab) || !comparableFinish(one.each.finish, other.each.finish)) continue
        const difference = differenceOf(one.lab, other.lab)
        if (difference >= TWIN_BELOW) continue
        add(one.each.id, { id: other.each.id, difference })
        add(other.each.id, { id: one.each.id, difference })
      }
    })
  for (const twins of found.values()) twins.sort((a, b) => a.difference - b.difference || (a.id < b.id ? -1 : 1))
  return found
}
