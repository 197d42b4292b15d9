import type { PanStage } from '#core/item/form'

/** The part that a thing plays in the demo; each is played on every day that the demo can be made on. */
export const ROLES = [
  'goal met',
  'on pace',
  'behind',
  'out of reach',
  'half panned palette',
  'finish by eye',
  'nearly done',
  'spoils soon',
  'lapsed sunscreen',
  'in-date sunscreen',
  'trial due',
  'trial running',
  'asks back',
  'fights',
  'fought',
  'mixed',
  'doubted',
  'has a backup',
  'reached and out',
  'left unfinished',
  'without a date',
] as const
export type Role = (typeof ROLES)[number]

/** A thing with a part: which of its category it is, and what is so of it whatever the chance says. */
export interface CastMember {
  readonly categoryId: string
  readonly index: number
  readonly roles: readonly Role[]
  /** Opened, and added, so many days before today; before the drawer is laid for the project. */
  readonly openedAgo: number
  /** Months after opening by its label. */
  readonly paoMonths: number
  /** It lies in the drawer from the day the project begins. */
  readonly inDrawer: boolean
}

const member = (
  categoryId: string,
  index: number,
  openedAgo: number,
  paoMonths: number,
  roles: readonly Role[] = [],
  inDrawer = true,
): CastMember => ({ categoryId, index, roles, openedAgo, paoMonths, inDrawer })

/** Who plays what. Nothing that the story needs is left to chance. Data table. */
export const CAST: readonly CastMember[] = [
  member('sunscreen', 0, 125, 12, ['in-date sunscreen']),
  member('sunscreen', 1, 500, 12, ['lapsed sunscreen'], false),
  member('primer', 0, 150, 18, ['out of reach', 'fights']),
  member('primer', 1, 160, 18),
  member('foundation', 4, 170, 18, ['finish by eye', 'fought', 'mixed']),
  member('foundation', 6, 140, 18, ['mixed']),
  member('concealer', 0, 130, 18, ['has a backup']),
  member('concealer', 4, 135, 18),
  member('setting-powder', 0, 300, 36, ['on pace']),
  member('setting-powder', 1, 340, 36),
  member('bronzer', 0, 400, 36, ['behind']),
  member('bronzer', 1, 380, 36, ['left unfinished']),
  member('blush', 0, 420, 36),
  member('blush', 1, 410, 36),
  member('blush', 3, 390, 36, ['goal met']),
  member('blush', 5, 350, 36, ['trial running'], false),
  member('highlighter', 0, 500, 36),
  member('highlighter', 3, 450, 36, ['asks back'], false),
  member('highlighter', 7, 430, 36, ['trial running'], false),
  member('brow-pencil', 0, 200, 24),
  member('brow-pencil', 1, 210, 24),
  member('cream-eyeshadow', 0, 150, 18),
  member('eyeshadow-palette', 0, 500, 36, ['half panned palette']),
  member('eyeliner', 0, 200, 24, ['without a date']),
  member('mascara', 0, 126, 6, ['spoils soon']),
  member('lipstick', 0, 260, 24),
  member('lipstick', 1, 250, 24),
  member('lipstick', 2, 240, 24, ['reached and out']),
  member('lipstick', 4, 270, 24),
  member('lipstick', 3, 230, 24, ['trial due'], false),
  member('lipstick', 11, 280, 24, ['doubted'], false),
  member('lip-gloss', 0, 170, 18),
  member('lip-gloss', 1, 180, 18, ['nearly done']),
  member('setting-spray', 0, 190, 18),
  member('setting-spray', 1, 200, 18),
]

/** Empties of many kinds: the category, and so many days before today. Data table. */
export const EMPTIES: readonly (readonly [string, number])[] = [
  ['mascara', 470],
  ['setting-spray', 430],
  ['concealer', 395],
  ['primer', 350],
  ['lip-gloss', 300],
  ['foundation', 255],
  ['mascara', 225],
  ['setting-powder', 190],
  ['sunscreen', 165],
  ['brow-pencil', 135],
  ['concealer', 80],
  ['lipstick', 45],
  ['mascara', 12],
]

/** The shades of the half panned palette, in their order. Data table. */
export const PALETTE_STAGES: readonly PanStage[] = [
  'half bare',
  'first pan',
  'first pan',
  'dip',
  'half bare',
  'dome gone',
  'untouched',
  'untouched',
]

/** What is left of things read by eye: so many days before today, and the share. Data table. */
export const LEVELS: Partial<Record<Role, readonly (readonly [number, number])[]>> = {
  'finish by eye': [
    [118, 0.8],
    [88, 0.65],
    [60, 0.5],
    [31, 0.35],
    [3, 0.2],
  ],
  'nearly done': [
    [118, 0.6],
    [60, 0.35],
    [3, 0.15],
  ],
}
