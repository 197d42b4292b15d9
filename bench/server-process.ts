import { spawn, type ChildProcess } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { round } from './measure.js'

export interface RunningServer {
  readonly url: string
  readonly coldStartMs: number
  memoryMb(): number
  stop(): Promise<void>
}

/** Starts the compiled server on a folder and waits for its first answer. */
export async function startServer(folder: string, now: Date): Promise<RunningServer> {
  const start = performance.now()
  const child: ChildProcess = spawn(process.execPath, ['dist/server/main.js'], {
    env: { ...process.env, SELIGO_DATA: folder, SELIGO_PORT: '4950', SELIGO_NOW: now.toISOString() },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  const url = await new Promise<string>((resolve, reject) => {
    child.stdout?.on('data', (text: Buffer) => {
      const found = /http:\/\/[\d.:]+/.exec(String(text))
      if (found) resolve(found[0])
    })
    child.on('exit', (code) => reject(new Error(`The server ended with ${code}`)))
  })
  await (await fetch(`${url}/api/today`)).arrayBuffer()
  const coldStartMs = round(performance.now() - start)
  return {
    url,
    coldStartMs,
    memoryMb: () => {
      const status = readFileSync(`/proc/${child.pid}/status`, 'utf8')
      return Math.round(Number(/VmRSS:\s+(\d+)/.exec(status)?.[1] ?? 0) / 1024)
    },
    stop: async () => {
      const ended = new Promise((resolve) => child.on('exit', resolve))
      child.kill('SIGTERM')
      await ended
    },
  }
}
