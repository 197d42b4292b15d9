import { writesOf } from '#server/create-app'
import { get } from 'node:http'
import { connect, type Socket } from 'node:net'
import { once } from 'node:events'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { phoneMay } from '#server/host/admitting'
import { Pairing } from '#server/host/pairing'
import { MachineFile } from '#server/host/machine-file'
import { FIELDS } from './support/fields'
import { TestHost } from './support/test-host'

let house: TestHost
beforeEach(async () => {
  house = await TestHost.open()
})
afterEach(() => house.close())

/** What replaces or restores everything, takes everything out, or lets others in: for the machine on which Seligo runs. */
const MACHINE_ONLY = [
  ['GET', '/export'],
  ['GET', '/archive'],
  ['POST', '/archive'],
  ['POST', '/collection-file'],
  ['POST', '/changes/x/go-back'],
  ['GET', '/copies/x/inside'],
  ['POST', '/copies/x/go-back'],
  ['POST', '/devices/code'],
  ['POST', '/devices/let-in'],
  ['POST', '/devices/x/revoke'],
  ['GET', '/export.csv'],
  ['DELETE', '/items/x'],
  ['PATCH', '/items/x'],
  ['POST', '/something-new'],
] as const

describe('what a phone may', () => {
  test('log, measure and decide: every route that writes, but those that replace or restore', async () => {
    const not = writesOf(house.host.services).filter(({ method, path }) => !phoneMay(method.toUpperCase(), path))
    expect(not.map(({ path }) => path).sort()).toEqual(['/changes/:id/go-back', '/collection-file'])
  })

  test.each(MACHINE_ONLY)('not %s %s, whoever asks under whatever verb', async (method, path) => {
    expect(phoneMay(method, path)).toBe(false)
    const cookie = await house.pairedPhone()
    for (const verb of new Set([method, 'POST', 'PUT', 'DELETE', 'PATCH'])) {
      if (phoneMay(verb, path)) continue
      const refused = await house.ask(house.network, `/api${path}`, { method: verb, headers: { Cookie: cookie } })
      expect([verb, refused.status, refused.body.code]).toEqual([verb, 403, 'this-machine-only'])
    }
  })

  test('the list of copies tells it no path of the machine', async () => {
    const cookie = await house.pairedPhone()
    const shown = await house.ask(house.network, '/api/copies', { headers: { Cookie: cookie } })
    expect([shown.status, shown.text.includes(house.folder)]).toEqual([200, false])
    expect((await house.ask(house.here, '/api/copies')).text).toContain(house.folder)
  })

  test('a write that was begun before it was sent away isn’t saved', async () => {
    const cookie = await house.pairedPhone()
    const [device] = house.host.machine.now.devices
    const [host = '', port = ''] = house.network.split(':')
    const body = JSON.stringify({ changeId: 'late', day: '2026-11-24', noMakeup: true })
    const socket = connect(Number(port), host)
    await once(socket, 'connect')
    const head = `POST /api/no-makeup HTTP/1.1\r\nHost: ${house.network}\r\nCookie: ${cookie}\r\nContent-Type: application/json\r\nContent-Length: ${body.length}\r\nConnection: close\r\n\r\n`
    socket.write(head + body.slice(0, 5))
    const said = heard(socket)
    // It is being received by now, and let in.
    while (!house.host.isAtWork) await new Promise((resolve) => setImmediate(resolve))
    house.host.pairing.revoke(device?.id ?? '')
    socket.write(body.slice(5))
    expect(await said).not.toMatch(/^HTTP\/1.1 200/)
    expect(house.host.services.db.prepare('SELECT count(*) AS n FROM change').get()).toEqual({ n: 0 })
  })
})

async function heard(socket: Socket): Promise<string> {
  let text = ''
  socket.on('data', (piece: Buffer) => (text += piece.toString()))
  socket.on('error', () => undefined)
  await once(socket, 'close')
  return text
}

test('half a form of a stranger is no work: going back doesn’t wait for it', async () => {
  await house.post('/api/items', {
    changeId: house.id(),
    id: 'a',
    fields: FIELDS,
    reading: null,
  })
  await house.post('/api/devices/let-in', { address: '127.0.0.2' })
  await house.host.copyOfTheDay()
  const [host = '', port = ''] = house.network.split(':')
  const socket = connect(Number(port), host)
  socket.on('error', () => undefined)
  await once(socket, 'connect')
  socket.write(
    `POST /pair HTTP/1.1\r\nHost: ${house.network}\r\nContent-Type: application/x-www-form-urlencoded\r\nContent-Length: 500\r\n\r\ncode=`,
  )
  const page = await house.ask(house.network, '/pair')
  expect(page.status).toBe(200)
  expect(house.host.isAtWork).toBe(false)
  expect((await house.post('/api/copies/2026-11-24-day.db/go-back', {})).status).toBe(200)
  socket.destroy()
})

test('who is let in comes in, however many strangers hold a connection', async () => {
  const cookie = await house.pairedPhone()
  const [host = '', port = ''] = house.network.split(':')
  const sockets = Array.from({ length: 60 }, () => connect(Number(port), host))
  for (const socket of sockets) socket.on('error', () => undefined).write('GET / HTTP/1.1\r\nHost:')
  const shown = await house.ask(house.network, '/api/fronts', { headers: { Cookie: cookie } })
  expect(shown.status).toBe(200)
  for (const socket of sockets) socket.destroy()
})

test('one phone with many pages open ends its own, and nobody else’s', async () => {
  const [one, other] = [await house.pairedPhone('one'), await house.pairedPhone('other')]
  const [host = '', port = ''] = house.network.split(':')
  const listening = (cookie: string): Promise<{ over: boolean }> =>
    new Promise((resolve) => {
      const state = { over: false }
      get({ host, port, path: '/api/stream', headers: { Cookie: cookie }, agent: false }, (line) => {
        line.on('end', () => (state.over = true)).resume()
        resolve(state)
      }).on('error', () => undefined)
    })
  const others = await listening(other)
  const own: { over: boolean }[] = []
  for (let n = 0; n < 12; n += 1) own.push(await listening(one))
  await expect.poll(() => own.filter(({ over }) => over).length).toBe(4)
  expect(others.over).toBe(false)
})

test('a clock set back lengthens no code’s life', () => {
  let now = new Date(2026, 10, 24, 12)
  let monotonic = 0
  const pairing = new Pairing(
    new MachineFile(house.folder),
    () => now,
    () => monotonic,
  )
  const code = pairing.newCode()
  now = new Date(2026, 10, 24, 6)
  monotonic += 2 * 60_000 + 1
  expect(pairing.pair(code, 'late')).toMatchObject({ ok: false })
})
