// Writes the JSON Schema of a collection file to docs, from the Zod schema. A test keeps it current.
import { writeFileSync } from 'node:fs'
import { collectionFileSchema } from '#contract/collection-file'

writeFileSync('docs/collection.schema.json', `${JSON.stringify(collectionFileSchema(), null, 2)}\n`)
