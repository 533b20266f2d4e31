import { computed, onScopeDispose, ref } from 'vue'

import { api, kept, sentenceOf, unreachable, type Edit, type Shop, type ShopBody } from '../api/client'

const tryAgainAfter = 1000

// One shop serves every page.
const shop = ref<ShopBody>()
const refused = ref<Record<string, string>>({})
const failure = ref('')
const told = ref<string[]>([])
const unsaved = ref(0) // changes that are on their way or wait
const noAnswer = ref(false)

const state = computed(() => {
  if (noAnswer.value) return 'unreachable'
  if (unsaved.value > 0) return 'saving'
  return Object.keys(refused.value).length > 0 ? 'refused' : 'saved'
})

const later = () => new Promise((done) => window.setTimeout(done, tryAgainAfter))

let loading = false

/** Reads the shop, again and again while the program does not answer. */
async function load(): Promise<void> {
  if (loading) return
  loading = true
  const wanted = newest
  while (!(await readOnce())) await later()
  loading = false
  if (newest > wanted) catchUp() // another window saved while it was read
}

let newest = 0 // the newest version heard of

/** Reads the shop again when another window has gone on meanwhile. */
function catchUp() {
  if (shop.value && newest > shop.value.version && unsaved.value === 0) void load()
}

/** Reads the shop; false when there was no answer. */
async function readOnce(): Promise<boolean> {
  const { data, error, response } = await api.GET('/api/shop').catch(unreachable)
  noAnswer.value = !response
  if (data) {
    // An answer that was overtaken by a newer one is old.
    if (!shop.value || data.version >= shop.value.version) shop.value = data
    failure.value = ''
  } else {
    failure.value = sentenceOf(error)
  }
  return response !== undefined
}

/** Another window saved the shop. */
function heard(version: number) {
  newest = Math.max(newest, version)
  catchUp()
}

let last: Promise<unknown> = Promise.resolve()

/**
 * Saves a change of the shop as it is shown now, one after the other; what other
 * windows did meanwhile stays. What cannot be used is told at its field.
 */
function save(change: Partial<Shop>, edits: Edit[] = []): Promise<boolean> {
  const seen = shop.value
  if (!seen) return Promise.resolve(false)
  unsaved.value++
  const saved = last.then(() => send(seen, change, edits))
  last = saved
    .catch(() => false)
    .finally(() => {
      unsaved.value--
      catchUp()
    })
  return saved
}

async function send(seen: ShopBody, change: Partial<Shop>, edits: Edit[]): Promise<boolean> {
  const body = { version: seen.version, was: seen.shop, shop: { ...seen.shop, ...change }, edits }
  const { data, error, response } = await api
    .PUT('/api/shop', { body, keepalive: kept(body) })
    .catch(unreachable)
  noAnswer.value = !response
  if (!response) {
    await later() // it is kept, and tried again
    return send(seen, change, edits)
  }
  if (data) {
    if (!shop.value || data.version >= shop.value.version) shop.value = data
    refused.value = {}
    told.value = data.told
    return true
  }
  refused.value = Object.fromEntries(
    (error?.errors ?? [{ location: 'body.shop.', message: sentenceOf(error) }]).map((e) => [
      (e.location ?? '').replace('body.shop.', ''),
      e.message ?? '',
    ]),
  )
  return false
}

/** The events of the pages that show no job: of the shop, and of the list. */
function listen(onJobs?: () => void) {
  const stream = new EventSource('/api/events')
  stream.onmessage = (m: MessageEvent<string>) => {
    const event = JSON.parse(m.data) as { kind: string; version: number }
    if (event.kind === 'shop') heard(event.version)
    if (event.kind === 'jobs') onJobs?.()
  }
  stream.onopen = () => onJobs?.() // it may have missed something
  stream.onerror = () => {
    // The program is gone, or the way to it: both go on asking until it answers.
    if (unsaved.value === 0) void load()
    onJobs?.()
  }
  onScopeDispose(() => stream.close())
}

export function useShop() {
  return { shop, refused, failure, told, state, load, save, heard, listen }
}
