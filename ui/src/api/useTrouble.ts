import { ref } from 'vue'

import { api, unreachable } from './client'

/** What is wrong with where the data lies, as the program says it; one for all of the page. */
const trouble = ref('')

async function look() {
  const { data } = await api.GET('/api/trouble').catch(unreachable)
  if (data) trouble.value = data.text
}

export function useTrouble() {
  return { trouble, look }
}
