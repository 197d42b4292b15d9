/** One thing that can be done on a place: a way, or an act. */
export interface HeadAct {
  readonly words: string
  readonly to?: string
  readonly act?: () => void
  /** Of what is switched on and off. */
  readonly pressed?: boolean
  readonly disabled?: boolean
  readonly busy?: boolean
}

/** What a button or a row of a menu is given of an act. */
export function bound({ to, disabled, busy, act }: HeadAct) {
  return {
    ...(to === undefined ? {} : { to }),
    disabled: disabled ?? false,
    ...(busy === true ? { loading: true } : {}),
    onClick: () => act?.(),
  }
}
