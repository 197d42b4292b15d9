import { writesOf } from '#server/create-app'
import { readFileSync, statSync, writeFileSync } from 'node:fs'
import { get } from 'node:http'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { CODE_GOOD_MS, CODE_LENGTH, CODE_SIGNS } from '#server/host/pairing'
import { readSetup } from '#server/host/setup'
import { FIELDS } from './support/fields'
import { NETWORK, TestHost } from './support/test-host'

let house: TestHost
beforeEach(async () => {
  house = await TestHost.open()
})
afterEach(() => house.close())

const HTML = { Accept: 'text/html,application/xhtml+xml' }
const code = async (): Promise<string> => (await house.post('/api/devices/code', {})).body.code as string
const open = () => house.post('/api/devices/let-in', { address: NETWORK })
/** As somebody types it who looks at another code. */
const another = (right: string): string =>
  (right.startsWith(CODE_SIGNS.charAt(0)) ? CODE_SIGNS.charAt(1) : CODE_SIGNS.charAt(0)) + right.slice(1)

describe('the door', () => {
  test('is shut until she opens it, stays open across a restart, and is shut at once', async () => {
    expect((await house.ask(house.here, '/api/devices')).body).toMatchObject({ url: null, picked: null, devices: [] })
    await expect(house.ask(house.network, '/pair')).rejects.toThrow(/ECONNREFUSED/)
    expect((await house.post('/api/devices/code', {})).body.code).toBe('door-shut')
    expect((await open()).body.url).toBe(`http://${house.network}`)
    await house.restart()
    expect((await house.ask(house.network, '/pair')).status).toBe(200)
    const at = house.network
    expect((await house.post('/api/devices/let-in', { address: null })).body.url).toBeNull()
    await expect(house.ask(at, '/pair')).rejects.toThrow(/ECONNREFUSED/)
  })

  test.each([
    ['198.51.100.7', 'no-such-address'],
    ['0.0.0.0', 'no-such-address'],
    ['example.test', 'no-such-address'],
    [7, 'invalid'],
  ])('opens on no address but this computer has: %s', async (address, failure) => {
    await open()
    const refused = await house.post('/api/devices/let-in', { address })
    expect([refused.status, refused.body.code]).toEqual([422, failure])
    // As it was before.
    expect((await house.ask(house.network, '/pair')).status).toBe(200)
  })

  test('shows a stranger the pairing page and nothing else', async () => {
    await open()
    const page = await house.ask(house.network, '/pair', { headers: HTML })
    expect(page.status).toBe(200)
    expect(page.text).not.toMatch(/<script|src=|href=(?!"data:,")/)
    for (const path of ['/', '/collection', '/index.html', '/seligo.svg', '/manifest.webmanifest', '/assets/a.js']) {
      const shown = await house.ask(house.network, path, { headers: HTML })
      expect([path, shown.status, shown.text]).toEqual([path, 401, page.text.replace('my phone', '')])
    }
    const reads = [
      '/today',
      '/collection',
      '/photos/x',
      '/export',
      '/archive',
      '/copies',
      '/devices',
      '/stream',
      '/calendar.ics',
    ]
    for (const path of reads) {
      const refused = await house.ask(house.network, `/api${path}`, { headers: HTML })
      expect([path, refused.status, refused.body?.code]).toEqual([path, 401, 'not-let-in'])
    }
    for (const { method, path } of writesOf(house.host.services)) {
      const refused = await house.ask(house.network, `/api${path}`, { method: method.toUpperCase(), body: '{' })
      expect([path, refused.status]).toEqual([path, 401])
    }
  })
})

describe('pairing', () => {
  test('a code lets one phone in, as a cookie that no script reads; what is saved isn’t what it holds', async () => {
    await open()
    const shown = await code()
    expect(shown).toMatch(new RegExp(`^[${CODE_SIGNS}]{${CODE_LENGTH}}$`))
    const reply = await house.pair(`${shown.slice(0, 4).toLowerCase()} ${shown.slice(4)}`, 'Maren’s phone')
    expect([reply.status, reply.headers['location']]).toEqual([303, '/'])
    const cookie = String(reply.headers['set-cookie'])
    expect(cookie).toMatch(/; HttpOnly; SameSite=Strict$/)
    const token = /^seligo-device=([^;]+)/.exec(cookie)?.[1] ?? ''
    expect(Buffer.from(token, 'base64url')).toHaveLength(32)
    const file = join(house.folder, 'this-machine.json')
    expect(readFileSync(file, 'utf8')).not.toContain(token)
    expect(statSync(file).mode & 0o777).toBe(0o600)
    const own = { Cookie: `other=1; seligo-device=${token}` }
    expect((await house.ask(house.network, '/api/today', { headers: own })).status).toBe(200)
    expect((await house.ask(house.network, '/api/devices', { headers: own })).body).toMatchObject({
      here: false,
      addresses: [],
      devices: [{ name: 'Maren’s phone', asks: true }],
    })
    // Once, and once only.
    expect((await house.pair(shown)).status).toBe(422)
  })

  test('a wrong code is counted; after the fifth the right one is too late', async () => {
    await open()
    const shown = await code()
    for (const left of [4, 3, 2, 1]) {
      const reply = await house.pair(another(shown), 'Oda')
      expect([reply.status, reply.text.includes(`${left} more ${left === 1 ? 'try' : 'tries'}`)]).toEqual([422, true])
      expect(reply.text).toContain('value="Oda"')
    }
    expect((await house.pair(another(shown))).text).toContain('tried five times and is locked')
    expect((await house.pair(shown)).text).toContain('tried five times and is locked')
    expect((await house.pair(await code())).status).toBe(303)
  })

  test('a code is over after two minutes, when another is shown, and when its page is left', async () => {
    await open()
    const first = await code()
    house.now = new Date(house.now.getTime() + CODE_GOOD_MS)
    expect((await house.pair(first)).text).toContain('its two minutes are over')
    const [second, third] = [await code(), await code()]
    expect((await house.pair(second)).status).toBe(422)
    await house.post('/api/devices/code/close', {})
    expect((await house.pair(third)).status).toBe(422)
  })

  test('more tries than anybody mistypes aren’t even read', async () => {
    await open()
    const answers: number[] = []
    for (let n = 0; n < 24; n += 1) answers.push((await house.pair('2222-2222')).status)
    expect(answers.slice(0, 20)).not.toContain(429)
    expect(answers.slice(20)).toEqual([429, 429, 429, 429])
  })

  test('hostile names stand on the page as text', async () => {
    await open()
    await code()
    const reply = await house.pair('22222222', '"><img src=x onerror=alert(1)>\u202e\u0000')
    expect(reply.text).not.toContain('<img')
    const phone = await house.pairedPhone('<b>‮x</b>')
    expect(phone).toMatch(/^seligo-device=/)
    expect((await house.ask(house.here, '/api/devices')).body.devices[0].name).toBe('<b>‮x</b>')
  })

  test('sent away, it sees nothing more, its open pages hear of it, and others stay', async () => {
    const [gone, stays] = [await house.pairedPhone('old'), await house.pairedPhone('new')]
    const oldId = (await house.ask(house.here, '/api/devices')).body.devices[0].id as string
    const [port, heard] = [Number(house.network.split(':')[1]), [] as string[]]
    const ended = new Promise((resolve) =>
      get({ host: NETWORK, port, path: '/api/stream', headers: { Cookie: gone } }, (line) => {
        line.on('data', (text: Buffer) => heard.push(String(text)))
        line.on('end', resolve)
        line.once('data', () => void house.post(`/api/devices/${oldId}/revoke`, {}))
      }),
    )
    await ended
    expect(heard.join('')).toContain('event: dismissed')
    expect((await house.ask(house.network, '/api/today', { headers: { Cookie: gone } })).status).toBe(401)
    expect((await house.ask(house.network, '/api/today', { headers: { Cookie: stays } })).status).toBe(200)
    await house.restart()
    expect((await house.ask(house.network, '/api/today', { headers: { Cookie: gone } })).status).toBe(401)
    expect((await house.ask(house.network, '/api/today', { headers: { Cookie: stays } })).status).toBe(200)
  })

  test('a file of phones that can’t be read lets nobody in, and is kept aside', async () => {
    const phone = await house.pairedPhone()
    writeFileSync(join(house.folder, 'this-machine.json'), '{"devices":')
    await house.restart()
    expect((await house.ask(house.here, '/api/devices')).body).toMatchObject({ devices: [], picked: null })
    await open()
    expect((await house.ask(house.network, '/api/today', { headers: { Cookie: phone } })).status).toBe(401)
    expect(readFileSync(join(house.folder, 'this-machine.json.unreadable'), 'utf8')).toBe('{"devices":')
  })
})

describe('what a paired phone may do', () => {
  test('ticks, but neither lets others in nor puts the collection back', async () => {
    const phone = { Cookie: await house.pairedPhone() }
    const item = { changeId: 'a', id: 'blush-1', fields: FIELDS, reading: null }
    expect((await house.post('/api/items', item, house.network, phone)).status).toBe(200)
    const wear = { changeId: 'b', itemId: 'blush-1', day: '2026-11-24', worn: true }
    expect((await house.post('/api/wear', wear, house.network, phone)).status).toBe(200)
    for (const path of [
      '/devices/let-in',
      '/devices/code',
      '/devices/code/close',
      '/devices/x/revoke',
      '/copies/x.db/go-back',
      '/copies/x.db/check',
      '/copies/also-to',
      '/archive',
    ]) {
      const refused = await house.post(`/api${path}`, {}, house.network, phone)
      expect([path, refused.status, refused.body.code]).toEqual([path, 403, 'this-machine-only'])
    }
  })

  test('a tick on one is told to the others, under the id of its change', async () => {
    const phone = { Cookie: await house.pairedPhone() }
    const told = new Promise<string>((resolve) =>
      get({ host: '127.0.0.1', port: house.host.port, path: '/api/stream' }, (line) => {
        let text = ''
        line.on('data', (part: Buffer) => {
          text += String(part)
          if (text.includes('"from-phone"')) {
            resolve(text)
            line.destroy()
          }
        })
        const item = { changeId: 'from-phone', id: 'blush-1', fields: FIELDS, reading: null }
        line.once('data', () => void house.post('/api/items', item, house.network, phone))
      }),
    )
    expect(await told).toContain('event: changed\ndata: {"changeId":"from-phone"}')
  })

  test.each([
    ['another Host', { Host: 'seligo.example' }, 403],
    ['this computer’s own name', { Host: '127.0.0.1:4680' }, 403],
    ['another port', { Host: `${NETWORK}:1` }, 403],
    ['another Origin', { Origin: 'http://elsewhere.example' }, 403],
    ['no Origin of its own', { Origin: 'null' }, 403],
    ['our own Origin', { Origin: 'own' }, 200],
  ])('through the network with %s', async (_, headers: Record<string, string>, status) => {
    const phone = { Cookie: await house.pairedPhone() }
    const sent = { ...headers, ...(headers['Origin'] === 'own' ? { Origin: `http://${house.network}` } : {}) }
    const reply = await house.ask(house.network, '/api/today', { headers: { ...phone, ...sent } })
    expect(reply.status).toBe(status)
    expect(reply.headers['access-control-allow-origin']).toBeUndefined()
    // The same through the door of this machine, where the address in the network is no name of its own.
    const here = await house.ask(house.here, '/api/today', { headers: { Host: house.network } })
    expect(here.status).toBe(403)
  })
})

test('what is answered is kept by nobody between', async () => {
  for (const path of ['/api/today', '/api/collection', '/api/export', '/api/devices', '/api/copies'])
    expect((await house.ask(house.here, path)).headers['cache-control'], path).toBe('no-store')
})

test.each([
  [{ SELIGO_PORT: 'abc' }, /SELIGO_PORT is "abc"/],
  [{ SELIGO_PORT: '70000' }, /from 1 to 65535/],
  [{ SELIGO_PORT: '-1' }, /no port/],
  [{ SELIGO_KEY: '/nowhere/key.pem' }, /belong together/],
  [{ SELIGO_KEY: '/nowhere/key.pem', SELIGO_CERTIFICATE: '/nowhere/c.pem' }, /no such file/],
  [{ SELIGO_ADDRESSES: '192.168.1.20, home' }, /"home"/],
])('a start that is set up wrong says so: %j', (environment: Record<string, string>, words) => {
  const setup = readSetup(environment)
  expect(setup.ok ? '' : setup.words).toMatch(words)
})
