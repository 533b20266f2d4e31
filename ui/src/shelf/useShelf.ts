import type { Shop } from '../api/client'
import { useShop } from '../job/useShop'

export type Entry = { id: string; name: string; off?: boolean }
export type ShelfList = 'envelopes' | 'sheets' | 'stocks' | 'adhesives'

/** Changes the lists of the shelf; each change is saved at once. */
export function useShelf() {
  const { shop, save } = useShop()
  const entries = (list: ShelfList) => (shop.value?.shop[list] ?? []) as Entry[]

  function set(list: ShelfList, at: number, to: object) {
    void save({ [list]: entries(list).map((e, i) => (i === at ? { ...e, ...to } : e)) } as Partial<Shop>)
  }

  function add(list: ShelfList, entry: object) {
    const now = entries(list)
    const taken = new Set(now.map((e) => e.id))
    let n = 1
    while (taken.has(`${list}-own-${n}`)) n++
    void save({ [list]: [...now, { ...entry, id: `${list}-own-${n}` }] } as unknown as Partial<Shop>)
  }

  return { entries, set, add }
}
