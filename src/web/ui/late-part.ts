import { defineAsyncComponent, type Component } from 'vue'
import { useServerFacts } from '#web/data/server-facts'

/** Pauses before a part that did not come is asked for again, in milliseconds; the last one is kept to. */
const PAUSES = [400, 1500, 5000]
/** What browsers say of a module that did not come: the address stands in it. */
const ADDRESS = /https?:\/\/\S+?\.js/
const NOT_FOUND = 404
/** So often a page that was asked for is tried: then it is said that it does not come. */
const PAGE_TRIES = 3

type Load<T> = () => Promise<T>

/**
 * A part of the page that comes when it is first wanted, and is asked for again for as long as it does not come: a gap in the
 * connection must not leave it dead until the page is loaded anew.
 */
export function latePart<T extends Component>(load: Load<T | { default: T }>): T {
  return defineAsyncComponent(() => loaded(load, Number.POSITIVE_INFINITY)) as T
}

/** The page of a place, as the router asks for it. Throws what the browser says where it does not come. */
export function latePage<T>(load: Load<T>): Load<T> {
  return () => loaded(load, PAGE_TRIES)
}

/** A part that is on the server no more belongs to pages that were updated since, which is said. */
async function loaded<T>(load: Load<T>, most: number): Promise<T> {
  let address: string | null = null
  for (let tries = 1; ; tries += 1)
    try {
      // A browser may remember that an address did not come: asked for again, it is another.
      return address === null ? await load() : ((await import(/* @vite-ignore */ `${address}?again=${tries}`)) as T)
    } catch (error) {
      if (!(error instanceof Error) || !isLostPart(error) || tries >= most) throw error
      address ??= ADDRESS.exec(error.message)?.[0] ?? null
      if (await isGone(address)) useServerFacts().missesAPart()
      const pause = PAUSES[Math.min(tries, PAUSES.length) - 1]
      await new Promise((resolve) => setTimeout(resolve, pause))
    }
}

/** Whether an error is that of a part of the page that did not come, as Chromium, Firefox and Safari say it, or its styles. */
export function isLostPart({ message }: Error): boolean {
  return /dynamically imported module|Importing a module script failed|Unable to preload CSS/.test(message)
}

async function isGone(address: string | null): Promise<boolean> {
  try {
    return address !== null && (await fetch(address, { method: 'HEAD' })).status === NOT_FOUND
  } catch {
    return false
  }
}
