import { createServer, type Server, request as ask } from 'node:http'
import { once } from 'node:events'
import { mkdtempSync, rmSync } from 'node:fs'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { factsOf } from '#server/copies/copy-facts'
import { lookInto } from '#server/copies/look-into'
import { collectionFile } from '#server/db/data-folder'
import { openDatabase } from '#server/db/open-database'
import { outsideOf } from '#server/host/outside'
import type { rescueApp } from '#server/host/rescue-app'
import { Host } from '#server/host/host'

/** Stands for the home network: another loopback address of this machine. */
export const NETWORK = '127.0.0.2'

export interface Reply {
  readonly status: number
  readonly headers: Readonly<Record<string, string | string[] | undefined>>
  readonly text: string
  // Tests look into answers of many shapes; each says what it expects of them.
  readonly body: any // eslint-disable-line @typescript-eslint/no-explicit-any -- see above
}

export interface Asking {
  readonly method?: string
  readonly headers?: Readonly<Record<string, string>>
  readonly body?: string | Buffer
}

/** A data folder with a house in it and both its doors, under a clock that stands still. */
export class TestHost {
  readonly folder = mkdtempSync(join(tmpdir(), 'seligo-host-'))
  host: Host
  #server: Server
  now = new Date(2026, 10, 24, 12)
  #ids = 0

  private constructor() {
    ;[this.host, this.#server] = this.#start()
  }

  #host(): Host {
    return new Host({
      folder: this.folder,
      now: () => this.now,
      alsoThere: [NETWORK],
      outside: (those) => outsideOf(those, lookInto),
    })
  }

  #start(): [Host, Server] {
    const host = this.#host()
    host.begin(openDatabase(collectionFile(this.folder), { appliedAt: this.now.toISOString() }))
    return [host, createServer(host.handler('here'))]
  }

  static async open(): Promise<TestHost> {
    const made = new TestHost()
    await made.#listen()
    return made
  }

  async #listen(): Promise<void> {
    this.#server.listen(0, '127.0.0.1')
    await once(this.#server, 'listening')
    this.host.port = (this.#server.address() as AddressInfo).port
    await this.host.openAsLeft()
  }

  /** Stops and starts on the same folder. */
  async restart(): Promise<void> {
    this.#stop()
    ;[this.host, this.#server] = this.#start()
    await this.#listen()
  }

  /** Stops, spoils its database, and starts as a server does that cannot open it. */
  async spoilAndOffer(spoil: (file: string) => void, offer: typeof rescueApp): Promise<void> {
    this.#stop()
    const file = join(this.folder, 'collection.db')
    spoil(file)
    const host = this.#host()
    let why = ''
    try {
      openDatabase(collectionFile(this.folder), { appliedAt: '' }).close()
    } catch (error) {
      why = String(error)
    }
    if (why === '') throw new Error('It opens all the same.')
    host.answerWith(offer(host, join(this.folder, 'copies'), factsOf, why))
    this.host = host
    this.#server = createServer(host.handler('here'))
    await this.#listen()
  }

  get here(): string {
    return `127.0.0.1:${this.host.port}`
  }

  get network(): string {
    return this.host.network.hosts[0] ?? `${NETWORK}:1`
  }

  id(): string {
    this.#ids += 1
    return `c-${this.#ids}`
  }

  /** One request to a door, with the headers as they are given: `fetch` would not let a test set them all. */
  ask(at: string, path: string, { method = 'GET', headers = {}, body }: Asking = {}): Promise<Reply> {
    const [host = '', port = ''] = at.split(':')
    return new Promise((resolve, reject) => {
      const sent = ask({ host, port, path, method, headers, agent: false }, (response) => {
        const chunks: Buffer[] = []
        response.on('data', (chunk: Buffer) => chunks.push(chunk))
        response.on('end', () => {
          const text = Buffer.concat(chunks).toString('utf8')
          const isJson = /json/.test(String(response.headers['content-type']))
          const status = response.statusCode ?? 0
          resolve({ status, headers: response.headers, text, body: isJson ? JSON.parse(text) : null })
        })
        response.on('error', reject)
      })
      sent.on('error', reject)
      sent.end(body)
    })
  }

  post(path: string, body: object, at = this.here, headers: Record<string, string> = {}): Promise<Reply> {
    return this.ask(at, path, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', ...headers },
      body: JSON.stringify(body),
    })
  }

  /** Opens the door and pairs a phone; its cookie. */
  async pairedPhone(name = 'my phone'): Promise<string> {
    await this.post('/api/devices/let-in', { address: NETWORK })
    const { code } = (await this.post('/api/devices/code', {})).body as { code: string }
    const reply = await this.pair(code, name)
    return String(reply.headers['set-cookie']).split(';')[0] ?? ''
  }

  pair(code: string, name = 'my phone', headers: Record<string, string> = {}): Promise<Reply> {
    return this.ask(this.network, '/pair', {
      method: 'POST',
      headers: { 'Content-Type': 'application/x-www-form-urlencoded', ...headers },
      body: new URLSearchParams({ code, name }).toString(),
    })
  }

  #stop(): void {
    this.host.close()
    this.#server.close()
    this.#server.closeAllConnections()
  }

  close(): void {
    this.#stop()
    rmSync(this.folder, { recursive: true, force: true })
  }
}
