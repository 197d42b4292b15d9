import { PiniaColadaQueryHooksPlugin, type PiniaColadaOptions } from '@pinia/colada'
import { useChanges } from '#web/data/changes'
import { OutOfReach, Refused } from '#web/data/client'

/** What is not there, and what makes no sense as it was asked, is said by the page that asked for it. */
const SAID_BY_THE_PAGE: readonly number[] = [404, 422]

/**
 * A question that got no answer is said in words, with another try, where nothing could be shown; what was answered before stays
 * on the screen and is asked again when there is somebody to ask.
 */
export const failedReads: PiniaColadaOptions = {
  plugins: [
    (app) =>
      PiniaColadaQueryHooksPlugin({
        onError(error, entry) {
          const refused = error instanceof Refused && !SAID_BY_THE_PAGE.includes(error.problem.status)
          const silent = error instanceof OutOfReach && entry.state.value.data === undefined
          if (!refused && !silent) return
          const again = (): void => void app.queryCache.fetch(entry).catch(() => undefined)
          useChanges(app.pinia).show(error, { again })
        },
      })(app),
  ],
}
