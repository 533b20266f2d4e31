import { computed, onMounted, ref } from 'vue'

import { api, unreachable, type FormatBody } from '../../api/client'

/** The open formats in which files are written: those that hold drawings, and those that hold lists. */
export function useFormats() {
  const formats = ref<FormatBody[]>([])
  onMounted(async () => {
    const { data } = await api.GET('/api/formats').catch(unreachable)
    if (data) formats.value = data.formats
  })
  return {
    drawn: computed(() => formats.value.filter((f) => f.draws)),
    listed: computed(() => formats.value.filter((f) => f.lists)),
  }
}
