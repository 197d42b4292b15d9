// Writes the JSON Schema of a collection file to docs, from the schema of the database. A test keeps it current.
import { writeFileSync } from 'node:fs'
import { collectionFileSchema } from '#server/export/file-schema'

writeFileSync('docs/collection.schema.json', `${JSON.stringify(collectionFileSchema(), null, 2)}\n`)
