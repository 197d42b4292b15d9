import type { IncomingMessage, RequestListener, ServerResponse } from 'node:http'
import type { RequestHandler } from 'express'
import type { Hemisphere } from '#core/calendar/hemisphere'
import { fail, ok, type Outcome } from '../failing.js'
import type { Day } from '#core/calendar/day'
import { Copies, type PendingCopy } from '../copies/copies.js'
import type { Check } from '../copies/copy-shelf.js'
import { SecondFolder } from '../copies/second-folder.js'
import { createApp, type Outside } from '../create-app.js'
import { collectionFile } from '../db/data-folder.js'
import { fileFaultOf } from '../db/health.js'
import { openDatabase } from '../db/open-database.js'
import type { Db } from '../db/query.js'
import { HERE, makeServices, type HeavyWork, type Services } from '../services.js'
import { failureWords } from '../http/failure-words.js'
import { admitting, cameThrough, type Door } from './admitting.js'
import { dropWhole, makeReady, moveAside, putInPlace, sweepUp } from './going-back.js'
import { MachineFile } from './machine-file.js'
import { NetworkDoor, type Secure } from './network-door.js'
import { Pairing } from './pairing.js'
import { Stream } from './stream.js'

/** What became of what was there: copied, or put aside where it was damaged; the name of the one or the other. */
export interface WentBack {
  readonly before: string | null
  readonly aside: string | null
}

/** As long as whatever is under way is waited for before the collection is put back, in milliseconds. */
const DRAIN_MS = 15_000
const TURN_MS = 25

export interface HostOptions {
  readonly outside: (host: Host) => Pick<Outside, 'pages' | 'api'>
  readonly folder: string
  readonly now: () => Date
  readonly secure?: Secure | null
  readonly alsoThere?: readonly string[]
  readonly large?: HeavyWork
  /** Tells the terminal when the door to the network opens, shuts, or cannot be opened. */
  readonly say?: (words: string) => void
  /** The half of the earth whose seasons hold until the user says otherwise. */
  readonly hemisphere?: Hemisphere
  /** What a house does of itself once it is open, such as making forecasts ahead. */
  readonly opened?: (services: Services) => void
}

/**
 * A data folder with a house in it: who is let in, its copies, and the server itself, which is another after the collection was put
 * back to a copy. Requests wait while that is done; none is lost, and none meets a house that is half one item, half another.
 */
export class Host {
  readonly folder: string
  readonly now: () => Date
  readonly machine: MachineFile
  readonly pairing: Pairing
  readonly stream = new Stream()
  readonly network: NetworkDoor
  readonly second: SecondFolder
  readonly admitting: readonly RequestHandler[]
  copyTrouble = ''
  doorTrouble = ''
  /** Where this machine finds the server itself. */
  port = 0
  readonly check: Check
  readonly #large: HeavyWork
  readonly #hemisphere: Hemisphere | undefined
  readonly #opened: (services: Services) => void
  readonly #say: (words: string) => void
  readonly #outside: Pick<Outside, 'pages' | 'api'>
  #services: Services | null = null
  #app: RequestListener | null = null
  #shut: Promise<void> | null = null
  #goingBack = false
  #lookedThrough: Day | null = null
  #copiesSeen: Day | null = null
  /** Requests that are being answered, but for lines that stay open. */
  readonly #working = new Set<ServerResponse>()

  constructor(options: HostOptions) {
    this.folder = options.folder
    this.now = options.now
    sweepUp(options.folder)
    this.machine = new MachineFile(options.folder)
    this.pairing = new Pairing(this.machine, options.now)
    this.network = new NetworkDoor(this.handler('network'), options.secure ?? null, options.alsoThere ?? [])
    this.#large = options.large ?? HERE
    this.#hemisphere = options.hemisphere
    this.check = this.#large.check
    this.second = new SecondFolder(options.folder, this.check)
    this.#say = options.say ?? (() => undefined)
    this.#opened = options.opened ?? (() => undefined)
    this.#outside = options.outside(this)
    this.admitting = admitting(this.network, this.pairing, (response) => this.#works(response))
  }

  get services(): Services {
    if (this.#services === null) throw new Error('No collection is open.')
    return this.#services
  }

  get isOpen(): boolean {
    return this.#services !== null
  }

  /** Whether somebody who is let in waits for an answer. */
  get isAtWork(): boolean {
    return this.#working.size > 0
  }

  /** Furnishes the server over an open database. */
  begin(db: Db): void {
    const services = makeServices(db, this.now, {
      heavy: this.#large,
      hemisphere: this.#hemisphere,
      folder: this.folder,
    })
    services.journal.listen((_touched, changeId) => this.stream.changed(changeId))
    this.#services = services
    this.#app = createApp(services, { admitting: this.admitting, ...this.#outside })
    this.#opened(services)
  }

  /** Answers with an app of its own as long as there is no house: the small page that offers the newest healthy copy. */
  answerWith(app: RequestListener): void {
    this.#app = app
  }

  handler(door: Door): RequestListener {
    return (request: IncomingMessage, response: ServerResponse) => {
      cameThrough(request, door)
      this.#answer(request, response).catch((error: unknown) => {
        console.error(error)
        response.destroy()
      })
    }
  }

  async #answer(request: IncomingMessage, response: ServerResponse): Promise<void> {
    while (this.#shut !== null) await this.#shut
    if (response.destroyed || this.#app === null) return
    this.#app(request, response)
  }

  #works(response: ServerResponse): void {
    this.#working.add(response)
    response.once('close', () => this.#working.delete(response))
  }

  /** A line that stays open, or the answer that waits for the server itself: nobody need wait for its end. */
  isNoWork(response: ServerResponse): void {
    this.#working.delete(response)
  }

  /**
   * Puts the collection back to a copy, which is read through first and brought up to date beside the server; what is there now is
   * copied before, and the name of that copy is answered. Nothing is touched until all of it stands ready, and the one rename that
   * changes everything is the last step: a house that is killed at any moment opens as it was or as the copy is.
   */
  async goBackTo(file: string): Promise<Outcome<WentBack>> {
    if (this.#goingBack) return fail('house-busy')
    this.#goingBack = true
    let open: () => void = () => undefined
    try {
      const facts = await this.check(file)
      if (facts.wrong !== null) return fail('copy-unsound', { why: facts.wrong })
      const ready = await makeReady(this.folder, file, this.now().toISOString())
      if (!ready.ok) return ready
      this.#shut = new Promise((resolve) => (open = resolve))
      try {
        return (await this.#isStill()) ? await this.#exchange(ready.value.coming) : fail('house-busy')
      } finally {
        // Where it took the collection's place it is no more under this name.
        dropWhole(ready.value.coming)
      }
    } finally {
      this.#goingBack = false
      this.#shut = null
      open()
    }
  }

  /** As `goBackTo` where no house stands: what cannot be opened is moved aside, not deleted, and its new name answered. */
  async rescueWith(file: string): Promise<Outcome<{ aside: string }>> {
    // The form was sent twice: the first of them does it, and what it put in place is not moved aside by the second.
    if (this.isOpen || this.#goingBack) return fail('house-busy')
    this.#goingBack = true
    try {
      const facts = await this.check(file)
      if (facts.wrong !== null) return fail('copy-unsound', { why: facts.wrong })
      const ready = await makeReady(this.folder, file, this.now().toISOString())
      if (!ready.ok) return ready
      const aside = moveAside(this.folder, this.now().toISOString())
      putInPlace(this.folder, ready.value.coming)
      this.#open()
      return ok({ aside })
    } finally {
      this.#goingBack = false
    }
  }

  async #isStill(): Promise<boolean> {
    for (let waited = 0; this.isAtWork; waited += TURN_MS) {
      if (waited > DRAIN_MS) return false
      await new Promise((resolve) => setTimeout(resolve, TURN_MS))
    }
    return true
  }

  async #exchange(coming: string): Promise<Outcome<WentBack>> {
    const { services } = this
    const before = await this.#copyBefore()
    if (before === null) return this.#putAside(coming)
    before.keep()
    // The log goes into its database whole: only then may it be deleted. A forecast in the making reads along for a moment.
    for (let tries = 0; !emptied(services.db); tries += 1) {
      if (tries > DRAIN_MS / TURN_MS) return fail('house-busy')
      await new Promise((resolve) => setTimeout(resolve, TURN_MS))
    }
    services.db.close()
    try {
      putInPlace(this.folder, coming)
    } finally {
      // Whichever of the two stands there now.
      this.#open()
    }
    this.stream.another()
    return ok({ before: before.name, aside: null })
  }

  async #copyBefore(): Promise<PendingCopy | null> {
    const { services } = this
    try {
      return await services.copies.meanwhileBefore('going-back')
    } catch (error) {
      if (fileFaultOf(error) !== 'damaged') throw error
      services.health.damaged(String(error))
      return null
    }
  }

  /** What is damaged is moved out of the way, whole, as it is where it cannot be opened at all. */
  #putAside(coming: string): Outcome<WentBack> {
    this.services.db.close()
    const aside = moveAside(this.folder, this.now().toISOString())
    try {
      putInPlace(this.folder, coming)
    } finally {
      this.#open()
    }
    this.stream.another()
    return ok({ before: null, aside })
  }

  #open(): void {
    this.begin(
      openDatabase(collectionFile(this.folder), {
        appliedAt: this.now().toISOString(),
        backUp: (db) => new Copies(db, this.folder, this.now).before('migration').keep(),
      }),
    )
  }

  /** Opens the door to the network at an address, or shuts it with null; kept for the next start. */
  async letInAt(address: string | null): Promise<Outcome<null>> {
    if (address === null) {
      // In memory first: whatever the disk does, it is shut.
      this.machine.restrict({ letIn: null })
      this.stream.dismiss('all')
      this.network.shut()
      this.pairing.closeCode()
      this.doorTrouble = ''
      this.#say('Phone access is off.')
      return ok(null)
    }
    const before = this.machine.now.letIn
    const outcome = await this.network.open(address, before?.address === address ? before.port : this.port)
    if (!outcome.ok) {
      // As it was before.
      await this.openAsLeft()
      return outcome
    }
    this.machine.change({ letIn: outcome.value })
    this.doorTrouble = ''
    this.#sayWhere()
    return ok(null)
  }

  /** Opens the door as the user left it. An address that this machine does not have now is said, and asked for again. */
  async openAsLeft(): Promise<void> {
    const left = this.machine.now.letIn
    if (left === null || this.network.url !== null) return
    const outcome = await this.network.open(left.address, left.port)
    const before = this.doorTrouble
    this.doorTrouble = outcome.ok ? '' : failureWords(outcome.failure).detail
    if (outcome.ok) this.#sayWhere()
    else if (this.doorTrouble !== before) this.#say(this.doorTrouble)
  }

  #sayWhere(): void {
    this.#say(`Connected phones find it at ${this.network.url}/  (Settings, Phones)`)
  }

  close(): void {
    this.stream.close()
    this.network.shut()
    this.#services?.db.close()
    this.#services = null
  }

  /** What is done once a day: the collection is looked through, a copy is made of it, and the copies are looked through in their turn. */
  async daily(): Promise<void> {
    if (!this.isOpen) return
    const { services } = this
    const today = services.today()
    if (this.#lookedThrough !== today && services.health.trouble !== 'damaged') {
      const wrong = await this.#large.checkOpen(services.db.name)
      this.#lookedThrough = today
      if (wrong !== null) {
        services.health.damaged(wrong)
        // Pages that are open ask again, and hear of it with the answer.
        this.stream.another()
      }
    }
    if (this.#services !== services || !services.db.open || services.health.trouble !== null) return
    await this.copyOfTheDay()
    if (this.#copiesSeen === today) return
    this.#copiesSeen = today
    await services.copies.shelf.known()
  }

  /** A copy of the day, for the server that stands; and into the second folder, where the user has one. */
  async copyOfTheDay(): Promise<void> {
    if (!this.isOpen) return
    const { services } = this
    try {
      const made = await services.copies.forTheDay(services.today())
      this.copyTrouble = ''
      const also = this.machine.now.alsoCopyTo
      if (made !== null && also !== null)
        await this.second.put(made, made.slice(made.lastIndexOf('/') + 1), also, this.now().toISOString())
    } catch (error) {
      this.copyTrouble = error instanceof Error ? error.message : String(error)
      if (services.db.open) console.error(`No copy of the collection could be made today: ${this.copyTrouble}`)
    }
  }
}

function emptied(db: Db): boolean {
  const [found] = db.pragma('wal_checkpoint(TRUNCATE)') as { busy: number }[]
  return found?.busy === 0
}
