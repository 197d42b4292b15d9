import '@fontsource-variable/bricolage-grotesque'
import '@fontsource-variable/instrument-sans'
import { PiniaColada } from '@pinia/colada'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './shell/App.vue'
import { failedReads } from './shell/failed-reads'
import { reportFailures } from './shell/report-failures'
import { router } from './shell/router'
import { vuetify } from './shell/vuetify'
import './shell/tokens.css'
import './shell/utilities.css'

const app = createApp(App).use(createPinia()).use(PiniaColada, failedReads).use(router).use(vuetify)
reportFailures(app, router)
app.mount('#app')
