import { createHash } from 'node:crypto'
import {
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
  createReadStream,
  createWriteStream,
} from 'node:fs'
import { request } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import Database from 'better-sqlite3'
import sharp from 'sharp'
import { serve } from './run-server.js'

const PICTURES = 3000
const WEARS = 100_000
const SIDE = 400

/** A collection with 3,000 pictures and 100,000 wears out as an archive and into an empty house, with what it took of memory and time. */
export async function archive(demo: string): Promise<Record<string, number>> {
  const [from, to] = ['from', 'to'].map((name) => mkdtempSync(join(tmpdir(), `seligo-archive-${name}-`)))
  if (from === undefined || to === undefined) throw new Error('no folder')
  const file = join(from, 'collection.db')
  writeFileSync(file, readFileSync(join(demo, 'collection.db')))
  const shots = join(from, 'photos')
  mkdirSync(shots)
  for (const name of readdirSync(join(demo, 'photos')).filter((each) => each.endsWith('.jpg')))
    writeFileSync(join(shots, name), readFileSync(join(demo, 'photos', name)))
  // One picture of noise, and of each other one its last sign: as large as real ones, and all different.
  const noise = await sharp({
    create: {
      width: SIDE,
      height: SIDE,
      channels: 3,
      background: '#777',
      noise: { type: 'gaussian', mean: 128, sigma: 60 },
    },
  })
    .jpeg({ quality: 82 })
    .toBuffer()
  const db = new Database(file)
  const item = db.prepare<[], { id: string }>('SELECT id FROM item LIMIT 1').get()?.id ?? ''
  const columns = db
    .prepare<[], { name: string }>("SELECT name FROM pragma_table_info('photo')")
    .all()
    .map(({ name }) => name)
  const picture = db.prepare(
    `INSERT INTO photo (${columns.join(', ')}) VALUES (${columns.map((each) => `@${each}`).join(', ')})`,
  )
  db.transaction(() => {
    const like = db.prepare('SELECT * FROM photo LIMIT 1').get() as object
    for (let n = 0; n < PICTURES; n += 1) {
      const bytes = Buffer.concat([noise, Buffer.from(String(n))])
      const content = createHash('sha256').update(bytes).digest('hex')
      writeFileSync(join(shots, `${content}.jpg`), bytes)
      picture.run({ ...like, id: `many-${n}`, content })
    }
    const wear = db.prepare("INSERT OR IGNORE INTO wear (id, item_id, day) VALUES (?, ?, date('2016-01-01', ?))")
    const items = db.prepare<[], { id: string }>('SELECT id FROM item').all()
    for (let n = 0; n < WEARS; n += 1)
      wear.run(`many-${n}`, items[n % items.length]?.id ?? item, `+${Math.floor(n / items.length)} days`)
  })()
  const wears = db.prepare<[], { n: number }>('SELECT count(*) AS n FROM wear').get()?.n ?? 0
  db.close()
  const out = await serve(from)
  const zip = join(to, '..', `seligo-archive-${process.pid}.zip`)
  const began = performance.now()
  const answer = await fetch(`${out.url}/api/archive`)
  await pipeline(answer.body as unknown as NodeJS.ReadableStream, createWriteStream(zip))
  const outS = (performance.now() - began) / 1000
  const outMb = out.memoryMb().most
  await out.stop()
  const into = await serve(to)
  const begun = performance.now()
  const status = await upload(`${into.url}/api/archive`, zip)
  const inS = (performance.now() - begun) / 1000
  const inMb = into.memoryMb().most
  await into.stop()
  const there = new Database(join(to, 'collection.db'), { readonly: true })
  const kept = there.prepare<[], { n: number }>('SELECT count(*) AS n FROM wear').get()?.n ?? 0
  there.close()
  const pictures = readdirSync(shots)
  const different = pictures.filter(
    (name) => !readFileSync(join(shots, name)).equals(readFileSync(join(to, 'photos', name))),
  ).length
  const megabytes = Math.round(readFileSync(zip).length / 1_000_000)
  for (const each of [from, to, zip]) rmSync(each, { recursive: true, force: true })
  return {
    pictures: pictures.length,
    wears,
    megabytes,
    status,
    wearsMissing: wears - kept,
    picturesDifferent: different,
    outS: Math.round(outS * 10) / 10,
    inS: Math.round(inS * 10) / 10,
    outMostMb: outMb,
    inMostMb: inMb,
  }
}

function upload(url: string, file: string): Promise<number> {
  return new Promise((resolve, reject) => {
    const sent = request(
      url,
      { method: 'POST', headers: { 'Content-Type': 'application/zip', 'Content-Length': readFileSync(file).length } },
      (response) => {
        response.resume()
        response.on('end', () => resolve(response.statusCode ?? 0))
      },
    )
    sent.on('error', reject)
    createReadStream(file).pipe(sent)
  })
}
