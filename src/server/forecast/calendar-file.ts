import ical, { ICalCalendarMethod, ICalEventTransparency } from 'ical-generator'
import { addDays, addMonths, type Day } from '#core/calendar/day'
import { counted } from '#core/words/counted'
import { callOf } from '#core/item/naming'
import { preparing } from '../db/query.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'
import type { Supplying } from './supplying.js'

/** What lies further back than this is no longer in the calendar. */
const BACK_DAYS = 60
/** Check-ins are a month apart. Common practice, no source. */
const CHECK_IN_MONTHS = 1

interface Entry {
  /** Stays the same for as long as it is about the same item. */
  readonly uid: string
  readonly day: Day
  readonly words: string
  readonly more: string
}

/** Days that the user may want in the user's calendar, as an iCalendar file (RFC 5545): whole days that block no time. */
export function calendarFile(services: Context & { stock: Stock; supplying: Supplying }): string {
  const today = services.today()
  const calendar = ical({
    name: 'Seligo',
    prodId: { company: 'Seligo', product: 'Seligo', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
    ttl: 60 * 60 * 12,
  })
  for (const { uid, day, words, more } of entriesOf(services, today)) {
    if (day < addDays(today, -BACK_DAYS)) continue
    calendar.createEvent({
      id: `${uid}@seligo`,
      start: day,
      end: addDays(day, 1),
      allDay: true,
      summary: words,
      description: more,
      transparency: ICalEventTransparency.TRANSPARENT,
      // When it was made would change the file though nothing else did.
      stamp: `${today}T00:00:00Z`,
    })
  }
  return calendar.toString()
}

function entriesOf(services: Context & { stock: Stock; supplying: Supplying }, today: Day): Entry[] {
  const sql = preparing(services.db)
  const name = (id: string): string => services.stock.names([id]).get(id) ?? 'an item'
  const items = services.stock.facts(services.stock.presentIds(), today)
  const lastGood = items.flatMap((item): Entry[] =>
    item.shelfLife.actOn === null
      ? []
      : [
          {
            uid: `last-good-${item.id}`,
            day: item.shelfLife.actOn,
            words: `Use by: ${callOf(item)}`,
            more: item.eye ? 'Worn at the eye: stop using it after this day.' : '',
          },
        ],
  )
  const trials = sql<[], { id: string; item_id: string; due_on: Day }>(
    'SELECT id, item_id, due_on FROM trial WHERE closed_on IS NULL',
  )
    .all()
    .map(({ id, item_id, due_on }): Entry => ({
      uid: `trial-${id}`,
      day: due_on,
      words: `Trial ends: ${name(item_id)}`,
      more: '',
    }))
  const projects = sql<[], { id: string; name: string; by_day: Day }>(
    'SELECT id, name, by_day FROM project WHERE closed_on IS NULL AND by_day IS NOT NULL',
  )
    .all()
    .map((row): Entry => ({ uid: `project-${row.id}`, day: row.by_day, words: `Project ends: ${row.name}`, more: '' }))
  const last = sql<[], { day: Day | null }>('SELECT max(coalesce(closed_on, started_on)) AS day FROM check_in').get()
    ?.day
  const checkIns: Entry[] = last
    ? [
        {
          uid: 'check-in-next',
          day: addMonths(last, CHECK_IN_MONTHS),
          words: 'Check in',
          more: 'A month after the last one.',
        },
      ]
    : []
  const needs = services.supplying.all().categories.flatMap(({ categoryId, category, need, items: n }): Entry[] =>
    need?.middle
      ? [
          {
            uid: `need-${categoryId}`,
            day: need.middle,
            words: `Something new wanted: ${category}`,
            more: `About then ${counted(n, 'item')} in stock will be used up or no longer good.`,
          },
        ]
      : [],
  )
  return [...lastGood, ...trials, ...projects, ...checkIns, ...needs]
}
