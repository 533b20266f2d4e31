import { computed, onMounted, ref } from 'vue'

import { api, unreachable, type FormatBody } from '../../api/client'

/** They stay the same while the program runs: they are asked for once. */
const formats = ref<FormatBody[]>([])

/** The open formats in which files are written: those that hold drawings, and those that hold lists. */
export function useFormats() {
  onMounted(async () => {
    if (formats.value.length) return
    const { data } = await api.GET('/api/formats').catch(unreachable)
    if (data) formats.value = data.formats
  })
  return {
    drawn: computed(() => formats.value.filter((f) => f.draws)),
    listed: computed(() => formats.value.filter((f) => f.lists)),
  }
}
