import { constants } from 'node:fs'
import { access, copyFile, mkdir, readdir, realpath, rename, stat } from 'node:fs/promises'
import { isAbsolute, join, relative } from 'node:path'
import { fail, ok, type Outcome } from '../failing.js'
import { CopyShelf, type Check } from './copy-shelf.js'

/**
 * A second folder of the user's choice, on a stick or one that is synced elsewhere: every copy of the day goes there too, with its
 * pictures, whole and read through once it has arrived. A folder that is not there today is said, and tried again with the next.
 */
export class SecondFolder {
  readonly #from: string
  readonly #check: Check
  #trouble = ''
  #lastAt: string | null = null

  constructor(dataFolder: string, check: Check) {
    this.#from = dataFolder
    this.#check = check
  }

  get state(): { lastAt: string | null; trouble: string } {
    return { lastAt: this.#lastAt, trouble: this.#trouble }
  }

  /** Whether copies can go there: a folder that is there, can be written, and is not within what it copies. */
  async usable(folder: string): Promise<Outcome<null>> {
    const no = (why: string) => fail('folder-unusable', { value: folder, why })
    if (!isAbsolute(folder)) return no('give the whole path, from the root on')
    try {
      // By where they really are: a link may lead back.
      const within = relative(await realpath(this.#from), await realpath(folder))
      if (within === '' || (!within.startsWith('..') && !isAbsolute(within)))
        return no('it is inside the data folder, and would be lost with it')
      if (!(await stat(folder)).isDirectory()) return no('it isn’t a folder')
      await access(folder, constants.W_OK)
    } catch (error) {
      const code = (error as NodeJS.ErrnoException).code
      return no(code === 'ENOENT' ? 'there is no such folder' : 'it can’t be written')
    }
    return ok(null)
  }

  /** Puts a copy there, with its pictures. Never throws: what stands against it is kept in words. */
  async put(file: string, name: string, folder: string, now: string): Promise<void> {
    const usable = await this.usable(folder)
    if (!usable.ok) {
      this.#trouble = String(usable.failure.data['why'])
      return
    }
    try {
      await new CopyShelf(folder, () => new Date(now), this.#check, 'seligo-').take(file, name)
      await this.#putPictures(folder)
      this.#lastAt = now
      this.#trouble = ''
    } catch (error) {
      this.#trouble = error instanceof Error ? error.message : String(error)
    }
  }

  /** Pictures are named by what is in them: one that is there is not written again. */
  async #putPictures(folder: string): Promise<void> {
    const from = join(this.#from, 'photos')
    const to = join(folder, 'photos')
    const names = (await readdir(from).catch(() => [])).filter((name) => /^[A-Za-z0-9_-]{1,120}\.jpg$/.test(name))
    await mkdir(to, { recursive: true })
    const there = new Set(await readdir(to))
    for (const name of names) {
      if (there.has(name)) continue
      await copyFile(join(from, name), join(to, `${name}.part`))
      await rename(join(to, `${name}.part`), join(to, name))
    }
  }
}
