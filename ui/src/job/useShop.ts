import { ref } from 'vue'

import { api, kept, sentenceOf, type Edit, type Shop, type ShopBody } from '../api/client'

// One shop serves every page.
const shop = ref<ShopBody>()
const refused = ref<Record<string, string>>({})
const failure = ref('')

async function load() {
  const { data, error } = await api.GET('/api/shop')
  if (data) shop.value = data
  else failure.value = sentenceOf(error)
}

let last: Promise<unknown> = Promise.resolve()

/** Saves a change of the shop, one after the other; what cannot be used is told at its field. */
function save(change: Partial<Shop>, edits: Edit[] = []): Promise<boolean> {
  const saved = last.then(() => send(change, edits))
  last = saved.catch(() => false)
  return saved
}

async function send(change: Partial<Shop>, edits: Edit[] = []): Promise<boolean> {
  const now = shop.value
  if (!now) return false
  const body = { version: now.version, shop: { ...now.shop, ...change }, edits }
  const { data, error, response } = await api.PUT('/api/shop', { body, keepalive: kept(body) })
  if (data) {
    shop.value = data
    refused.value = {}
    return true
  }
  if (response.status === 409) {
    await load()
    return send(change, edits)
  }
  refused.value = Object.fromEntries(
    (error?.errors ?? []).map((e) => [(e.location ?? '').replace('body.shop.', ''), e.message ?? '']),
  )
  return false
}

export function useShop() {
  return { shop, refused, failure, load, save }
}
