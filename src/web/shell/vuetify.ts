import 'vuetify/styles'
import { createVuetify } from 'vuetify'
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg'
import { DECIMAL_SIGN, HER_LOCALE } from '#web/data/locale'

/** The colours Vuetify's own parts take; the same values stand as tokens in tokens.css. */
const day = {
  dark: false,
  colors: {
    background: '#eceef0',
    surface: '#f8f9fa',
    'on-surface': '#22262b',
    'on-background': '#22262b',
    primary: '#0e5a64',
    'on-primary': '#ffffff',
    error: '#9c2438',
    warning: '#7d4800',
    success: '#2e6440',
  },
}
const night = {
  dark: true,
  colors: {
    background: '#14171a',
    surface: '#1d2126',
    'on-surface': '#e8ebee',
    'on-background': '#e8ebee',
    primary: '#7cc4cc',
    'on-primary': '#0c1b1d',
    error: '#f0929f',
    warning: '#e3b264',
    success: '#8fc9a2',
  },
}

const field = { variant: 'outlined', density: 'comfortable', hideDetails: 'auto', color: 'primary' } as const

export const vuetify = createVuetify({
  // One width at which the house becomes a phone's; `useDisplay().mobile` in scripts, `.phone` in styles.
  display: { mobileBreakpoint: 961 },
  date: { locale: { en: HER_LOCALE } },
  theme: { defaultTheme: 'day', themes: { day, night } },
  icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
  defaults: {
    global: { ripple: false },
    VBtn: { variant: 'flat', rounded: 'lg', height: 44, class: 'own-button' },
    VTextField: field,
    VTextarea: { ...field, rows: 3, autoGrow: true },
    VSelect: field,
    VAutocomplete: field,
    VDateInput: { ...field, prependIcon: '', prependInnerIcon: '$calendar' },
    VNumberInput: { ...field, controlVariant: 'split', decimalSeparator: DECIMAL_SIGN },
    VFileUpload: { density: 'compact', variant: 'outlined' },
    VSlider: { color: 'primary', hideDetails: 'auto', thumbLabel: false },
    VList: { bgColor: 'surface' },
    VCheckbox: { density: 'comfortable', hideDetails: 'auto', color: 'primary' },
    VSwitch: { density: 'comfortable', hideDetails: 'auto', color: 'primary', inset: true },
    VDialog: { maxWidth: 560 },
    VCard: { rounded: 'lg', flat: true },
  },
})
