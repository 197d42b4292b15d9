import type { Look, SheetReading } from '#core/measure/sheet'
import type { LookView } from '#contract/check-in'
import { timedReading } from './measured.js'
import type { MeasurementRow } from './measured-queries.js'

export function sheetReading(row: MeasurementRow): SheetReading {
  return { ...timedReading(row), id: row.id, checkInId: row.check_in_id }
}

export function lookView(look: Look | null): LookView | null {
  if (look === null) return null
  return {
    day: look.day,
    gross: look.gross && {
      id: look.gross.id,
      grams: look.gross.value ?? 0,
      resolution: look.gross.resolution ?? 0.1,
      day: look.gross.day,
    },
    reading: look.eye && { ...shown(look.eye), id: look.eye.id },
    parts: look.parts.map((part) => ({ partId: part.partId ?? '', id: part.id, reading: shown(part) })),
  }
}

type Shown = NonNullable<LookView['reading']>
function shown({ kind, value, stage, word, day }: SheetReading): Omit<Shown, 'id'> {
  return { kind: kind === 'gross' ? 'level' : kind, value, stage, word, day }
}
