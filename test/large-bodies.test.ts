import { writesOf } from '#server/create-app'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { SMALL_PICTURE, TestHouse, TODAY } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())

const deep = (levels: number): string => '['.repeat(levels) + ']'.repeat(levels)
const changes = (): unknown => house.db.prepare('SELECT count(*) AS n FROM change').get()

describe('a body that is deeper or richer than anything a page sends', () => {
  test('is refused by every route that writes, never a mistake', async () => {
    for (const { method, path } of writesOf(house.services)) {
      const said = await house.request(method.toUpperCase(), path.replaceAll(/:\w+/g, 'x'), deep(20_000))
      expect([path, said.status, said.body.code]).toEqual([path, 413, 'too-rich'])
    }
    expect(changes()).toEqual({ n: 0 })
  })

  test('as a collection of nothing but empty lists is refused before it is built', async () => {
    const flood = `{"changeId":"c","text":[${'[],'.repeat(4_000_000)}[]]}`
    const said = await house.request('POST', '/collection-file', flood)
    expect([said.status, said.body.code]).toEqual([413, 'too-rich'])
    expect((await house.get('/today')).status).toBe(200)
  })

  test('brackets within text count for nothing', async () => {
    const id = await house.item({ notes: '[{'.repeat(1500) })
    expect((await house.get(`/items/${id}`)).body.item.notes).toHaveLength(3000)
  })
})

describe('a change id that is used again with another body', () => {
  test('is refused for a sheet, a collection file and a picture; the same once more is the same act', async () => {
    const id = await house.item()
    const picture = async (byte: number) => {
      const path = `http://127.0.0.1:${house.port}/api/items/${id}/photos?changeId=shot-1&photoId=shot&day=${TODAY}`
      const bytes = Buffer.concat([SMALL_PICTURE, Buffer.from(byte === 0 ? [] : [byte])])
      const sent = await fetch(path, {
        method: 'POST',
        headers: { 'Content-Type': 'image/png' },
        body: new Uint8Array(bytes),
      })
      return [sent.status, ((await sent.json()) as { code?: string }).code]
    }
    expect(await picture(0)).toEqual([200, undefined])
    expect(await picture(0)).toEqual([200, undefined])
    expect(await picture(1)).toEqual([409, 'change-id-reused'])

    const sheet = (name: string) =>
      house.request(
        'POST',
        '/import/run',
        JSON.stringify({
          changeId: 'import-1',
          importId: 'imported',
          fileName: 'mine.csv',
          base64: Buffer.from(`Maker,Name,Category\nOndrake,${name},blush\n`).toString('base64'),
          choices: { meanings: null, rows: [], skip: [], mended: [], tabs: null },
        }),
      )
    expect((await sheet('Weir')).status).toBe(200)
    expect((await sheet('Weir')).status).toBe(200)
    const other = await sheet('Sluice')
    expect([other.status, other.body.code]).toEqual([409, 'change-id-reused'])

    const { body: whole } = await house.get('/export')
    const file = (exportedAt: string) =>
      house.request(
        'POST',
        '/collection-file',
        JSON.stringify({ changeId: 'file-1', replace: true, collection: { ...whole, exportedAt } }),
      )
    expect((await file('2026-11-24T12:00:00.000Z')).status).toBe(200)
    expect((await file('2026-11-24T12:00:00.000Z')).status).toBe(200)
    expect((await file('2026-11-25T12:00:00.000Z')).body.code).toBe('change-id-reused')
  })
})

test('what is typed like a mark of ours leaves in every export as it was typed', async () => {
  const words = 'odd ⟦item:x⟧ and ⟦day:2026-11-24⟧'
  await house.item({ notes: words })
  expect(JSON.stringify((await house.get('/export')).body)).toContain(words)
  const csv = await fetch(`http://127.0.0.1:${house.port}/api/export.csv`)
  expect(await csv.text()).toContain(words)
})
