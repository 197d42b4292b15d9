import type { BUY_AGAIN, EndedBy, PACKAGE_GOES } from '#core/decide/review-choices'
import type { EmptyView } from '#contract/ending'

/** What she thought of an empty, while it is typed. */
export interface ReviewDraft {
  wouldBuyAgain: (typeof BUY_AGAIN)[number] | null
  words: string
  packageGoes: (typeof PACKAGE_GOES)[number] | null
  endedBy: EndedBy | null
  /** Percent of a full one. */
  remained: string
  did: string
  forWhom: string
  dislikes: string
  againWhy: string
  replacedBy: string
  replacedById: string | null
}

export function emptyReview(): ReviewDraft {
  return {
    wouldBuyAgain: null,
    words: '',
    packageGoes: null,
    endedBy: null,
    remained: '',
    did: '',
    forWhom: '',
    dislikes: '',
    againWhy: '',
    replacedBy: '',
    replacedById: null,
  }
}

/** The review that stands, to be changed. */
export function reviewOf(empty: EmptyView): ReviewDraft {
  const { wouldBuyAgain, words, packageGoes, endedBy, did, forWhom, dislikes, againWhy, replacedBy } = empty
  return {
    wouldBuyAgain,
    words,
    packageGoes,
    endedBy,
    remained: empty.remained === null ? '' : String(Math.round(empty.remained * 100)),
    did,
    forWhom,
    dislikes,
    againWhy,
    replacedBy,
    replacedById: empty.replacement?.itemId ?? null,
  }
}

/** As the server takes it; a percentage that is none goes as it is, for the server to name. */
export function reviewBody(draft: ReviewDraft): Omit<ReviewDraft, 'remained'> & { remained: number | null } {
  const { wouldBuyAgain, words, packageGoes, endedBy, remained, did, forWhom, dislikes, againWhy, replacedBy } = draft
  const percent = remained.trim().replace('%', '').replace(',', '.')
  return {
    wouldBuyAgain,
    words,
    packageGoes,
    endedBy,
    remained: percent === '' || endedBy === null || endedBy === 'nothing comes out' ? null : Number(percent) / 100,
    did,
    forWhom,
    dislikes,
    againWhy,
    replacedBy,
    replacedById: draft.replacedById,
  }
}
