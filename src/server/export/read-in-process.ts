import { fail } from '../failing.js'
import { askProcess } from '../other-process.js'
import type { CollectionReading, ReadCollectionFile } from './read-collection.js'

/** A file of 300 MB with its pictures takes about half of these. */
const BOUNDS = { memoryMb: 3000, timeMs: 120_000 }

/** Reads a collection file in a process of its own: nobody waits for it, and what it takes is given back. */
export const readCollectionInProcess: ReadCollectionFile = async (file, work) =>
  (await askProcess<CollectionReading>(new URL('./collection-process.js', import.meta.url), { file, work }, BOUNDS)) ??
  fail('collection-too-large')
