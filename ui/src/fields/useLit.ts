import { ref } from 'vue'

import type { FieldPath } from '../api/client'

/** The path of what is edited or pointed at: its field and its lines on the drawing light up together. */
const lit = ref('')

export function useLit() {
  return {
    lit,
    light: (path: FieldPath | undefined) => (lit.value = path ?? ''),
    /** Takes the light off, where it is still on this. */
    dim(path: FieldPath | undefined) {
      if (lit.value === path) lit.value = ''
    },
  }
}
