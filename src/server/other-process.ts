import { fork } from 'node:child_process'
import { fileURLToPath } from 'node:url'

/**
 * Asks a module in a process of its own, which answers one message with another. Null where it ends without an answer, of whatever:
 * too much memory, too much time, a fault. It ends alone, which a thread that runs out of memory does not.
 */
export function askProcess<A>(
  module: URL,
  asked: object,
  bounds: { readonly memoryMb: number; readonly timeMs: number },
): Promise<A | null> {
  return new Promise((resolve) => {
    const other = fork(fileURLToPath(module), {
      execArgv: [`--max-old-space-size=${bounds.memoryMb}`],
      serialization: 'advanced',
      stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
    })
    const timer = setTimeout(() => other.kill('SIGKILL'), bounds.timeMs)
    other.once('message', (answer) => {
      resolve(answer as A)
      other.kill()
    })
    other.once('error', () => resolve(null))
    other.once('exit', () => {
      clearTimeout(timer)
      resolve(null)
    })
    other.send(asked, (error) => {
      if (error !== null) resolve(null)
    })
  })
}

/** In that other process: answers what is asked, once. */
export function answerOnce<Q, A>(answer: (asked: Q) => A | Promise<A>): void {
  process.once('message', (asked) => {
    Promise.resolve()
      .then(() => answer(asked as Q))
      .then(
        (found) => process.send?.(found),
        () => process.exit(1),
      )
  })
}
