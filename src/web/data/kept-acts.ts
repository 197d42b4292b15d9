import { createStore, del, entries, set, type UseStore } from 'idb-keyval'

/** Where acts wait that the server has not heard of: on this device, beyond a closed tab. */
export interface KeptActs<A extends { id: string }> {
  keep(act: A): Promise<void>
  drop(id: string): Promise<void>
  all(): Promise<A[]>
}

/** In the browser's own database; each act by its id, so that two windows never write over each other's. */
export function actsOnThisDevice<A extends { id: string }>(): KeptActs<A> {
  if (typeof indexedDB === 'undefined') return actsInMemory()
  let store: UseStore | null = null
  const open = (): UseStore => (store ??= createStore('seligo', 'pending-acts'))
  return {
    keep: (act) => set(act.id, JSON.parse(JSON.stringify(act)) as A, open()),
    drop: (id) => del(id, open()),
    all: async () => (await entries<string, A>(open())).map(([, act]) => act),
  }
}

/** Where there is no such database they wait for as long as the page is open. */
function actsInMemory<A extends { id: string }>(): KeptActs<A> {
  const kept = new Map<string, A>()
  return {
    keep: (act) => Promise.resolve(void kept.set(act.id, act)),
    drop: (id) => Promise.resolve(void kept.delete(id)),
    all: () => Promise.resolve([...kept.values()]),
  }
}
