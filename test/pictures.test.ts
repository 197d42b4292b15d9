import { existsSync, lstatSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import sharp from 'sharp'
import { afterEach, beforeEach, expect, test } from 'vitest'
import { CollectionFiles } from '#server/export/collection-file'
import { TestHouse, TODAY } from './support/test-house'

let house: TestHouse
beforeEach(async () => {
  house = await TestHouse.open()
})
afterEach(() => house.close())
const item = async (id: string) => (await house.get(`/items/${id}`)).body

const noise = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#c7747a' } })
    .jpeg()
    .toBuffer()
test('words named .jpg, a picture that breaks off, and the same one twice are told in clear words', async () => {
  const id = await house.item()
  expect((await house.photo(id, 'a', Buffer.from('a shopping list'))).body.code).toBe('not-a-picture')
  const whole = await sharp({
    create: {
      width: 900,
      height: 900,
      channels: 3,
      background: '#888',
      noise: { type: 'gaussian', mean: 120, sigma: 40 },
    },
  })
    .jpeg()
    .toBuffer()
  expect((await house.photo(id, 'b', whole.subarray(0, whole.length / 2))).body.code).toBe('picture-broken')
  expect((await house.photo(id, 'c', whole)).status).toBe(200)
  expect((await house.photo(id, 'd', whole)).body).toMatchObject({ code: 'same-picture' })
})
test('one of 200 megapixels is shrunk within bounds, and has a small one for lists', async () => {
  const id = await house.item()
  expect((await house.photo(id, 'big', await noise(16_000, 12_500))).status).toBe(200)
  expect((await item(id)).photos[0]).toMatchObject({ width: 1600, height: 1250 })
  const small = await fetch(`http://127.0.0.1:${house.port}/api/photos/big/small`)
  expect(Buffer.from(await small.arrayBuffer()).length).toBeLessThan(40_000)
}, 30_000)
test('copies hold them without taking room twice', async () => {
  const id = await house.item()
  await house.photo(id, 'ph', await noise(400, 300))
  await house.services.copies.forTheDay(TODAY)
  const pool = join(house.folder, 'copies', 'photos')
  const [name = ''] = readdirSync(pool)
  expect(lstatSync(join(pool, name)).ino).toBe(lstatSync(join(house.folder, 'photos', name)).ino)
  expect(existsSync(join(pool, name))).toBe(true)
})
test('a collection file carries as many as it may and names the rest; what is only named comes back where it still lies', async () => {
  const id = await house.item()
  await house.photo(id, 'old', await noise(500, 300))
  await house.photo(id, 'new', await noise(501, 300))
  const least = JSON.parse([...new CollectionFiles(house.services, 2000).text()].join(''))
  expect([Object.keys(least.pictures).length, least.picturesLeftOut.length]).toEqual([1, 1])
  expect((await house.post('/collection-file', { replace: true, collection: least })).status).toBe(200)
  expect((await item(id)).photos).toHaveLength(2)
  const other = await TestHouse.open()
  try {
    const taken = await other.post('/collection-file', { replace: false, collection: least })
    expect(taken.body.change.words).toContain('without 1 picture')
    expect((await other.get(`/items/${id}`)).body.photos).toHaveLength(1)
  } finally {
    other.close()
  }
})
