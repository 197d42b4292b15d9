import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'
import vuetify from 'vite-plugin-vuetify'

const own = (name: string): string => new URL(`./src/${name}/`, import.meta.url).pathname

export default defineConfig({
  root: own('web'),
  plugins: [vue(), vuetify({ autoImport: true })],
  resolve: {
    alias: [
      { find: /^#core\/(.*)$/, replacement: `${own('core')}$1.ts` },
      { find: /^#contract\/(.*)$/, replacement: `${own('contract')}$1.ts` },
      { find: /^#web\/(.*)$/, replacement: `${own('web')}$1` },
    ],
  },
  build: { outDir: new URL('./dist/web', import.meta.url).pathname, emptyOutDir: true, target: 'es2022' },
  server: { proxy: { '/api': 'http://127.0.0.1:4680' } },
})
