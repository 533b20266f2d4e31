import { ref } from 'vue'

/** The path of what is edited or pointed at: its field and its lines on the drawing light up together. */
const lit = ref('')

export function useLit() {
  return {
    lit,
    light: (path: string | undefined) => (lit.value = path ?? ''),
    /** Takes the light off, where it is still on this. */
    dim(path: string | undefined) {
      if (lit.value === path) lit.value = ''
    },
  }
}
