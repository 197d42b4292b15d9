import { isIP } from 'node:net'
import { existsSync } from 'node:fs'
import type { Secure } from './network-door.js'

const FIRST_PORT = 4680
const LAST_PORT = 65_535

export interface Setup {
  readonly port: number
  readonly secure: Secure | null
  /** Addresses of this machine that it does not list itself. */
  readonly alsoThere: readonly string[]
  /** For tests and pictures: the instant at which the clock starts. */
  readonly startAt: string | undefined
}

type Environment = Readonly<Record<string, string | undefined>>

/** Reads the environment, or says in words what is wrong with it: the variable, its value and the remedy. */
export function readSetup(
  environment: Environment,
): { readonly ok: true; readonly value: Setup } | { readonly ok: false; readonly words: string } {
  const no = (words: string) => ({ ok: false as const, words })
  const port = environment['SELIGO_PORT'] ?? ''
  if (port !== '' && !(/^\d{1,5}$/.test(port) && Number(port) >= 1 && Number(port) <= LAST_PORT))
    return no(`SELIGO_PORT is "${port}", which is no port. Set it to a number from 1 to ${LAST_PORT}, or leave it out.`)
  const [key, certificate] = [environment['SELIGO_KEY'] ?? '', environment['SELIGO_CERTIFICATE'] ?? '']
  if ((key === '') !== (certificate === ''))
    return no(
      'SELIGO_KEY and SELIGO_CERTIFICATE belong together: set both to the paths of your key and certificate, or neither.',
    )
  for (const [name, path] of [
    ['SELIGO_KEY', key],
    ['SELIGO_CERTIFICATE', certificate],
  ])
    if (path !== undefined && path !== '' && !existsSync(path))
      return no(`${name} is "${path}", and there is no such file. Correct the path, or leave it out.`)
  const alsoThere = (environment['SELIGO_ADDRESSES'] ?? '')
    .split(',')
    .map((each) => each.trim())
    .filter((each) => each !== '')
  const wrong = alsoThere.find((each) => isIP(each) !== 4)
  if (wrong !== undefined)
    return no(
      `SELIGO_ADDRESSES holds "${wrong}", which is no address such as 192.168.1.20. Separate several by commas.`,
    )
  return {
    ok: true,
    value: {
      port: port === '' ? FIRST_PORT : Number(port),
      secure: key === '' ? null : { key, certificate },
      alsoThere,
      startAt: environment['SELIGO_NOW'],
    },
  }
}
