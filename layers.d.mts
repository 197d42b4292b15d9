export const LAYERS: readonly { readonly name: string; readonly path: RegExp }[]
/** The layer of a file by its place in the list; files that are in none count as the highest. */
export function layerOf(file: string): number
