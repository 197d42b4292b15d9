import { defineAsyncComponent, type Component } from 'vue'
import { useServerFacts } from '#web/data/server-facts'

/** Pauses before a part that did not come is asked for again, in milliseconds; the last one is kept to. */
const PAUSES = [400, 1500, 5000]
/** What browsers say of a module that did not come: the address stands in it. */
const ADDRESS = /https?:\/\/\S+?\.js/
const NOT_FOUND = 404

/**
 * A part of the page that comes when it is first wanted, and is asked for again for as long as it does not come: a gap in the
 * connection must not leave it dead until the page is loaded anew. A part that is on the server no more belongs to a page that was
 * updated since, which is said.
 */
export function latePart<T extends Component>(load: () => Promise<T | { default: T }>): T {
  let tries = 0
  let address: string | null = null
  return defineAsyncComponent({
    // A browser may remember that an address did not come: asked for again, it is another.
    loader: () =>
      address === null ? load() : (import(/* @vite-ignore */ `${address}?again=${tries}`) as Promise<{ default: T }>),
    onError: (error, again) => {
      address = ADDRESS.exec(error.message)?.[0] ?? null
      const pause = PAUSES[Math.min(tries, PAUSES.length - 1)]
      tries += 1
      void isGone(address).then((gone) => {
        if (gone) useServerFacts().missesAPart()
      })
      setTimeout(again, pause)
    },
  }) as T
}

async function isGone(address: string | null): Promise<boolean> {
  try {
    return address !== null && (await fetch(address, { method: 'HEAD' })).status === NOT_FOUND
  } catch {
    return false
  }
}
