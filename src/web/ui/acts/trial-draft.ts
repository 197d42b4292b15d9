/** Enough to know, few enough to do; a month to do it in. Common practice, no source. */
export const TRIAL_WEARS = 5
export const TRIAL_DAYS = 30

export interface TrialDraft {
  wears: number
  dueOn: string
  question: string
}
