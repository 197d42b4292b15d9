import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { CollectionFile, PutCollection } from '#contract/collection-file'
import { z } from 'zod'
import { fail, ok, type Outcome } from '../failing.js'
import { problemOfInput } from '../http/problem.js'
import type { Problem } from '#contract/basic'
import { upgradeFile } from './upgrade-file.js'

/** A collection file that was read through and checked, its pictures as files. */
export interface ReadCollection {
  readonly changeId: string
  readonly replace: boolean
  readonly tables: CollectionFile['tables']
  /** Where each picture lies, by the id of its row. */
  readonly pictures: Readonly<Record<string, string>>
  readonly picturesLeftOut: readonly string[]
}

export type CollectionReading = Outcome<ReadCollection> | { readonly ok: false; readonly problem: Problem }
export type ReadCollectionFile = (file: string, work: string) => CollectionReading | Promise<CollectionReading>

/** The rest of the request is no concern of its collection. */
const Envelope = PutCollection.omit({ collection: true }).extend({ collection: z.unknown() })

/** Reads the body of a request out of a file: what it holds is checked whole, and its pictures are put into `work`. */
export const readCollectionFile: ReadCollectionFile = (file, work) => {
  let body: unknown
  try {
    body = JSON.parse(readFileSync(file, 'utf8'))
  } catch {
    return fail('malformed-json')
  }
  const parsed = Envelope.safeParse(body)
  if (!parsed.success) return { ok: false, problem: problemOfInput(parsed.error, body) }
  const { changeId, replace, collection } = parsed.data
  const upgraded = upgradeFile(collection)
  if (!upgraded.ok) return upgraded
  const found = CollectionFile.safeParse(upgraded.value)
  if (!found.success) {
    const [first] = found.error.issues
    const where = first?.path.join('.') ?? ''
    return fail('not-a-collection', { value: where, where, why: first?.message ?? '' })
  }
  const { tables, pictures, picturesLeftOut } = found.data
  // Keys of a file are no names for files.
  const places = Object.entries(pictures).map(([id, base64], n): [string, string] => {
    const place = join(work, `${n}.jpg`)
    writeFileSync(place, Buffer.from(base64, 'base64'), { mode: 0o600 })
    return [id, place]
  })
  return ok({ changeId, replace, tables, pictures: Object.fromEntries(places), picturesLeftOut })
}
