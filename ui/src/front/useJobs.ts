import { useDebounceFn } from '@vueuse/core'
import { onMounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'

import { api, sentenceOf, unreachable, type ListedJob } from '../api/client'
import { useTrying } from '../api/trying'
import { useShop } from '../job/useShop'

/** A job of the list as it is known by now. */
type Known = Pick<ListedJob, 'id' | 'name' | 'version'>
interface Gone extends Known {
  how: 'removed' | 'archived'
}

export type Sort = 'changed' | 'name' | 'size' | 'mail'
export type Which = 'in hand' | 'archived' | 'removed'

/** The jobs of one list, as it is searched and sorted, and what can be done to one of them. */
export function useJobs() {
  const jobs = ref<ListedJob[]>()
  const of = ref(0)
  const find = ref<string | null>('')
  const sort = ref<Sort>('changed')
  const which = ref<Which>('in hand')
  const failure = ref('')
  const busy = ref(false)
  /** The job that was removed or archived last: it can be brought back at once. */
  const gone = ref<Gone>()
  const { noAnswer, why, ask } = useTrying()
  const listing = useTrying()
  const router = useRouter()
  const { listen } = useShop()

  let loading = false
  let again = false
  async function load() {
    if (loading) {
      again = true
      return
    }
    loading = true
    do {
      again = false
      const query = { find: find.value ?? '', sort: sort.value, of: which.value }
      const { data, error } = await listing.ask(() => api.GET('/api/jobs', { params: { query } }).catch(told))
      if (data) {
        jobs.value = data.jobs
        of.value = data.of
      }
      failure.value = data ? '' : sentenceOf(error)
    } while (again)
    loading = false
  }

  /** What is said while the list cannot be had; what is shown stays. */
  function told() {
    const none = unreachable()
    failure.value = sentenceOf(none.error)
    return none
  }

  watch(
    find,
    useDebounceFn(() => load(), 120),
  )
  watch([sort, which], () => void load())
  onMounted(load)
  listen(() => void load())

  async function copy(of: string) {
    const { data, error, response } = await api.POST('/api/jobs', { body: { copyOf: of } }).catch(unreachable)
    if (data) await router.push(`/jobs/${data.id}/card`)
    else failure.value = response ? sentenceOf(error) : 'Nothing was copied: the program does not answer.'
  }

  type Answer = { data?: { version: number }; error?: { detail?: string } }

  /** One act on a job of the list, kept and tried again while the program does not answer. */
  async function act(request: () => Promise<Answer & { response?: Response }>): Promise<Answer> {
    busy.value = true
    const answer = await ask(request)
    busy.value = false
    await load()
    return answer
  }

  async function setRemoved(job: Known, removed: boolean) {
    const body = { version: job.version, removed }
    const params = { path: { id: job.id } }
    const { data, error } = await act(() =>
      api.PUT('/api/jobs/{id}/removed', { params, body }).catch(unreachable),
    )
    if (data)
      gone.value = removed ? { id: job.id, name: job.name, version: data.version, how: 'removed' } : undefined
    // Refused after an answer that was lost: it is done all the same.
    else if ((jobs.value ?? []).some((j) => j.id === job.id) === (removed === (which.value !== 'removed')))
      failure.value = sentenceOf(error)
  }

  async function setArchived(job: Known, archived: boolean) {
    const body = { version: job.version, archived }
    const params = { path: { id: job.id } }
    const { data, error } = await act(() =>
      api.PUT('/api/jobs/{id}/archived', { params, body }).catch(unreachable),
    )
    if (data)
      gone.value = archived
        ? { id: job.id, name: job.name, version: data.version, how: 'archived' }
        : undefined
    else failure.value = sentenceOf(error)
  }

  /** Gives a job another name; the sentence where it cannot have that. */
  async function rename(job: ListedJob, name: string): Promise<string> {
    if (name.trim() === job.name) return ''
    const body = { version: job.version, name }
    const params = { path: { id: job.id } }
    const { data, error } = await act(() =>
      api.PUT('/api/jobs/{id}/name', { params, body }).catch(unreachable),
    )
    return data ? '' : sentenceOf(error)
  }

  function bringBack() {
    const last = gone.value
    if (last?.how === 'removed') void setRemoved(last, false)
    if (last?.how === 'archived') void setArchived(last, false)
  }

  return {
    jobs, of, find, sort, which, failure, busy, gone, noAnswer, why, load,
    copy, setRemoved, setArchived, rename, bringBack,
  } // prettier-ignore
}

export type Jobs = ReturnType<typeof useJobs>
