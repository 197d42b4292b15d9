import type { Form } from './form.js'
import type { ModelType } from './model-type.js'

/** A category as it stands in a new collection. Hers to change afterwards. */
export interface CategoryDefault {
  readonly id: string
  readonly name: string
  readonly makeup: boolean
  readonly zone: ZoneId
  readonly form: Form
  readonly type: ModelType
  /** Worn at the eye: shorter lives, and never passed on once used. */
  readonly eye: boolean
  /** Worn on the lips: never passed on once used. */
  readonly lip: boolean
  /** Other words sheets use for it, lower case, without accents. */
  readonly words: readonly string[]
}

export type ZoneId = 'complexion' | 'concealer-powder' | 'cheeks' | 'eyes' | 'brows' | 'lips' | 'extras'

export interface ZoneDefault {
  readonly id: ZoneId
  readonly name: string
  readonly slots: number
}

/** Zones of the active drawer with their slots. Slot counts are an assumption, hers to change. */
export const ZONE_DEFAULTS: readonly ZoneDefault[] = [
  { id: 'complexion', name: 'Complexion', slots: 6 },
  { id: 'concealer-powder', name: 'Concealer & powder', slots: 5 },
  { id: 'cheeks', name: 'Cheeks', slots: 6 },
  { id: 'eyes', name: 'Eyes', slots: 6 },
  { id: 'brows', name: 'Brows', slots: 3 },
  { id: 'lips', name: 'Lips', slots: 6 },
  { id: 'extras', name: 'Extras', slots: 4 },
]

type Row = readonly [string, 0 | 1, ZoneId, Form, ModelType, '' | 'eye' | 'lip', string]

/** name, makeup, zone, usual form, model type, where worn, other words. In the order of a face. Data table. */
const ROWS: readonly Row[] = [
  ['sunscreen', 0, 'complexion', 'tube', 'sunscreen', '', 'spf|sun cream|sonnenschutz|sonnencreme'],
  ['primer', 1, 'complexion', 'tube', 'primer', '', 'face primer|base'],
  ['foundation', 1, 'complexion', 'pump', 'liquid foundation', '', 'liquid foundation|grundierung|fond de teint'],
  ['skin tint', 1, 'complexion', 'tube', 'liquid foundation', '', 'tinted moisturiser|tinted moisturizer'],
  ['colour corrector', 1, 'concealer-powder', 'wand', 'concealer', '', 'color corrector|corrector'],
  ['concealer', 1, 'concealer-powder', 'wand', 'concealer', '', 'anti cernes|abdeckstift'],
  ['cream blush', 1, 'cheeks', 'stick', 'cream blush', '', 'blush stick|liquid blush'],
  ['cream bronzer', 1, 'cheeks', 'stick', 'cream blush', '', 'bronzer stick'],
  ['contour stick', 1, 'cheeks', 'stick', 'cream blush', '', 'cream contour'],
  ['liquid highlighter', 1, 'cheeks', 'pump', 'primer', '', 'illuminator'],
  [
    'setting powder',
    1,
    'concealer-powder',
    'pressed',
    'pressed powder',
    '',
    'powder|face powder|finishing powder|puder|poudre',
  ],
  ['powder foundation', 1, 'concealer-powder', 'pressed', 'pressed powder', '', ''],
  ['bronzer', 1, 'cheeks', 'pressed', 'bronzer', '', 'powder bronzer'],
  ['contour powder', 1, 'cheeks', 'pressed', 'bronzer', '', 'contour'],
  ['blush', 1, 'cheeks', 'pressed', 'powder blush', '', 'blusher|rouge|powder blush'],
  ['highlighter', 1, 'cheeks', 'pressed', 'highlighter', '', 'highlight'],
  ['brow pencil', 1, 'brows', 'twist-up pencil', 'brow pencil', '', 'eyebrow pencil|augenbrauenstift'],
  ['brow gel', 1, 'brows', 'wand', 'brow gel', '', 'eyebrow gel'],
  ['brow pomade', 1, 'brows', 'pot', 'brow gel', '', ''],
  ['eye primer', 1, 'eyes', 'pot', 'cream blush', 'eye', 'eyeshadow primer|eye base'],
  ['cream eyeshadow', 1, 'eyes', 'pot', 'cream blush', 'eye', ''],
  ['eyeshadow', 1, 'eyes', 'pressed', 'eyeshadow', 'eye', 'eye shadow|shadow|lidschatten|single eyeshadow'],
  ['eyeshadow palette', 1, 'eyes', 'pressed', 'eyeshadow', 'eye', 'palette|eye palette|lidschattenpalette'],
  ['eyeliner', 1, 'eyes', 'wooden pencil', 'pencil liner', 'eye', 'eyeliner pencil|eye liner|liner|kajal|eye pencil'],
  ['liquid eyeliner', 1, 'eyes', 'wand', 'liquid liner', 'eye', ''],
  ['mascara', 1, 'eyes', 'wand', 'mascara', 'eye', 'wimperntusche'],
  ['lip balm', 0, 'lips', 'bullet', 'lip balm', 'lip', 'balm|lippenbalsam'],
  ['lip liner', 1, 'lips', 'wooden pencil', 'lip liner', 'lip', 'lipliner|lip pencil'],
  ['lipstick', 1, 'lips', 'bullet', 'lipstick', 'lip', 'lippenstift|rouge a levres|lip stick'],
  ['liquid lipstick', 1, 'lips', 'wand', 'gloss', 'lip', 'lip stain|lip cream'],
  ['lip gloss', 1, 'lips', 'wand', 'gloss', 'lip', 'gloss|lipgloss'],
  ['lip oil', 1, 'lips', 'wand', 'gloss', 'lip', ''],
  ['setting spray', 1, 'extras', 'spray', 'setting spray', '', 'fixing spray|setting mist'],
  ['fragrance', 0, 'extras', 'spray', 'fragrance', '', 'perfume|parfum|eau de parfum|eau de toilette'],
  ['face cream', 0, 'extras', 'jar', 'face cream', '', 'moisturiser|moisturizer'],
  ['serum', 0, 'extras', 'dropper', 'face cream', '', ''],
  ['toner', 0, 'extras', 'pump', 'face cream', '', ''],
  ['eye cream', 0, 'extras', 'tube', 'face cream', 'eye', ''],
  ['remover', 0, 'extras', 'pump', 'remover', '', 'make-up remover|makeup remover|micellar water'],
  ['cleanser', 0, 'extras', 'tube', 'remover', '', 'face wash'],
  ['hand cream', 0, 'extras', 'tube', 'hand cream', '', ''],
  ['body', 0, 'extras', 'tube', 'other', '', 'body lotion|body butter'],
  ['hair', 0, 'extras', 'pump', 'other', '', 'shampoo|conditioner'],
  ['nails', 0, 'extras', 'wand', 'other', '', 'nail polish'],
]

export const CATEGORY_DEFAULTS: readonly CategoryDefault[] = ROWS.map(
  ([name, makeup, zone, form, type, where, words]) => ({
    id: name.replaceAll(' ', '-'),
    name,
    makeup: makeup === 1,
    zone,
    form,
    type,
    eye: where === 'eye',
    lip: where === 'lip',
    words: words === '' ? [] : words.split('|'),
  }),
)
