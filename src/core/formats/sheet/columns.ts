/** What a column of a sheet can mean. */
export const SHEET_FIELDS = [
  'maker',
  'name',
  'shade',
  'category',
  'size',
  'price',
  'acquired',
  'opened',
  'shelf-life',
  'uses',
  'notes',
] as const
export type SheetField = (typeof SHEET_FIELDS)[number]

/** Words that headers use for each meaning, plain lower case. Data table. */
const HEADER_WORDS: Readonly<Record<SheetField, readonly string[]>> = {
  maker: ['brand', 'maker', 'make', 'company', 'house', 'marke', 'hersteller', 'marque', 'marca'],
  name: ['product', 'name', 'item', 'product name', 'produkt', 'artikel', 'produit', 'producto'],
  shade: ['shade', 'color', 'colour', 'shade color', 'shade colour', 'farbton', 'farbe', 'nuance', 'teinte', 'tono'],
  category: ['category', 'type', 'kind', 'product type', 'kategorie', 'art', 'categorie', 'categoria'],
  size: ['size', 'content', 'net content', 'amount', 'weight', 'volume', 'inhalt', 'menge', 'contenu', 'grosse'],
  price: ['price', 'cost', 'paid', 'preis', 'kosten', 'prix', 'precio'],
  acquired: ['purchased', 'bought', 'acquired', 'purchase date', 'date bought', 'gekauft', 'achete', 'comprado'],
  opened: ['opened', 'open', 'date opened', 'opened on', 'geoffnet', 'ouvert', 'abierto'],
  'shelf-life': [
    'exp pao',
    'pao exp',
    'pao',
    'exp',
    'expiry',
    'expires',
    'expiration',
    'best before',
    'use by',
    'shelf life',
    'haltbarkeit',
    'haltbar bis',
    'peremption',
    'caducidad',
  ],
  uses: [
    'uses',
    'used',
    'times used',
    'wears',
    'tally',
    'benutzt',
    'benutzungen',
    'anwendungen',
    'utilisations',
    'usos',
  ],
  notes: ['notes', 'note', 'comments', 'remarks', 'notiz', 'notizen', 'bemerkung', 'remarques', 'notas'],
}

/** One meaning per column, `null` where none is recognised. A meaning is given once, to the first column that has it. */
export function meaningsOf(headers: readonly string[]): (SheetField | null)[] {
  const taken = new Set<SheetField>()
  return headers.map((header) => {
    const field = meaningOf(header)
    if (field === null || taken.has(field)) return null
    taken.add(field)
    return field
  })
}

function meaningOf(header: string): SheetField | null {
  const plain = plainWords(header.replace(/\(.*?\)/g, ' '))
  const entries = Object.entries(HEADER_WORDS) as [SheetField, readonly string[]][]
  const exact = entries.find(([, words]) => words.includes(plain))
  return exact?.[0] ?? null
}

/** Lower case, without accents and signs, single blanks: for comparing what people type. */
export function plainWords(text: string): string {
  return text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replaceAll('ø', 'o')
    .replaceAll('Ø', 'o')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()
}
