import { parseWhen, type DateOrder } from '../../calendar/when.js'
import type { Day } from '../../calendar/day.js'
import { plainWords } from '../../words/plain-words.js'
import { matchCategory, type KnownCategory } from '../sheet/category-match.js'
import { parseLabelAmount } from '../../quantity/label-amount.js'
import { parsePao } from '../../shelf-life/printed-expiry.js'
import { parseLeft } from '../sheet/left-words.js'

/** A scribbled line taken apart, each piece as the user wrote it; a blank piece was not said. */
export interface LineCells {
  readonly maker: string
  readonly shade: string
  readonly category: string
  readonly size: string
  readonly opened: string
  readonly pao: string
  readonly expiry: string
  readonly price: string
  readonly uses: string
  /** How much is left, in words or as a share. */
  readonly left: string
  /** How many of it there are. */
  readonly quantity: string
  readonly notes: string
}

/** What is known while a line is read. */
export interface LineContext {
  readonly categories: readonly KnownCategory[]
  /** Makers that the collection or an earlier line has. */
  readonly makers: readonly string[]
  readonly order: DateOrder
  readonly today: Day
}

const BULLET = /^\s*(?:[-–—*•·>]+|\[[ x]?\]|\(?\d{1,3}[.)])\s+/i
const MONEY = String.raw`(?:[€£$¥₹]|\b(?:eur|euros?|usd|gbp|chf|dollars?|pounds?)\b)`
const PRICE = new RegExp(String.raw`${MONEY}\s?\d[\d.,]*|\b\d[\d.,]*\s?${MONEY}`, 'i')
const GIFT = /\b(?:a\s)?(?:gift|gifted|present|free)\b/i
const SIZE = /\b\d[\d.,]*\s?(?:g|gr|grams?|ml|fl\.?\s?oz|oz)\b\.?(?:\s?[/|(]\s?\d[\d.,]*\s?(?:g|ml|fl\.?\s?oz|oz)\)?)?/i
const PAO = /\b(?:pao\s*)?\d{1,3}\s?(?:m|mo|mths?|months?)\b(?:\s+after opening)?|\bpao\s*\d{1,3}\b/i
const USES =
  /\b(?:used|worn)\s+(?:about\s+)?\d{1,4}\s?(?:times|x|×)?(?=\s|$|[,;.])|\b\d{1,4}\s?(?:uses?|wears?|times|x worn|x used)\b/i
/** "half left", "80 % full", "hit pan": what `parseLeft` reads. */
const LEFT =
  /\b(?:hit pan|half pan|big pan|embossing gone|(?:nearly|almost|mostly) (?:full|empty))\b|(?:\b(?:about\s+)?(?:half|a?\s?quarter|three quarters|a?\s?third|two thirds|\d\/\d|\d{1,3}\s?%)|[½¼¾⅓⅔])\s*(?:left|full|remaining)\b/i
const QUANTITY = /(?:^|\s)[x×]\s?(\d{1,2})(?=\s|$|[,;.])|(?:^|\s)(\d{1,2})\s?[x×](?=\s|$)/i
const BACKUPS = /\b(?:\d{1,2}\s?)?back-?\s?ups?(?:\s?[x×]\s?\d{1,2})?\b|\+\s?\d{1,2}\s?back-?\s?ups?/i
const UNOPENED = /\b(?:unopened|not opened(?: yet)?|sealed|brand new|bnib|unused|new)\b/i
/** Words before a date; the date itself is as long as it can be read. */
const EXPIRY = /\b(?:expir(?:y|es|ed|ing)|exp\.?|best before|use by|good (?:to|until)|bb)\b[:.]?\s*/i
const OPENED = /\b(?:opened|open(?: since)?|since|in use since)\b[:.]?\s*(?:in|on|about|around|ca\.?)?\s*/i
/** The longest date is "early march 2024 to may 2024". */
const MOST_DATE_WORDS = 6

/**
 * Takes a line apart as one would scribble it: "pellwick rust bloom blush 5g opened march 25 12M €18". Pieces that can be told
 * by their shape go first, then the kind; of what is left the brand is the one that is known, else the first word.
 */
export function splitLine(line: string, context: LineContext): LineCells {
  const rest = { text: line.replace(BULLET, '') }
  // A brand that is known is one, though its name be that of a type or hold a number.
  const known = knownMaker(rest.text, context.makers)
  if (known !== '') rest.text = without(rest.text, known)
  const price = take(rest, PRICE) || (take(rest, GIFT) === '' ? '' : 'gift')
  const expiry = takeDated(rest, EXPIRY, context)
  const opened = takeDated(rest, OPENED, context) || (take(rest, UNOPENED) === '' ? '' : 'unopened')
  const backups = take(rest, BACKUPS)
  const size = takeRead(rest, SIZE, (text) => parseLabelAmount(text).ok)
  const pao = takeRead(rest, PAO, (text) => parsePao(bareMonths(text)).ok)
  const uses = take(rest, USES)
  const left = takeRead(rest, LEFT, (text) => parseLeft(text) !== null)
  const quantity = take(rest, QUANTITY)
  // What is left of "open", now that its date is taken or was never there.
  const open = opened === '' && take(rest, /\b(?:opened|open)\b/i) !== '' ? 'open' : opened
  const category = takeCategory(rest, context.categories)
  const { maker, shade } = known === '' ? namesIn(rest.text) : { maker: known, shade: capitalised(trimmed(rest.text)) }
  return {
    maker,
    shade: shade || capitalised(category),
    category,
    size,
    opened: open,
    pao: bareMonths(pao),
    expiry,
    price,
    uses: uses.replace(/\D+/g, ''),
    left,
    quantity: quantity.replace(/\D+/g, ''),
    notes: backups,
  }
}

/** A line that is no item but the kind of those below it: "BLUSHES:", "Lip glosses". Its category's id, else null. */
export function sectionOf(line: string, categories: readonly KnownCategory[]): string | null {
  const bare = line.replace(/^#+\s*|[:–-]+\s*$/g, '').trim()
  return bare === '' || /\d/.test(bare) ? null : matchCategory(bare, categories)
}

/** Takes the first piece of a shape out of what is left. */
function take(rest: { text: string }, shape: RegExp): string {
  const found = shape.exec(rest.text)
  if (!found) return ''
  rest.text = `${rest.text.slice(0, found.index)} ${rest.text.slice(found.index + found[0].length)}`
  return found[0].trim()
}

function takeRead(rest: { text: string }, shape: RegExp, canBeRead: (text: string) => boolean): string {
  const found = shape.exec(rest.text)
  return found && canBeRead(found[0].trim()) ? take(rest, shape) : ''
}

/** A word that announces a date, with the longest date that follows it. */
function takeDated(rest: { text: string }, announces: RegExp, context: LineContext): string {
  const found = announces.exec(rest.text)
  if (!found) return ''
  const from = found.index + found[0].length
  const words = rest.text.slice(from).split(/\s+/).filter(Boolean).slice(0, MOST_DATE_WORDS)
  for (let count = words.length; count > 0; count -= 1) {
    const text = words
      .slice(0, count)
      .join(' ')
      .replace(/[,;.]+$/, '')
    if (!/\d/.test(text) && count > 2) continue
    const said = yearSaid(text, announces === EXPIRY, context)
    if (!parseWhen(said, context.order, context.today).ok) continue
    const length = rest.text.slice(from).indexOf(words[count - 1] ?? '') + (words[count - 1] ?? '').length
    rest.text = `${rest.text.slice(0, found.index)} ${rest.text.slice(from + length)}`
    return said
  }
  return ''
}

/** A year so far back is a day of the month: nobody's list begins before. */
const OLDEST_YEARS = 8

/**
 * A date with its year: "march 25" is March 2025 in a list of makeup, not the 25th; one without a year ("1 oct", "oct") is the last
 * such date, of an expiry the next.
 */
function yearSaid(text: string, isAhead: boolean, { order, today }: LineContext): string {
  const year = Number(today.slice(0, 4))
  const said = /^(\p{L}{3,}\.?)\s+'?(\d{2})$/u.exec(text)
  if (said !== null) {
    const full = 2000 + Number(said[2])
    if (isAhead ? full >= year - 1 : full <= year && full > year - OLDEST_YEARS) return `${said[1] ?? ''} ${full}`
  }
  const day = /^(\d{1,2})(?:st|nd|rd|th|\.)?\s+(\p{L}{3,})\.?$/u.exec(text) ?? undefined
  const dayLast = /^(\p{L}{3,})\.?\s+(\d{1,2})(?:st|nd|rd|th)?$/u.exec(text) ?? undefined
  const alone = /^\p{L}{3,}\.?$/u.test(text)
  if (!day && !dayLast && !alone) return text
  const bare = day ? `${day[1] ?? ''} ${day[2] ?? ''}` : dayLast ? `${dayLast[2] ?? ''} ${dayLast[1] ?? ''}` : text
  const dated = (isAhead ? [year, year + 1] : [year, year - 1]).map((each) => `${bare} ${each}`)
  return (
    dated.find((each) => {
      const read = parseWhen(each, order)
      return read.ok && (isAhead ? read.value.latest >= today : read.value.earliest <= today)
    }) ?? text
  )
}

function bareMonths(text: string): string {
  return text.replace(/^pao\s*/i, '').replace(/\s+after opening$/i, '')
}

/** The longest run of words that names a category, the last where two are as long; taken out. */
function takeCategory(rest: { text: string }, categories: readonly KnownCategory[]): string {
  const words = rest.text.split(/\s+/).filter(Boolean)
  for (let length = Math.min(4, words.length); length > 0; length -= 1)
    for (let from = words.length - length; from >= 0; from -= 1) {
      const run = words.slice(from, from + length)
      if (matchCategory(run.join(' '), categories) === null) continue
      rest.text = [...words.slice(0, from), ...words.slice(from + length)].join(' ')
      return run.join(' ').replace(/[,;\s]+$/, '')
    }
  return ''
}

/** The longest of the known brands that a text names; blank where it names none. */
function knownMaker(text: string, makers: readonly string[]): string {
  const plain = ` ${plainWords(text)} `
  return (
    [...makers]
      .sort((a, b) => b.length - a.length)
      .find((maker) => maker !== '' && plain.includes(` ${plainWords(maker)} `)) ?? ''
  )
}

function trimmed(text: string): string {
  return text.replace(/\s+/g, ' ').replace(/^[\s,;:–-]+|[\s,;:–-]+$/g, '')
}

/** Brand and shade of what is left: the brand is what stands before the first comma, else the first word, with what "&" joins to it. */
function namesIn(text: string): { maker: string; shade: string } {
  const bare = trimmed(text)
  const [first = '', ...others] = bare.split(/\s*[,;]\s*|\s+[–-]\s+/)
  if (others.length > 0) return { maker: capitalised(first), shade: capitalised(others.join(' ')) }
  const [, maker = '', shade = ''] = /^(\S+(?:\s+(?:&|\+|and)\s+\S+)?)(?:\s+(.*))?$/iu.exec(bare) ?? []
  return shade === ''
    ? { maker: '', shade: capitalised(bare) }
    : { maker: capitalised(maker), shade: capitalised(shade) }
}

/** A number that is part of a name: "No. 4", "#12". */
const NUMBERED = /(?:\bno\.?|#)\s*\d+/gi
/** What is likely no name: a figure, or a word that tells of use. */
const FACTS = /\d[\d.,/]*\s?\S*|\b(?:left|used|times|opened|pan|expired|finished)\b/gi

/** Pieces of a name that look like something else, for the user to say whether they are part of it. */
export function leftoversIn(name: string): string[] {
  return [...name.replace(NUMBERED, '').matchAll(FACTS)].map(([piece]) => piece.trim())
}

/** What is left of a text when the words of a brand are taken out of it; all else stays as it stands. */
function without(text: string, maker: string): string {
  const gone = plainWords(maker)
  const words = [...text.matchAll(/[^\s,;]+/g)].map((found) => ({ at: found.index, text: found[0] }))
  // "Rook & Damson" is three words on the page and two in plain letters.
  for (const [from, first] of words.entries())
    for (const last of words.slice(from)) {
      const end = last.at + last.text.length
      if (plainWords(text.slice(first.at, end)) === gone) return `${text.slice(0, first.at)} ${text.slice(end)}`
    }
  return text
}

/** Names written in small letters get capitals; what the user wrote with any stays as it is. */
function capitalised(text: string): string {
  if (text !== text.toLowerCase()) return text
  return text.replace(/(^|[\s-])(\p{L})/gu, (_, before: string, letter: string) => before + letter.toUpperCase())
}
