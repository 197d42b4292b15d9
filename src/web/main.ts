import '@fontsource-variable/bricolage-grotesque'
import '@fontsource-variable/instrument-sans'
import './shell/zod-without-eval'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './shell/App.vue'
import { router } from './shell/router'
import { vuetify } from './shell/vuetify'
import './shell/tokens.css'

createApp(App).use(createPinia()).use(router).use(vuetify).mount('#app')
