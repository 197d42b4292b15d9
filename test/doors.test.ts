import { writesOf } from '#server/create-app'
import { deflateRawSync } from 'node:zlib'
import { describe, expect, test } from 'vitest'
import { shrink } from '#server/collection/shrink'
import { failureWords } from '#server/http/failure-words'
import { readTable } from '#server/importing/read-table'
import { MOST_COLUMNS, MOST_SIGNS } from '#server/importing/sheet-bounds'
import yazl from 'yazl'
import { z } from 'zod'
import { TestHouse } from './support/test-house'

const XML = '<?xml version="1.0" encoding="UTF-8"?>'
const MAIN = 'xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main"'

/** A workbook with one tab, from the XML of its rows. */
async function workbook(rows: string, more: Record<string, Buffer> = {}): Promise<Buffer> {
  const zip = new yazl.ZipFile()
  const parts: Record<string, string> = {
    '[Content_Types].xml': `${XML}<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="xml" ContentType="application/xml"/><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Override PartName="/xl/workbook.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.sheet.main+xml"/><Override PartName="/xl/worksheets/sheet1.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.worksheet+xml"/></Types>`,
    '_rels/.rels': `${XML}<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="rId1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/officeDocument" Target="xl/workbook.xml"/></Relationships>`,
    'xl/workbook.xml': `${XML}<workbook ${MAIN} xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships"><sheets><sheet name="Mine" sheetId="1" r:id="rId1"/></sheets></workbook>`,
    'xl/_rels/workbook.xml.rels': `${XML}<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="rId1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/worksheet" Target="worksheets/sheet1.xml"/></Relationships>`,
    'xl/worksheets/sheet1.xml': `${XML}<worksheet ${MAIN}><sheetData>${rows}</sheetData></worksheet>`,
  }
  for (const [name, text] of Object.entries(parts)) zip.addBuffer(Buffer.from(text), name)
  for (const [name, bytes] of Object.entries(more)) zip.addBuffer(bytes, name)
  zip.end()
  const chunks: Buffer[] = []
  for await (const chunk of zip.outputStream) chunks.push(chunk as Buffer)
  return Buffer.concat(chunks)
}
const cell = (at: string, text: string): string => `<c r="${at}" t="inlineStr"><is><t>${text}</t></is></c>`
const HEAD = `<row r="1">${cell('A1', 'Maker')}${cell('B1', 'Name')}${cell('C1', 'Category')}</row>`
const ROW = `<row r="2">${cell('A2', 'Ondrake')}${cell('B2', 'Weir')}${cell('C2', 'blush')}</row>`
const codeOf = async (bytes: Uint8Array, name = 'mine.xlsx'): Promise<string> => {
  const table = await readTable(bytes, name)
  return table.ok ? 'read' : table.failure.code
}

describe('a workbook', () => {
  test('of a few rows is read', async () => {
    expect(await codeOf(await workbook(HEAD + ROW))).toBe('read')
  })

  test.each([
    ['one far cell', `<row r="1048576">${cell('XFD1048576', 'x')}</row>`, 'cell-far-out'],
    ['one cell far to the right', `<row r="2">${cell('ZZZ2', 'x')}</row>`, 'cell-far-out'],
    ['one cell at a place that can’t be read', `<row r="2">${cell('ZZZZZZ2', 'x')}</row>`, 'cell-far-out'],
    ['one row far below, without a cell', '<row r="900000"/>', 'cell-far-out'],
    ['a long cell', `<row r="3">${cell('A3', 'x'.repeat(MOST_SIGNS + 1))}</row>`, 'cell-too-long'],
  ])('with %s is refused before it is laid out', async (_, rows, code) => {
    const bytes = await workbook(HEAD + ROW + rows)
    expect(bytes.length).toBeLessThan(8000)
    expect(await codeOf(bytes)).toBe(code)
  })

  test('that is a bomb is refused by what it unpacks to, whatever it says of itself', async () => {
    const zeros = Buffer.alloc(120_000_000)
    const honest = await workbook(HEAD + ROW, { 'xl/media/a.bin': zeros })
    expect(honest.length).toBeLessThan(200_000)
    expect(await codeOf(honest)).toBe('sheet-too-large')
    // The same, said to be ten bytes long: the size stands in front of the part and in the list at the end.
    const lying = Buffer.from(honest)
    const size = Buffer.alloc(4)
    size.writeUInt32LE(zeros.length)
    const said = Buffer.from([10, 0, 0, 0])
    for (let at = lying.indexOf(size); at >= 0; at = lying.indexOf(size, at + 1)) said.copy(lying, at)
    expect(lying.equals(honest)).toBe(false)
    expect(await codeOf(lying)).toBe('not-a-table')
    expect(deflateRawSync(zeros).length).toBeLessThan(200_000)
  })

  test('with links to elsewhere and formulas fetches and reckons nothing', async () => {
    const rows = `<row r="2">${cell('A2', 'Ondrake')}<c r="B2"><f>WEBSERVICE("http://127.0.0.1:9/")</f><v>7</v></c>${cell('C2', 'blush')}</row>`
    const link = Buffer.from(`${XML}<externalLink ${MAIN}/>`)
    const table = await readTable(await workbook(HEAD + rows, { 'xl/externalLinks/externalLink1.xml': link }), 'x.xlsx')
    expect(table.ok && table.value[0]?.records[1]).toEqual(['Ondrake', '7', 'blush'])
  })
})

describe('a text', () => {
  test.each([
    ['as wide as a year of days', `Name,${'d,'.repeat(MOST_COLUMNS - 2)}\nWeir\n`, 'read'],
    ['a thousand columns wide', `Name,${'d,'.repeat(1000)}\nWeir\n`, 'too-many-columns'],
    ['with a cell of 50,000 signs', `Name,Notes\nWeir,${'x'.repeat(50_000)}\n`, 'cell-too-long'],
    ['with a quotation mark that is never closed', `Name,Notes\nWeir,"${'x\n'.repeat(20)}`, 'unreadable-table'],
    ['with NUL in it', 'Name\nWe\u0000ir\n', 'not-a-table'],
    ['of 25,000 rows', `Name\n${'Weir\n'.repeat(25_000)}`, 'too-many-rows'],
  ])('%s', async (_, text, code) => {
    expect(await codeOf(Buffer.from(text), 'x.csv')).toBe(code)
  })
})

describe('a picture', () => {
  test('of every type that the advice names is read, and of no other', async () => {
    const { default: sharp } = await import('sharp')
    const advice = failureWords({ code: 'not-a-picture', data: {} }).detail
    const kinds = /Choose a (.*)\./.exec(advice)?.[1]?.split(/, | or /) ?? []
    expect(kinds).toEqual(['JPEG', 'PNG', 'WebP', 'AVIF', 'GIF'])
    const create = { width: 40, height: 30, channels: 3 as const, background: '#c7747a' }
    for (const kind of kinds) {
      const format = kind.toLowerCase() as 'jpeg' | 'png' | 'webp' | 'avif' | 'gif'
      const shrunk = await shrink(await sharp({ create }).toFormat(format).toBuffer())
      expect([kind, shrunk.ok && shrunk.value.width]).toEqual([kind, 40])
    }
    const svg = '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><image href="file:///etc/passwd"/></svg>'
    const tiff = await sharp({ create }).tiff().toBuffer()
    const page = Buffer.from(`\u0089PNG<html><script>alert(1)</script>`)
    for (const bytes of [Buffer.from(svg), tiff, page, Buffer.alloc(0)])
      expect(await shrink(bytes)).toMatchObject({ ok: false, failure: { code: 'not-a-picture' } })
  })

  test('that is a page as well leaves as a picture alone, and says nothing of where it was taken', async () => {
    const { default: sharp } = await import('sharp')
    const create = { width: 40, height: 30, channels: 3 as const, background: '#c7747a' }
    const exif = { IFD3: { GPSLatitude: '52/1 31/1 0/1', GPSLatitudeRef: 'N' } }
    const picture = await sharp({ create }).jpeg().withExif(exif).toBuffer()
    const polyglot = Buffer.concat([picture, Buffer.from('<html><script>alert(1)</script></html>')])
    expect((await sharp(polyglot).metadata()).exif).toBeDefined()
    const shrunk = await shrink(polyglot)
    if (!shrunk.ok) throw new Error(shrunk.failure.code)
    expect((await sharp(shrunk.value.jpeg).metadata()).exif).toBeUndefined()
    expect(shrunk.value.jpeg.includes('script')).toBe(false)
  })
})

test('every text and every list that a command takes has a bound', async () => {
  const house = await TestHouse.open()
  const unbounded: string[] = []
  interface Node {
    readonly [key: string]: unknown
  }
  const look = (node: unknown, where: string): void => {
    if (node === null || typeof node !== 'object') return
    const { type, maxItems, maxLength, pattern, enum: few, const: one } = node as Node
    if (type === 'array' && maxItems === undefined) unbounded.push(`${where}[]`)
    if (type === 'string' && maxLength === undefined && pattern === undefined && few === undefined && one === undefined)
      unbounded.push(where)
    for (const [key, each] of Object.entries(node))
      look(each, key === 'properties' || key === 'items' ? where : `${where}.${key}`)
  }
  for (const { path, schema } of writesOf(house.services)) look(z.toJSONSchema(schema, { io: 'input' }), path)
  house.close()
  // A file in base64 is bounded by the size of its request.
  expect(unbounded.filter((where) => !/^\/import\/run\.base64$/.test(where))).toEqual([])
})
