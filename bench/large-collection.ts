import { addDays, type Day } from '#core/calendar/day'
import { CATEGORY_DEFAULTS } from '#core/item/category-defaults'
import type { Outcome } from '#server/failing'
import { eyeMeasureOf, PAN_STAGES } from '#core/item/form'
import { BLANK_FIELDS } from '#core/item/fields-data'
import { ReadingBody } from '#contract/reading'
import { Random } from '#demo/random'
import { CollectionCommands } from '#server/collection/commands'
import type { Done } from '#server/db/journal'
import { openDatabase } from '#server/db/open-database'
import type { Db } from '#server/db/query'
import { Drawer } from '#server/drawer/drawer'
import { makeServices } from '#server/services'
import { Projects } from '#server/projects/projects'
import { Wearing } from '#server/today/wearing'

export const ITEMS = 2000
export const TALLIES = 100_000
export const YEARS = 10
/** Items a look is chosen from at any time. */
const IN_USE = 60
/** Photos that no list may be slower for. */
const PHOTOS = 3000
/** The check-in that is measured: over all that lies in the drawer. */
export const CHECK_IN = 'bench-check-in'

/**
 * Fills a database with a collection far larger than most, through the server's own commands: every tally is journalled
 * like one of hers. The same seed gives the same collection.
 */
export function buildLarge(file: string, today: Day, say: (words: string) => void): Db {
  const db = openDatabase(file, { appliedAt: `${today}T12:00:00Z` })
  // The file is made in one go; afterwards every write is durable again.
  db.pragma('synchronous = OFF')
  const random = new Random(2000)
  const first = addDays(today, -Math.round(YEARS * 365.25))
  let day = first
  const house = makeServices(db, () => new Date(`${day}T12:00:00`))
  let changes = 0
  const act = <A extends object>(command: string, run: (changeId: string) => Outcome<Done<A>>): boolean => {
    changes += 1
    const changeId = `bench-${changes}`
    return house.journal.run({ changeId, command, body: {} }, () => run(changeId)).ok
  }
  const collection = new CollectionCommands(house)
  const ids = Array.from({ length: ITEMS }, (_, n) => {
    const category = CATEGORY_DEFAULTS[n % CATEGORY_DEFAULTS.length]
    if (!category) throw new Error('no type')
    const id = `thing-${n}`
    const opened = addDays(first, random.whole(-400, 0))
    const isPalette = category.id === 'eyeshadow-palette'
    act('add-item', (changeId) =>
      collection.add({
        changeId,
        id,
        reading: null,
        fields: {
          ...BLANK_FIELDS,
          maker: `Brand ${n % 37}`,
          name: `${category.name} ${n}`,
          shade: `Shade ${n}`,
          categoryId: category.id,
          form: category.form,
          colour: '#b4706f',
          content: { amount: 5, unit: 'g' },
          priceMinor: 1200,
          opened: { kind: 'range', earliest: opened, latest: opened, said: opened },
          paoMonths: 36,
          slots: isPalette ? 2 : 1,
          structure: isPalette ? 'palette' : 'single',
          parts: isPalette
            ? Array.from({ length: 8 }, (_each, at) => ({
                id: `${id}-${at}`,
                name: `Pan ${at + 1}`,
                colour: '#8a6b55',
                finish: 'matte' as const,
                row: Math.floor(at / 4) + 1,
                col: (at % 4) + 1,
                rowSpan: 1,
                colSpan: 1,
                shape: 'square' as const,
                form: null,
              }))
            : [],
        },
      }),
    )
    return id
  })
  say(`${ITEMS} items`)
  layAndPlan()
  look()
  photographAndWeigh()
  const wearing = new Wearing(house)
  const days = Math.round(YEARS * 365.25)
  let tallies = 0
  for (let n = 0; n < days; n += 1, day = addDays(first, n)) {
    const wanted = Math.round(((n + 1) / days) * TALLIES) - tallies
    const from = Math.floor((n / days) * (ITEMS - IN_USE))
    const look = new Set<string>()
    while (look.size < Math.min(wanted, IN_USE)) look.add(ids[from + random.whole(0, IN_USE - 1)] ?? '')
    act('set-face', () => wearing.setLook({ day, itemIds: [...look], like: null, words: `a look of ${look.size}` }))
    tallies += look.size
    if (n % 365 === 0) say(`${tallies} tallies`)
  }
  checkIn()
  db.pragma('synchronous = FULL')
  db.pragma('wal_checkpoint(TRUNCATE)')
  return db

  /** Begun once all that lies in the drawer is there. */
  function checkIn(): void {
    act('start-check-in', (changeId) =>
      house.checkIns.start({
        changeId,
        id: CHECK_IN,
        name: 'Bench',
        over: 'drawer',
        projectId: null,
        categoryId: null,
        itemIds: [],
        way: 'item by item',
      }),
    )
  }

  /** Three thousand photos by their rows, as a house of ten years has them, and two hundred things that are weighed. */
  function photographAndWeigh(): void {
    for (let n = 0; n < PHOTOS; n += 1)
      act('add-photo', (changeId) => {
        db.prepare('INSERT INTO photo (id, item_id, day, width, height, content) VALUES (?, ?, ?, 1600, 1200, ?)').run(
          `f-${changeId}`,
          ids[n % ids.length],
          day,
          `f${n}`,
        )
        return { ok: true, value: { words: 'Added a picture', answer: {} } }
      })
    for (const [n, itemId] of ids.slice(-IN_USE).entries())
      for (let time = 0; time < 12; time += 1)
        act('add-reading', (changeId) =>
          house.measuring.addReading(itemId, {
            changeId,
            id: `g-${changeId}`,
            partId: null,
            checkInId: null,
            pan: null,
            reading: ReadingBody.parse({ kind: 'gross', grams: 60 + (n % 40) - time / 5, resolution: 0.1, day }),
          }),
        )
  }

  /** How much is left, by eye, of most things, some of them twice. */
  function look(): void {
    ids.forEach((itemId, n) => {
      const category = CATEGORY_DEFAULTS[n % CATEGORY_DEFAULTS.length]
      const measure = category ? eyeMeasureOf(category.form, false) : 'none'
      if (measure === 'none' || category?.id === 'eyeshadow-palette') return
      for (let time = 0; time < 1 + (n % 3); time += 1)
        act('add-reading', (changeId) =>
          house.measuring.addReading(itemId, {
            changeId,
            id: `m-${changeId}`,
            partId: null,
            checkInId: null,
            pan: null,
            reading: ReadingBody.parse(
              measure === 'pan'
                ? { kind: 'stage', stage: PAN_STAGES[(n + time) % 6] ?? 'dip', day }
                : { kind: measure, value: 0.9 - time / 4, day },
            ),
          }),
        )
    })
  }

  function layAndPlan(): void {
    const drawer = new Drawer(house)
    const recent = ids.slice(-IN_USE)
    for (const itemId of recent)
      act('place', (changeId) => {
        const zone = drawer.zones().find((each) => each.taken < each.slots)
        return drawer.place(`pl-${changeId}`, itemId, zone?.id ?? 'extras')
      })
    const projects = new Projects(house)
    act('add-project', (changeId) =>
      projects.add({
        changeId,
        id: 'bench',
        name: 'Twelve of many',
        startedOn: day,
        by: null,
        finishesWanted: 12,
        rules: '',
        shape: 'rolling',
        atLeast: null,
        mostItems: null,
        replacing: 'as I feel',
        breakDays: null,
        leavingAllowed: true,
        theme: null,
        categoryId: null,
        usesEach: null,
        atOnce: null,
        paletteId: null,
      }),
    )
    for (const itemId of recent.slice(0, 12))
      act('roll-in', (changeId) =>
        projects.rollIn('bench', {
          changeId,
          stayId: `stay-${changeId}`,
          itemId,
          partId: null,
          beside: false,
          day,
          goal: { kind: 'uses', target: 50, headStart: 0, by: { kind: 'none' } },
          guess: null,
        }),
      )
  }
}
