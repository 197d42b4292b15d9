import { parseMass } from '#core/measure/weighing'
import { kindsFor, LEVEL_STEP, type LevelWord, type ReadHow, type ReadingKind } from '#core/measure/reading'
import type { PanStage } from '#core/item/form'
import type { ListedItem } from '#contract/item'
import { type MassUnit, massTrouble } from '#web/ui/words/measure-words'
import { parseDecimal } from '#core/quantity/decimal'

/** What is being read of a thing, before it is stored: strings as typed, nothing assumed. */
export interface ReadDraft {
  kind: ReadingKind
  partId: string | null
  day: string
  /** A weight as typed, and its unit; kept from the scale it is written the same way. */
  mass: string
  unit: MassUnit
  resolution: number
  massHow: ReadHow
  /** Level, length or bare share in percent; null = not said. */
  percent: number | null
  percentHow: ReadHow
  mm: string
  ofMm: string
  stage: PanStage | null
  word: LevelWord | null
  doubtful: boolean
  note: string
}

export type ReadBody = Record<string, unknown> & { kind: ReadingKind; day: string }
export type Read =
  | { readonly ok: true; readonly body: ReadBody }
  | { readonly ok: false; readonly field: string; readonly words: string }

/** What can be read of it, of a shade where one is chosen. */
export function kindsOf(item: ListedItem, partId: string | null): ReadingKind[] {
  const part = item.parts.find((each) => each.id === partId)
  return kindsFor(part?.form ?? item.form, item.opaque, part !== undefined)
}

/** A draft that stands on what was read last, as far as that is the natural place to begin. */
export function draftFor(item: ListedItem, day: string, unit: MassUnit, resolution: number, shade?: string): ReadDraft {
  const part = item.parts.find((each) => each.id === shade) ?? item.parts[0]
  const partId = part?.id ?? null
  const last = part?.reading ?? item.reading
  const kinds = kindsOf(item, partId)
  const eye = kinds.find((kind) => kind !== 'gross' && kind !== 'bare') ?? kinds[0] ?? 'gross'
  return {
    kind: last && kinds.includes(last.kind) && last.kind !== 'bare' ? last.kind : eye,
    partId,
    day,
    mass: '',
    unit,
    resolution,
    massHow: 'typed',
    percent: last === null || last.value === null || last.kind === 'bare' ? 100 : Math.round(last.value * 100),
    percentHow: 'slider',
    mm: '',
    ofMm: '',
    stage: last?.stage ?? null,
    word: last?.word ?? null,
    doubtful: false,
    note: '',
  }
}

/** The reading as it is sent, or the field that keeps it from being one. */
export function readOf(draft: ReadDraft): Read {
  const { day, doubtful, note } = draft
  const beside = { day, doubtful, note }
  switch (draft.kind) {
    case 'gross': {
      const mass = parseMass(draft.mass, draft.unit)
      if (!mass.ok)
        return { ok: false, field: 'grams', words: draft.mass.trim() === '' ? '' : massTrouble(mass.failure.code) }
      return {
        ok: true,
        body: { kind: 'gross', grams: mass.value, resolution: draft.resolution, how: draft.massHow, ...beside },
      }
    }
    case 'stage':
      return draft.stage === null
        ? { ok: false, field: 'stage', words: '' }
        : { ok: true, body: { kind: 'stage', stage: draft.stage, ...beside } }
    case 'word':
      return draft.word === null
        ? { ok: false, field: 'word', words: '' }
        : { ok: true, body: { kind: 'word', word: draft.word, how: 'her word', ...beside } }
    case 'length': {
      const [mm, ofMm] = [parseDecimal(draft.mm), parseDecimal(draft.ofMm)]
      if (draft.mm.trim() === '' && draft.ofMm.trim() === '') return shareOf(draft, beside)
      if (mm === null || !(mm > 0)) return { ok: false, field: 'mm', words: 'How long it is now, in mm.' }
      if (ofMm === null || !(ofMm > 0)) return { ok: false, field: 'ofMm', words: 'How long a new one is, in mm.' }
      if (mm > ofMm) return { ok: false, field: 'mm', words: 'Longer than a new one; check both lengths.' }
      return { ok: true, body: { kind: 'length', value: mm / ofMm, mm, ofMm, how: 'typed', ...beside } }
    }
    default:
      return shareOf(draft, beside)
  }
}

function shareOf(draft: ReadDraft, beside: { day: string; doubtful: boolean; note: string }): Read {
  if (draft.percent === null) return { ok: false, field: 'value', words: '' }
  return { ok: true, body: { kind: draft.kind, value: draft.percent / 100, how: draft.percentHow, ...beside } }
}

/** The item as it would be drawn with this reading; what it cannot draw leaves it as it is. */
export function drawnWith(item: ListedItem, draft: ReadDraft): ListedItem {
  const { kind, stage, word, percent, partId } = draft
  const nothing = (kind === 'stage' && stage === null) || (kind === 'word' && word === null)
  if (kind === 'gross' || nothing) return item
  const reading = {
    kind,
    value: kind === 'stage' || kind === 'word' ? null : (percent ?? 0) / 100,
    stage: kind === 'stage' ? stage : null,
    word: kind === 'word' ? word : null,
  }
  if (partId === null) return { ...item, reading }
  return { ...item, parts: item.parts.map((part) => (part.id === partId ? { ...part, reading } : part)) }
}

/** Give or take of a level on the slider, %. */
export const LEVEL_PERCENT = LEVEL_STEP * 100
