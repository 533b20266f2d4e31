import { inject, provide, type InjectionKey, type Ref } from 'vue'

import type { Choice } from '../api/client'

/** The ways in which a station's drawing can be looked at; they are chosen at the drawing itself. */
export interface Views {
  list: Choice[]
  chosen: Ref<string>
}

const key: InjectionKey<Views> = Symbol('views')

export const offerViews = (views: Views) => provide(key, views)
export const useViews = () => inject(key, undefined)
