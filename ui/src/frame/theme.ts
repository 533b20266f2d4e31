import { usePreferredDark, useStorage } from '@vueuse/core'
import { computed, watch } from 'vue'
import { createVuetify, useTheme } from 'vuetify'
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg'

/** The look that the person chose; empty for the system's. */
const chosen = useStorage<'day' | 'lamp' | ''>('yellow-parcel-light', '')
const dark = usePreferredDark()
const light = computed(() => chosen.value || (dark.value ? 'lamp' : 'day'))

/** Light or dark, as it was chosen, or as the system has it. */
export function useLamp() {
  const theme = useTheme()
  watch(light, (name) => theme.change(name), { immediate: true })
  return { lamp: () => (chosen.value = light.value === 'day' ? 'lamp' : 'day') }
}

const nonce = document.querySelector<HTMLMetaElement>('meta[name=nonce]')?.nonce

// Names and reasons of the colours are in docs/look.md.
export const vuetify = createVuetify({
  icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
  theme: {
    defaultTheme: light.value,
    cspNonce: nonce,
    themes: {
      day: {
        dark: false,
        colors: {
          background: '#fbf7ee',
          surface: '#fffdf8',
          primary: '#23211c',
          'on-primary': '#fffdf8',
          secondary: '#f5b400',
          'on-secondary': '#23211c',
          error: '#a3261b',
          'on-background': '#23211c',
          'on-surface': '#23211c',
        },
      },
      lamp: {
        dark: true,
        colors: {
          background: '#1d1b17',
          surface: '#292620',
          primary: '#f3ecdc',
          'on-primary': '#1d1b17',
          secondary: '#f5b400',
          'on-secondary': '#23211c',
          error: '#ff9d8f',
          'on-background': '#f3ecdc',
          'on-surface': '#f3ecdc',
        },
      },
    },
  },
  defaults: {
    global: { ripple: false },
    // Moving what is said would measure the page at every key.
    VMessages: { transition: false },
    VBtn: { variant: 'text', rounded: 'sm' },
    VSelect: { variant: 'underlined', density: 'compact', hideDetails: 'auto' },
    VCheckbox: { density: 'compact', hideDetails: 'auto', color: 'primary' },
    VTextarea: { variant: 'outlined', density: 'compact', hideDetails: 'auto' },
    VFileInput: { variant: 'underlined', density: 'compact', hideDetails: 'auto' },
    VTextField: { variant: 'underlined', density: 'compact', hideDetails: 'auto' },
  },
})
