import { ref } from 'vue'

import { during } from '../api/busy'
import {
  api,
  sentenceOf,
  unreachable,
  type BackupsBody,
  type InBackup,
  type InsideBody,
  type Trouble,
} from '../api/client'

type Answer<T> = { data?: T; error?: Pick<Trouble, 'detail'> }

/** The backups, what is in one of them, and what can be done with them. */
export function useBackups() {
  const page = ref<BackupsBody>()
  const open = ref('') // the backup that is looked into
  const inside = ref<InsideBody>()
  const busy = ref('') // what is being done, in words
  const done = ref('') // what was done last, in words
  const failure = ref('')

  /** One act: it is said while it lasts, and what came of it. */
  async function act<T>(doing: string, request: () => Promise<Answer<T>>): Promise<T | undefined> {
    if (busy.value) return undefined
    busy.value = doing
    failure.value = done.value = ''
    const { data, error } = await request()
    busy.value = ''
    if (data === undefined) failure.value = sentenceOf(error)
    return data
  }

  async function load() {
    const { data, error } = await api.GET('/api/backups').catch(unreachable)
    if (data) page.value = data
    else failure.value = sentenceOf(error)
  }

  async function backUp() {
    const made = await act('Making a backup…', () => api.POST('/api/backups').catch(unreachable))
    if (made) done.value = `Backed up: ${made.holds}.`
    await load()
  }

  async function restore(name: string) {
    const params = { path: { name } }
    const came = await act('Restoring…', () =>
      api.POST('/api/backups/{name}/restore', { params }).catch(unreachable),
    )
    if (came) done.value = came.text
    await load()
  }

  async function look(name: string) {
    inside.value = undefined
    open.value = open.value === name ? '' : name
    if (!open.value) return
    const params = { path: { name } }
    const { data, error } = await api.GET('/api/backups/{name}/jobs', { params }).catch(unreachable)
    if (data) inside.value = data
    else failure.value = sentenceOf(error)
  }

  async function restoreJob(name: string, job: InBackup) {
    const params = { path: { name, id: job.id } }
    const back = await act('Restoring…', () =>
      api.POST('/api/backups/{name}/jobs/{id}', { params }).catch(unreachable),
    )
    if (!back) return
    done.value = `“${job.name}” is as it was in this backup.`
    open.value = ''
    await look(name)
  }

  /** Reads a file in: of everything, or of one job. */
  async function readIn(file: File, replace: boolean) {
    const job = file.name.endsWith('.json')
    const read = await act('Reading the file…', async () => {
      const body = await file.arrayBuffer()
      const request = fetch(job ? '/api/jobs/file' : `/api/everything?replace=${replace}`, {
        method: 'POST',
        headers: { 'content-type': job ? 'application/octet-stream' : 'application/zip' },
        body,
      })
      const answer = await during(request).catch(() => undefined)
      if (!answer) return unreachable()
      const text = (await answer.json()) as { text?: string; job?: { name: string }; detail?: string }
      return answer.ok ? { data: text } : { error: text }
    })
    if (read) done.value = read.text ?? `Read in: 1 job, “${read.job?.name ?? ''}”. It is among your jobs.`
    await load()
  }

  return { page, open, inside, busy, done, failure, load, backUp, restore, look, restoreJob, readIn }
}
