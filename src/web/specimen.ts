// The sheet of all drawings, for its picture alone: the build doesn't hold it.
import '@fontsource-variable/bricolage-grotesque'
import '@fontsource-variable/instrument-sans'
import { createApp, h } from 'vue'
import { VApp } from 'vuetify/components'
import { vuetify } from './shell/vuetify'
import SpecimenPage from './specimen/SpecimenPage.vue'
import './shell/tokens.css'
import './shell/utilities.css'

createApp({ render: () => h(VApp, () => h(SpecimenPage)) })
  .use(vuetify)
  .mount('#app')
