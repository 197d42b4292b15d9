import { ref, watch } from 'vue'
import { useRoute, useRouter, type LocationQuery } from 'vue-router'
import { FILTERS, ORDERS, type Order } from './filters'

/** What is looked for in the collection. It stands in the address, so that going back finds it as it was left. */
export interface Wish {
  words: string
  filters: string[]
  categoryId: string | null
  order: Order
}

/** A wish as an address holds it: what is not wished for is left away. */
export function queryOf(wish: Wish): Record<string, string> {
  return {
    ...(wish.words === '' ? {} : { words: wish.words }),
    ...(wish.filters.length === 0 ? {} : { only: wish.filters.join(' ') }),
    ...(wish.categoryId === null ? {} : { category: wish.categoryId }),
    ...(wish.order === 'makeup' ? {} : { order: wish.order }),
  }
}

/** The wish of an address; what it does not know is no wish. */
export function wishOf(query: LocationQuery): Wish {
  const text = (name: string): string => (typeof query[name] === 'string' ? query[name] : '')
  return {
    words: text('words'),
    filters: FILTERS.map((filter) => filter.id).filter((id) => text('only').split(' ').includes(id)),
    categoryId: text('category') || null,
    order: Object.hasOwn(ORDERS, text('order')) ? (text('order') as Order) : 'makeup',
  }
}

/** The wish of this page, kept in its address as it changes. */
export function useWish() {
  const route = useRoute()
  const router = useRouter()
  const wish = ref(wishOf(route.query))
  watch(wish, (now) => void router.replace({ query: queryOf(now) }), { deep: true })
  return wish
}
