import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import ts from 'typescript'
import { parse, type SFCDescriptor } from 'vue/compiler-sfc'

const root = fileURLToPath(new URL('..', import.meta.url))

/** The places of the interface in the order of the map, each with the folders whose words stand there. */
const PLACES: readonly (readonly [string, readonly string[]])[] = [
  ['Today', ['src/web/today', 'src/web/drawer']],
  ['Collection', ['src/web/collection', 'src/web/item', 'src/web/importing', 'src/web/stocktaking']],
  ['Use first and how much I own', ['src/web/shelf-life', 'src/web/supply']],
  ['Projects, check-in and plan', ['src/web/projects', 'src/web/check-in', 'src/web/plan']],
  ['Keep or let go', ['src/web/decide']],
  ['Before buying', ['src/web/buying']],
  ['Look back', ['src/web/look-back', 'src/web/empties']],
  ['Settings', ['src/web/settings', 'src/web/journal', 'src/web/devices']],
  ['On every page', ['src/web/shell', 'src/web/ui', 'src/web/data', 'src/web/main.ts', 'src/core']],
  ['Messages, history and exports', ['src/contract', 'src/server']],
]
/** Attributes that are read or spoken. */
const SAID =
  /^(aria-label|aria-description|label|title|subtitle|question|text|placeholder|hint|act|words|says?|alt|name|cancel|action|suffix|prefix|what|store|unit)$/
/** Attributes whose strings are never read. */
const UNSAID =
  /^(class|style|key|id|ref|to|href|type|role|is|variant|color|size|d|viewBox|transform|for|slot|icon|density)$/

/** All words of the interface as one text: a heading for each place and file, a line for each sentence; `…` stands for what is filled in. */
export function interfaceWords(): string {
  const files = execFileSync('git', ['ls-files', '--cached', '--others', '--exclude-standard', 'src'], {
    cwd: root,
    encoding: 'utf8',
  })
    .split('\n')
    .filter(
      (file) =>
        /\.(ts|vue)$/.test(file) &&
        !/\.(test|d)\.ts$|src\/web\/specimen|src\/demo|words-data|vague-words|status-words|category-defaults|split-line/.test(
          file,
        ),
    )
    .sort()
  return PLACES.map(([place, folders]) => {
    const own = files.filter((file) => folders.some((folder) => file === folder || file.startsWith(`${folder}/`)))
    const blocks = own.flatMap((file) => {
      const said = wordsOf(file)
      return said.length === 0 ? [] : [`-- ${file.replace(/^src\//, '')}\n${said.join('\n')}\n`]
    })
    return `## ${place}\n\n${blocks.join('\n')}`
  }).join('\n')
}

function wordsOf(file: string): string[] {
  const text = readFileSync(join(root, file), 'utf8')
  const found: string[] = []
  if (file.endsWith('.vue')) {
    const { descriptor } = parse(text)
    if (descriptor.template?.ast) walk(descriptor.template.ast, found)
    for (const script of [descriptor.scriptSetup, descriptor.script]) if (script) literals(script.content, found)
  } else literals(text, found)
  return [...new Set(found)]
}

type Node = NonNullable<NonNullable<SFCDescriptor['template']>['ast']>['children'][number]

/** Texts of a template in order; text and what is filled in beside it are one line. */
function walk(node: { readonly children?: readonly unknown[] }, found: string[]): void {
  let line = ''
  const end = (): void => {
    const said = line.replace(/\s+/g, ' ').trim()
    if (/[A-Za-z]{2}/.test(said.replace(/…/g, ''))) found.push(said)
    line = ''
  }
  for (const child of (node.children ?? []) as Node[]) {
    if (child.type === 2) line += child.content
    else if (child.type === 5) {
      line += '…'
      if ('content' in child.content && typeof child.content.content === 'string')
        literals(`(${child.content.content})`, found)
    } else if (child.type === 1) {
      end()
      for (const prop of child.props) {
        if (prop.type === 6) {
          if (
            SAID.test(prop.name) &&
            prop.value &&
            /[A-Za-z]{2}/.test(prop.value.content) &&
            /[A-Z ]/.test(prop.value.content)
          )
            found.push(prop.value.content)
        } else if (prop.exp && 'content' in prop.exp) {
          const name = prop.arg && 'content' in prop.arg ? prop.arg.content : ''
          if (!UNSAID.test(name) && !['for', 'on', 'if', 'else-if', 'slot'].includes(prop.name))
            literals(`(${prop.exp.content})`, found)
        }
      }
      walk(child, found)
    }
  }
  end()
}

/** Texts among the string literals of a piece of code. */
function literals(code: string, found: string[]): void {
  const source = ts.createSourceFile('x.ts', code, ts.ScriptTarget.Latest, true)
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isTypeNode(node)) return
    if (
      ts.isCallExpression(node) &&
      /^(console\.|sql|preparing|document\.querySelector|emit|defineEmits|Error$)/.test(node.expression.getText())
    ) {
      if (node.expression.getText().startsWith('sql') || node.expression.getText().startsWith('console.')) return
    }
    if (ts.isNewExpression(node) && /Error$/.test(node.expression.getText())) return
    if (ts.isStringLiteralLike(node)) {
      if (isNamedWords(node)) found.push(node.text)
      else if (!isKey(node)) take(node.text)
      return
    }
    if (ts.isTemplateExpression(node)) {
      take(node.head.text + node.templateSpans.map((span) => `…${span.literal.text}`).join(''))
      for (const span of node.templateSpans) visit(span.expression)
      return
    }
    ts.forEachChild(node, visit)
  }
  const take = (text: string): void => {
    const said = text.replace(/\s+/g, ' ').trim()
    // A text with a control character is a mark for a program.
    if (!/\p{Cc}/u.test(said) && isSaid(said)) found.push(said)
  }
  visit(source)
}

/** Values of the code and of older files; what stands on screen for each comes from a table of words. */
const VALUES: ReadonlySet<string> = new Set([
  ...['dome gone', 'first pan', 'half bare', 'mostly bare', 'her word', 'past its date', 'spoils first', 'set aside'],
  ...[
    'on pace',
    'out of reach',
    'not at this pace',
    'in force',
    'in doubt',
    'short list',
    'against her word',
    'she said no',
  ],
  ...[
    'maker again',
    'maker never again',
    'still let in',
    'her day',
    'till type',
    'on the short list',
    'category',
    'any category',
    'category full',
  ],
])

/** Compared, looked up or branched on: a value of the code, not a text. */
function isKey(node: ts.Node): boolean {
  const { parent } = node
  return (
    ts.isCaseClause(parent) ||
    ts.isElementAccessExpression(parent) ||
    ts.isLiteralTypeNode(parent) ||
    (ts.isPropertyAssignment(parent) && parent.name === node) ||
    (ts.isBinaryExpression(parent) && /^[=!]==$/.test(parent.operatorToken.getText()))
  )
}

/** One word alone that a title, label or table of words holds: also in small letters. */
function isNamedWords(node: ts.StringLiteralLike): boolean {
  const { parent } = node
  return (
    ts.isPropertyAssignment(parent) &&
    parent.initializer === node &&
    /^(title|label|words|what|name)$/.test(parent.name.getText()) &&
    /^[a-z’]{2,}$/.test(node.text)
  )
}

function isSaid(text: string): boolean {
  if (!/[A-Za-z]{2}/.test(text.replace(/…/g, '')) || VALUES.has(text)) return false
  if (
    /\b(SELECT|INSERT|UPDATE|DELETE FROM|PRAGMA|CREATE|VALUES|VACUUM|ATTACH)\b|^[MmLlHhVvCcZz]?[\d\s.,…MLHVCAZmlhvcaz-]+$/.test(
      text,
    )
  )
    return false
  if (
    /^[#./@]|^https?:|[{}<>]|[a-z]_[a-z]|\b\w\.\w+,|^(fronts find|wear (face|look)) |^[a-z-]+:[\w #]|^\w+\/|\/\w+\/|^--|px\b|=>|\$|^\^|^[\w-]+\(|^…?[a-z0-9_-]*\.(vue|ts|json|db|csv)/.test(
      text,
    )
  )
    return false
  return / /.test(text) ? /[a-z]{2}/.test(text) : /^…?[A-Z][a-z’']+[.…?]?$/.test(text)
}

/**
 * Words that Seligo no longer says, each with what it says instead. Counted in everything that `interfaceWords` finds and in the pages
 * of docs and the README.
 */
export const RETIRED: readonly (readonly [RegExp, string])[] = [
  [/\breckon\w*/i, 'estimated, worked out'],
  [/\bthings?\b/i, 'item'],
  [/\bmakers?\b/i, 'brand'],
  [/\bfaces?\b(?! cream| powder)/i, 'look'],
  [/within reach|lies? in the drawer/i, 'in the drawer'],
  [/\b(lay|lays|laid|laying|lain|lie|lies)\b/i, 'arrange, put in the drawer, plan'],
  [/put by\b/i, 'stored away'],
  [/last good day|good to \d|good to …|past its (day|date)/i, 'use by, expired'],
  [/(?<!embossing )\bgone\b(?! (off|unworn))/i, 'used, finished'],
  [/\bliking\b/i, 'rating'],
  [/first pan|half bare|mostly bare|half \/ mostly|dome gone/i, 'hit pan, half pan, big pan, embossing gone'],
  [/not at this pace|about even|will make it/i, 'not in time, 50-50, in time'],
  [/on pace|out of reach/i, 'on track, can’t be done by then'],
  [/\bfinale|short list/i, 'wrap up, up next'],
  [/\bpush(es)?\b/i, 'next focus'],
  [/\bstretch(es)?\b/i, 'period, days'],
  [/in force|adopt|whatever else|think longer/i, 'current plan, use this plan, always include, keep looking'],
  [/in doubt|side by side|from the stash|set aside|letting go/i, 'to decide, compare, shop my stash, special, let go'],
  [/at the till|\bwishes\b/i, 'check, wish list'],
  [/held up|left lying/i, 'considered, not used; not worn'],
  [
    /\btak(e|es|en) back|took back|\bmend(ed|s)?\b|\bstrike\b|\bstruck\b|give it up|\bgo on (with|later)\b/i,
    'undo, fix, remove, discard, continue',
  ],
  [/\bstore\b(?! away)/i, 'save'],
  [/look into\b|go back to the|\bcop(y|ies) of the collection/i, 'preview, restore, safety copies'],
  [/let in\b|send away|sent away|\bdoor\b|\bdevices?\b/i, 'connect, remove, phone access, phones'],
  [/\bjournal\b/i, 'history'],
  [/may stay (empty|open)|of its kind|it leans on|whatever\b|as the machine/i, 'optional, similar, worked out from'],
  [/\b(she|her|hers|herself)\b/i, 'you'],
  [/\bcategor(y|ies)\b/i, 'type'],
  [/\b(the|this|your) log\b|\blogged\b/i, 'what you ticked'],
  [/Pielou|Gini|CIEDE|\bquantile|\bmedian\b/i, 'plain words'],
]

/** Lines that hold a retired word: the line, the word, what is said instead. */
export function retiredIn(text: string): string[] {
  return text.split('\n').flatMap((line) =>
    line.startsWith('-- ') || line.startsWith('## ')
      ? []
      : RETIRED.flatMap(([pattern, instead]) => {
          const found = pattern.exec(line)
          return found ? [`${found[0]} → ${instead}: ${line}`] : []
        }),
  )
}
