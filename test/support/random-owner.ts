import { addDays, type Day } from '#core/calendar/day'
import { Random } from '#demo/random'
import { uuidOf } from '#demo/random'
import { ACT_NAMES, ACTS } from './random-acts-data'
import { shadeFields } from './fields'
import { FIELDS, TODAY, type Answer, type TestHouse } from './test-house'

const CATEGORIES = ['blush', 'lipstick', 'mascara', 'eyeshadow-palette', 'sunscreen', 'primer'] as const
const FORM_OF = {
  blush: 'pressed',
  lipstick: 'bullet',
  mascara: 'wand',
  'eyeshadow-palette': 'pressed',
  sunscreen: 'tube',
  primer: 'tube',
} as const

const NO_ANSWER: Answer = { status: 0, type: '', headers: new Headers(), body: null }

/** Does everything that can be done, at random but with ids as the pages make them; what is refused is part of it. */
export class RandomOwner {
  readonly random: Random
  readonly items: string[] = []
  readonly changes: string[] = []
  readonly #projects: string[] = []
  readonly #stays: string[] = []
  readonly #made: Record<string, string[]> = {}

  constructor(
    readonly house: TestHouse,
    seed: number,
    /** Acts that were taken at least once, in this run or those before. */
    readonly worked: Set<string> = new Set(),
  ) {
    this.random = new Random(seed)
  }

  /** One act, by its name and with its answer. */
  async act(): Promise<{ name: string; answer: Answer }> {
    // What has never worked out yet is tried more often, so that all of it comes about.
    const rare = Object.keys(ACTS).filter((each) => !this.worked.has(each))
    const name = this.random.pick(rare.length > 0 && this.random.chance(0.4) ? rare : ACT_NAMES)
    const answer = (await ACTS[name]?.(this)) ?? NO_ANSWER
    if (answer.status === 200) this.worked.add(name)
    const change = answer.body?.change as { id: string; changed: boolean } | undefined
    if (answer.status === 200 && change?.changed === true) this.changes.push(change.id)
    return { name, answer }
  }

  id(): string {
    return uuidOf(this.random)
  }

  make(kind: string): string {
    const id = this.id()
    ;(this.#made[kind] ??= []).push(id)
    return id
  }

  of(kind: string): string {
    const made = this.#made[kind] ?? []
    return made.length === 0 ? 'none' : this.random.pick(made)
  }

  /** The id of a row that is there, whoever made it. */
  row(
    table:
      | 'measurement'
      | 'item_event'
      | 'check_in'
      | 'look_span'
      | 'ask'
      | 'kept_container'
      | 'package_weight'
      | 'guess'
      | 'wear_less'
      | 'photo'
      | 'target'
      | 'wish'
      | 'buying_rule'
      | 'lesson'
      | 'plan_break',
  ): string {
    const rows = this.house.db.prepare<[], { id: string }>(`SELECT id FROM ${table} ORDER BY rowid`).all()
    return rows.length === 0 ? 'none' : this.random.pick(rows).id
  }

  item(): string {
    return this.items.length === 0 ? 'none' : this.random.pick(this.items)
  }

  /** Something with shades, where there is one. */
  async palette(): Promise<string> {
    const items = await this.house.listed()
    const found = items.filter((each) => each.parts.length > 0).map((each) => each.id)
    return this.random.pick([...found, 'none'])
  }

  day(back = 40): Day {
    return addDays(TODAY, -this.random.whole(0, back))
  }

  // An answer as it comes: each act looks for what it needs of it.
  async shown(id: string): Promise<Answer['body']> {
    return (await this.house.get(`/items/${id}`)).body.item ?? null
  }

  fields(): Record<string, unknown> {
    const categoryId = this.random.pick(CATEGORIES)
    const palette = categoryId === 'eyeshadow-palette'
    const part = (n: number) => shadeFields(this.id(), `Pan ${n}`, n)
    return {
      ...FIELDS,
      // Few names, so that backups of one product come about.
      name: `Thing ${this.random.whole(1, 4)}`,
      shade: '',
      categoryId,
      form: FORM_OF[categoryId],
      slots: this.random.whole(1, 2),
      opened: this.random.chance(0.5) ? { kind: 'unopened' } : { kind: 'unknown' },
      acquired: this.random.chance(0.3) ? { earliest: this.day(60), latest: TODAY } : null,
      usesBefore: this.random.chance(0.3) ? this.random.whole(0, 3) : null,
      parts: palette ? [part(1), part(2)] : [],
      structure: palette ? 'palette' : 'single',
    }
  }

  project(): string {
    return this.#projects.length === 0 ? 'none' : this.random.pick(this.#projects)
  }

  newProject(): string {
    const id = this.id()
    this.#projects.push(id)
    return id
  }

  /** A stay, most of the time one that is still open. */
  async stay(): Promise<string> {
    const { projects } = (await this.house.get('/projects')).body as {
      projects: { stays: { stayId: string; rolledOut: string | null }[] }[]
    }
    const open = projects.flatMap((each) => each.stays).filter((each) => each.rolledOut === null)
    const from = open.length > 0 && this.random.chance(0.8) ? open.map((each) => each.stayId) : [...this.#stays, 'none']
    return this.random.pick(from)
  }

  /** Two items that could be one. */
  async alike(): Promise<[string, string]> {
    const items = await this.house.listed()
    const plain = items.filter((each) => each.parts.length === 0).map((each) => each.id)
    return plain.length < 2 ? ['none', 'none'] : [this.random.pick(plain), this.random.pick(plain)]
  }

  /** Things to begin with, worn over some weeks with a silent stretch between them. */
  async begin(): Promise<void> {
    for (let n = 0; n < 6; n += 1) await ACTS['add']?.(this)
    await ACTS['project']?.(this)
    for (const ago of [50, 49, 47, 46, 20, 18, 15, 12, 9, 6, 3, 1])
      await this.house.post('/wear', { itemId: this.items[0], day: addDays(TODAY, -ago), worn: true, despite: true })
  }

  newStay(): string {
    const id = this.id()
    this.#stays.push(id)
    return id
  }

  goal(): object {
    const kind = this.random.pick(['uses', 'finish', 'hit pan', 'keep using'])
    return {
      kind,
      target: kind === 'uses' ? this.random.whole(2, 9) : null,
      headStart: 0,
      by: { kind: this.random.pick(['none', 'none', 'project']) },
    }
  }
}
