import { writesOf } from '#server/create-app'
import { request } from 'node:http'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { z } from 'zod'
import { addDays } from '#core/calendar/day'
import { Random } from '#demo/random'
import { breachesOf } from '#server/db/house-rules'
import { shadeFields } from './support/fields'
import { FIELDS, TestHouse, TODAY } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())

type Shape = Record<string, unknown> & { type?: string | string[] }

/** Values at the edge of what a field may be, and over it. */
const ODD: readonly unknown[] = [
  null,
  '',
  ' ',
  'a\u0000b',
  '\ud800',
  '%E0%A4%A',
  '../../x',
  'x'.repeat(5000),
  '2026-02-30',
  '1969-12-31',
  '2200-01-01',
  '2999-12-31',
  -1,
  0,
  0.5,
  1e308,
  2 ** 53,
  true,
  [],
  {},
  '🜁',
]

/** Makes bodies from the JSON Schema of a route's Zod schema: mostly right, with ids that are there, sometimes odd. */
class Bodies {
  constructor(
    readonly random: Random,
    readonly ids: readonly string[],
    readonly oddity: number,
  ) {}

  of(shape: Shape, field = ''): unknown {
    if (this.random.chance(this.oddity)) return this.random.pick(ODD)
    if ('const' in shape) return shape['const']
    if (Array.isArray(shape['enum'])) return this.random.pick(shape['enum'] as unknown[])
    if (Array.isArray(shape['prefixItems'])) return (shape['prefixItems'] as Shape[]).map((each) => this.of(each))
    const any = (shape['anyOf'] ?? shape['oneOf']) as Shape[] | undefined
    if (any) return this.of(this.random.pick(any), field)
    switch (shape.type) {
      case 'object': {
        const properties = (shape['properties'] ?? {}) as Record<string, Shape>
        const entries = Object.entries(properties).filter(
          ([name]) => ((shape['required'] as string[] | undefined) ?? []).includes(name) || this.random.chance(0.7),
        )
        return Object.fromEntries(entries.map(([name, value]) => [name, this.of(value, name)]))
      }
      case 'array':
        return Array.from({ length: this.random.whole(0, 3) }, () => this.of((shape['items'] ?? {}) as Shape, field))
      case 'string':
        return this.#text(field)
      case 'integer':
      case 'number':
        return this.random.pick([
          0,
          1,
          2,
          5,
          Number(shape['minimum'] ?? 1),
          Math.min(1e9, Number(shape['maximum'] ?? 9)),
        ])
      case 'boolean':
        return this.random.chance(0.5)
      case 'null':
        return null
      default:
        return this.random.pick(ODD)
    }
  }

  #text(field: string): string {
    if (field === 'changeId') return `c${this.random.whole(0, 1e9)}`
    if (/id$|ids$/i.test(field))
      return this.random.chance(0.7) ? this.random.pick(this.ids) : `n${this.random.whole(0, 30)}`
    if (/day|earliest|latest|until|by$|^to$|^from$|startedOn|dueOn|expiry/i.test(field))
      return this.random.pick([
        TODAY,
        addDays(TODAY, -9),
        addDays(TODAY, 40),
        '2199-12-31',
        '1970-01-01',
        '05-01',
        '12-31',
      ])
    return this.random.pick(['words', '#aabbcc', 'EUR', 'Quay'])
  }
}

describe('no body that any route can be sent is a mistake of the house', () => {
  test.each([1, 2, 3, 4])(
    'made from every schema, nearly right and odd, ids used twice, of others and of nothing (seed %i)',
    async (seed) => {
      const random = new Random(seed)
      const palette = await house.item({
        structure: 'palette',
        categoryId: 'eyeshadow-palette',
        parts: [shadeFields('moss', 'Moss')],
      })
      const [a, b] = [await house.item({ shade: 'A' }), await house.item({ shade: 'B', slots: 2 })]
      const project = { id: 'project', name: 'P', startedOn: TODAY, by: null, finishesWanted: null, rules: '' }
      await house.post('/projects', project)
      const goal = { kind: 'uses', target: 3, headStart: 0, by: { kind: 'none' } }
      await house.post('/projects/project/roll-in', { stayId: 'stay', itemId: a, day: TODAY, goal })
      await house.post('/trials', {
        trialId: 'trial',
        itemId: b,
        wearsWanted: 2,
        dueOn: addDays(TODAY, 9),
        question: '',
      })
      await house.post('/wear', { itemId: palette, day: TODAY, worn: true, partIds: ['moss'] })
      await house.post('/laying', { id: 'laying', season: 'winter' })
      const ids = [
        palette,
        a,
        b,
        'moss',
        'project',
        'stay',
        'trial',
        'laying',
        'cheeks',
        'lips',
        'blush',
        'lipstick',
        'none',
      ]
      const answered = new Map<number, number>()
      for (let round = 0; round < 14; round += 1)
        for (const { method, path, schema } of writesOf(house.services)) {
          const bodies = new Bodies(random, ids, round % 2 === 0 ? 0 : 0.12)
          const shape = z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' }) as Shape
          const to = path.replaceAll(/:\w+/g, () =>
            encodeURIComponent(random.chance(0.9) ? random.pick(ids) : '\ud800x'.slice(1)),
          )
          const body = bodies.of(shape)
          const answer = await house.request(method.toUpperCase(), to, JSON.stringify(body))
          const where = `${method} ${to} ${JSON.stringify(body)}`
          expect(answer.status, `${where}: ${JSON.stringify(answer.body)}`).toBeLessThan(500)
          if (answer.status >= 400) expect(String(answer.body.detail).length, where).toBeGreaterThan(10)
          answered.set(answer.status, (answered.get(answer.status) ?? 0) + 1)
          if (answer.status === 200) expect(breachesOf(house.db), where).toEqual([])
        }
      // All of it can be read afterwards.
      for (const path of [
        '/today',
        '/collection',
        '/projects',
        '/decide',
        '/empties',
        '/laying',
        '/fronts',
        '/shelf-life',
        '/export',
      ])
        expect((await house.get(path)).status, path).toBe(200)
      expect(answered.get(200) ?? 0).toBeGreaterThan(60)
      expect(answered.get(422) ?? 0).toBeGreaterThan(60)
    },
    60_000,
  )

  test('a clock set back by a day, a month, a year', async () => {
    const itemId = await house.item()
    await house.post('/projects', {
      id: 'p',
      name: 'P',
      startedOn: TODAY,
      by: addDays(TODAY, 9),
      finishesWanted: null,
      rules: '',
    })
    const goal = { kind: 'uses', target: 3, headStart: 0, by: { kind: 'project' } }
    await house.post('/projects/p/roll-in', { stayId: 's', itemId, day: TODAY, goal })
    await house.post('/drawer/place', { placementId: 'pl', itemId, zoneId: 'cheeks' })
    await house.post('/wear', { itemId, day: TODAY, worn: true })
    await house.post('/trials', { trialId: 't', itemId, wearsWanted: 2, dueOn: addDays(TODAY, 9), question: '' })
    for (const then of [new Date(2026, 10, 23, 12), new Date(2026, 9, 24, 12), new Date(2025, 10, 24, 12)]) {
      house.setClock(then)
      for (const path of ['/today', '/collection', '/projects', '/decide', '/laying', '/fronts', `/items/${itemId}`])
        expect((await house.get(path)).status, path).toBe(200)
      const answers = [
        await house.post('/drawer/take-out', { itemId }),
        await house.post(`/items/${itemId}/finish`, {
          reviewId: 'r',
          day: '2025-11-01',
          wouldBuyAgain: 'no',
          words: '',
          packageGoes: null,
        }),
        await house.post('/stays/s/roll-out', { day: '2025-11-01', reason: 'left unfinished', words: '' }),
        await house.post('/projects/p/close', { version: 1, lessons: '' }),
        await house.post('/verdicts', {
          verdictId: house.id('v'),
          itemId,
          trialId: null,
          verdict: 'let go',
          reason: '',
          destination: 'bin',
          until: null,
          usedAs: null,
        }),
      ]
      for (const answer of answers) expect(answer.status, JSON.stringify(answer.body)).toBeLessThan(500)
      expect(breachesOf(house.db)).toEqual([])
    }
  })
})

describe('requests that are none', () => {
  const asked = (path: string, headers: Record<string, string> = {}, body = ''): Promise<number> =>
    new Promise((resolve, reject) => {
      const sent = request(
        {
          port: house.port,
          host: '127.0.0.1',
          method: 'POST',
          path,
          headers: { Host: `127.0.0.1:${house.port}`, ...headers },
        },
        (response) => {
          response.resume()
          resolve(response.statusCode ?? 0)
        },
      ).on('error', reject)
      sent.end(body)
    })
  test.each<[string, string, Record<string, string>, string]>([
    ['an address that can’t be decoded', '/api/items/%E0%A4%A/finish', { 'Content-Type': 'application/json' }, '{}'],
    ['a page that can’t be decoded', '/%E0%A4%A', {}, ''],
    ['signs of an unknown charset', '/api/wear', { 'Content-Type': 'application/json; charset=klingon' }, '{}'],
    ['an unknown packing', '/api/wear', { 'Content-Type': 'application/json', 'Content-Encoding': 'zebra' }, '{}'],
    ['no object', '/api/wear', { 'Content-Type': 'application/json' }, '[]'],
    ['nothing', '/api/wear', {}, ''],
    [
      'a picture with a foreign address',
      '/api/items/x/photos?changeId=%00&photoId=..%2Fx&day=1',
      { 'Content-Type': 'image/png' },
      'x',
    ],
  ])('%s', async (_, path, headers, body) => {
    const status = await asked(path, headers, body)
    expect(status).toBeGreaterThanOrEqual(400)
    expect(status).toBeLessThan(500)
  })
})

describe('what would be dropped or done in silence is refused in words', () => {
  const refused = async (path: string, body: object): Promise<[number, string, string]> => {
    const answer = await house.post(path, body)
    return [answer.status, answer.body.code, answer.body.errors[0]?.field ?? '']
  }
  test('a shade of another item', async () => {
    const palette = { structure: 'palette', categoryId: 'eyeshadow-palette' } as const
    await house.item({ ...palette, parts: [shadeFields('moss')] })
    const other = await house.item({ ...palette, parts: [shadeFields('bark')] })
    const wear = { itemId: other, day: TODAY, worn: true, partIds: ['moss'] }
    expect(await refused('/wear', wear)).toEqual([422, 'unknown-part', 'partIds'])
    const fields = { ...FIELDS, ...palette, parts: [shadeFields('moss')] }
    expect(await refused('/items', { id: 'x', fields, reading: null })).toEqual([422, 'unknown-part', 'parts'])
    const reading = { kind: 'stage', stage: 'dip', day: TODAY }
    expect(await refused(`/items/${other}/readings`, { id: 'm', partId: 'moss', reading })).toEqual([
      422,
      'unknown-part',
      'partId',
    ])
  })
  test('a palette that is nobody, a mix of one item, an id used twice', async () => {
    const project = { id: 'p', name: 'P', startedOn: TODAY, by: null, finishesWanted: null, rules: '' }
    expect((await refused('/projects', { ...project, shape: 'palette', paletteId: 'nobody' }))[1]).toBe(
      'palette-missing',
    )
    const itemId = await house.item()
    await house.post('/wear', { itemId, day: TODAY, worn: true })
    expect((await refused('/mix', { mixId: 'm', day: TODAY, itemIds: [itemId, itemId], ratio: '1' }))[1]).toBe(
      'mix-of-one',
    )
    const reading = { kind: 'stage', stage: 'dip', day: TODAY }
    await house.post(`/items/${itemId}/readings`, { id: 'r', partId: null, reading })
    expect((await refused(`/items/${itemId}/readings`, { id: 'r', partId: null, reading }))[1]).toBe('id-taken')
  })
})
