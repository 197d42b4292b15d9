import { createHash } from 'node:crypto'
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  truncateSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import yazl from 'yazl'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { factsOf } from '#server/copies/copy-facts'
import { rescueApp } from '#server/host/rescue-app'
import { FIELDS } from './support/fields'
import { SMALL_PICTURE } from './support/test-house'
import { TestHost, type Reply } from './support/test-host'

let house: TestHost
beforeEach(async () => {
  house = await TestHost.open()
})
afterEach(() => house.close())

const item = async (id: string): Promise<void> => {
  const stored = await house.post('/api/items', { changeId: house.id(), id, fields: FIELDS, reading: null })
  expect(stored.status).toBe(200)
}
const tick = (itemId: string, day: string): Promise<Reply> =>
  house.post('/api/wear', { changeId: house.id(), itemId, day, worn: true, despite: true })
const picture = async (itemId: string, id: string, bytes: Buffer = SMALL_PICTURE): Promise<void> => {
  const path = `/api/items/${itemId}/photos?changeId=${house.id()}&photoId=${id}&day=2026-11-24`
  const sent = await house.ask(house.here, path, {
    method: 'POST',
    headers: { 'Content-Type': 'image/png' },
    body: bytes,
  })
  expect(sent.status).toBe(200)
}
/** Everything that is recorded, but for the instant at which it was asked for. */
const everything = async (): Promise<string> => {
  const { exportedAt, ...rest } = (await house.ask(house.here, '/api/export')).body as { exportedAt: string }
  return exportedAt === '' ? '' : JSON.stringify(rest)
}
const copyNow = async (): Promise<string> => {
  await house.host.copyOfTheDay()
  return '2026-11-24-day.db'
}
const copies = async (): Promise<{ name: string; kinds: string[]; wrong: string | null; wears: number }[]> =>
  (await house.ask(house.here, '/api/copies')).body.copies
const goBack = (name: string): Promise<Reply> => house.post(`/api/copies/${name}/go-back`, {})
const daysIn = (file: string): string[] => {
  const db = new Database(file, { readonly: true })
  const days = db.prepare<[], { day: string }>('SELECT day FROM wear').all()
  db.close()
  return days.map(({ day }) => day)
}
const left = (): string[] => readdirSync(house.folder).filter((name) => /coming|incoming|outgoing|part/.test(name))

describe('going back to a copy', () => {
  test('brings all of it again, with its pictures, and one act leads back', async () => {
    await item('one')
    await picture('one', 'shot')
    await tick('one', '2026-11-20')
    const name = await copyNow()
    const then = await everything()
    await item('two')
    await tick('two', '2026-11-21')
    await house.post('/api/photos/shot/drop', { changeId: house.id() })
    const later = await everything()
    for (const file of readdirSync(join(house.folder, 'photos'))) rmSync(join(house.folder, 'photos', file))
    const inside = (await house.ask(house.here, `/api/copies/${name}/inside`)).body
    expect(inside.differences.slice(0, 2)).toEqual([
      { what: 'items', then: 1, now: 2, onlyThen: 0, onlyNow: 1 },
      { what: 'wears', then: 1, now: 2, onlyThen: 0, onlyNow: 1 },
    ])
    expect(inside.itemsOnlyNow).toEqual(['Pellwick Rust Bloom'])
    expect(inside.lastChange).not.toContain('⟦item')
    const went = await goBack(name)
    expect([went.status, went.body.items]).toEqual([200, 1])
    expect(await everything()).toBe(then)
    expect((await house.ask(house.here, '/api/photos/shot')).status).toBe(200)
    // It goes on from there: what is written now is kept.
    expect((await tick('one', '2026-11-23')).status).toBe(200)
    await house.restart()
    expect((await copies()).find((each) => each.name === name)).toMatchObject({ wears: 1, wrong: null })
    expect((await goBack(went.body.before)).status).toBe(200)
    expect(await everything()).toBe(later)
    expect(left()).toEqual([])
  })

  test('amid ticks loses none that was acknowledged, and makes none of them a mistake', async () => {
    await item('one')
    const name = await copyNow()
    const days = Array.from({ length: 40 }, (_, n) => `2026-10-${String((n % 28) + 1).padStart(2, '0')}`)
    const acts = days.slice(0, 28).map(async (day, n) => {
      const reply = await (n === 9 ? goBack(name) : tick('one', day))
      return { day, reply, went: n === 9 }
    })
    const done = await Promise.all(acts)
    expect(done.map(({ reply }) => reply.status).filter((status) => status !== 200)).toEqual([])
    const before = done.find(({ went }) => went)?.reply.body.before as string
    const kept = new Set([
      ...daysIn(join(house.folder, 'copies', before)),
      ...daysIn(join(house.folder, 'collection.db')),
    ])
    expect(done.filter(({ day, went }) => !went && !kept.has(day))).toEqual([])
  })

  test.each([
    ['cut short', (file: string) => truncateSync(file, 20_000)],
    [
      'with bits flipped',
      (file: string) => {
        const bytes = readFileSync(file)
        for (let at = 5000; at < bytes.length; at += 4096) bytes[at] = (bytes[at] ?? 0) ^ 0xff
        writeFileSync(file, bytes)
      },
    ],
    ['of another program', (file: string) => writeFileSync(file, 'not a database at all, but a letter of 1987')],
    ['that is empty', (file: string) => truncateSync(file, 0)],
  ])('refuses a copy %s, and leaves everything as it is', async (_, spoil) => {
    await item('one')
    const name = await copyNow()
    const before = await everything()
    spoil(join(house.folder, 'copies', name))
    const [spoilt] = (await copies()).filter((each) => each.name === name)
    expect(spoilt?.wrong).toEqual(expect.any(String))
    const refused = await goBack(name)
    expect([refused.status, refused.body.code]).toEqual([409, 'copy-unsound'])
    expect(await everything()).toBe(before)
    expect(left()).toEqual([])
  })

  test('takes no name but that of a copy', async () => {
    await copyNow()
    for (const name of ['..%2Fcollection.db', 'collection.db', 'x', '%00', '2026-11-24-day.db.part', 'known.json'])
      expect([name, (await goBack(name)).body.code]).toEqual([name, 'unknown-copy'])
  })

  test('a file that is left from a going back that was killed changes nothing at the next start', async () => {
    await item('one')
    const name = await copyNow()
    await item('two')
    const before = await everything()
    copyFileSync(join(house.folder, 'copies', name), join(house.folder, 'collection.db.coming'))
    mkdirSync(join(house.folder, 'incoming-a1B2c3', 'pictures'), { recursive: true })
    writeFileSync(join(house.folder, 'copies', '2026-11-25-day.db.part'), 'half a copy')
    writeFileSync(join(house.folder, 'collection.db.coming-wal'), 'half a log')
    await house.restart()
    expect(left()).toEqual([])
    expect(readdirSync(join(house.folder, 'copies')).filter((each) => each.includes('part'))).toEqual([])
    expect(await everything()).toBe(before)
    expect((await goBack(name)).status).toBe(200)
    expect(left()).toEqual([])
  })
})

describe('a collection that doesn’t open', () => {
  test.each([
    ['cut short', (file: string) => truncateSync(file, 4096 * 3)],
    ['gone', (file: string) => rmSync(file)],
    ['no database', (file: string) => writeFileSync(file, '<html>')],
  ])('%s: the newest sound copy is offered, what was there is put aside, and it opens', async (_, spoil) => {
    await item('one')
    await copyNow()
    const then = await everything()
    await house.spoilAndOffer(spoil, rescueApp)
    const page = await house.ask(house.here, '/', { headers: { Accept: 'text/html' } })
    expect(page.status).toBe(503)
    expect(page.text.match(/1 item, 0 ticks, 0 pictures/g)).toHaveLength(1)
    expect((await house.ask(house.here, '/api/today')).body.code).toBe('not-open')
    const form = { 'Content-Type': 'application/x-www-form-urlencoded' }
    const rescue = (name: string, headers: Record<string, string> = {}) =>
      house.ask(house.here, '/rescue', { method: 'POST', headers: { ...form, ...headers }, body: `name=${name}` })
    expect((await rescue('2026-11-24-day.db', { Origin: 'http://elsewhere.example' })).status).toBe(403)
    expect((await rescue('..%2Fphotos')).text).toContain('isn’t in the collection')
    // Sent twice it is done once, and what it put in place stays there.
    const twice = await Promise.all([rescue('2026-11-24-day.db'), rescue('2026-11-24-day.db')])
    expect(twice.filter(({ status }) => status === 303)).toHaveLength(1)
    expect(await everything()).toBe(then)
    const aside = readdirSync(house.folder).filter((name) => name.includes('unreadable'))
    expect(aside.length > 0).toBe(_ !== 'gone')
  })
})

describe('an archive', () => {
  const take = (bytes: Buffer): Promise<Reply> =>
    house.ask(house.here, '/api/archive', {
      method: 'POST',
      headers: { 'Content-Type': 'application/zip' },
      body: bytes,
    })
  const make = async (): Promise<Buffer> => {
    const response = await fetch(`http://${house.here}/api/archive`)
    const bytes = Buffer.from(await response.arrayBuffer())
    expect(Number(response.headers.get('content-length'))).toBe(bytes.length)
    return bytes
  }

  test('goes out and comes in equal, every picture to the byte', async () => {
    await item('one')
    for (const n of [1, 2, 3]) {
      const { default: sharp } = await import('sharp')
      const create = { width: 60 + n, height: 40, channels: 3 as const, background: { r: 40 * n, g: 90, b: 120 } }
      await picture('one', `shot-${n}`, await sharp({ create }).png().toBuffer())
    }
    await tick('one', '2026-11-20')
    const then = await everything()
    const pictures = async (): Promise<string[]> =>
      Promise.all(
        [1, 2, 3].map(async (n) => {
          const bytes = Buffer.from(await (await fetch(`http://${house.here}/api/photos/shot-${n}`)).arrayBuffer())
          return createHash('sha256').update(bytes).digest('hex')
        }),
      )
    const shots = await pictures()
    const archive = await make()
    house.close()
    house = await TestHost.open()
    await item('another')
    const taken = await take(archive)
    expect([taken.status, taken.body.items]).toEqual([200, 1])
    expect(await everything()).toBe(then)
    expect(await pictures()).toEqual(shots)
    expect(new Set(shots).size).toBe(3)
    // And what was there is one act away.
    expect((await goBack(taken.body.before)).body.items).toBe(1)
    expect(JSON.parse(await everything()).tables.item[0].id).toBe('another')
    expect(left()).toEqual([])
  })

  test('broken anywhere, it is refused before anything is touched', async () => {
    await item('one')
    await picture('one', 'shot')
    const archive = await make()
    await item('two')
    const before = await everything()
    const shots = readdirSync(join(house.folder, 'photos'))
    const spoilt: Buffer[] = [
      Buffer.alloc(0),
      Buffer.from('PK'),
      archive.subarray(0, archive.length >> 1),
      SMALL_PICTURE,
    ]
    for (let n = 1; n < 24; n += 1) {
      const bytes = Buffer.from(archive)
      const at = Math.floor((n / 24) * archive.length)
      bytes[at] = (bytes[at] ?? 0) ^ 0x55
      spoilt.push(bytes)
    }
    let refused = 0
    for (const bytes of spoilt) {
      const reply = await take(bytes)
      expect([200, 422]).toContain(reply.status)
      // What is not taken in may be flipped: the records as text and the readme.
      if (reply.status === 200) continue
      refused += 1
      expect(await everything()).toBe(before)
    }
    expect(refused).toBeGreaterThan(15)
    expect(readdirSync(join(house.folder, 'photos'))).toEqual(shots)
    expect(left()).toEqual([])
  })

  test('with more in it than it says, elsewhere, twice, or no picture: refused with the reason', async () => {
    await item('one')
    await tick('one', '2026-11-20')
    const database = readFileSync(join(house.folder, 'copies', await copyNow()))
    const sum = (bytes: Buffer): string => createHash('sha256').update(bytes).digest('hex')
    const zipOf = async (files: Record<string, Buffer>, listed: Record<string, Buffer> = files): Promise<Buffer> => {
      const zip = new yazl.ZipFile()
      const list = Object.entries(listed).map(([name, bytes]) => ({ name, bytes: bytes.length, sha256: sum(bytes) }))
      const contents = { format: 'seligo archive', version: 1, madeAt: '2026-11-24T12:00:00.000Z', files: list }
      zip.addBuffer(Buffer.from(JSON.stringify(contents)), 'contents.json')
      for (const [name, bytes] of Object.entries(files)) zip.addBuffer(bytes, name)
      zip.end()
      const chunks: Buffer[] = []
      for await (const chunk of zip.outputStream) chunks.push(chunk as Buffer)
      return Buffer.concat(chunks)
    }
    const db = { 'collection.db': database }
    const html = Buffer.from('<script>alert(1)</script>')
    // yazl writes no path that leads out, so a name of the same length is put in its place.
    const outside = await zipOf({ ...db, 'pictures/ab_cd.jpg': html })
    const leading = Buffer.from(
      outside.toString('latin1').replaceAll('pictures/ab_cd.jpg', '../../../up/x9.jpg'),
      'latin1',
    )
    const told = [
      [await zipOf({ ...db, 'extra.txt': html }, db), 'not in its list'],
      [await zipOf({ 'readme.txt': html }), 'holds no collection'],
      [await zipOf({ ...db, 'pictures/x.jpg': html }), 'is no picture'],
      [await zipOf({ ...db }, { ...db, 'pictures/x.jpg': html }), 'pictures/x.jpg is missing'],
      [await zipOf({ 'collection.db': html }), 'in its database'],
      [leading, ''],
    ] as const
    for (const [bytes, words] of told) {
      const reply = await take(bytes)
      expect([words, reply.status, String(reply.body.detail).includes(words)]).toEqual([words, 422, true])
    }
    expect(existsSync(join(house.folder, '..', 'up'))).toBe(false)
    expect(left()).toEqual([])
    // A database that was through other hands: with a trigger of its own, or with rows that no act of hers could leave.
    const spoilt = async (sql: string): Promise<string> => {
      const at = join(house.folder, 'spoilt.db')
      writeFileSync(at, database)
      const other = new Database(at)
      other.pragma('journal_mode = DELETE')
      other.exec(sql)
      other.close()
      const reply = await take(await zipOf({ 'collection.db': readFileSync(at) }))
      rmSync(at)
      return `${reply.status} ${reply.body.detail}`
    }
    expect(await spoilt("CREATE TRIGGER t AFTER INSERT ON wear BEGIN UPDATE item SET notes = 'x'; END")).toMatch(
      /^422 .*none of Seligo/,
    )
    expect(await spoilt("UPDATE item SET ended_on = '2020-01-01', ended_as = 'left'")).toMatch(/^422 .*in its database/)
    // Put together again by another program, with its folders named.
    const zip = new yazl.ZipFile()
    zip.addEmptyDirectory('pictures/')
    const list = [{ name: 'collection.db', bytes: database.length, sha256: sum(database) }]
    const contents = { format: 'seligo archive', version: 1, madeAt: '2026-11-24T12:00:00.000Z', files: list }
    zip.addBuffer(Buffer.from(JSON.stringify(contents)), 'contents.json')
    zip.addBuffer(database, 'collection.db')
    zip.end()
    const chunks: Buffer[] = []
    for await (const chunk of zip.outputStream) chunks.push(chunk as Buffer)
    expect((await take(Buffer.concat(chunks))).status).toBe(200)
  })
})

describe('a second folder', () => {
  test('gets each copy with its pictures, sound; one that can’t be used is said', async () => {
    await item('one')
    await picture('one', 'shot')
    await copyNow()
    const stick = mkdtempSync(join(tmpdir(), 'seligo-stick-'))
    const also = (folder: string | null) => house.post('/api/copies/also-to', { folder })
    for (const [folder, words] of [
      ['relative/path', 'whole path'],
      [join(stick, 'nowhere'), 'no such folder'],
      [join(house.folder, 'photos'), 'inside the data folder'],
    ] as const)
      expect((await also(folder)).body.detail).toContain(words)
    const stored = await also(stick)
    expect(stored.body.alsoTo).toMatchObject({ folder: stick, trouble: '', lastAt: expect.any(String) as string })
    expect(factsOf(join(stick, 'seligo-2026-11-24-day.db')).wrong).toBeNull()
    expect(readdirSync(join(stick, 'photos'))).toHaveLength(1)
    // Pulled out: the day's copy is made all the same, and what is missing is said.
    rmSync(stick, { recursive: true })
    house.now = new Date(2026, 10, 25, 12)
    await house.host.copyOfTheDay()
    const after = (await house.ask(house.here, '/api/copies')).body
    expect(after.alsoTo.trouble).toBe('there is no such folder')
    expect(after.copies[0].name).toBe('2026-11-25-day.db')
    expect((await also(null)).body.alsoTo).toBeNull()
  })
})

test('what is made is for her alone: folders 700, files 600', async () => {
  const umask = process.umask(0o077)
  try {
    await item('one')
    await picture('one', 'shot')
    await copyNow()
    await goBack('2026-11-24-day.db')
    const modes = (folder: string): string[] =>
      readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
        const path = join(folder, entry.name)
        const mode = (statSync(path).mode & 0o777).toString(8)
        return entry.isDirectory() ? [`d${mode}`, ...modes(path)] : [mode]
      })
    mkdirSync(join(house.folder, 'photos'), { recursive: true })
    const seen = new Set(modes(house.folder).filter((mode) => mode !== '644'))
    expect([...seen].sort()).toEqual(['600', 'd700'])
  } finally {
    process.umask(umask)
  }
})
