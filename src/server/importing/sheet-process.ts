import type { SheetOptions } from '#core/formats/sheet/sheet-item'
import { answerOnce } from '../other-process.js'
import { readSheetBytes } from './read-sheet-bytes.js'

answerOnce(({ bytes, name, options }: { bytes: Uint8Array; name: string; options: SheetOptions }) =>
  readSheetBytes(bytes, name, options),
)
