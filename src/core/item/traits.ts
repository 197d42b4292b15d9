import { fieldsOf, type Day } from '../calendar/day.js'
import type { Hemisphere } from '../calendar/hemisphere.js'

/** How a colour lies on the skin. */
export const FINISHES = ['matte', 'satin', 'shimmer', 'metallic', 'sheer'] as const
export type Finish = (typeof FINISHES)[number]

/** How much of it there was to begin with. */
export const FORMATS = ['full size', 'mini', 'deluxe sample', 'sachet'] as const
export type Format = (typeof FORMATS)[number]

/** Where it came from. */
export const SOURCES = ['bought', 'gift', 'swap', 'subscription', 'points'] as const
export type Source = (typeof SOURCES)[number]

export const UNDERTONES = ['warm', 'neutral', 'cool', 'olive'] as const
export type Undertone = (typeof UNDERTONES)[number]

/** Its depth against the user's skin. */
export const DEPTHS = ['match', 'too light', 'too dark', 'only mixed', 'summer shade', 'winter shade'] as const
export type Depth = (typeof DEPTHS)[number]

export const SEASONS = ['spring', 'summer', 'autumn', 'winter'] as const
export type Season = (typeof SEASONS)[number]

/** Whether it can be had again: affects the wish to save it. */
export const AVAILABILITIES = ['limited edition', 'discontinued'] as const
export type Availability = (typeof AVAILABILITIES)[number]

/** What the package is made of: decides how progress and use are counted. */
export const STRUCTURES = ['single', 'duo', 'palette', 'dual-ended', 'kit'] as const
export type Structure = (typeof STRUCTURES)[number]

/** What has happened to the package, or is awkward about it. */
export const PACKAGE_STATES = [
  'pump broken',
  'mister clogging',
  'cap lost',
  'cracked',
  'cut open',
  'stopper removed',
  'does not stand up',
  'too tall for the drawer',
] as const
export type PackageState = (typeof PACKAGE_STATES)[number]

/** Where an item lies. Its zone, while it is in the drawer, is its placement. */
/** Places an item can be put to by hand; its zone is its placement. */
export const PUT_LOCATIONS = ['resting', 'season box', 'travel', 'handbag', 'backups box'] as const
export const LOCATIONS = ['zone', ...PUT_LOCATIONS] as const
export type Location = (typeof LOCATIONS)[number]

/**
 * The season of a day: spring begins with March in the north, with September in the south.
 *
 * @example seasonOn('2026-12-01', 'north') === 'winter' and seasonOn('2026-12-01', 'south') === 'summer'
 */
export function seasonOn(day: Day, hemisphere: Hemisphere): Season {
  const shift = hemisphere === 'north' ? 9 : 3
  return SEASONS[Math.floor(((fieldsOf(day).month + shift) % 12) / 3)] ?? 'winter'
}
