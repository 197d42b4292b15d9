import type { IncomingMessage } from 'node:http'

/** How deep and how rich a body may be: far beyond anything a page sends. Assumptions. */
export interface JsonBounds {
  /** Lists and objects within each other. */
  readonly depth: number
  /** Values in all: every list, object, text, number and word counts. */
  readonly values: number
}

/** For what a page sends. */
export const PAGE_BOUNDS: JsonBounds = { depth: 32, values: 200_000 }
/** For a whole collection: ten years of a large one have under a million values. */
export const COLLECTION_BOUNDS: JsonBounds = { depth: 32, values: 4_000_000 }

const QUOTE = 0x22
const BACKSLASH = 0x5c
const OPENS: ReadonlySet<number> = new Set([0x5b, 0x7b])
const CLOSES: ReadonlySet<number> = new Set([0x5d, 0x7d])
const COMMA = 0x2c

/** JSON that is deeper or richer than its bounds, whatever else it is. */
export class BeyondBounds extends Error {
  readonly type = 'entity.beyond.bounds'
  readonly status = 413
}

/**
 * Counts how deep and how rich JSON is while it passes, byte by byte and without reading it: a reader that builds it first has spent
 * its memory by then. What is no JSON is left to the reader.
 */
export class JsonShape {
  readonly #bounds: JsonBounds
  #depth = 0
  #values = 1
  #inText = false
  #escaped = false

  constructor(bounds: JsonBounds) {
    this.#bounds = bounds
  }

  /** Throws `BeyondBounds`. */
  take(piece: Uint8Array): void {
    for (const byte of piece) {
      if (this.#inText) {
        if (this.#escaped) this.#escaped = false
        else if (byte === BACKSLASH) this.#escaped = true
        else if (byte === QUOTE) this.#inText = false
      } else if (byte === QUOTE) this.#inText = true
      else if (OPENS.has(byte)) {
        this.#values += 1
        this.#depth += 1
        if (this.#depth > this.#bounds.depth) throw new BeyondBounds('too deep')
      } else if (CLOSES.has(byte)) this.#depth -= 1
      else if (byte === COMMA) this.#values += 1
      if (this.#values > this.#bounds.values) throw new BeyondBounds('too many values')
    }
  }
}

/** For `express.json({ verify })`: looked at before it is read. */
export function withinPageBounds(_request: IncomingMessage, _response: unknown, body: Buffer): void {
  new JsonShape(PAGE_BOUNDS).take(body)
}
