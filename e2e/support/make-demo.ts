import { execFileSync } from 'node:child_process'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { PLAY_DAY } from './play-day'

/** Where the demo collection that every story copies is made, once a run. */
export const DEMO_FOLDER = join(tmpdir(), `seligo-stories-demo-${process.ppid}`)

export default function makeDemo(): void {
  execFileSync(process.execPath, ['dist/demo/main.js', DEMO_FOLDER, PLAY_DAY], { stdio: 'ignore' })
  process.env['SELIGO_STORY_DEMO'] = DEMO_FOLDER
}
