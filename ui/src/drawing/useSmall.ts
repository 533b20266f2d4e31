import { useMediaQuery } from '@vueuse/core'

/** Whether there is so little room, as at 200 %, that drawings leave out what is not set by them. */
export const useSmall = () => useMediaQuery('(max-height: 560px), (max-width: 680px)')
