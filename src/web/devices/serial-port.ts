import type { ScalePort } from './scale-port'

/** What is used of the browser's serial port, so that a fake one can stand in for it. */
export interface SerialLike {
  open(options: { baudRate: number }): Promise<void>
  close(): Promise<void>
  readonly readable: ReadableStream<Uint8Array> | null
  readonly writable: WritableStream<Uint8Array> | null
}
interface SerialDoor {
  requestPort(): Promise<SerialLike>
}

/** As the protocol has it. */
const BAUD_RATE = 9600

/** The browser's door to serial ports; null where it has none. */
export function serialDoor(): SerialDoor | null {
  const { serial } = navigator as unknown as { serial?: SerialDoor }
  return serial ?? null
}

/** A real scale at a serial port, in whatever pieces its bytes come. */
export class SerialScalePort implements ScalePort {
  readonly #ask: () => Promise<SerialLike>
  #port: SerialLike | null = null
  #reader: ReadableStreamDefaultReader<Uint8Array> | null = null

  constructor(ask: () => Promise<SerialLike>) {
    this.#ask = ask
  }

  async open(heard: (piece: string) => void, ended: () => void): Promise<void> {
    const port = await this.#ask()
    await port.open({ baudRate: BAUD_RATE })
    this.#port = port
    void this.#listen(port, heard).finally(ended)
  }

  async send(line: string): Promise<void> {
    const writer = this.#port?.writable?.getWriter()
    if (!writer) return
    try {
      await writer.write(new TextEncoder().encode(`${line}\r\n`))
    } finally {
      writer.releaseLock()
    }
  }

  async close(): Promise<void> {
    await this.#reader?.cancel().catch(() => undefined)
    await this.#port?.close().catch(() => undefined)
    this.#port = null
  }

  /** Until it ends or breaks off: both are silence to whoever listens. */
  async #listen(port: SerialLike, heard: (piece: string) => void): Promise<void> {
    // The protocol is ASCII; a sign that is cut in two bytes is none of it.
    const decoder = new TextDecoder('ascii')
    const reader = port.readable?.getReader()
    if (!reader) return
    this.#reader = reader
    try {
      for (;;) {
        const { value, done } = await reader.read()
        if (done) return
        heard(decoder.decode(value))
      }
    } catch {
      // The cable was pulled.
    } finally {
      reader.releaseLock()
    }
  }
}
