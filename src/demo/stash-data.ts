import type { Form } from '#core/item/form'

/** Makers, all invented. */
export const MAKERS = [
  'Pellwick',
  'Ondrake',
  'Quillfern',
  'Tallowmere',
  'Brindlecot',
  'Harrowfin',
  'Mossgrave & Daughters',
  'Thistlewick',
  'Kitt Larkspur',
  'Zephyrine',
  'Rook & Damson',
]

/** How one category of the demo stash is filled. */
export interface StashCategory {
  readonly categoryId: string
  readonly noun: string
  readonly form: Form
  readonly count: number
  readonly amount: number
  readonly unit: 'g' | 'ml'
  readonly paoMonths: number
  readonly price: readonly [number, number]
  /** About how many uses a full one gives her. */
  readonly capacity: number
  /** How many lie in the drawer at a time. */
  readonly inDrawer: number
  /** Chance that a face on an ordinary wear day has this step. */
  readonly step: number
  readonly shades: readonly (readonly [string, string, ('matte' | 'satin' | 'shimmer' | 'metallic' | 'sheer')?])[]
}

/** The stash by category, in the order of a face. Shades and counts invented. Data table. */
export const STASH: readonly StashCategory[] = [
  { categoryId: 'sunscreen', noun: 'day screen', form: 'tube', count: 6, amount: 50, unit: 'ml', paoMonths: 12, price: [900, 1900], capacity: 90, inDrawer: 2, step: 0.8,
    shades: [['Sun Gate', '#f3ead9'], ['Awning', '#f0e6d2'], ['Window Seat', '#f2ecdf'], ['Parasol', '#efe3cf']] },
  { categoryId: 'primer', noun: 'primer', form: 'tube', count: 9, amount: 30, unit: 'ml', paoMonths: 18, price: [1200, 2800], capacity: 110, inDrawer: 2, step: 0.55,
    shades: [['Low Tide', '#c9d3cf', 'sheer'], ['First Coat', '#e6d9c8'], ['Fog Lamp', '#dfe3e2', 'sheer'], ['Even Keel', '#e2cfc0'], ['Morning Rail', '#e9dccd'], ['Quince Veil', '#d9b489'], ['Chalk Line', '#ece6dd']] },
  { categoryId: 'foundation', noun: 'foundation', form: 'pump', count: 12, amount: 30, unit: 'ml', paoMonths: 18, price: [1800, 4200], capacity: 130, inDrawer: 2, step: 0.8,
    shades: [['Fawn 03', '#d8ab7c'], ['Paper Moth', '#e8c9a6'], ['Oatfield', '#e0b88e'], ['Biscuit Tin', '#d6a878'], ['Lamplight', '#e6c09a'], ['Pale Ale', '#dfb184'], ['Sawdust', '#dcb48a'], ['Husk', '#d9aa7a'], ['Almanac', '#e3bd95']] },
  { categoryId: 'concealer', noun: 'concealer', form: 'wand', count: 11, amount: 6.5, unit: 'ml', paoMonths: 18, price: [900, 2600], capacity: 120, inDrawer: 2, step: 0.7,
    shades: [['Tin Roof', '#dcae80'], ['Barley', '#e7c39d'], ['Night Shift', '#e2b68b'], ['Second Bell', '#e9cba8'], ['Alibi', '#ddb189'], ['Soft Brake', '#e5bf98'], ['Clean Slate', '#ebceab'], ['Curfew', '#dfb58c']] },
  { categoryId: 'setting-powder', noun: 'setting powder', form: 'pressed', count: 10, amount: 9, unit: 'g', paoMonths: 36, price: [1100, 3600], capacity: 190, inDrawer: 2, step: 0.6,
    shades: [['Oat Dust', '#e9d7bd'], ['Halo', '#f0e6d8'], ['Flour Mill', '#efe0cb'], ['Hourglass Sand', '#e7d3b8'], ['Tram Dust', '#e4cdb0'], ['Pillow', '#f2e8dc'], ['Rosin', '#e2c7a2'], ['Quiet Car', '#ecdcc6']] },
  { categoryId: 'bronzer', noun: 'bronzer', form: 'pressed', count: 14, amount: 9.5, unit: 'g', paoMonths: 36, price: [900, 4800], capacity: 320, inDrawer: 2, step: 0.55,
    shades: [['Ember', '#b4754d'], ['Wet Sand', '#c08a5d'], ['Depot Brick', '#a9683f'], ['Honey Rail', '#c6905e'], ['Clay Pipe', '#b5805a'], ['Late Sun', '#bd8350'], ['Terracotta Row', '#ad6c48'], ['Toffee Paper', '#b98458'], ['Brass Polish', '#c29355', 'shimmer'], ['Old Varnish', '#9f6a42'], ['Dune Bus', '#c79a6d'], ['Gingerbread', '#a8703f']] },
  { categoryId: 'blush', noun: 'blush', form: 'pressed', count: 24, amount: 5, unit: 'g', paoMonths: 36, price: [700, 3900], capacity: 360, inDrawer: 3, step: 0.75,
    shades: [['Rust Bloom', '#c7747a'], ['Fig No. 4', '#b4545f'], ['Ticket Pink', '#dd8f95'], ['Encore', '#c9646f'], ['Peach Stone', '#e0a083'], ['Rhubarb', '#d07a86'], ['Cold Cheek', '#cf8191'], ['Stage Left', '#bb5a68'], ['Apricot Bell', '#e3a488'], ['Damson Stick', '#9c4f62'], ['Petticoat', '#e2a7ab'], ['Brick Row', '#bf6b57'], ['Sugar Beet', '#b24a66'], ['Mild Scandal', '#d4707e'], ['Coral Siding', '#de8471', 'satin'], ['Washed Rose', '#cb9596'], ['Copper Kettle', '#bd765a', 'shimmer'], ['Blotter', '#c6868b']] },
  { categoryId: 'highlighter', noun: 'highlighter', form: 'pressed', count: 11, amount: 6, unit: 'g', paoMonths: 36, price: [900, 4200], capacity: 420, inDrawer: 1, step: 0.4,
    shades: [['Wet Stone', '#e0bd9f', 'shimmer'], ['Headlamp', '#f0dcc0', 'shimmer'], ['Tin Whistle', '#dcd3c8', 'metallic'], ['Lantern', '#ecd0a8', 'shimmer'], ['Glass Bell', '#eed9d3', 'shimmer'], ['Polished Rail', '#d9d2cb', 'metallic'], ['Sequin', '#efd9c4', 'shimmer'], ['Moth Wing', '#e7d8c6', 'satin'], ['Frost Line', '#e9e2e0', 'shimmer']] },
  { categoryId: 'brow-pencil', noun: 'brow pencil', form: 'twist-up pencil', count: 11, amount: 0.15, unit: 'g', paoMonths: 24, price: [500, 1900], capacity: 50, inDrawer: 2, step: 0.75,
    shades: [['Marzipan', '#8a6848'], ['Bark', '#6d5440'], ['Rope', '#9a7a58'], ['Cello', '#7b5a3c'], ['Tobacco', '#705236'], ['Sisal', '#a08562']] },
  { categoryId: 'cream-eyeshadow', noun: 'cream shadow', form: 'pot', count: 8, amount: 4, unit: 'g', paoMonths: 18, price: [800, 2600], capacity: 150, inDrawer: 1, step: 0.35,
    shades: [['Slate', '#a08a80', 'satin'], ['Bronze Lamp', '#a87850', 'metallic'], ['Mole', '#8d7668'], ['Rosy Brass', '#c08a6e', 'shimmer'], ['Putty', '#b9a18d'], ['Plum Shadow', '#7d5a66'], ['Cocoa Tin', '#7a5a48']] },
  { categoryId: 'eyeshadow-palette', noun: 'palette', form: 'pressed', count: 11, amount: 9, unit: 'g', paoMonths: 36, price: [1400, 4900], capacity: 500, inDrawer: 1, step: 0.5,
    shades: [['Hedgerow', '#6f7a4e'], ['Timetable', '#8a6b55'], ['Skiffle', '#a25a4a'], ['Tea Chest', '#7a5a3e'], ['Night Tram', '#3c4660'], ['Cobbles', '#8c8580'], ['Harvest Float', '#b07a3e'], ['Wash Day', '#8fa3a8'], ['Footlights', '#b98a52'], ['Rain Check', '#6c7a86']] },
  { categoryId: 'eyeliner', noun: 'eye pencil', form: 'wooden pencil', count: 12, amount: 1.1, unit: 'g', paoMonths: 24, price: [400, 2100], capacity: 160, inDrawer: 2, step: 0.4,
    shades: [['Soot', '#2b2a2c'], ['Peat', '#4a382d'], ['Nettle Tea', '#4d5a40'], ['Indigo Cap', '#333f63'], ['Plum Ink', '#50334a'], ['Graphite', '#4b4e54', 'metallic'], ['Bronze Key', '#7a5a36', 'metallic'], ['Kelp', '#3c4f47'], ['Walnut', '#523b2c']] },
  { categoryId: 'mascara', noun: 'mascara', form: 'wand', count: 14, amount: 9, unit: 'ml', paoMonths: 6, price: [600, 2700], capacity: 70, inDrawer: 1, step: 0.75,
    shades: [['Nettle Lash', '#232325'], ['Long Platform', '#1f1f22'], ['Curtain Call', '#262327'], ['Brown Study', '#3a2a22'], ['Overhead Wire', '#1d1d20'], ['Soft Soot', '#2d2b2c'], ['Last Stop', '#212124'], ['Blue Hour', '#28304a']] },
  { categoryId: 'lipstick', noun: 'lipstick', form: 'bullet', count: 34, amount: 3.5, unit: 'g', paoMonths: 24, price: [600, 3400], capacity: 180, inDrawer: 4, step: 0.55,
    shades: [['Plum Works', '#a04458'], ['Sloe', '#6d2f47'], ['Brake Light', '#b3262f'], ['Washboard', '#b0705f'], ['Bell Cord', '#a8323c'], ['Tea Rose Tin', '#c9808a'], ['Conductor Red', '#9f1f2d'], ['Cobble', '#a0675a'], ['Busker', '#b4544a'], ['Quiet Nude', '#bf8a75'], ['Thimble', '#b27a80'], ['Fuchsia Fuse', '#b82a6c'], ['Old Velvet', '#7c2f3d'], ['Corduroy', '#8a5145'], ['Tangerine Stop', '#d45f3c'], ['Rosehip Jam', '#b8404a'], ['Mulberry Lane', '#7a3550'], ['Barn Door', '#8f3a31'], ['Pink Fare', '#d57a97'], ['Penny', '#ab6a4c', 'metallic'], ['Beetroot', '#8b2346'], ['Toast', '#a9775d'], ['Carnival', '#c23a58'], ['Redcap', '#b52a33'], ['Raisin', '#5f2f3b'], ['Peony Wire', '#c9587a'], ['Sandstone', '#bd8670'], ['Claret Cup', '#7b1f33'], ['Bare Boards', '#b48c78'], ['Magenta Bell', '#a82a63']] },
  { categoryId: 'lip-gloss', noun: 'lip gloss', form: 'wand', count: 14, amount: 5.5, unit: 'ml', paoMonths: 24, price: [500, 2400], capacity: 80, inDrawer: 2, step: 0.35,
    shades: [['Kelp Gloss', '#d9828c', 'sheer'], ['Quay', '#c0614e', 'sheer'], ['Marmalade', '#d98a4a', 'sheer'], ['Rain Cape', '#e3b9bd', 'sheer'], ['Cordial', '#b8485c', 'sheer'], ['Syrup', '#c58a5c', 'sheer'], ['Pear Drop', '#e0a5a0', 'shimmer'], ['Glaze', '#e6c5be', 'sheer'], ['Ribbon', '#cf6a86', 'sheer'], ['Lacquer Box', '#a33844', 'sheer'], ['Berry Tin', '#a2506a', 'sheer'], ['Ice House', '#e3d3d6', 'shimmer']] },
  { categoryId: 'setting-spray', noun: 'setting mist', form: 'spray', count: 7, amount: 100, unit: 'ml', paoMonths: 18, price: [900, 2900], capacity: 150, inDrawer: 2, step: 0.45,
    shades: [['Harbour Mist', '#cfe0e3', 'sheer'], ['Steam Whistle', '#d6e4e6', 'sheer'], ['Dew Point', '#cfe3da', 'sheer'], ['Sea Fret', '#d0dde6', 'sheer'], ['Ironing Day', '#dbe4e8', 'sheer']] },
]

/** Shades of the palettes: name, colour, finish. */
export const PALETTE_SHADES: readonly (readonly [string, string, 'matte' | 'satin' | 'shimmer' | 'metallic'])[] = [
  ['Bark', '#6b4a3c', 'matte'],
  ['Straw', '#cfa377', 'matte'],
  ['Hawthorn', '#8f6a63', 'satin'],
  ['Dog Rose', '#dbb3a4', 'shimmer'],
  ['Moss', '#4c4f3a', 'matte'],
  ['Lichen', '#7d8148', 'shimmer'],
  ['Sloe Black', '#2c2830', 'matte'],
  ['Robin', '#a9765a', 'satin'],
  ['Barley', '#c79a62', 'shimmer'],
  ['Dusk', '#57506b', 'matte'],
  ['Milk', '#e6d6c4', 'matte'],
  ['Copper', '#a8603f', 'metallic'],
]

/** What was thought of things that were finished. */
export const REVIEWS: readonly (readonly ['yes' | 'no' | 'maybe' | 'have a backup' | 'discontinued', string])[] = [
  ['yes', 'Never noticed it, which is the highest praise. Lasted through a double shift.'],
  ['no', 'Fine until half way, then it dried out and I finished it out of stubbornness.'],
  ['maybe', 'Good, but the cheaper one did the same.'],
  ['have a backup', 'My everyday one. The next is in the box.'],
  ['discontinued', 'They stopped making it. Worth using rather than saving.'],
  ['no', 'Too light for me from October to May.'],
  ['yes', 'Survived a gig, two encores and the night tram home.'],
  ['maybe', 'Lovely colour, tiring bottle.'],
]
