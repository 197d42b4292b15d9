import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

const own = (name: string): string => new URL(`./src/${name}/`, import.meta.url).pathname

export default defineConfig({
  plugins: [vue()],
  resolve: {
    alias: [
      ...['core', 'contract', 'server', 'demo'].map((name) => ({
        find: new RegExp(`^#${name}/(.*)$`),
        replacement: `${own(name)}$1.ts`,
      })),
      { find: /^#web\/(.*)$/, replacement: `${own('web')}$1` },
    ],
  },
  test: {
    include: ['src/**/*.test.ts', 'test/**/*.test.ts'],
    pool: 'forks',
    maxWorkers: 2,
    testTimeout: 60_000,
    hookTimeout: 60_000,
  },
})
