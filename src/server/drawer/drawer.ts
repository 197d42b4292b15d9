import { fail, ok, type Outcome } from '../failing.js'
import { itemMark } from '#core/words/told'
import { later, type Day } from '#core/calendar/day'
import type { z } from 'zod'
import { seasonOn } from '#core/item/traits'
import { proposeDrawer } from '#core/plan/first-drawer'
import { isSpoiled } from '#core/shelf-life/last-good-day'
import { counted } from '#core/words/counted'
import { listedOf } from '../stock/item-facts.js'
import { type DrawerZone, type ProposalAnswer, EditZone, LayMany, Place, Reorder, TakeOut } from '#contract/today'
import type { Done, Answer } from '../db/journal.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'
import { read, write, type Route } from '../http/routes.js'
import { type Db, preparing } from '../db/query.js'

export function drawerRoutes({ drawer, today, stock }: Context & { drawer: Drawer; stock: Stock }): Route[] {
  return [
    read('/drawer', () => {
      const zones = drawer.zones()
      const placed = zones.flatMap((zone) => zone.itemIds)
      return ok({ today: today(), zones, items: stock.facts(placed, today()).map(listedOf) })
    }),
    read('/drawer/proposal', () => ok(drawer.proposal())),
    write('post', '/drawer/lay-many', 'lay-many', LayMany, (body) => drawer.layMany(body.placements)),
    write('post', '/drawer/place', 'place', Place, (body) =>
      drawer.place(body.placementId, body.itemId, body.zoneId, body.beside),
    ),
    write('post', '/drawer/take-out', 'take-out', TakeOut, (body) => drawer.takeOut(body.itemId, today())),
    write('post', '/drawer/reorder', 'reorder', Reorder, (body) => drawer.reorder(body.zoneId, body.itemIds)),
    write('put', '/zones/:id', 'edit-zone', EditZone, (body, id) => drawer.editZone(id, body)),
  ]
}

const TOO_TALL = 'too tall for the drawer'

export class Drawer {
  readonly #queries

  constructor(private readonly services: Context & { stock: Stock }) {
    this.#queries = drawerQueries(services.db)
  }

  zones(): DrawerZone[] {
    const placed = this.#queries.placed.all()
    return this.#queries.zones.all().map((zone) => {
      const within = placed.filter((row) => row.zone_id === zone.id)
      return {
        ...zone,
        taken: within.reduce((sum, row) => sum + (row.beside === 1 ? 0 : row.slots), 0),
        itemIds: within.map((row) => row.item_id),
      }
    })
  }

  /** Lays an item into a zone, from wherever it was. `zone-full` when its slots do not suffice. */
  place(placementId: string, itemId: string, zoneId: string, beside = false): Answer {
    const today = this.services.today()
    const item = this.services.stock.one(itemId, today)
    if (!item) return fail('unknown-item', { value: itemId })
    if (item.endedOn !== null) return fail('item-ended', { name: itemMark(item) })
    if (item.setAside === 'keepsake') return fail('is-keepsake', { name: itemMark(item) })
    const zone = this.zones().find((each) => each.id === zoneId)
    if (!zone) return fail('unknown-zone', { value: zoneId })
    if (item.placement?.zoneId === zoneId && item.placement.beside === beside)
      return ok({ words: `${itemMark(item)} is in ${zone.name}`, answer: { id: placementId } })
    if (!beside && item.packageStates.includes(TOO_TALL)) return fail('too-tall', { name: itemMark(item) })
    if (!beside && zone.taken + item.slots > zone.slots)
      return fail('zone-full', { zone: zone.name, slots: zone.slots })
    if ((this.#queries.taken.get(placementId)?.n ?? 0) > 0) return fail('id-taken', { value: placementId })
    this.#queries.takeOut.run({ itemId, day: notBefore(today, item.placement?.since) })
    this.#queries.place.run({ id: placementId, itemId, zoneId, day: today, beside: beside ? 1 : 0 })
    this.#queries.setLocation.run({ itemId, location: 'zone', until: null })
    return ok({
      words: `Put ${itemMark(item)} ${beside ? 'beside the drawer' : `in ${zone.name}`}`,
      answer: { id: placementId },
    })
  }

  /** Lays many items in as one change: all of them, or none where one does not fit. */
  layMany(placements: z.output<typeof LayMany>['placements']): Outcome<Done<{ count: number }>> {
    for (const { placementId, itemId, zoneId, beside } of placements) {
      const laid = this.place(placementId, itemId, zoneId, beside)
      if (!laid.ok) return laid
    }
    const { length: count } = placements
    return ok({ words: `Put ${counted(count, 'item')} in the drawer`, answer: { count } })
  }

  /** A drawer to begin with, or what could fill the one there is. */
  proposal(): ProposalAnswer {
    const today = this.services.today()
    const zones = this.zones()
    const present = this.services.stock.facts(this.services.stock.presentIds(), today)
    const there = new Map<string, number>()
    for (const item of present)
      if (item.placement !== null) there.set(item.wornAsId, (there.get(item.wornAsId) ?? 0) + 1)
    const out = present.filter(
      (item) => item.placement === null && item.setAside === null && !item.packageStates.includes(TOO_TALL),
    )
    const ten = this.services.stock.nextTen(today)
    const picks = proposeDrawer(
      out.map((item) => ({
        itemId: item.id,
        categoryId: item.wornAsId,
        zoneId: item.homeZoneId,
        slots: item.slots,
        open: item.lifecycle === 'open',
        spoiled: isSpoiled(item.shelfLife),
        uses: item.uses,
        liking: item.liking,
        shelfLife: item.shelfLife,
        inDrawer: false,
        seasons: item.seasons,
        upNext: ten.get(item.id) ?? null,
      })),
      new Map(zones.map((zone) => [zone.id, zone.slots - zone.taken])),
      { season: seasonOn(today, this.services.settings().hemisphere), today, there },
    )
    const chosen = new Set(picks.map((pick) => pick.itemId))
    return { today, zones, picks, items: out.filter((item) => chosen.has(item.id)).map(listedOf) }
  }

  /** Takes an item out; it rests from then on. */
  takeOut(itemId: string, day: Day, until: Day | null = null): Answer {
    const item = this.services.stock.one(itemId, this.services.today())
    if (!item) return fail('unknown-item', { value: itemId })
    if (item.placement === null) return fail('not-in-drawer')
    // A day before it was laid in can be meant when it ended earlier than it was recorded.
    this.#queries.takeOut.run({ itemId, day: notBefore(day, item.placement.since) })
    this.#queries.setLocation.run({ itemId, location: 'resting', until })
    return ok({ words: `Took ${itemMark(item)} out of the drawer`, answer: { id: itemId } })
  }

  /** Puts the items of a zone into the user's order; ids that do not lie there are ignored. */
  reorder(zoneId: string, itemIds: readonly string[]): Answer {
    const zone = this.zones().find((each) => each.id === zoneId)
    if (!zone) return fail('unknown-zone', { value: zoneId })
    const rest = zone.itemIds.filter((id) => !itemIds.includes(id))
    ;[...itemIds.filter((id) => zone.itemIds.includes(id)), ...rest].forEach((itemId, position) =>
      this.#queries.reposition.run({ itemId, zoneId, position: position + 1 }),
    )
    return ok({ words: `Rearranged ${zone.name}`, answer: { id: zoneId } })
  }

  editZone(id: string, { version, name, slots }: z.output<typeof EditZone>): Answer {
    const zone = this.zones().find((each) => each.id === id)
    if (!zone) return fail('unknown-zone', { value: id })
    if (zone.version !== version) return fail('stale', { current: JSON.stringify(zone) })
    if (slots < zone.taken) return fail('zone-holds-more', { value: slots, zone: zone.name, taken: zone.taken })
    this.#queries.editZone.run({ id, name, slots })
    return ok({ words: `Changed the zone ${name}`, answer: { id } })
  }
}

/** The user's day can move back: the hour it begins is set later, or the user flies west. */
function notBefore(day: Day, since: Day | undefined): Day {
  return since === undefined ? day : later(day, since)
}

export interface ZoneRow {
  id: string
  name: string
  slots: number
  version: number
}

export interface PlacedRow {
  item_id: string
  zone_id: string
  slots: number
  beside: 0 | 1
}

export function drawerQueries(db: Db) {
  const sql = preparing(db)
  return {
    zones: sql<[], ZoneRow>('SELECT id, name, slots, version FROM zone ORDER BY position, id'),
    placed: sql<[], PlacedRow>(`
      SELECT pl.item_id, pl.zone_id, i.slots, pl.beside
        FROM placement pl JOIN item i ON i.id = pl.item_id
       WHERE pl.to_day IS NULL ORDER BY pl.zone_id, pl.position, pl.rowid`),
    place: sql(`
      INSERT INTO placement (id, item_id, zone_id, from_day, beside, position)
      VALUES (@id, @itemId, @zoneId, @day, @beside,
              (SELECT coalesce(max(position), 0) + 1 FROM placement WHERE zone_id = @zoneId AND to_day IS NULL))`),
    taken: sql<[string], { n: number }>('SELECT count(*) AS n FROM placement WHERE id = ?'),
    takeOut: sql<[{ itemId: string; day: Day }]>(
      'UPDATE placement SET to_day = @day WHERE item_id = @itemId AND to_day IS NULL',
    ),
    setLocation: sql<[{ itemId: string; location: string; until: Day | null }]>(
      'UPDATE item SET location = @location, location_until = @until, version = version + 1 WHERE id = @itemId',
    ),
    reposition: sql<[{ itemId: string; zoneId: string; position: number }]>(`
      UPDATE placement SET position = @position WHERE item_id = @itemId AND zone_id = @zoneId AND to_day IS NULL`),
    editZone: sql<[{ id: string; name: string; slots: number }]>(
      'UPDATE zone SET name = @name, slots = @slots, version = version + 1 WHERE id = @id',
    ),
  }
}
