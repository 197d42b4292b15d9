import { spawn, type ChildProcess } from 'node:child_process'
import { readFileSync } from 'node:fs'

export const PLAY_AT = '2026-11-24T12:00:00'

/** The compiled server, as a person runs it, on a folder; it can be killed as a power cut does. */
export interface Served {
  readonly url: string
  /** What it holds in memory, MB; the most so far. */
  memoryMb(): { now: number; most: number }
  kill(): Promise<void>
  stop(): Promise<void>
  /** What it said on its error output. */
  said(): string
}

let port = 5200

/** Starts a server and waits until it tells its address. */
export async function serve(folder: string, env: Record<string, string> = {}): Promise<Served> {
  port += 1
  const child: ChildProcess = spawn(process.execPath, ['dist/server/main.js'], {
    env: { ...process.env, SELIGO_DATA: folder, SELIGO_PORT: String(port), SELIGO_NOW: PLAY_AT, ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  })
  let said = ''
  child.stderr?.on('data', (text: Buffer) => {
    said += String(text)
  })
  const ended = new Promise<void>((resolve) => child.once('exit', () => resolve()))
  const url = await new Promise<string>((resolve, reject) => {
    child.stdout?.on('data', (text: Buffer) => {
      const found = /http:\/\/[\d.:]+/.exec(String(text))
      if (found) resolve(found[0])
    })
    child.once('exit', (code) => reject(new Error(`The server ended with ${code}: ${said}`)))
  })
  const memory = (what: string): number => {
    const status = readFileSync(`/proc/${child.pid}/status`, 'utf8')
    return Math.round(Number(new RegExp(`${what}:\\s+(\\d+)`).exec(status)?.[1] ?? 0) / 1024)
  }
  const end = async (signal: NodeJS.Signals): Promise<void> => {
    child.kill(signal)
    await ended
  }
  return {
    url,
    memoryMb: () => ({ now: memory('VmRSS'), most: memory('VmHWM') }),
    kill: () => end('SIGKILL'),
    stop: () => end('SIGTERM'),
    said: () => said,
  }
}

/** What came of a request: its status and answer; null where there was none. */
export async function send(url: string, path: string, body: object): Promise<{ status: number; body: unknown } | null> {
  try {
    const response = await fetch(`${url}/api${path}`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    })
    return { status: response.status, body: await response.json() }
  } catch {
    return null
  }
}

/** The ids of what lies in the drawer: things that can be ticked on any day. */
export async function inDrawer(url: string): Promise<string[]> {
  const { zones } = (await (await fetch(`${url}/api/drawer`)).json()) as { zones: { itemIds: string[] }[] }
  const ids = zones.flatMap(({ itemIds }) => itemIds)
  if (ids.length === 0) throw new Error('Nothing lies in the drawer of the demo.')
  return ids
}
