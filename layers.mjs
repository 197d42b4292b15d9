/**
 * The layers of what lies beneath the pages, the lowest first: a file may import from its own layer and from lower ones. Read by
 * `npm run measure` and by the rules of `.dependency-cruiser.mjs`.
 */
export const LAYERS = [
  { name: 'core', path: /^src\/core\// },
  { name: 'contract', path: /^src\/contract\// },
  { name: 'failures', path: /^src\/server\/(failing|http\/(failure-words|file-words|machine-words|words))\.ts$/ },
  { name: 'database', path: /^src\/server\/(db\/.*|context|room|other-process)(\.ts)?$/ },
  { name: 'http', path: /^src\/server\/http\// },
  { name: 'stock', path: /^src\/server\/stock\// },
  { name: 'places', path: /^src\/server\/(?!host\/)[a-z-]+\// },
  { name: 'services', path: /^src\/server\/(services|create-app)\.ts$/ },
  { name: 'host', path: /^src\/server\/host\// },
  { name: 'programs', path: /^src\/(server\/main\.ts|demo\/)/ },
]

/** The layer of a file by its place in the list; files that are in none count as the highest. */
export function layerOf(file) {
  const found = LAYERS.findIndex(({ path }) => path.test(file))
  return found === -1 ? LAYERS.length : found
}
