import { useHotkey } from 'vuetify'
import { useDevice } from '#web/data/device'

interface Shortcut {
  /** As Vuetify reads them: every way to press it, whatever the keyboard. */
  readonly keys: readonly string[]
  /** As the list shows it. */
  readonly shown: string
  readonly words: string
  /** Also while something is typed, or letters are switched off. */
  readonly always?: true
}

/** Every shortcut there is: what binds one takes it from here, and the list is drawn from it. Data table. */
export const SHORTCUTS = {
  'find anywhere': { keys: ['cmd+k'], shown: 'Ctrl or Cmd and K', words: 'find an item, from anywhere', always: true },
  find: {
    keys: ['/', 'shift+/'],
    shown: '/',
    words: 'find an item by a few letters of its brand, name or shade; Shift and Enter tick it as worn',
  },
  today: { keys: ['t'], shown: 't', words: 'today' },
  drawer: { keys: ['d'], shown: 'd', words: 'arrange the drawer' },
  'new item': { keys: ['n'], shown: 'n', words: 'a new item' },
  undo: { keys: ['u'], shown: 'u', words: 'undo what you did last' },
  'day before': { keys: ['b'], shown: 'b', words: 'on Today: the day before' },
  'day after': { keys: ['a'], shown: 'a', words: 'on Today: the day after' },
  open: { keys: ['o'], shown: 'o', words: 'in the drawer: open the item you are on' },
  back: { keys: ['b'], shown: 'b', words: 'in a check-in: back' },
  skip: { keys: ['s'], shown: 's', words: 'in a check-in: skip it' },
  event: { keys: ['e'], shown: 'e', words: 'in a check-in: what happened to the package' },
  words: { keys: ['w'], shown: 'w', words: 'in a check-in: a few words' },
  help: { keys: ['?', 'shift+?'], shown: '?', words: 'this list' },
} satisfies Readonly<Record<string, Shortcut>>
export type ShortcutName = keyof typeof SHORTCUTS

/** Whether something lies over the page that keys are meant for. A notice is nothing of that kind. */
export function somethingIsOpen(): boolean {
  return document.querySelector('.v-overlay--active:not(.v-snackbar)') !== null
}

/** Does something at a shortcut for as long as its component is there; silent while a dialog or a menu is open. */
export function useShortcut(name: ShortcutName, act: () => void): void {
  const device = useDevice()
  const { keys, always = false } = SHORTCUTS[name] as Shortcut
  for (const key of keys)
    useHotkey(
      key,
      (event) => {
        if (somethingIsOpen() || !(always || device.letterKeys)) return
        event.preventDefault()
        act()
      },
      { inputs: always, preventDefault: false },
    )
}
