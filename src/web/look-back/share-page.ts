import { dataUrlOf, frozen } from './frozen'

/**
 * A sheet as one HTML file that needs nothing else: its words, its drawings, the styles that it uses and the letters it is set in. No
 * address leads out of it.
 */
export async function pageOf(paper: HTMLElement, title: string): Promise<string> {
  const { sheet, away } = await frozen(paper)
  try {
    const styles = await stylesFor(sheet)
    const body = sheet.innerHTML
    const theme = sheet.className
    return [
      '<!doctype html>',
      '<html lang="en">',
      `<head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>${escaped(title)}</title>`,
      `<style>${styles}\nbody{margin:0;background:var(--tray)}main{display:block!important;max-width:1120px;margin:0 auto;padding:16px;background:var(--tray);color:var(--ink);font-family:var(--text)}</style></head>`,
      `<body><main class="${escaped(theme)}">${body}</main></body>`,
      '</html>',
    ].join('\n')
  } finally {
    away()
  }
}

function escaped(words: string): string {
  return words.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('"', '&quot;')
}

/** The letters that sheets are set in, carried within their styles. */
export async function lettersOf(): Promise<string> {
  const fonts: Promise<string>[] = []
  for (const sheet of document.styleSheets)
    for (const rule of sheet.cssRules) if (rule instanceof CSSFontFaceRule) fonts.push(fontOf(rule, sheet.href))
  return (await Promise.all(fonts)).filter(Boolean).join('\n')
}

/** The rules that bear on what is there, with what they load carried within. */
export async function stylesFor(root: HTMLElement): Promise<string> {
  const kept: string[] = []
  for (const sheet of document.styleSheets)
    for (const rule of sheet.cssRules) kept.push(await ruleFor(rule, root, sheet.href))
  return kept.filter(Boolean).join('\n')
}

async function ruleFor(rule: CSSRule, root: HTMLElement, base: string | null): Promise<string> {
  if (rule instanceof CSSFontFaceRule) return fontOf(rule, base)
  if (rule instanceof CSSStyleRule)
    return bears(rule.selectorText, root) && !rule.cssText.includes('url(') ? rule.cssText : ''
  if (rule instanceof CSSMediaRule || rule instanceof CSSLayerBlockRule || rule instanceof CSSSupportsRule) {
    const within = (await Promise.all([...rule.cssRules].map((each) => ruleFor(each, root, base)))).filter(Boolean)
    if (within.length === 0) return ''
    return `${rule.cssText.slice(0, rule.cssText.indexOf('{') + 1)}${within.join('\n')}}`
  }
  return rule instanceof CSSPageRule ? rule.cssText : ''
}

function bears(selector: string, root: HTMLElement): boolean {
  if (/(^|,)\s*:root/.test(selector)) return true
  // What only shows while something is pointed at or in focus is on no paper.
  if (/:(hover|focus|active|disabled)/.test(selector)) return false
  try {
    const plain = selector.replace(/::(before|after|marker)/g, '')
    return root.matches(plain) || root.querySelector(plain) !== null
  } catch {
    return false
  }
}

/** Letters of the plain Latin alphabet; what else is needed the reader's own machine has. */
async function fontOf(rule: CSSFontFaceRule, base: string | null): Promise<string> {
  const range = rule.style.getPropertyValue('unicode-range')
  if (range !== '' && !/U\+0{0,4}(-|0)/i.test(range)) return ''
  const address = /url\("?([^")]+)"?\)/.exec(rule.cssText)?.[1]
  if (address === undefined) return ''
  const data = address.startsWith('data:') ? address : await dataUrlOf(new URL(address, base ?? location.href).href)
  return rule.cssText.replace(/url\("?[^")]+"?\)/, `url("${data}")`)
}
