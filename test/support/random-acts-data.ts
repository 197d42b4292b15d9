import { addDays } from '#core/calendar/day'
import { DECISIONS } from './random-decisions'
import { LOOKING } from './random-looking'
import { PLANS } from './random-plans'
import type { RandomOwner } from './random-owner'
import { TODAY, type Answer } from './test-house'

type Act = (owner: RandomOwner) => Promise<Answer> | Answer

const ZONES = ['cheeks', 'lips', 'brows'] as const
const rules = (o: RandomOwner): object => ({
  name: 'P',
  startedOn: o.day(50),
  by: o.random.chance(0.6) ? addDays(TODAY, 30) : null,
  finishesWanted: null,
  rules: '',
  mostItems: o.random.chance(0.3) ? 3 : null,
})
/** What is kept of a reading off a photo. */
const PAN = {
  shape: 'round',
  handles: [
    [10, 0],
    [20, 10],
    [10, 20],
    [0, 10],
  ],
  powderTaps: [[10, 2]],
  metalTaps: [[10, 10]],
  mask: '',
  method: 'by hand',
}
const SETTINGS = {
  currency: 'EUR',
  rollOverHour: 4,
  units: 'metric',
  scaleStep: 0.1,
  scaleCapacity: null,
  leaning: 'joy',
  hemisphere: 'north',
}

const openSeasonChange = async (o: RandomOwner): Promise<string> =>
  (await o.house.get('/laying')).body.seasonChange?.id ?? 'none'

/** Every command of the house by a name, as a page would send it. Data table. */
export const ACTS: Readonly<Record<string, Act>> = {
  ...DECISIONS,
  ...PLANS,
  ...LOOKING,
  swatches: async (o) => {
    const itemId = o.item()
    const [part] = (await o.shown(itemId))?.parts ?? []
    const partId = part !== undefined && o.random.chance(0.5) ? part.id : null
    return o.house.post('/swatches', { swatches: [{ itemId, partId, colour: '#b4706f' }] })
  },
  'lay many': (o) =>
    o.house.post('/drawer/lay-many', {
      placements: [...new Set([o.item(), o.item()])].map((itemId) => ({
        placementId: o.id(),
        itemId,
        zoneId: o.random.pick(ZONES),
      })),
    }),
  add: (o) => {
    const id = o.id()
    o.items.push(id)
    const reading = o.random.chance(0.2) ? { kind: 'stage', stage: 'dip', day: TODAY } : null
    return o.house.post('/items', { id, fields: o.fields(), reading })
  },
  edit: async (o) => {
    const id = o.item()
    const there = await o.shown(id)
    const parts =
      there?.parts.map(
        ({ reading: _, uses: __, finishedOn: ___, guess: ____, depottedOn: _____, ...part }: Record<string, unknown>) =>
          part,
      ) ?? []
    return o.house.put(`/items/${id}`, { version: there?.version ?? 1, fields: { ...o.fields(), parts } })
  },
  wear: async (o) => {
    const itemId = o.item()
    const parts = (await o.shown(itemId))?.parts ?? []
    const partIds = parts.length > 0 && o.random.chance(0.6) ? [parts[0].id] : []
    return o.house.post('/wear', {
      itemId,
      day: o.day(),
      worn: o.random.chance(0.8),
      partIds,
      despite: o.random.chance(0.2),
    })
  },
  untick: (o) => o.house.post('/wear', { itemId: o.item(), day: o.day(6), worn: false }),
  look: (o) =>
    o.house.post('/face', {
      day: o.day(5),
      itemIds: [...new Set([o.item(), o.item()])],
      like: o.random.chance(0.5) ? { kind: 'day', day: o.day(5) } : null,
    }),
  details: (o) =>
    o.house.post('/wear-details', {
      itemId: o.item(),
      day: o.day(4),
      usedAs: o.random.chance(0.5) ? 'blush' : null,
      amount: null,
      amountUnit: null,
      felt: '',
    }),
  mix: async (o) => {
    const day = o.day(3)
    const { worn } = (await o.house.get(`/today?day=${day}`)).body as { worn: { itemId: string }[] }
    const ids = [...new Set([...worn.map((each) => each.itemId), o.item(), o.item()])].slice(0, 2)
    for (const itemId of ids) if (o.random.chance(0.8)) await o.house.post('/wear', { itemId, day, worn: true })
    return o.house.post('/mix', { mixId: o.make('mix'), day, itemIds: ids, ratio: '1 to 1' })
  },
  sheet: (o) =>
    o.house.post('/tally-sheet', {
      rows: [{ itemId: o.item(), days: [o.day(), o.day()] }],
      despite: o.random.chance(0.3),
    }),
  'no makeup': (o) => o.house.post('/no-makeup', { day: o.day(8), noMakeup: o.random.chance(0.7) }),
  silence: async (o) => {
    const { silence } = (await o.house.get('/today')).body
    const said = o.random.pick(['no makeup', 'not written down'])
    return o.house.post('/silence', {
      id: o.id(),
      ...(silence ?? { earliest: '2026-10-01', latest: '2026-10-02' }),
      said,
    })
  },
  conditions: (o) =>
    o.house.post('/day', {
      day: o.day(),
      set: o.random.chance(0.5) ? { skin: 'dry' } : { note: `n${o.random.whole(1, 9)}` },
      was: { skin: null, note: null },
    }),
  'put back': (o) => o.house.post('/put-back', { itemId: o.item(), day: o.day(3), putBack: o.random.chance(0.7) }),
  'not today': (o) => o.house.post('/not-today', { itemId: o.item(), day: TODAY, notToday: o.random.chance(0.7) }),
  'save face': (o) =>
    o.house.post('/saved-faces', { id: o.make('face'), day: o.day(3), name: 'f', occasion: '', itemIds: [o.item()] }),
  'drop face': (o) => o.house.post(`/saved-faces/${o.of('face')}/drop`, {}),
  read: async (o) => {
    const id = o.item()
    const part = (await o.shown(id))?.parts[0]?.id ?? null
    const stage = o.random.pick(['dip', 'first pan', 'half bare'])
    return o.house.post(`/items/${id}/readings`, {
      id: o.id(),
      partId: part,
      reading: { kind: 'stage', stage, day: o.day() },
    })
  },
  weigh: (o) =>
    o.house.post(`/items/${o.item()}/readings`, {
      id: o.id(),
      partId: null,
      reading: { kind: 'gross', grams: o.random.whole(200, 600) / 10, resolution: 0.1, day: o.day(30) },
    }),
  'correct a reading': async (o) => {
    const id = o.row('measurement')
    const row = o.house.db
      .prepare<[string], { version: number }>('SELECT version FROM measurement WHERE id = ?')
      .get(id)
    return o.house.put(`/readings/${id}`, {
      version: row?.version ?? 1,
      reading: {
        kind: 'gross',
        grams: o.random.whole(200, 600) / 10,
        resolution: 1,
        day: o.day(20),
        doubtful: o.random.chance(0.2),
      },
    })
  },
  'drop a reading': (o) => o.house.post(`/readings/${o.row('measurement')}/drop`, {}),
  'say why': (o) =>
    o.house.post(`/readings/${o.row('measurement')}/cause`, {
      cause: o.random.pick(['typing', 'repressed', 'other package', 'none of these']),
      eventId: o.id(),
    }),
  'read off a photo': async (o) => {
    const photoId = o.row('photo')
    const row = o.house.db.prepare<[string], { item_id: string }>('SELECT item_id FROM photo WHERE id = ?').get(photoId)
    const itemId = row?.item_id ?? o.item()
    const partId = (await o.shown(itemId))?.parts[0]?.id ?? null
    return o.house.post(`/items/${itemId}/readings`, {
      id: o.id(),
      partId,
      reading: { kind: 'bare', value: o.random.whole(0, 60) / 100, how: 'photo', day: o.day(5) },
      pan: { id: o.id(), photoId, ...PAN },
    })
  },
  'weigh a package': (o) =>
    o.house.post(`/items/${o.item()}/package-weights`, {
      id: o.id(),
      state: o.random.pick(['cleaned', 'as finished', 'full']),
      grams: 22.4,
      resolution: 0.1,
      day: o.day(9),
    }),
  'drop a weight': (o) => o.house.post(`/package-weights/${o.row('package_weight')}/drop`, {}),
  happened: (o) => {
    const kind = o.random.pick(['repressed', 'decanted', 'spilt', 'cut open', 'cap lost', 'other cap'])
    return o.house.post(`/items/${o.item()}/events`, {
      id: o.id(),
      partId: null,
      day: o.day(20),
      kind,
      grams: null,
      share: kind === 'spilt' ? 0.25 : null,
      containerId: kind === 'decanted' && o.random.chance(0.7) ? o.row('kept_container') : null,
      words: '',
    })
  },
  'drop an event': (o) => o.house.post(`/events/${o.row('item_event')}/drop`, {}),
  blend: (o) => {
    const id = o.id()
    o.items.push(id)
    return o.house.post('/blends', {
      id,
      day: o.day(6),
      fields: { ...o.fields(), name: 'Blend', parts: [], structure: 'single' },
      parents: [...new Set([o.item(), o.item()])].map((itemId) => ({
        id: o.id(),
        itemId,
        eventId: o.id(),
        grams: null,
        share: 0.5,
        usedUp: o.random.chance(0.3),
      })),
      containerId: o.random.chance(0.3) ? o.row('kept_container') : null,
    })
  },
  depot: async (o) => {
    const itemId = await o.palette()
    const part = o.random.pick([...((await o.shown(itemId))?.parts ?? []), { id: 'none' }])
    const id = o.id()
    o.items.push(id)
    return o.house.post(`/items/${itemId}/depot`, {
      id,
      eventId: o.id(),
      partId: part.id,
      day: o.day(4),
      containerId: null,
    })
  },
  'finish a shade': async (o) => {
    const part = o.random.pick([...((await o.shown(await o.palette()))?.parts ?? []), { id: 'none' }])
    return o.house.post(`/parts/${part.id}/finish`, { day: o.day(2) })
  },
  'keep a container': (o) =>
    o.house.post('/containers', {
      id: o.id(),
      words: 'Jar',
      form: 'jar',
      grams: o.random.chance(0.5) ? 31.4 : null,
      resolution: 0.1,
      itemId: o.random.chance(0.5) ? o.item() : null,
      day: o.day(9),
    }),
  'change a container': async (o) => {
    const id = o.row('kept_container')
    const { containers } = (await o.house.get('/containers')).body
    const version = containers.find((each: { id: string }) => each.id === id)?.version ?? 1
    return o.house.put(`/containers/${id}`, { version, words: 'Tin', form: 'pressed', grams: 20, resolution: 0.1 })
  },
  'let a container go': (o) => o.house.post(`/containers/${o.row('kept_container')}/gone`, { day: TODAY }),
  'check in': (o) => {
    const over = o.random.pick(['project', 'drawer', 'category', 'chosen'])
    return o.house.post('/check-ins', {
      id: o.id(),
      name: 'A month',
      over,
      projectId: over === 'project' ? o.project() : null,
      categoryId: over === 'category' ? 'blush' : null,
      itemIds: over === 'chosen' ? [o.item()] : [],
      way: 'item by item',
    })
  },
  'take a step': async (o) => {
    const id = o.row('check_in')
    const { steps = [] } = (await o.house.get(`/check-ins/${id}`)).body
    const step = o.random.pick([...steps, { id: 'none', version: 1, measure: 'weigh' }])
    const weighs = step.measure === 'weigh' && o.random.chance(0.8)
    return o.house.post(`/check-ins/${id}/steps/${step.id}`, {
      version: o.random.chance(0.9) ? step.version : 77,
      state: o.random.pick(['done', 'done', 'skipped', 'asked']),
      words: step.measure === 'words' ? 'as before' : '',
      readings: weighs
        ? [{ id: o.id(), partId: null, reading: { kind: 'gross', grams: 33, resolution: 0.1, day: TODAY } }]
        : [],
    })
  },
  'change a check-in': async (o) => {
    const id = o.row('check_in')
    const { checkIn, items = [] } = (await o.house.get(`/check-ins/${id}`)).body
    const push = o.random.pick([...items, { id: 'none' }])
    return o.house.put(`/check-ins/${id}`, {
      version: checkIn?.version ?? 1,
      name: 'Another month',
      way: 'measure by measure',
      pushItemId: o.random.chance(0.5) ? push.id : null,
    })
  },
  'close a check-in': async (o) => {
    const id = o.row('check_in')
    const { checkIn, steps = [] } = (await o.house.get(`/check-ins/${id}`)).body
    const step = steps.find((each: { measure: string }) => each.measure === 'weigh')
    if (step)
      await o.house.post(`/check-ins/${id}/steps/${step.id}`, {
        version: step.version,
        state: 'done',
        readings: [{ id: o.id(), partId: null, reading: { kind: 'gross', grams: 31, resolution: 0.1, day: TODAY } }],
      })
    return o.house.post(`/check-ins/${id}/close`, { version: checkIn?.version ?? 1, day: TODAY })
  },
  'give a check-in up': (o) => o.house.post(`/check-ins/${o.row('check_in')}/drop`, {}),
  sign: (o) => o.house.post(`/items/${o.item()}/sign`, { day: TODAY, words: 'smells' }),
  open: (o) => o.house.post(`/items/${o.item()}/open`, { day: o.day(10) }),
  openings: (o) => {
    const opened = o.random.pick([
      { kind: 'range', earliest: '2025-01-01', latest: '2025-12-31', said: '2025' },
      { kind: 'unopened' },
      { kind: 'unknown' },
    ])
    return o.house.post('/openings', { answers: [{ itemId: o.item(), opened }] })
  },
  'edit many': (o) =>
    o.house.post('/edit-many', {
      itemIds: [...new Set([o.item(), o.item()])],
      set: o.random.chance(0.5)
        ? { liking: o.random.whole(1, 5) }
        : { usedAs: o.random.pick(['sunscreen', 'blush', null]) },
    }),
  pair: (o) =>
    o.house.post(`/items/${o.item()}/pairs`, {
      id: o.make('pair'),
      otherItemId: o.item(),
      verdict: o.random.pick(['works', 'fights']),
      itemAmount: null,
      otherAmount: null,
      amountUnit: null,
      words: '',
    }),
  'drop pair': (o) => o.house.post(`/pairs/${o.of('pair')}/drop`, {}),
  put: (o) =>
    o.house.post(`/items/${o.item()}/put`, {
      location: o.random.pick(['resting', 'handbag', 'season box']),
      until: null,
    }),
  'delete item': async (o) => o.house.post(`/items/${o.item()}/delete`, {}),
  merge: async (o) => {
    const [keepId, drop] = await o.alike()
    return o.house.post('/merge', { keepId, dropIds: [drop] })
  },
  category: (o) =>
    o.house.post('/categories', {
      id: o.make('category'),
      name: `Own ${o.random.whole(1, 3)}`,
      makeup: o.random.chance(0.5),
      zoneId: 'lips',
      usualForm: 'wand',
      modelType: 'gloss',
      eye: false,
      lip: true,
    }),
  'edit category': (o) =>
    o.house.put(`/categories/${o.random.pick(['blush', 'primer', o.of('category')])}`, {
      name: `Kind ${o.random.whole(1, 3)}`,
      makeup: o.random.chance(0.7),
      zoneId: 'cheeks',
      usualForm: 'pressed',
      modelType: 'powder blush',
      eye: false,
      lip: false,
    }),
  place: (o) =>
    o.house.post('/drawer/place', {
      placementId: o.id(),
      itemId: o.item(),
      zoneId: o.random.pick(ZONES),
      beside: o.random.chance(0.1),
    }),
  'take out': (o) => o.house.post('/drawer/take-out', { itemId: o.item() }),
  reorder: (o) => o.house.post('/drawer/reorder', { zoneId: o.random.pick(ZONES), itemIds: [o.item(), o.item()] }),
  zone: (o) =>
    o.house.put(`/zones/${o.random.pick(ZONES)}`, { name: `Z${o.random.whole(1, 9)}`, slots: o.random.whole(1, 6) }),
  'begin laying': (o) => o.house.post('/laying', { id: o.make('laying'), season: 'winter' }),
  'choose in laying': async (o) => {
    const choice = o.random.pick(['stays', 'comes in', 'put away', 'rests', 'doubtful', null])
    const until = choice === 'put away' ? addDays(TODAY, 90) : null
    return o.house.post(`/laying/${await openSeasonChange(o)}/choose`, { itemId: o.item(), choice, until })
  },
  'close laying': async (o) => o.house.post(`/laying/${await openSeasonChange(o)}/close`, {}),
  'give up a laying': async (o) =>
    o.house.post(`/laying/${o.random.chance(0.3) ? await openSeasonChange(o) : 'none'}/drop`, {}),
  project: (o) => o.house.post('/projects', { id: o.newProject(), ...rules(o) }),
  'edit project': async (o) => {
    const id = o.project()
    const { projects } = (await o.house.get('/projects')).body
    const version = projects.find((each: { id: string }) => each.id === id)?.version ?? 1
    return o.house.put(`/projects/${id}`, { version, ...rules(o) })
  },
  'close project': async (o) => {
    const id = o.project()
    const { projects } = (await o.house.get('/projects')).body
    const version = projects.find((each: { id: string }) => each.id === id)?.version ?? 1
    return o.house.post(`/projects/${id}/close`, { version: o.random.chance(0.5) ? version : 999, lessons: '' })
  },
  'roll in': (o) =>
    o.house.post(`/projects/${o.project()}/roll-in`, {
      stayId: o.newStay(),
      itemId: o.item(),
      day: o.day(30),
      beside: o.random.chance(0.1),
      goal: o.goal(),
      guess: o.random.chance(0.3) ? { id: o.id(), months: 2 } : null,
    }),
  'roll in many': (o) =>
    o.house.post(`/projects/${o.project()}/roll-in-many`, {
      day: o.day(20),
      goal: o.goal(),
      stays: [
        { stayId: o.newStay(), itemId: o.item() },
        { stayId: o.newStay(), itemId: o.item() },
      ],
    }),
  'edit goal': async (o) => o.house.put(`/stays/${await o.stay()}/goal`, { goal: o.goal() }),
  'roll out': async (o) =>
    o.house.post(`/stays/${await o.stay()}/roll-out`, {
      day: o.random.chance(0.7) ? TODAY : o.day(10),
      reason: o.random.pick(['met', 'finished', 'left unfinished', 'left unfinished', 'let go']),
      words: '',
    }),
  'carry over': async (o) =>
    o.house.post(`/stays/${await o.stay()}/carry-over`, {
      stayId: o.newStay(),
      projectId: o.project(),
      day: o.day(10),
    }),
  'short list': (o) => o.house.post('/short-list', { id: o.make('short'), itemId: o.item(), season: null, words: '' }),
  'move up next': (o) =>
    o.house.post(`/short-list/${o.of('short')}/move`, { before: o.random.chance(0.3) ? null : o.of('short') }),
  'off short list': (o) => o.house.post(`/short-list/${o.of('short')}/take-off`, {}),
  trial: (o) =>
    o.house.post('/trials', {
      trialId: o.make('trial'),
      itemId: o.item(),
      wearsWanted: 3,
      dueOn: addDays(TODAY, 9),
      question: '',
    }),
  verdict: (o) => {
    const verdict = o.random.pick(['keep', 'let go', 'rest until a date', 'use up as something else'])
    return o.house.post('/verdicts', {
      verdictId: o.id(),
      itemId: o.item(),
      trialId: null,
      verdict,
      reason: '',
      destination: verdict === 'let go' ? 'bin' : null,
      until: verdict === 'rest until a date' ? addDays(TODAY, 30) : null,
      usedAs: verdict === 'use up as something else' ? o.random.pick(['lipstick', 'sunscreen']) : null,
    })
  },
  finish: (o) =>
    o.house.post(`/items/${o.item()}/finish`, {
      reviewId: o.id(),
      day: o.day(3),
      wouldBuyAgain: 'no',
      words: '',
      packageGoes: o.random.pick([null, 'bin', 'keep the container']),
      empty: o.random.chance(0.4) ? { id: o.id(), state: 'cleaned', grams: 21, resolution: 0.1 } : null,
    }),
  away: (o) =>
    o.house.post('/away', {
      id: o.make('away'),
      earliest: o.day(50),
      latest: addDays(TODAY, o.random.whole(0, 9)),
      words: '',
    }),
  'drop away': (o) => o.house.post(`/away/${o.of('away')}/drop`, {}),
  'low season': (o) =>
    o.house.post('/low-seasons', { id: o.make('low'), from: '10-01', to: '11-10', factor: 0.5, words: '' }),
  'drop low season': (o) => o.house.post(`/low-seasons/${o.of('low')}/drop`, {}),
  guess: (o) => o.house.post(`/items/${o.item()}/guesses`, { id: o.id(), day: o.day(9), months: o.random.whole(1, 9) }),
  'drop a guess': (o) => o.house.post(`/guesses/${o.row('guess')}/drop`, {}),
  role: (o) =>
    o.house.put(`/items/${o.item()}/role`, { role: o.random.pick(['staple', 'rotation', 'occasional', null]) }),
  'wear less': (o) => o.house.post('/wear-less', { id: o.id(), from: o.day(20), factor: 0.5, words: '' }),
  'drop wearing less': (o) => o.house.post(`/wear-less/${o.row('wear_less')}/drop`, {}),
  settings: async (o) => {
    const { version } = (await o.house.get('/settings')).body
    const plannedWeek = Array.from({ length: 7 }, () => o.random.chance(0.6))
    return o.house.put('/settings', { version, settings: { ...SETTINGS, plannedWeek } })
  },
  photo: (o) => o.house.photo(o.item(), o.make('photo')),
  'drop photo': (o) => o.house.post(`/photos/${o.of('photo')}/drop`, {}),
  import: (o) => {
    const text = `Maker,Name,Category,Uses,Opened\nPellwick,Thing ${o.random.whole(1, 4)},blush,${o.random.pick(['', '3'])},2025\n`
    return o.house.post('/import/run', {
      importId: o.id(),
      fileName: 'x.csv',
      base64: Buffer.from(text).toString('base64'),
      choices: {},
    })
  },
}
export const ACT_NAMES = [
  ...Object.keys(ACTS),
  ...['check in', 'take a step', 'take a step', 'take a step', 'weigh', 'keep a container', 'photo', 'photo'],
  ...[
    'wear',
    'wear',
    'wear',
    'add',
    'place',
    'roll in',
    'roll in',
    'roll in many',
    'read',
    'merge',
    'save look',
    'lesson',
    'wish',
  ],
] as const
