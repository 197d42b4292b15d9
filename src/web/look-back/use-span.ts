import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { addDays, parseDay, type Day } from '#core/calendar/day'
import { before, monthOf, yearOf, type LookSpan } from '#core/look-back/span'
import { useSpans } from '#web/data/reads'
import { spanTitle } from '#web/ui/words/span-words'

export type Mode = 'month' | 'year' | 'span'

/** The span a page looks back on: it stands in the address, so that going back and a link lead to the same sheet. */
export function useSpan(mode: () => Mode) {
  const route = useRoute()
  const router = useRouter()
  const { answer } = useSpans()
  const today = computed<Day | null>(() => answer.value?.today ?? null)
  const text = (name: string): string => {
    const value = route.query[name]
    return typeof value === 'string' ? value : ''
  }
  /** Null until her day is known. */
  const span = computed<LookSpan | null>(() => {
    if (today.value === null) return null
    if (mode() === 'month')
      return monthOf(parseDay(`${text('month')}-01`) ?? firstShown(today.value, answer.value?.logSince ?? null))
    if (mode() === 'year') return yearOf(parseDay(`${text('year')}-01-01`) ?? today.value)
    return { from: parseDay(text('from')) ?? addDays(today.value, -89), to: parseDay(text('to')) ?? today.value }
  })
  /** The other of two that are compared; null = none. */
  const other = computed<LookSpan | null>(() => {
    const [from, to] = [parseDay(text('than')), parseDay(text('till'))]
    return from === null || to === null ? null : { from, to }
  })
  const project = computed(() => text('project') || null)
  const name = computed(() => text('name'))

  function goTo(next: LookSpan): void {
    if (mode() === 'month') void router.push({ query: { month: next.from.slice(0, 7) } })
    else if (mode() === 'year') void router.push({ query: { year: next.from.slice(0, 4) } })
    else void router.push({ query: { from: next.from, to: next.to } })
  }
  function ask(query: Record<string, string>): void {
    void router.push({ query })
  }
  /** The same sheet beside another span, or alone again. */
  function compareWith(than: LookSpan | null): void {
    if (span.value === null) return
    const { from, to } = span.value
    const own: Record<string, string> =
      mode() === 'month' ? { month: from.slice(0, 7) } : mode() === 'year' ? { year: from.slice(0, 4) } : { from, to }
    ask(than === null ? own : { ...own, than: than.from, till: than.to })
  }
  /** What a sheet is laid beside most often: the span before, and of a month the same one a year ago. */
  const beside = computed(() => {
    if (span.value === null) return []
    if (other.value !== null) return [{ words: 'No comparison', act: () => compareWith(null) }]
    const spans = [before(span.value)]
    if (mode() === 'month') {
      const ago = parseDay(`${Number(span.value.from.slice(0, 4)) - 1}${span.value.from.slice(4)}`)
      if (ago !== null) spans.push(monthOf(ago))
    }
    return spans.map((each) => ({ words: `Beside ${spanTitle(each)}`, act: () => compareWith(each) }))
  })
  return { beside, compareWith, span, other, project, name, kept: answer, goTo, ask }
}

/** The month that is over, since an update is written of what is whole; while the log is younger than that, the one that runs. */
function firstShown(today: Day, logSince: Day | null): Day {
  const last = addDays(monthOf(today).from, -1)
  return logSince !== null && logSince > last ? today : last
}
