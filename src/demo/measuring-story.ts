import { packageModelOf } from '#core/forecast/form-models'
import { labelGrams, useAmountOf } from '#core/forecast/use-amounts'
import { CATEGORY_DEFAULTS } from '#core/item/category-defaults'
import { eyeMeasureOf, PAN_STAGES } from '#core/item/form'
import { LEVEL_WORDS } from '#core/measure/reading'
import type { PackageEvent } from '#core/measure/package-events'
import { BLANK_FIELDS } from '#core/item/fields-data'
import { ReadingBody } from '#contract/reading'
import type { StepView } from '#contract/check-in'
import type { DemoHouse } from './demo-house.js'
import type { PanPicture } from './draw-pans.js'
import type { ProjectId } from './maren/thing.js'
import type { DemoItem } from './stash.js'

/** Check-ins so many days before today: over what lies in the drawer, then over the project. Data table. */
const BEFORE_PROJECT = [365, 335, 304, 274, 243, 213, 182, 151] as const
const OF_PROJECT = [93, 61, 29] as const
/** What is weighed before there is a project: one thing of each of these that lies in the drawer. */
const WEIGHED_KINDS = [
  'foundation',
  'setting-powder',
  'blush',
  'bronzer',
  'highlighter',
  'lipstick',
  'lip-gloss',
  'setting-spray',
]
const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
]
const SAID = [
  'still glows',
  'as before',
  'a bit bored',
  'getting patchy',
  'finally a dent',
  'the drawer smells of roses now',
]
/** Three scales: the letter scale from the ticket office, the kitchen's, and one for sweets. */
const STEPS = [0.01, 0.1, 0.1, 1] as const
/** What is left of a pan above which it shows a stage, in the order of the stages. Assumption. */
const STAGE_FROM = [0.93, 0.8, 0.58, 0.3, 0.14]
/** How many of the open check-in are looked at on the morning of the demo. */
const BEGUN = 4

/** What happened to packages, so many days before today, to the first of a kind in the drawer. Data table. */
const EVENTS: readonly (readonly [number, string, PackageEvent, { grams?: number; share?: number; words?: string }])[] =
  [
    [330, 'setting-powder', 'spilt', { share: 0.1, words: 'on the tram timetable' }],
    [290, 'bronzer', 'broken', { share: 0.05, words: 'fell off the sink' }],
    [288, 'bronzer', 'repressed', { words: 'with alcohol, dried over night' }],
    [230, 'foundation', 'pump trouble', {}],
    [205, 'setting-spray', 'mister trouble', { words: 'rinsed the nozzle' }],
    [198, 'lipstick', 'cap lost', { words: 'somewhere between Depot and Harbour' }],
    [180, 'lipstick', 'other cap', {}],
    [88, 'primer', 'cut open', {}],
    [18, 'lip-gloss', 'stopper removed', {}],
  ]

/** A year of check-ins, and what happened to packages meanwhile. */
export class MeasuringStory {
  readonly #demo: DemoHouse
  readonly #pictures: readonly PanPicture[]
  #n = 0

  constructor(demo: DemoHouse, pictures: readonly PanPicture[]) {
    this.#demo = demo
    this.#pictures = pictures
  }

  /** The evening of a day, so many days before today. */
  evening(ago: number): void {
    for (const [when, categoryId, kind, more] of EVENTS) if (when === ago) this.#event(categoryId, kind, more)
    if (ago === 228) this.#decant()
    if (ago === 160) this.#depot()
    if (ago === 100) this.#blend()
    if (ago === 70) this.#doubtfulMark()
    if ((BEFORE_PROJECT as readonly number[]).includes(ago)) this.#checkIn('chosen', null)
    if ((OF_PROJECT as readonly number[]).includes(ago)) this.#checkIn('project', null)
  }

  /** The morning of today: one is under way. */
  today(): void {
    this.#checkIn('project', BEGUN)
  }

  #checkIn(over: 'chosen' | 'project', most: number | null): void {
    const demo = this.#demo
    const items =
      over === 'chosen' ? WEIGHED_KINDS.flatMap((kind) => demo.of(kind).find((item) => item.inDrawer) ?? []) : []
    const id = demo.services.newId()
    const [year = '', month = '01'] = demo.day.split('-')
    demo.act('start-check-in', (changeId) =>
      demo.services.checkIns.start({
        changeId,
        id,
        name: `${MONTHS[Number(month) - 1] ?? ''} ${year}`,
        over,
        projectId: over === 'project' ? ('centenary' satisfies ProjectId) : null,
        categoryId: null,
        itemIds: items.map((item) => item.id),
        way: 'item by item',
      }),
    )
    const there = demo.services.checkIns.one(id)
    if (!there.ok) throw new Error(there.failure.code)
    const byItem = new Map(demo.stash.map((item) => [item.id, item]))
    const chosen = there.value.items.slice(0, most ?? undefined)
    chosen.forEach((listed, n) => {
      const item = byItem.get(listed.id)
      const steps = there.value.steps.filter((step) => step.itemId === listed.id)
      // One in nine has to wait: no hands, no light, no time.
      const skips = (n + this.#n) % 9 === 4
      for (const step of steps) if (item) this.#take(id, step, item, skips)
    })
    this.#n += 1
    if (most !== null) return
    const pushed = there.value.items.find(
      (item) => item.goal !== null && ['on pace', 'behind', 'ahead'].includes(item.goal.standing),
    )
    if (pushed)
      demo.act('edit-check-in', (changeId) =>
        demo.services.checkIns.edit(id, {
          changeId,
          version: 1,
          name: there.value.checkIn.name,
          way: 'item by item',
          pushItemId: pushed.id,
        }),
      )
    demo.act('close-check-in', (changeId) => {
      const now = demo.services.checkIns.one(id)
      return demo.services.checkIns.close(id, {
        changeId,
        version: now.ok ? now.value.checkIn.version : 1,
        day: demo.day,
      })
    })
  }

  #take(checkInId: string, step: StepView, item: DemoItem, skips: boolean): void {
    const demo = this.#demo
    const readings = skips ? [] : this.#readings(step, item)
    const words =
      step.measure === 'words' && this.#n % 2 === 0 && !skips
        ? (SAID[(this.#n + step.position) % SAID.length] ?? '')
        : ''
    const nothing = readings.length === 0 && words === ''
    if (step.measure === 'words' && nothing) return
    demo.act('take-step', (changeId) =>
      demo.services.checkIns.take(checkInId, step.id, {
        changeId,
        version: step.version,
        state: nothing ? 'skipped' : 'done',
        words,
        readings,
      }),
    )
  }

  #readings(step: StepView, item: DemoItem): Taken[] {
    const { day } = this.#demo
    const left = Math.max(0.03, this.#demo.leftOf(item))
    const read = (reading: object, partId: string | null = null, pan: PanBody = null): Taken => ({
      id: this.#demo.services.newId(),
      partId,
      reading: ReadingBody.parse({ day, ...reading }),
      pan,
    })
    switch (step.measure) {
      case 'weigh': {
        const grams = grossOf(item, left)
        return grams === null ? [] : [read({ kind: 'gross', ...grams, how: 'scale' })]
      }
      case 'look': {
        if (item.fields.parts.length > 0)
          return item.fields.parts.map((part) =>
            read(
              {
                kind: 'stage',
                stage: stageAt(this.#demo.leftOf(item, part.id)),
              },
              part.id,
            ),
          )
        const measure = eyeMeasureOf(item.fields.form, item.fields.opaque)
        if (measure === 'none') return [read({ kind: 'word', word: wordAt(left), how: 'her word' })]
        return measure === 'pan' ? [] : [read({ kind: measure, value: Math.round(left * 50) / 50, how: 'slider' })]
      }
      case 'photo': {
        if (item.fields.parts.length > 0) return []
        return this.#photographed(item, read) ?? [read({ kind: 'stage', stage: stageAt(left) })]
      }
      case 'words':
        return []
    }
  }

  /** The pan that is photographed each time, with its bare area read off the drawn picture. */
  #photographed(item: DemoItem, read: (reading: object, partId: null, pan: PanBody) => Taken): Taken[] | null {
    const demo = this.#demo
    if (item !== demo.cast.get('photographed')) return null
    const picture = this.#pictures[this.#n - BEFORE_PROJECT.length]
    if (!picture) return null
    const photoId = demo.services.newId()
    demo.act('add-photo', () => demo.services.photos.add(photoId, item.id, demo.day, picture))
    const pan = { id: demo.services.newId(), photoId, ...picture.pan }
    return [read({ kind: 'bare', value: picture.bare, how: 'photo' }, null, pan)]
  }

  #event(categoryId: string, kind: PackageEvent, more: { grams?: number; share?: number; words?: string }): void {
    const demo = this.#demo
    const item = demo.of(categoryId).find((each) => each.inDrawer)
    if (!item || kind === 'gave to a blend' || kind === 'depotted') return
    demo.act('add-event', (changeId) =>
      demo.services.packages.addEvent(item.id, {
        changeId,
        id: demo.services.newId(),
        partId: null,
        checkInId: null,
        day: demo.day,
        kind,
        grams: more.grams ?? null,
        share: more.share ?? null,
        containerId: null,
        words: more.words ?? '',
      }),
    )
  }

  /** The foundation whose pump failed goes into a jar that was kept. */
  #decant(): void {
    const demo = this.#demo
    const item = demo.of('foundation').find((each) => each.inDrawer)
    const jar = demo.services.newId()
    demo.act('add-container', (changeId) =>
      demo.services.packages.addContainer({
        changeId,
        id: jar,
        words: 'Small glass jar with a blue lid',
        form: 'jar',
        grams: 31.4,
        resolution: 0.1,
        itemId: null,
        day: demo.day,
      }),
    )
    demo.act('add-container', (changeId) =>
      demo.services.packages.addContainer({
        changeId,
        id: demo.services.newId(),
        words: 'Empty compact, tin',
        form: 'pressed',
        grams: 22.8,
        resolution: 0.1,
        itemId: null,
        day: demo.day,
      }),
    )
    if (!item) return
    demo.act('add-event', (changeId) =>
      demo.services.packages.addEvent(item.id, {
        changeId,
        id: demo.services.newId(),
        partId: null,
        checkInId: null,
        day: demo.day,
        kind: 'decanted',
        grams: null,
        share: null,
        containerId: jar,
        words: 'the pump gave up',
      }),
    )
  }

  #depot(): void {
    const demo = this.#demo
    const palette = demo
      .of('eyeshadow-palette')
      .find((each) => each.fields.parts.length > 0 && !each.hatBox && demo.restsForGood(each))
    const part = palette?.fields.parts.at(-1)
    if (!palette || !part) return
    demo.act('depot', (changeId) =>
      demo.services.packages.depot(palette.id, {
        changeId,
        id: demo.services.newId(),
        eventId: demo.services.newId(),
        partId: part.id,
        day: demo.day,
        containerId: null,
      }),
    )
  }

  /** Two lipsticks that were never quite right become one that is. */
  #blend(): void {
    const demo = this.#demo
    const pair = demo
      .of('lipstick')
      .filter((each) => !each.hatBox && each.fields.opened.kind === 'range' && demo.restsForGood(each))
      .slice(-2)
    const [one, other] = pair
    if (!one || !other) return
    demo.act('blend', (changeId) =>
      demo.services.packages.blend({
        changeId,
        id: demo.services.newId(),
        day: demo.day,
        containerId: null,
        fields: {
          ...BLANK_FIELDS,
          name: 'Last Tram Home',
          categoryId: 'lipstick',
          form: 'pot',
          colour: '#8c4350',
          usesBefore: 0,
        },
        parents: pair.map((parent, n) => ({
          id: demo.services.newId(),
          itemId: parent.id,
          eventId: demo.services.newId(),
          grams: n === 0 ? 1.2 : 0.8,
          share: n === 0 ? 0.6 : 0.4,
          usedUp: n === 1,
        })),
      }),
    )
    other.ended = true
  }

  #doubtfulMark(): void {
    const demo = this.#demo
    const item = demo.playing('finish by eye')
    if (item.ended) return
    demo.read(item, null, {
      kind: eyeMeasureOf(item.fields.form, item.fields.opaque) === 'length' ? 'length' : 'level',
      value: 0.92,
      day: demo.day,
      doubtful: true,
      note: 'the mark had half worn off',
    })
  }
}

type PanBody = ({ id: string; photoId: string } & PanPicture['pan']) | null
interface Taken {
  id: string
  partId: string | null
  reading: ReturnType<typeof ReadingBody.parse>
  pan: PanBody
}

/** What it weighs with its package, rounded as its scale does; null of what is too light for it. */
function grossOf(item: DemoItem, left: number): { grams: number; resolution: number } | null {
  const type = CATEGORY_DEFAULTS.find((each) => each.id === item.kind.categoryId)?.type ?? 'other'
  const amount = useAmountOf(type, item.fields.form)
  const label = labelGrams(item.fields.content ?? amount.typicalLabel, amount) ?? 5
  const { residue, tau } = packageModelOf(type, item.fields.form)
  // Every package a little different, always the same one.
  const seed = [...item.id].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) % 997, 7)
  const pack = tau * label * (0.85 + (seed % 30) / 100)
  const resolution = STEPS[seed % STEPS.length] ?? 0.1
  const grams = pack + residue * label + label * (1 - residue) * left
  const shown = Math.round(Math.round(grams / resolution) * resolution * 1000) / 1000
  return shown > 0 ? { grams: shown, resolution } : null
}

/** The stage that a pan shows where so much is left. */
export function stageAt(left: number) {
  const at = STAGE_FROM.findIndex((from) => left > from)
  return PAN_STAGES[at < 0 ? 5 : at] ?? 'untouched'
}

function wordAt(left: number) {
  const at = [0.9, 0.65, 0.35, 0.18, 0.08].findIndex((from) => left > from)
  return LEVEL_WORDS[at < 0 ? 5 : at] ?? 'half'
}
