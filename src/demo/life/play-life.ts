import { addDays, type Day } from '#core/calendar/day'
import { BLANK_FIELDS } from '#core/item/fields-data'
import type { ReadingBody } from '#contract/reading'
import type { Db } from '#server/db/query'
import type { z } from 'zod'
import { ClockedHouse } from '../clocked-house.js'
import type { LifeEvent, LifeFile, LifeItem, LifeLook } from './life-file.js'

/** Slots of every zone: a life does not say how large its drawer is. */
const ROOMY = 200

/** A life as it is played: what is in the drawer goes through the product's own commands, under a clock moved day by day. */
export class PlayedLife {
  readonly house: ClockedHouse
  /** What was refused, in words: the file says something that the product does not accept. */
  readonly refused: string[] = []
  readonly #life: LifeFile
  readonly #items: ReadonlyMap<string, LifeItem>
  readonly #zones = new Map<string, string>()
  readonly #looks = new Map<number, Set<string>>()
  readonly #stays = new Map<string, string>()
  #next = 0

  constructor(db: Db, life: LifeFile) {
    this.#life = life
    this.#items = new Map(life.items.map((item) => [item.id, item]))
    db.pragma('synchronous = OFF')
    this.house = new ClockedHouse(db, life.start as Day, life.seed)
    const { services } = this.house
    this.house.act('save-settings', () => {
      services.settingsStore.save({ ...services.settings(), plannedWeek: life.week })
      return { ok: true, value: { words: 'Changed the settings', answer: {} } }
    })
    for (const { id, name, version } of services.drawer.zones()) {
      this.house.act('edit-zone', (changeId) => services.drawer.editZone(id, { changeId, version, name, slots: ROOMY }))
    }
  }

  dayOf(number: number): Day {
    return addDays(this.#life.start as Day, number)
  }

  /** Plays what happens before a day; `morning` is called at the start of each day, before anything of it. */
  playUntil(end: number, morning: (day: number, events: readonly LifeEvent[]) => void): void {
    const { events } = this.#life
    for (let day = events[this.#next]?.day ?? end; day < end; day = events[this.#next]?.day ?? end) {
      const last = events.findIndex((each, at) => at >= this.#next && each.day > day)
      const today = events.slice(this.#next, last === -1 ? undefined : last)
      this.turnTo(day)
      morning(day, today)
      for (const event of today) this.#play(event)
      this.#next += today.length
    }
    this.turnTo(end)
  }

  turnTo(day: number): void {
    if (this.house.day === this.dayOf(day)) return
    this.house.day = this.dayOf(day)
    this.house.turnTo('morning')
  }

  #play(event: LifeEvent): void {
    const { services, day } = this.house
    const id = services.newId()
    switch (event.do) {
      case 'add':
        return this.#add(event.item)
      case 'open':
        return this.#try(event, () => services.collection.open(event.item, day))
      case 'drawer in':
        return this.#try(event, () => services.drawer.place(id, event.item, this.#zoneOf(event.item)))
      case 'drawer out':
        return this.#try(event, () => services.drawer.takeOut(event.item, day))
      case 'wear': {
        const look = this.#looks.get(event.of) ?? new Set()
        this.#looks.set(event.of, look)
        for (const item of event.items) look.add(item)
        const itemIds = [...look]
        return this.#try(event, () =>
          services.wearing.setLook({ day: this.dayOf(event.of), itemIds, like: null, words: '' }),
        )
      }
      case 'no makeup':
        return this.#try(event, () => services.wearing.setNoMakeup(this.dayOf(event.of), true))
      case 'away':
        return this.#try(event, (changeId) =>
          services.stretches.addAway({ changeId, id, ...this.#span(event), words: '' }),
        )
      case 'low season':
        return this.#try(event, (changeId) =>
          services.stretches.addLowSeason({
            changeId,
            id,
            from: event.from,
            to: event.to,
            factor: event.share,
            words: '',
          }),
        )
      case 'not written down':
        return this.#try(event, (changeId) =>
          services.wearing.sayOfSilence({ changeId, id, ...this.#span(event), said: 'not written down' }),
        )
      case 'project':
        return this.#try(event, (changeId) => services.projects.add(this.#project(event, changeId)))
      case 'roll in':
        return this.#rollIn(event, id)
      case 'roll out':
        return this.#rollOut(event)
      case 'read':
        return this.#read(event, event.item, event.reading)
      case 'empty':
        return this.#empty(event, id)
      case 'let go':
        return this.#letGo(event, id)
    }
  }

  #try(event: LifeEvent, run: Parameters<ClockedHouse['attempt']>[1]): void {
    const outcome = this.house.attempt(event.do, run)
    if (!outcome.ok) this.refused.push(`day ${event.day}: ${JSON.stringify(event)}: ${outcome.failure.code}`)
  }

  #span({ from, to }: { readonly from: number; readonly to: number }): { earliest: Day; latest: Day } {
    return { earliest: this.dayOf(from), latest: this.dayOf(to) }
  }

  #add(id: string): void {
    const item = this.#items.get(id)
    if (!item) throw new Error(`${id} is added, but nothing is told of it`)
    const { opened } = item
    this.house.act('add-item', (changeId) =>
      this.house.services.collection.add({
        changeId,
        id,
        fields: {
          ...BLANK_FIELDS,
          maker: item.maker,
          name: item.name,
          categoryId: item.category,
          form: item.form,
          content: item.label,
          acquired: item.acquired && this.#span(item.acquired),
          opened: opened.kind === 'range' ? { kind: 'range', ...this.#span(opened), said: '' } : { kind: opened.kind },
          usesBefore: item.usesBefore,
          paoMonths: item.paoMonths,
          priceMinor: item.priceMinor,
          parts: [],
        },
        reading: item.left && this.#reading(item.left),
      }),
    )
  }

  #zoneOf(id: string): string {
    const known = this.#zones.get(id)
    if (known !== undefined) return known
    const found = this.house.services.stock.one(id, this.house.day)?.homeZoneId ?? ''
    this.#zones.set(id, found)
    return found
  }

  #reading(look: LifeLook): z.output<typeof ReadingBody> {
    const beside = { day: this.house.day, how: 'typed', doubtful: false, note: '' } as const
    switch (look.kind) {
      case 'weight':
        return { kind: 'gross', grams: look.grams, resolution: look.step, ...beside }
      case 'level':
        return { kind: 'level', value: look.value, ...beside }
      case 'length':
        return { kind: 'length', value: look.value, mm: null, ofMm: null, ...beside }
      case 'stage':
        return { kind: 'stage', stage: look.stage, ...beside }
    }
  }

  #read(event: LifeEvent, id: string, look: LifeLook): void {
    const { services } = this.house
    this.#try(event, (changeId) =>
      services.measuring.addReading(id, {
        changeId,
        id: services.newId(),
        partId: null,
        checkInId: null,
        pan: null,
        reading: this.#reading(look),
      }),
    )
  }

  #project({ project, by }: Extract<LifeEvent, { do: 'project' }>, changeId: string) {
    const day = this.house.day
    return {
      changeId,
      id: project,
      name: `Project of ${day}`,
      startedOn: day,
      by: this.dayOf(by),
      finishesWanted: null,
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
    } as const
  }

  #rollIn(event: Extract<LifeEvent, { do: 'roll in' }>, stayId: string): void {
    const { services, day } = this.house
    const { goal, guessMonths } = event
    this.#try(event, (changeId) =>
      services.projects.rollIn(event.project, {
        changeId,
        stayId,
        itemId: event.item,
        partId: null,
        beside: false,
        day,
        goal: { ...goal, headStart: 0, by: { kind: 'project' } },
        guess: guessMonths === null ? null : { id: services.newId(), months: guessMonths },
      }),
    )
    this.#stays.set(event.item, stayId)
  }

  /** What she calls met the product may not: then it left unfinished. */
  #rollOut(event: Extract<LifeEvent, { do: 'roll out' }>): void {
    const { services, day } = this.house
    const stayId = this.#stays.get(event.item) ?? ''
    const out = (reason: 'met' | 'left unfinished') => (changeId: string) =>
      services.projects.rollOut(stayId, { changeId, day, reason, words: '' })
    if (!this.house.attempt('roll-out', out(event.why)).ok) this.#try(event, out('left unfinished'))
    this.#stays.delete(event.item)
  }

  #empty(event: Extract<LifeEvent, { do: 'empty' }>, reviewId: string): void {
    const { services, day } = this.house
    const { weighs } = event
    this.#try(event, (changeId) =>
      services.empties.finish(event.item, {
        changeId,
        reviewId,
        day,
        wouldBuyAgain: 'maybe',
        words: '',
        packageGoes: null,
        endedBy: null,
        remained: null,
        did: '',
        forWhom: '',
        dislikes: '',
        againWhy: '',
        replacedBy: '',
        replacedById: null,
        lesson: null,
        empty: weighs === null ? null : { id: services.newId(), state: 'as finished', grams: weighs, resolution: 0.1 },
      }),
    )
  }

  #letGo(event: Extract<LifeEvent, { do: 'let go' }>, verdictId: string): void {
    this.#try(event, (changeId) =>
      this.house.services.decide.giveVerdict({
        changeId,
        verdictId,
        itemId: event.item,
        trialId: null,
        verdict: 'let go',
        reason: '',
        destination: 'bin',
        until: null,
        usedAs: null,
        why: null,
        toWhom: '',
        lesson: null,
        into: null,
        again: null,
      }),
    )
  }
}
