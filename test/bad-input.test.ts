import { request } from 'node:http'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { addDays } from '#core/calendar/day'
import { FIELDS, TestHouse, TODAY } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())

const goal = (over: object = {}) => ({ kind: 'uses', target: 3, headStart: 0, by: { kind: 'none' }, ...over })

describe('bad input is refused by field, with the value, and stores nothing', () => {
  const item = (fields: object) =>
    ['POST', '/items', { id: 'i', fields: { ...FIELDS, ...fields }, reading: null }] as const
  test.each<[string, readonly [string, string, object], string, number]>([
    ['no name', item({ name: '  ' }), 'fields.name', 422],
    ['a size of the wrong type', item({ content: { amount: '5', unit: 'g' } }), 'fields.content.amount', 422],
    ['a negative size', item({ content: { amount: -5, unit: 'g' } }), 'fields.content.amount', 422],
    ['an absurd size', item({ content: { amount: 1e9, unit: 'g' } }), 'fields.content.amount', 422],
    ['a negative price', item({ priceMinor: -1 }), 'fields.priceMinor', 422],
    ['a period after opening of 0', item({ paoMonths: 0 }), 'fields.paoMonths', 422],
    [
      'an opening in the future',
      item({ opened: { kind: 'range', earliest: '2030-01-01', latest: '2030-01-31', said: 'x' } }),
      'opened',
      422,
    ],
    [
      'an opening the wrong way round',
      item({ opened: { kind: 'range', earliest: '2024-02-01', latest: '2024-01-01', said: 'x' } }),
      'fields.opened',
      422,
    ],
    ['a day that doesn’t exist', item({ expiry: '2026-02-31' }), 'fields.expiry', 422],
    ['an unknown category', item({ categoryId: 'shoes' }), 'categoryId', 422],
    ['an unknown field', item({ mood: 'good' }), 'fields.mood', 422],
    ['an id with a slash', ['POST', '/items', { id: 'a/b', fields: FIELDS, reading: null }], 'id', 422],
    [
      'a tally on a future day',
      ['POST', '/wear', { itemId: 'present', day: addDays(TODAY, 1), worn: true }],
      'day',
      422,
    ],
    ['a tally of an unknown item', ['POST', '/wear', { itemId: 'nobody', day: TODAY, worn: true }], '', 404],
    ['a tally without its state', ['POST', '/wear', { itemId: 'present', day: TODAY }], 'worn', 422],
    [
      'a shade of another item',
      ['POST', '/wear', { itemId: 'present', day: TODAY, worn: true, partIds: ['x'] }],
      'partIds',
      422,
    ],
    [
      'a level of a pan',
      [
        'POST',
        '/items/present/readings',
        { id: 'r', partId: null, reading: { kind: 'level', value: 0.5, day: TODAY } },
      ],
      'reading.kind',
      422,
    ],
    [
      'a level above full',
      [
        'POST',
        '/items/present/readings',
        { id: 'r', partId: null, reading: { kind: 'level', value: 1.5, day: TODAY } },
      ],
      'reading.value',
      422,
    ],
    [
      'a goal without its number',
      ['POST', '/projects/none/roll-in', { stayId: 's', itemId: 'present', day: TODAY, goal: goal({ target: null }) }],
      'goal.target',
      422,
    ],
    [
      'letting go without saying where',
      [
        'POST',
        '/verdicts',
        {
          verdictId: 'v',
          itemId: 'present',
          trialId: null,
          verdict: 'let go',
          reason: '',
          destination: null,
          until: null,
          usedAs: null,
        },
      ],
      'destination',
      422,
    ],
    [
      'a trial of no wears',
      ['POST', '/trials', { trialId: 't', itemId: 'present', wearsWanted: 0, dueOn: addDays(TODAY, 3), question: '' }],
      'wearsWanted',
      422,
    ],
  ])('%s', async (_, [, path, body], field, status) => {
    await house.post('/items', { id: 'present', fields: FIELDS, reading: null })
    const before = house.snapshot()
    const answer = await house.post(path, body)
    expect(answer.status).toBe(status)
    expect(answer.type).toContain('application/problem+json')
    if (field !== '') expect(answer.body.errors.map((each: { field: string }) => each.field)).toContain(field)
    for (const error of answer.body.errors) expect(error.message.length).toBeGreaterThan(5)
    expect(house.snapshot()).toBe(before)
  })

  test('malformed JSON, a body over 1 MB, an unknown address', async () => {
    const broken = await house.request('POST', '/wear', '{"changeId": ')
    expect([broken.status, broken.body.code]).toEqual([400, 'malformed-json'])
    const large = await house.request('POST', '/wear', JSON.stringify({ changeId: 'x'.repeat(1_200_000) }))
    expect([large.status, large.body.code]).toEqual([413, 'too-large'])
    expect((await house.get('/nowhere')).status).toBe(404)
  })

  test('a disk that takes no more: clear words, nothing half-written, and it goes on once there is room', async () => {
    await house.post('/items', { id: 'there', fields: FIELDS, reading: null })
    const before = house.snapshot()
    const pages = Number(house.db.pragma('page_count', { simple: true }))
    house.db.pragma(`max_page_count = ${pages}`)
    const answers: { status: number; body: { code?: string; detail?: string } }[] = []
    for (let n = 0; n < 40 && (answers.at(-1)?.status ?? 200) === 200; n += 1)
      answers.push(
        await house.post('/items', { id: `more-${n}`, fields: { ...FIELDS, notes: 'x'.repeat(4000) }, reading: null }),
      )
    const full = answers.find((answer) => answer.status !== 200)
    expect([full?.status, full?.body.code]).toEqual([507, 'disk-full'])
    expect(full?.body.detail).toContain('make room')
    const stored = answers.filter((answer) => answer.status === 200).length
    house.db.pragma('max_page_count = 1000000')
    expect(await house.listed()).toHaveLength(1 + stored)
    expect(house.db.pragma('integrity_check', { simple: true })).toBe('ok')
    if (stored === 0) expect(house.snapshot()).toBe(before)
    expect((await house.post('/items', { id: 'later', fields: FIELDS, reading: null })).status).toBe(200)
  })

  test('HTML and formulas in names are words like any other', async () => {
    const name = '<img src=x onerror=alert(1)>'
    const id = await house.item({ name, shade: '=HYPERLINK("x")', maker: "O'Neill; DROP TABLE item" })
    expect((await house.get(`/items/${id}`)).body.item).toMatchObject({ name, shade: '=HYPERLINK("x")' })
  })

  test('a sheet of more than 20 MB or 20,000 rows', async () => {
    const sheet = (text: string) => ({
      fileName: 'x.csv',
      base64: Buffer.from(text).toString('base64'),
      choices: { meanings: null, rows: [], skip: [] },
    })
    const large = await house.request(
      'POST',
      '/import/preview',
      JSON.stringify(sheet(`Name\n${'y'.repeat(20 * 1024 * 1024)}`)),
    )
    expect([large.status, large.body.code]).toEqual([413, 'file-too-large'])
    const long = await house.request('POST', '/import/preview', JSON.stringify(sheet(`Name\n${'x\n'.repeat(20_001)}`)))
    expect([long.status, long.body.code]).toEqual([422, 'too-many-rows'])
  })

  test('a foreign Host or Origin', async () => {
    const asked = (headers: Record<string, string>): Promise<number> =>
      new Promise((resolve, reject) => {
        request({ port: house.port, host: '127.0.0.1', path: '/api/fronts', headers }, (response) => {
          response.resume()
          resolve(response.statusCode ?? 0)
        })
          .on('error', reject)
          .end()
      })
    expect(await asked({ Host: `127.0.0.1:${house.port}` })).toBe(200)
    expect(await asked({ Host: 'seligo.example' })).toBe(403)
    expect(await asked({ Host: `localhost:${house.port}`, Origin: 'http://elsewhere.example' })).toBe(403)
  })
})
