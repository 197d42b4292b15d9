import { readFileSync } from 'node:fs'
import { createServer, type RequestListener, type Server } from 'node:http'
import { createServer as createSecureServer } from 'node:https'
import { networkInterfaces } from 'node:os'
import type { Socket } from 'node:net'
import { fail, ok, type Outcome } from '../failing.js'

/** A request's headers must have come within this, and all of it within that, in milliseconds: nobody holds the server by being slow. */
const HEADERS_MS = 5000
const REQUEST_MS = 120_000
/** Looked after this often; of itself Node looks every half minute. For whoever makes a server. */
export const LOOKED_AFTER = { connectionsCheckingInterval: 1000 }
/** A connection over which nothing moves is closed after this; what listens for changes is sent a sign of life more often. */
const SILENT_MS = 90_000
const MOST_CONNECTIONS = 120
/** A phone opens six at a time; a household sits behind an address or two. Assumption. */
const MOST_FROM_ONE = 32
/** Connections over which nobody has been let in yet. Assumption: a page asks for its parts over six. */
const MOST_STRANGERS = 24
const PORTS_TRIED = 20

/** Of each connection those of its server that are strangers still. */
const known = new WeakMap<Socket, Set<Socket>>()

/** What comes over a connection was let in: it takes no share of the strangers' any more. */
export function isNoStranger(socket: Socket): void {
  known.get(socket)?.delete(socket)
}

/**
 * Holds a server to bounds that a slow or a greedy client cannot stretch; in the network also one address to a share of the
 * connections, so that it cannot take them all.
 */
export function bound(server: Server, mostFromOne = MOST_CONNECTIONS): void {
  server.headersTimeout = HEADERS_MS
  server.requestTimeout = REQUEST_MS
  server.maxConnections = MOST_CONNECTIONS
  server.setTimeout(SILENT_MS)
  const open = new Map<string, number>()
  const strangers = new Set<Socket>()
  server.on('connection', (socket: Socket) => {
    // Whoever has not been let in yet shares a few connections; the oldest makes room, and the rest are for who is.
    strangers.add(socket)
    known.set(socket, strangers)
    const [oldest] = strangers
    if (strangers.size > MOST_STRANGERS && oldest !== undefined) oldest.destroy()
    socket.once('close', () => strangers.delete(socket))
    const from = socket.remoteAddress ?? ''
    const count = (open.get(from) ?? 0) + 1
    if (count > mostFromOne) {
      socket.destroy()
      return
    }
    open.set(from, count)
    socket.once('close', () => {
      const left = (open.get(from) ?? 1) - 1
      if (left > 0) open.set(from, left)
      else open.delete(from)
    })
  })
}

/** A key and a certificate of the user's own, by their files: `SELIGO_KEY` and `SELIGO_CERTIFICATE`. */
export interface Secure {
  readonly key: string
  readonly certificate: string
}

/** The door to the home network: shut, unless the user opened it on one of this machine's addresses. */
export class NetworkDoor {
  readonly #handler: RequestListener
  readonly #secure: Secure | null
  readonly #alsoThere: readonly string[]
  #server: Server | null = null
  #at: { readonly address: string; readonly port: number } | null = null

  /** `alsoThere` are addresses that the machine does not list of itself, as behind a bridge. */
  constructor(handler: RequestListener, secure: Secure | null, alsoThere: readonly string[]) {
    this.#handler = handler
    this.#secure = secure
    this.#alsoThere = alsoThere
  }

  /** The addresses that this machine has in a network, the card's name beside each. */
  addresses(): { address: string; card: string }[] {
    const listed = Object.entries(networkInterfaces()).flatMap(([card, each]) =>
      (each ?? [])
        .filter(({ family, internal }) => family === 'IPv4' && !internal)
        .map(({ address }) => ({ address, card })),
    )
    return [...listed, ...this.#alsoThere.map((address) => ({ address, card: 'as set at start' }))]
  }

  /** Host headers under which the server is known at this door. */
  get hosts(): readonly string[] {
    if (this.#at === null) return []
    const { address, port } = this.#at
    // Browsers leave the usual port out.
    return port === (this.secure ? 443 : 80) ? [`${address}:${port}`, address] : [`${address}:${port}`]
  }

  get secure(): boolean {
    return this.#secure !== null
  }

  /** What a phone types or scans; null while the door is shut. */
  get url(): string | null {
    return this.#at === null ? null : `${this.secure ? 'https' : 'http'}://${this.#at.address}:${this.#at.port}`
  }

  /** Opens the door on an address, at this port or the next free one. A door that was open elsewhere is shut first. */
  async open(address: string, port: number): Promise<Outcome<{ address: string; port: number }>> {
    this.shut()
    if (!this.addresses().some((each) => each.address === address)) return fail('no-such-address', { value: address })
    let made: Server
    try {
      made = this.#make()
    } catch (error) {
      return fail('no-certificate', { why: error instanceof Error ? error.message : String(error) })
    }
    for (let at = port; at < port + PORTS_TRIED; at += 1) {
      const code = await listening(made, address, at)
      if (code === null) {
        this.#server = made
        this.#at = { address, port: at }
        return ok(this.#at)
      }
      if (code !== 'EADDRINUSE') return fail('no-such-address', { value: address })
    }
    return fail('no-port-free', { value: address, port })
  }

  /** Shuts the door; whoever stands in it is out at once. */
  shut(): void {
    this.#server?.close(() => undefined)
    this.#server?.closeAllConnections()
    this.#server = null
    this.#at = null
  }

  #make(): Server {
    const server =
      this.#secure === null
        ? createServer(LOOKED_AFTER, this.#handler)
        : createSecureServer(
            { ...LOOKED_AFTER, key: readFileSync(this.#secure.key), cert: readFileSync(this.#secure.certificate) },
            this.#handler,
          )
    bound(server, MOST_FROM_ONE)
    return server
  }
}

/** Null once the server listens, else the code of what stood against it. */
function listening(server: Server, address: string, port: number): Promise<string | null> {
  return new Promise((resolve) => {
    const failed = (error: NodeJS.ErrnoException): void => {
      server.off('listening', listens)
      resolve(error.code ?? 'unknown')
    }
    const listens = (): void => {
      server.off('error', failed)
      resolve(null)
    }
    server.once('error', failed)
    server.once('listening', listens)
    server.listen(port, address)
  })
}
