import { ref } from 'vue'

import { api, sentenceOf, type Edit, type Shop, type ShopBody } from '../api/client'

// One shop serves every page.
const shop = ref<ShopBody>()
const refused = ref<Record<string, string>>({})
const failure = ref('')

async function load() {
  const { data, error } = await api.GET('/api/shop')
  if (data) shop.value = data
  else failure.value = sentenceOf(error)
}

/** Saves a change of the shop; what cannot be used is told at its field. */
async function save(change: Partial<Shop>, edits: Edit[] = []): Promise<boolean> {
  const now = shop.value
  if (!now) return false
  const { data, error, response } = await api.PUT('/api/shop', {
    body: { version: now.version, shop: { ...now.shop, ...change }, edits },
  })
  if (data) {
    shop.value = data
    refused.value = {}
    return true
  }
  if (response.status === 409) {
    await load()
    return save(change, edits)
  }
  refused.value = Object.fromEntries(
    (error?.errors ?? []).map((e) => [(e.location ?? '').replace('body.shop.', ''), e.message ?? '']),
  )
  return false
}

export function useShop() {
  return { shop, refused, failure, load, save }
}
