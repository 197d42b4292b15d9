import { LAYERS } from './layers.mjs'

const above = (at) =>
  LAYERS.slice(at + 1)
    .map(({ path }) => path.source)
    .join('|')

const SHARED = 'shell|ui|data|devices|workers'

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
    {
      name: 'a-place-keeps-its-statements',
      severity: 'error',
      from: { path: '^src/server/([^/]+)/' },
      to: {
        path: '^src/server/[^/]+/(routes|queries|rows)\\.ts$',
        pathNot: ['^src/server/$1/', '^src/server/(stock|http)/'],
      },
    },
    {
      name: 'pages-do-not-reach-into-each-other',
      severity: 'error',
      from: { path: '^src/web/([^/]+)/', pathNot: `^src/web/(${SHARED})/` },
      to: { path: '^src/web/[^/]+/', pathNot: ['^src/web/$1/', `^src/web/(${SHARED})/`] },
    },
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
