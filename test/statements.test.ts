import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import ts from 'typescript'
import { afterAll, expect, test } from 'vitest'
import { openDatabase } from '#server/db/open-database'

const root = fileURLToPath(new URL('..', import.meta.url))
const folder = mkdtempSync(join(tmpdir(), 'seligo-statements-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))

/** A statement as its source has it: its text, and the columns that its row type has. */
interface Stated {
  readonly where: string
  readonly text: string
  readonly columns: readonly string[] | null
  /** Whether the row type allows for more columns. */
  readonly isOpen: boolean
}

/** Every `sql<…, Row>(text)` and `db.prepare<…, Row>(text)` of the server, read with the compiler that checks it. */
function statedIn(): Stated[] {
  const config = ts.getParsedCommandLineOfConfigFile(
    join(root, 'src/server/tsconfig.json'),
    {},
    {
      ...ts.sys,
      onUnRecoverableConfigFileDiagnostic: () => undefined,
    },
  )
  const program = ts.createProgram(config?.fileNames ?? [], config?.options ?? {})
  const checker = program.getTypeChecker()
  const found: Stated[] = []
  for (const file of program.getSourceFiles()) {
    if (file.isDeclarationFile || !file.fileName.includes('/src/server/')) continue
    const textOf = (node: ts.Expression | undefined): string | null => {
      if (node === undefined) return null
      if (ts.isStringLiteralLike(node)) return node.text
      if (ts.isIdentifier(node)) {
        const declaration = checker.getSymbolAtLocation(node)?.valueDeclaration
        return declaration && ts.isVariableDeclaration(declaration) ? textOf(declaration.initializer) : null
      }
      if (!ts.isTemplateExpression(node)) return null
      const spans = node.templateSpans.map((span) => [textOf(span.expression), span.literal.text] as const)
      return spans.some(([text]) => text === null)
        ? null
        : node.head.text + spans.map(([text, rest]) => `${text ?? ''}${rest}`).join('')
    }
    const visit = (node: ts.Node): void => {
      if (ts.isCallExpression(node) && /^(sql|(\w+\.|this\.#)?db\.prepare)$/.test(node.expression.getText(file))) {
        const text = textOf(node.arguments[0])
        const row = node.typeArguments?.[1]
        const { line } = file.getLineAndCharacterOfPosition(node.getStart(file))
        const where = `${file.fileName.replace(root, '')}:${line + 1}`
        if (text !== null)
          found.push({
            where,
            text,
            isOpen: row !== undefined && checker.getTypeFromTypeNode(row).getStringIndexType() !== undefined,
            columns: row
              ? checker
                  .getTypeFromTypeNode(row)
                  .getProperties()
                  .map((each) => each.name)
                  .sort()
              : null,
          })
      }
      ts.forEachChild(node, visit)
    }
    visit(file)
  }
  return found
}

test('every statement of the server fits the schema, and gives just the columns of the row type it states', () => {
  const db = openDatabase(join(folder, 'collection.db'), { appliedAt: 'x' })
  const stated = statedIn()
  expect(stated.length).toBeGreaterThan(170)
  const wrong = stated.flatMap(({ where, text, columns, isOpen }) => {
    if (/^\s*VACUUM/.test(text)) return []
    const statement = db.prepare(text)
    if (!statement.reader) return columns === null ? [] : [`${where}: a row type for a statement without rows`]
    const given = statement
      .columns()
      .map((column) => column.name)
      .sort()
    // A row whose type says that it has more, which is read by the table of fields.
    const known = isOpen ? given.filter((name) => columns?.includes(name)) : given
    return JSON.stringify(known) === JSON.stringify(columns ?? [])
      ? []
      : [`${where}: ${given.join()} | ${columns?.join() ?? 'no row type'}`]
  })
  expect(wrong).toEqual([])
  db.close()
})
