import type { ListedItem, ItemFields, ItemSummary } from '#contract/item'
import { unpackItems, type PackedItems } from '#contract/packed-items'
import { once } from 'node:events'
import { mkdtempSync, rmSync } from 'node:fs'
import type { Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Day } from '#core/calendar/day'
import { createApp } from '#server/create-app'
import { openDatabase } from '#server/db/open-database'
import type { Db } from '#server/db/query'
import { makeServices, type Services } from '#server/services'
import { FIELDS } from './fields'

export { FIELDS }

/** One pixel as PNG. */
export const SMALL_PICTURE = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8z8BQDwAEhQGAhKmMIQAAAABJRU5ErkJggg==',
  'base64',
)

/** The day on which the tests play: a Tuesday. */
export const TODAY = '2026-11-24' as Day

export interface Answer {
  readonly status: number
  readonly type: string
  readonly headers: Headers
  // Tests look into answers of many shapes; each says what it expects of them.
  readonly body: any // eslint-disable-line @typescript-eslint/no-explicit-any -- see above
}

/** A real server over a real database file in a folder of its own, under a clock that stands still. */
export class TestHouse {
  readonly folder = mkdtempSync(join(tmpdir(), 'seligo-test-'))
  db: Db
  services: Services
  #server: Server
  #ids = 0
  /** Told of every request. */
  listen: (method: string, path: string) => unknown = () => undefined
  #now = new Date(2026, 10, 24, 12)

  private constructor(fill: (file: string) => void) {
    fill(join(this.folder, 'collection.db'))
    ;({ db: this.db, services: this.services, server: this.#server } = this.#start())
  }

  #start(): { db: Db; services: Services; server: Server } {
    const db = openDatabase(join(this.folder, 'collection.db'), { appliedAt: '2026-11-24T12:00:00Z' })
    const services = makeServices(db, () => this.#now)
    return { db, services, server: createApp(services).listen(0, '127.0.0.1') }
  }

  /** Stops and starts on the same folder, as a person would. */
  restart(): Promise<void> {
    return this.whileStopped(() => undefined)
  }

  /** Does something to its files while nothing is open. */
  async whileStopped(act: () => void): Promise<void> {
    this.#server.close()
    this.#server.closeAllConnections()
    this.db.close()
    act()
    ;({ db: this.db, services: this.services, server: this.#server } = this.#start())
    await once(this.#server, 'listening')
  }

  /** `fill` may put a collection there before it starts. */
  static async open(fill: (file: string) => void = () => undefined): Promise<TestHouse> {
    const house = new TestHouse(fill)
    await once(house.#server, 'listening')
    return house
  }

  get port(): number {
    return (this.#server.address() as AddressInfo).port
  }

  setClock(now: Date): void {
    this.#now = now
  }

  /** A fresh id; changes and records alike. */
  id(prefix = 'id'): string {
    this.#ids += 1
    return `${prefix}-${this.#ids}`
  }

  async get(path: string): Promise<Answer> {
    return this.request('GET', path)
  }

  /** Everything in stock, as lists show it. */
  async listed(): Promise<ListedItem[]> {
    const { body } = await this.get('/collection')
    return unpackItems(body.items as PackedItems)
  }

  /** Everything in stock with all that is known of each. */
  async whole(): Promise<ItemSummary[]> {
    const items = await this.listed()
    return Promise.all(items.map(async ({ id }) => (await this.get(`/items/${id}`)).body.item as ItemSummary))
  }

  async post(path: string, body: object): Promise<Answer> {
    return this.request('POST', path, JSON.stringify({ changeId: this.id('c'), ...this.#current(path, body), ...body }))
  }

  async put(path: string, body: object): Promise<Answer> {
    return this.request('PUT', path, JSON.stringify({ changeId: this.id('c'), ...this.#current(path, body), ...body }))
  }

  /** The version that a page which was just loaded would send, for records that tests edit in passing. */
  #current(path: string, body: object): { version?: number } {
    const [, table, id] =
      [
        [/^\/zones\/([^/]+)$/, 'zone'],
        [/^\/categories\/([^/]+)$/, 'category'],
        [/^\/stays\/([^/]+)\/goal$/, 'stay'],
        [/^\/look-back\/asks\/([^/]+)\/answer$/, 'ask'],
      ]
        .map(([pattern, name]) => [pattern, name, (pattern as RegExp).exec(path)?.[1]] as const)
        .find(([, , found]) => found !== undefined) ?? []
    const row = (sql: string, ...at: string[]): { version?: number } =>
      this.db.prepare<string[], { version: number }>(sql).get(...at) ?? { version: 1 }
    if (table !== undefined && id !== undefined) return row(`SELECT version FROM "${String(table)}" WHERE id = ?`, id)
    if (path !== '/wear-details') return {}
    const { itemId, day } = body as { itemId: string; day: string }
    return row('SELECT version FROM wear WHERE item_id = ? AND day = ?', itemId, day)
  }

  async request(method: string, path: string, body?: string, headers: Record<string, string> = {}): Promise<Answer> {
    this.listen(method, path)
    const response = await fetch(`http://127.0.0.1:${this.port}/api${path}`, {
      method,
      headers: { 'Content-Type': 'application/json', ...headers },
      ...(body === undefined ? {} : { body }),
    })
    const type = response.headers.get('content-type') ?? ''
    return { status: response.status, type, headers: response.headers, body: await response.json() }
  }

  /** Sends a picture of an item; a small one unless said otherwise. */
  async photo(itemId: string, photoId: string, bytes: Uint8Array = SMALL_PICTURE): Promise<Answer> {
    const at = `changeId=${this.id('c')}&photoId=${photoId}&day=${TODAY}`
    const path = `/items/${itemId}/photos?${at}`
    this.listen('POST', path)
    const response = await fetch(`http://127.0.0.1:${this.port}/api${path}`, {
      method: 'POST',
      headers: { 'Content-Type': 'image/jpeg' },
      body: new Uint8Array(bytes),
    })
    const { status, headers } = response
    return { status, headers, type: headers.get('content-type') ?? '', body: await response.json() }
  }

  /** Stores an item and gives its id. */
  async item(fields: Partial<ItemFields> = {}): Promise<string> {
    const id = this.id('item')
    const answer = await this.post('/items', { id, fields: { ...FIELDS, ...fields }, reading: null })
    if (answer.status !== 200) throw new Error(JSON.stringify(answer.body))
    return id
  }

  /** Every watched row, for comparing the whole state. Versions grow with an undo and are left out. */
  snapshot(): string {
    const tables = this.db
      .prepare<[], { name: string }>(
        "SELECT name FROM sqlite_schema WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name NOT IN ('change', 'change_row', 'change_undoes', 'migration') ORDER BY name",
      )
      .all()
    const rows = tables.map(({ name }) => [name, this.db.prepare(`SELECT * FROM "${name}" ORDER BY id`).all()])
    return JSON.stringify(rows, (key, value: unknown) => (key === 'version' ? undefined : value))
  }

  close(): void {
    this.#server.close()
    this.#server.closeAllConnections()
    this.db.close()
    rmSync(this.folder, { recursive: true, force: true })
  }
}
