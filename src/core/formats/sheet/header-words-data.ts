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
  'pao',
  'expiry',
  'uses',
  'quantity',
  'left',
  'status',
  'ended',
  'finish',
  'swatch',
  'notes',
] as const
export type SheetField = (typeof SHEET_FIELDS)[number]

/**
 * Words that headers use for each meaning, plain lower case without accents, in the languages sheets come in. The order of
 * the fields decides where two phrases of one length fit: "purchase price" is a price. Data table.
 */
export const HEADER_WORDS: readonly (readonly [SheetField, string])[] = [
  [
    'price',
    'price|price paid|cost|paid|msrp|retail|preis|kaufpreis|kosten|prix|precio|coste|prezzo|prijs|pris|preco|cena',
  ],
  [
    'ended',
    'finished on|date finished|finish date|finished date|emptied|emptied on|date emptied|used up on|panned on|end date|ended|' +
      'date used up|leer seit|leer am|aufgebraucht am|beendet|fini le|termine le|terminado el|finito il|op sinds|slut datum',
  ],
  [
    'pao',
    'pao|period after opening|months after opening|after opening|open jar|shelf life months|haltbarkeit nach offnen|' +
      'nach dem offnen|apres ouverture|periode apres ouverture|meses tras apertura|mesi dopo apertura|na opening',
  ],
  [
    'shelf-life',
    'exp pao|pao exp|expiry pao|pao expiry|expiration pao|shelf life|haltbarkeit|duree de vie|vida util|durata|houdbaarheid',
  ],
  [
    'expiry',
    'exp|exp date|expiry|expiry date|expires|expires on|expiration|expiration date|best before|bbe|use by|good until|mhd|' +
      'haltbar bis|ablauf|ablaufdatum|verfallsdatum|peremption|date de peremption|expire le|caducidad|fecha de caducidad|' +
      'scadenza|data di scadenza|houdbaar tot|vervaldatum|utgang|utgangsdatum|validade|waznosc|data waznosci',
  ],
  [
    'opened',
    'opened|open|open date|date opened|opened on|opening date|when opened|first used|first use|in use since|started|' +
      'start date|geoffnet|geoffnet am|angebrochen|offnung|ouvert|ouvert le|date d ouverture|abierto|fecha de apertura|' +
      'aperto|aperto il|data di apertura|geopend|geopend op|oppnad|oppnat|aberto|aberto em|otwarte|data otwarcia',
  ],
  [
    'acquired',
    'purchased|purchase date|date purchased|date of purchase|bought|bought on|date bought|acquired|date acquired|got|' +
      'received|gekauft|gekauft am|kaufdatum|erhalten|achete|achete le|date d achat|comprado|fecha de compra|comprato|' +
      'data di acquisto|gekocht|aankoopdatum|kopt|inkopt|comprado em|kupione|data zakupu',
  ],
  [
    'quantity',
    'quantity|qty|count|how many do i have|number owned|pieces|pcs|menge stuck|anzahl|stuck|quantite|nombre|cantidad|quantita|aantal|' +
      'antal|quantidade|ilosc',
  ],
  [
    'uses',
    'uses|used|how many uses|times used|use count|number of uses|wears|times worn|tally|tallies|usage|pans|benutzt|benutzungen|' +
      'anwendungen|verwendungen|mal benutzt|utilisations|fois utilise|usos|veces usado|utilizzi|usi|gebruikt|keer gebruikt|' +
      'anvandningar|uzycia',
  ],
  [
    'size',
    'size|content|contents|net content|net weight|amount|weight|volume|full size|size oz|inhalt|menge|fullmenge|grosse|' +
      'gewicht|contenu|contenance|taille|poids|tamano|contenido|cantidad neta|formato|peso|inhoud|maat|innehall|storlek|' +
      'tamanho|conteudo|pojemnosc',
  ],
  [
    'status',
    'status|state|in use|finished|empty|used up|condition|zustand|leer|etat|statut|estado|stato|toestand|status quo|stan',
  ],
  [
    'left',
    'left|how much left|how much is left|amount left|content left|percent left|how full|fill level|rest|fullstand|reste',
  ],
  ['finish', 'finish|texture|textur|fini|acabado|finitura|afwerking'],
  ['swatch', 'swatch|hex|hex code|hex colour|hex color|farbcode|couleur hex'],
  [
    'category',
    'category|type|kind|product type|type of product|item type|product category|group|kategorie|art|produktart|typ|' +
      'categorie|type de produit|categoria|tipo|tipo de producto|soort|kategori|rodzaj',
  ],
  [
    'shade',
    'shade|color|colour|shade color|shade colour|shade name|color name|colour name|variant|tone|farbton|farbe|nuance|' +
      'teinte|couleur|tono|color tono|tonalita|colore|kleur|tint|nyans|farg|kulor|cor|odcien|kolor',
  ],
  [
    'maker',
    'brand|brand name|maker|make|company|house|label|manufacturer|marke|hersteller|firma|marque|maison|fabricant|marca|' +
      'fabricante|casa|merk|marke name|marka|markes',
  ],
  [
    'notes',
    'notes|note|comments|comment|remarks|thoughts|review|notiz|notizen|bemerkung|bemerkungen|kommentar|anmerkungen|' +
      'remarques|commentaires|notas|comentarios|observaciones|osservazioni|commenti|opmerkingen|notities|anteckningar|' +
      'kommentarer|uwagi',
  ],
  [
    'name',
    'product|name|item|product name|item name|item description|description|title|produkt|produktname|artikel|bezeichnung|' +
      'produit|nom|nom du produit|producto|nombre del producto|articulo|prodotto|nome|nome prodotto|product naam|naam|' +
      'produktnamn|namn|produto|nazwa|produkt nazwa',
  ],
]
