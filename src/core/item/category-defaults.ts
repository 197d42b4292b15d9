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

/** Zones of the active drawer with their slots. Slot counts are an assumption, the user's to change. */
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

/** name, makeup, zone, usual form, model type, where worn, other words. In makeup order. Data table. */
const ROWS: readonly Row[] = [
  [
    'sunscreen',
    0,
    'complexion',
    'tube',
    'sunscreen',
    '',
    'spf|sun cream|sonnenschutz|sonnencreme|sunblock|sun block|creme solaire|protection solaire|protector solar|crema solare|zonnebrand|solskydd',
  ],
  ['primer', 1, 'complexion', 'tube', 'primer', '', 'face primer|base|makeup primer|base de teint|prebase|basis'],
  [
    'foundation',
    1,
    'complexion',
    'pump',
    'liquid foundation',
    '',
    'liquid foundation|grundierung|fond de teint|make up|teint|base de maquillaje|fondotinta|foundation liquid|podklad',
  ],
  [
    'skin tint',
    1,
    'complexion',
    'tube',
    'liquid foundation',
    '',
    'tinted moisturiser|tinted moisturizer|tint|bb cream|cc cream|getonte tagescreme|creme teintee',
  ],
  ['colour corrector', 1, 'concealer-powder', 'wand', 'concealer', '', 'color corrector|corrector'],
  [
    'concealer',
    1,
    'concealer-powder',
    'wand',
    'concealer',
    '',
    'anti cernes|abdeckstift|concealers|correttore|corrector de ojeras|korrektor|correcteur',
  ],
  [
    'cream blush',
    1,
    'cheeks',
    'stick',
    'cream blush',
    '',
    'blush stick|liquid blush|creamy blush|cremerouge|blush creme',
  ],
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
    'powder|face powder|finishing powder|puder|poudre|pressed powder|loose powder|translucent powder|finishing powder|polvos|cipria|poeder',
  ],
  ['powder foundation', 1, 'concealer-powder', 'pressed', 'pressed powder', '', 'foundation powder|puderfoundation'],
  [
    'bronzer',
    1,
    'cheeks',
    'pressed',
    'bronzer',
    '',
    'powder bronzer|bronzing powder|bronzing|bronzepuder|terra abbronzante|polvos bronceadores|bronzeador',
  ],
  ['contour powder', 1, 'cheeks', 'pressed', 'bronzer', '', 'contour|contour palette|sculpting'],
  [
    'blush',
    1,
    'cheeks',
    'pressed',
    'powder blush',
    '',
    'blusher|rouge|powder blush|blush powder|fard a joues|colorete|fard|blos|wangenrouge',
  ],
  [
    'highlighter',
    1,
    'cheeks',
    'pressed',
    'highlighter',
    '',
    'highlight|highlighter powder|highlighting powder|enlumineur|illuminateur|iluminador|illuminante|luminizer',
  ],
  [
    'brow pencil',
    1,
    'brows',
    'twist-up pencil',
    'brow pencil',
    '',
    'eyebrow pencil|augenbrauenstift|eyebrow|brow|brows|crayon sourcils|lapiz de cejas|matita sopracciglia',
  ],
  ['brow gel', 1, 'brows', 'wand', 'brow gel', '', 'eyebrow gel|brow mascara|gel sourcils|augenbrauengel|gel de cejas'],
  ['brow pomade', 1, 'brows', 'pot', 'brow gel', '', ''],
  [
    'eye primer',
    1,
    'eyes',
    'pot',
    'cream blush',
    'eye',
    'eyeshadow primer|eye base|eyelid primer|lid primer|base paupieres',
  ],
  [
    'cream eyeshadow',
    1,
    'eyes',
    'pot',
    'cream blush',
    'eye',
    'liquid eyeshadow|eyeshadow stick|shadow stick|creme lidschatten',
  ],
  [
    'eyeshadow',
    1,
    'eyes',
    'pressed',
    'eyeshadow',
    'eye',
    'eye shadow|shadow|lidschatten|single eyeshadow|eyeshadow single|single shadow|mono eyeshadow|ombre a paupieres|fard a paupieres|sombra|sombra de ojos|ombretto|oogschaduw|ogonskugga|pigment',
  ],
  [
    'eyeshadow palette',
    1,
    'eyes',
    'pressed',
    'eyeshadow',
    'eye',
    'palette|eye palette|lidschattenpalette|shadow palette|palettes|palette yeux|paleta|paleta de sombras|palette ombretti|lidschatten palette',
  ],
  [
    'eyeliner',
    1,
    'eyes',
    'wooden pencil',
    'pencil liner',
    'eye',
    'eyeliner pencil|eye liner|liner|kajal|eye pencil|pencil liner|crayon yeux|khol|kohl|delineador|matita occhi|oogpotlood|lapiz de ojos',
  ],
  [
    'liquid eyeliner',
    1,
    'eyes',
    'wand',
    'liquid liner',
    'eye',
    'felt liner|felt tip liner|gel liner|liquid liner|eye liner liquid',
  ],
  ['mascara', 1, 'eyes', 'wand', 'mascara', 'eye', 'wimperntusche|rimel|mascara de pestanas|tusz do rzes|maskara'],
  [
    'lip balm',
    0,
    'lips',
    'bullet',
    'lip balm',
    'lip',
    'balm|lippenbalsam|lip butter|baume a levres|balsamo labial|burrocacao|lippenpflege|lip care|lippenbalsem',
  ],
  [
    'lip liner',
    1,
    'lips',
    'wooden pencil',
    'lip liner',
    'lip',
    'lipliner|lip pencil|lipliners|konturenstift|crayon a levres|perfilador de labios|matita labbra|lippenkonturenstift',
  ],
  [
    'lipstick',
    1,
    'lips',
    'bullet',
    'lipstick',
    'lip',
    'lippenstift|rouge a levres|lip stick|lipsticks|labial|pintalabios|barra de labios|rossetto|batom|lappstift|rouge levres|pomadka',
  ],
  [
    'liquid lipstick',
    1,
    'lips',
    'wand',
    'gloss',
    'lip',
    'lip stain|lip cream|liquid lip|matte liquid lipstick|lip lacquer|flussiger lippenstift',
  ],
  [
    'lip gloss',
    1,
    'lips',
    'wand',
    'gloss',
    'lip',
    'gloss|lipgloss|gloss a levres|brillo de labios|lucidalabbra|lip glaze|lip shine',
  ],
  ['lip oil', 1, 'lips', 'wand', 'gloss', 'lip', 'huile a levres|lippenol'],
  [
    'setting spray',
    1,
    'extras',
    'spray',
    'setting spray',
    '',
    'fixing spray|setting mist|fixing mist|face mist|makeup spray|spray fixateur|fixierspray|fijador|spray fissante',
  ],
  [
    'fragrance',
    0,
    'extras',
    'spray',
    'fragrance',
    '',
    'perfume|parfum|eau de parfum|eau de toilette|perfumes|edp|edt|cologne|body mist|duft|profumo|fragancia|colonia',
  ],
  [
    'face cream',
    0,
    'extras',
    'jar',
    'face cream',
    '',
    'moisturiser|moisturizer|face moisturizer|day cream|night cream|tagescreme|nachtcreme|gesichtscreme|creme visage|crema facial',
  ],
  ['serum', 0, 'extras', 'dropper', 'face cream', '', 'face serum|ampoule|serum visage'],
  ['toner', 0, 'extras', 'pump', 'face cream', '', 'essence|gesichtswasser|lotion tonique|tonico'],
  ['eye cream', 0, 'extras', 'tube', 'face cream', 'eye', 'augencreme|contour des yeux|contorno de ojos'],
  [
    'remover',
    0,
    'extras',
    'pump',
    'remover',
    '',
    'make-up remover|makeup remover|micellar water|make up remover|eye makeup remover|cleansing balm|cleansing oil|entferner|demaquillant|desmaquillante|struccante',
  ],
  [
    'cleanser',
    0,
    'extras',
    'tube',
    'remover',
    '',
    'face wash|face cleanser|cleansing gel|reiniger|nettoyant|limpiador|detergente viso',
  ],
  ['hand cream', 0, 'extras', 'tube', 'hand cream', '', 'handcreme|creme mains|crema de manos|crema mani'],
  [
    'body',
    0,
    'extras',
    'tube',
    'other',
    '',
    'body lotion|body butter|body cream|body wash|shower gel|bodylotion|korper|corps|cuerpo|corpo',
  ],
  [
    'hair',
    0,
    'extras',
    'pump',
    'other',
    '',
    'shampoo|conditioner|haircare|hair care|hair mask|haare|cheveux|pelo|capelli',
  ],
  [
    'nails',
    0,
    'extras',
    'wand',
    'other',
    '',
    'nail polish|nail|nail varnish|nail lacquer|nagellack|vernis|vernis a ongles|esmalte|smalto',
  ],
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
