import { LAYERS } from './layers.mjs'

const above = (at) =>
  LAYERS.slice(at + 1)
    .map(({ path }) => path.source)
    .join('|')

/** Which file may import which; those of types count too. Run by `npm run check:imports`. */
export default {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    ...LAYERS.slice(0, -1).map(({ name, path }, at) => ({
      name: `${name}-imports-nothing-above`,
      severity: 'error',
      // What a lower layer has is that layer's, though a pattern of a higher one may hold it as well.
      from: { path: path.source, pathNot: LAYERS.slice(0, at).map((each) => each.path.source) },
      to: { path: above(at), pathNot: LAYERS.slice(0, at + 1).map((each) => each.path.source) },
    })),
    { name: 'the-server-knows-no-pages', severity: 'error', from: { path: '^src/(?!web)' }, to: { path: '^src/web' } },
    { name: 'pages-know-no-server', severity: 'error', from: { path: '^src/web' }, to: { path: '^src/(server|demo)' } },
  ],
  options: {
    tsPreCompilationDeps: true,
    exclude: { path: '\\.test\\.ts$' },
    doNotFollow: { path: 'node_modules' },
    enhancedResolveOptions: {
      conditionNames: ['source', 'import', 'node', 'default'],
      extensions: ['.ts', '.js', '.vue'],
    },
  },
}
