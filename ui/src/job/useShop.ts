import { useEventListener } from '@vueuse/core'
import { computed, onScopeDispose, ref } from 'vue'

import { kept, sentenceOf, unreachable, type Choice, type Edit, type ShopBody } from '../api/client'
import { useTrying } from '../api/trying'
import { useTrouble } from '../api/useTrouble'
import { world, type World } from '../api/world'
import { useFields } from './useFields'

const none: Choice[] = []

/** The shop as it is kept, its fields, and how what is done to it is stored: at once, one act after the other. */
export function makeShop(within: World) {
  const { api } = within
  const shop = ref<ShopBody>()
  const failure = ref('') // the sentence, when the shop cannot be had or an act was refused
  const told = ref<string[]>([])
  const renumbers = ref({ count: 0, names: [] as string[] }) // the jobs that the last edit of a tool changed
  const unsaved = ref(0) // acts that are on their way or wait
  const { noAnswer, why, ask } = useTrying(within)

  const { fields, typing } = useFields({
    doc: () => shop.value?.shop,
    inputs: () => shop.value?.fields,
    adds: () => shop.value?.adds,
    awaiting: () => unsaved.value > 0,
    whenLeft: true,
    send: (edits) => void edit(edits),
  })

  const state = computed(() => {
    if (noAnswer.value) return 'unreachable'
    if (unsaved.value > 0) return 'saving'
    return failure.value || Object.keys(typing.problems.value).length > 0 ? 'refused' : 'saved'
  })

  let newest = 0 // the newest version heard of

  /** Takes the program's answer; one that was overtaken by a newer one is old. */
  function take(data: ShopBody) {
    if (!shop.value || data.version >= shop.value.version) shop.value = data
  }

  let loading = false

  /** Reads the shop, again and again while the program does not answer. */
  async function load(): Promise<void> {
    if (loading) return
    loading = true
    const wanted = newest
    const { data, error } = await ask(() => api.GET('/api/shop').catch(unreachable))
    if (data) take(data)
    failure.value = data ? '' : sentenceOf(error)
    loading = false
    if (newest > wanted) catchUp() // another window saved while it was read
  }

  /** Reads the shop again when another window has gone on meanwhile. */
  function catchUp() {
    if (shop.value && newest > shop.value.version && unsaved.value === 0) void load()
  }

  /** Another window saved the shop. */
  function heard(version: number) {
    newest = Math.max(newest, version)
    catchUp()
  }

  let last: Promise<unknown> = Promise.resolve()

  /** Carries out edits of the shop, one act after the other; they are stored at once. */
  function edit(edits: Edit[]): Promise<void> {
    unsaved.value++
    // Sent again, since its answer was lost, it is not done twice.
    const body = { act: crypto.randomUUID(), edits }
    const done = last.then(async () => {
      const { data, error } = await ask(() =>
        api.PATCH('/api/shop', { body, keepalive: kept(body) }).catch(unreachable),
      )
      if (data) take(data)
      failure.value = data ? '' : sentenceOf(error)
      told.value = data?.told ?? []
      if (edits.some((e) => e.path.startsWith('tools.'))) {
        renumbers.value = data?.renumbers ?? { count: 0, names: [] }
      }
      typing.answered(edits, data?.problems ?? [], false, () => false)
    })
    last = done
      .catch(() => undefined)
      .finally(() => {
        unsaved.value--
        catchUp()
      })
    return done
  }

  /** The events of the pages that show no job: of the shop, and of the list. */
  function listen(onJobs?: () => void) {
    within.onEvents((event) => {
      if (event.kind === 'shop') heard(event.version)
      if (event.kind === 'trouble') void useTrouble().look()
      // The program is gone, or the way to it: both go on asking until it answers.
      if (event.kind === 'lost' && unsaved.value === 0) void load()
      // Where the stream begins anew it may have missed something.
      if (['jobs', 'everything', 'opened', 'lost'].includes(event.kind)) onJobs?.()
    })
    useEventListener(window, 'beforeunload', (e: BeforeUnloadEvent) => {
      if (unsaved.value > 0 && noAnswer.value) e.preventDefault()
    })
    onScopeDispose(() => {
      typing.clear() // what was left typed and wrong does not follow to the next page
    })
  }

  /** What can be chosen from a list, as a select takes it. */
  function items(list: string): { value: string; title: string }[] {
    return choices(list).map((c) => ({ value: c.id, title: c.name }))
  }

  function choices(list: string): Choice[] {
    return shop.value?.choices[list] ?? none
  }

  /** What was refused, to be told at the top of a page. */
  const refusals = computed(() => [
    ...(failure.value ? [failure.value] : []),
    ...Object.values(typing.problems.value).flatMap((p) => (p.unfinished ? [] : [p.message])),
  ])

  return {
    ...fields,
    edit,
    /** Is done when everything that was sent is stored or refused. */
    settled: () => last,
    shop,
    refusals,
    failure,
    told,
    renumbers,
    state,
    why,
    choices,
    items,
    load,
    heard,
    listen,
  }
}

let one: ReturnType<typeof makeShop> | undefined

/** One shop serves every page. */
export const useShop = () => (one ??= makeShop(world))
