import { createVuetify } from 'vuetify'
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg'

const key = 'yellow-parcel-light'

/** The look that the person chose, or the system's. */
export function preferred(): 'day' | 'lamp' {
  const kept = localStorage.getItem(key)
  if (kept === 'day' || kept === 'lamp') return kept
  return window.matchMedia('(prefers-color-scheme: dark)').matches ? 'lamp' : 'day'
}

export function keep(name: string) {
  localStorage.setItem(key, name)
}

const nonce = document.querySelector<HTMLMetaElement>('meta[name=nonce]')?.nonce

// Names and reasons of the colours are in docs/look.md.
export const vuetify = createVuetify({
  icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
  theme: {
    defaultTheme: preferred(),
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
    VBtn: { variant: 'text', rounded: 'sm' },
    VSelect: { variant: 'underlined', density: 'compact', hideDetails: 'auto' },
    VCheckbox: { density: 'compact', hideDetails: 'auto', color: 'primary' },
    VTextField: { variant: 'underlined', density: 'compact', hideDetails: 'auto' },
  },
})
