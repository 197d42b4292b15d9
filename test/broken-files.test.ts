import { execFileSync } from 'node:child_process'
import {
  closeSync,
  existsSync,
  mkdirSync,
  openSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  symlinkSync,
  writeFileSync,
  writeSync,
} from 'node:fs'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { filesIn } from '#server/db/folder-files'
import { MachineFile } from '#server/host/machine-file'
import { FIELDS } from './support/fields'
import { SMALL_PICTURE } from './support/test-house'
import { TestHost, type Reply } from './support/test-host'

let house: TestHost
beforeEach(async () => {
  vi.spyOn(console, 'error').mockImplementation(() => undefined)
  house = await TestHost.open()
})
afterEach(() => {
  house.close()
  vi.restoreAllMocks()
})

const item = (id: string): Promise<Reply> =>
  house.post('/api/items', { changeId: house.id(), id, fields: FIELDS, reading: null })
const COPY = '2026-11-24-day.db'
const copyNow = async (): Promise<string> => {
  await house.host.copyOfTheDay()
  return join(house.folder, 'copies', COPY)
}
const PAGE = 4096
/** Overwrites 64 bytes in the middle of every page of a kind, as a bad disk would: 0x0a are leaves of indexes. */
function spoilPages(file: string, kind: number): number {
  const bytes = readFileSync(file)
  const handle = openSync(file, 'r+')
  let spoilt = 0
  for (let at = PAGE; at < bytes.length; at += PAGE)
    if (bytes[at] === kind) {
      writeSync(handle, Buffer.alloc(64, 0x5a), 0, 64, at + 8)
      spoilt += 1
    }
  closeSync(handle)
  return spoilt
}

describe('a collection that is damaged and still opens', () => {
  test('says so with every answer, and going back puts it aside whole', async () => {
    for (const id of ['a', 'b', 'c']) await item(id)
    await copyNow()
    await house.restart()
    house.host.services.db.pragma('wal_checkpoint(TRUNCATE)')
    expect(spoilPages(join(house.folder, 'collection.db'), 0x0a)).toBeGreaterThan(0)
    await house.restart()
    await house.host.daily()
    const shown = await house.ask(house.here, '/api/copies')
    expect([shown.status, shown.headers['seligo-trouble']]).toEqual([200, 'damaged'])
    const back = await house.post(`/api/copies/${COPY}/go-back`, {})
    expect([back.status, back.body.before]).toEqual([200, null])
    expect(readdirSync(house.folder)).toContain(back.body.aside)
    const after = await house.ask(house.here, '/api/today')
    expect([after.status, after.headers['seligo-trouble']]).toEqual([200, undefined])
  })

  test('import, archive and replacing say what is wrong instead of a mistake', async () => {
    await item('a')
    await house.restart()
    house.host.services.db.pragma('wal_checkpoint(TRUNCATE)')
    spoilPages(join(house.folder, 'collection.db'), 0x0a)
    await house.restart()
    for (const [method, path, body] of [
      ['GET', '/api/archive', undefined],
      ['POST', '/api/collection-file', JSON.stringify({ changeId: 'x', text: '{}' })],
    ] as const) {
      const said = await house.ask(house.here, path, {
        method,
        headers: { 'Content-Type': 'application/json' },
        ...(body ? { body } : {}),
      })
      expect([path, said.status === 500]).toEqual([path, false])
    }
  })
})

describe('a copy', () => {
  test('in which a bit was flipped isn’t offered, wherever the bit lies', async () => {
    for (const id of ['a', 'b']) await item(id)
    const file = await copyNow()
    const bytes = readFileSync(file)
    for (const share of [0.15, 0.4, 0.65, 0.9]) {
      const flipped = Buffer.from(bytes)
      const at = Math.floor(bytes.length * share)
      flipped[at] = (flipped[at] ?? 0) ^ 0x10
      writeFileSync(file, flipped)
      const back = await house.post(`/api/copies/${COPY}/go-back`, {})
      expect([share, back.status, back.body.code]).toEqual([share, 409, 'copy-unsound'])
      expect((await house.ask(house.here, `/api/copies/${COPY}/inside`)).status).toBe(409)
    }
    writeFileSync(file, bytes)
    expect((await house.post(`/api/copies/${COPY}/go-back`, {})).status).toBe(200)
  })

  test('dated next year ends no pruning', async () => {
    await item('a')
    const file = await copyNow()
    writeFileSync(join(house.folder, 'copies', '2027-11-24-day.db'), readFileSync(file))
    for (let n = 1; n <= 20; n += 1) {
      house.now = new Date(2026, 10, 24 + n, 12)
      await house.post('/api/wear', {
        changeId: house.id(),
        itemId: 'a',
        day: '2026-11-24',
        worn: n % 2 === 0,
        despite: true,
      })
      await house.host.copyOfTheDay()
    }
    const days = readdirSync(join(house.folder, 'copies')).filter((name) => /^2026.*-day\.db$/.test(name))
    expect(days.length).toBeLessThan(20)
  })
})

describe('odd folders', () => {
  test('links to nowhere, pipes and folders among the copies are no copies, and wait for nobody', async () => {
    await item('a')
    await copyNow()
    const copies = join(house.folder, 'copies')
    symlinkSync(join(copies, 'nowhere'), join(copies, '2026-11-20-day.db'))
    execFileSync('mkfifo', [join(copies, '2026-11-19-day.db')])
    mkdirSync(join(copies, '2026-11-18-day.db'))
    expect(filesIn(copies).filter((name) => name.endsWith('-day.db'))).toEqual([COPY])
    await house.restart()
    const listed = await house.ask(house.here, '/api/copies')
    expect(listed.status).toBe(200)
    expect(listed.body.copies.map((each: { name: string }) => each.name)).toContain(COPY)
  })

  test.each(['photos', 'copies'])(
    'a file where %s should be: it starts, shows, and says what is wrong',
    async (name) => {
      await item('a')
      rmSync(join(house.folder, name), { recursive: true, force: true })
      writeFileSync(join(house.folder, name), 'a file')
      await house.restart()
      await house.host.daily()
      expect((await house.ask(house.here, '/api/today')).status).toBe(200)
      const path = `/api/items/a/photos?changeId=${house.id()}&photoId=shot&day=2026-11-24`
      const sent = await house.ask(house.here, path, {
        method: 'POST',
        headers: { 'Content-Type': 'image/png' },
        body: SMALL_PICTURE,
      })
      if (name === 'photos') {
        expect(sent.status).toBe(507)
        expect(sent.body.detail.length).toBeGreaterThan(20)
      } else {
        expect(sent.status).toBe(200)
        expect(house.host.copyTrouble.length).toBeGreaterThan(20)
      }
    },
  )

  test('a second folder that leads back to the data is none', async () => {
    const link = join(house.folder, '..', `link-${house.host.port}`)
    symlinkSync(house.folder, link)
    const refused = await house.ask(house.here, '/api/copies/second-folder', {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ changeId: house.id(), path: link, folder: link }),
    })
    rmSync(link)
    expect(refused.status).toBeGreaterThanOrEqual(400)
    expect(existsSync(join(house.folder, 'copies', 'second'))).toBe(false)
  })
})

describe('taking away who is let in', () => {
  test('holds at once and after the next start, also where the file takes no new room', () => {
    const file = join(house.folder, 'this-machine.json')
    const device = {
      id: 'd',
      name: 'phone',
      tokenHash: 'x',
      pairedAt: '2026-11-24T10:00:00Z',
      lastSeenAt: '2026-11-24T10:00:00Z',
    }
    const machine = new MachineFile(house.folder)
    machine.change({ letIn: { address: '127.0.0.2', port: 1 }, devices: [device] })
    // No new file can be made beside it: a folder stands in its way.
    mkdirSync(`${file}.making`)
    machine.restrict({ devices: [], letIn: null })
    expect([machine.now.devices, machine.now.letIn]).toEqual([[], null])
    const size = statSync(file).size
    expect(size).toBeGreaterThan(0)
    const again = new MachineFile(house.folder, () => undefined)
    expect([again.now.devices, again.now.letIn]).toEqual([[], null])
    rmSync(`${file}.making`, { recursive: true })
  })
})
