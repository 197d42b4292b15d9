import vue from '@vitejs/plugin-vue'
import { defineConfig, type Plugin } from 'vite'
import vuetify from 'vite-plugin-vuetify'

const own = (name: string): string => new URL(`./src/${name}/`, import.meta.url).pathname

/** Asks for both typefaces with the page: found only through the styles, they would arrive after the first drawing. */
function typefacesFirst(): Plugin {
  return {
    name: 'typefaces-first',
    transformIndexHtml: (_html, { bundle }) =>
      Object.keys(bundle ?? {})
        .filter((file) => /-latin-wght-normal-[^/]*\.woff2$/.test(file))
        .map((file) => ({
          tag: 'link',
          attrs: { rel: 'preload', as: 'font', type: 'font/woff2', crossorigin: true, href: `/${file}` },
          injectTo: 'head-prepend' as const,
        })),
  }
}

export default defineConfig({
  root: own('web'),
  plugins: [vue(), vuetify({ autoImport: true }), typefacesFirst()],
  resolve: {
    alias: [
      { find: /^#core\/(.*)$/, replacement: `${own('core')}$1.ts` },
      { find: /^#contract\/(.*)$/, replacement: `${own('contract')}$1.ts` },
      { find: /^#web\/(.*)$/, replacement: `${own('web')}$1` },
    ],
  },
  // Every component has a setup function.
  define: { __VUE_OPTIONS_API__: false },
  build: {
    outDir: new URL('./dist/web', import.meta.url).pathname,
    emptyOutDir: true,
    target: 'es2022',
    // What the first page needs comes in one piece instead of thirty, each asked for on its own.
    rolldownOptions: { output: { codeSplitting: { groups: [{ name: 'first', tags: ['$initial'] }] } } },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:4680' } },
})
