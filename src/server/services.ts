import { randomUUID } from 'node:crypto'
import { existsSync } from 'node:fs'
import { dirname, join } from 'node:path'
import type { Hemisphere } from '#core/calendar/hemisphere'
import { Buying } from './buying/buying.js'
import { BuyingCheck } from './buying/checking.js'
import { Lessons } from './buying/lessons.js'
import { BuyingRules } from './buying/rules.js'
import { CheckIns } from './check-in/check-ins.js'
import { Care } from './collection/care.js'
import { CollectionCommands } from './collection/commands.js'
import { Deleting } from './collection/deleting.js'
import { Merging } from './collection/merging.js'
import { Photos } from './collection/photos.js'
import { dayNow, type Context } from './context.js'
import { Copies } from './copies/copies.js'
import { factsOf, wrongWith } from './copies/copy-facts.js'
import type { Check } from './copies/copy-shelf.js'
import { Health } from './db/health.js'
import { Journal } from './db/journal.js'
import type { Db } from './db/query.js'
import { watchFiles } from './db/still-there.js'
import { Undo } from './db/undo.js'
import { Comparing } from './decide/comparing.js'
import { Decide } from './decide/decide.js'
import { Doubting } from './decide/doubting.js'
import { GatheringEvidence } from './decide/evidence.js'
import { Feeling } from './decide/feeling.js'
import { LettingGo } from './decide/letting-go.js'
import { Pairing } from './decide/pairing.js'
import { SettingAside } from './decide/setting-aside.js'
import { Stash } from './decide/stash.js'
import { Targets } from './decide/targets.js'
import { Drawer } from './drawer/drawer.js'
import { Empties } from './empties/empties.js'
import { CollectionFiles } from './export/collection-file.js'
import { readCollectionFile, type ReadCollectionFile } from './export/read-collection.js'
import { Finder } from './finding/finder.js'
import { ForecastKeeping } from './forecast/keeping.js'
import { Forecasts } from './forecast/forecasts.js'
import { ForecastViews } from './forecast/views.js'
import { Guessing } from './forecast/guessing.js'
import { LookingBack } from './forecast/looking-back.js'
import { SettingUp } from './forecast/setting-up.js'
import { Supplying } from './forecast/supplying.js'
import { FrontFigures } from './fronts/figures.js'
import { Importing } from './importing/importing.js'
import { readSheetBytes, type ReadSheet } from './importing/read-sheet-bytes.js'
import { SeasonChange } from './season-change/season-change.js'
import { Asking } from './look-back/asking.js'
import { KeptSpans } from './look-back/keeping.js'
import { SpanSheets } from './look-back/sheets.js'
import { Measuring } from './measuring/measuring.js'
import { Packages } from './measuring/packages.js'
import { CurrentPlan } from './planning/current-plan.js'
import { Planning } from './planning/planning.js'
import { Projects } from './projects/projects.js'
import { SettingsStore } from './settings/settings-store.js'
import { Stretches } from './settings/stretches.js'
import { Stock } from './stock/stock.js'
import { DayFacts } from './today/day-facts.js'
import { Wearing } from './today/wearing.js'

/** Work that takes long or needs much memory: a running server has it done in threads and processes of their own. */
export interface HeavyWork {
  readonly check: Check
  /** Checks the open collection; what is wrong with it, or null. */
  readonly checkOpen: (file: string) => string | null | Promise<string | null>
  readonly readSheet: ReadSheet
  readonly readCollection: ReadCollectionFile
}
export const HERE: HeavyWork = {
  check: factsOf,
  checkOpen: wrongWith,
  readSheet: readSheetBytes,
  readCollection: readCollectionFile,
}

export interface ServiceOptions {
  readonly newId?: () => string
  readonly heavy?: HeavyWork
  /** Where the machine seems to stand, for a collection that does not say. */
  readonly hemisphere?: Hemisphere | undefined
  /** The data folder; the database's own where none is given. */
  readonly folder?: string
}

/** Everything the server is made of, each made once and given what it needs, in an order in which that is there. */
export type Services = ReturnType<typeof makeServices>

export function makeServices(db: Db, now: () => Date, options: ServiceOptions = {}) {
  const { newId = randomUUID, heavy = HERE, hemisphere, folder = dirname(db.name) } = options
  const settingsStore = new SettingsStore(db, hemisphere)
  const settings = () => settingsStore.read().settings
  const context: Context = { db, now, newId, settings, today: () => dayNow(now(), settings().rollOverHour) }
  const health = new Health(db.readonly)
  const stillThere = watchFiles(db.name)
  const collectionId = db.prepare<[], { id: string }>('SELECT id FROM collection').get()?.id ?? ''
  const journal = new Journal(db, now, stillThere)
  const undo = new Undo(db, journal, (content) => existsSync(join(folder, 'photos', `${content}.jpg`)))
  const copies = new Copies(db, folder, now, heavy.check)
  const stock = new Stock(db, settings)
  const forecasts = new Forecasts(db, stock, context.today)
  const base = { ...context, folder, journal, copies, settingsStore, stock, forecasts }

  const guessing = new Guessing(base)
  const forecastViews = new ForecastViews(base)
  const forecastKeeping = new ForecastKeeping(base)
  const lookingBack = new LookingBack(base)
  const supplying = new Supplying(base)
  const settingUp = new SettingUp({ ...base, forecastViews })
  const evidence = new GatheringEvidence({ ...base, supplying })
  const lessons = new Lessons({ ...base, evidence, lookingBack })
  const known = { ...base, guessing, forecastViews, lookingBack, supplying, evidence, lessons }

  const drawer = new Drawer(base)
  const wearing = new Wearing(base)
  const dayFacts = new DayFacts({ ...base, wearing })
  const stretches = new Stretches(base)
  const measuring = new Measuring(base)
  const photos = new Photos(base)
  const collection = new CollectionCommands({ ...base, measuring, wearing, drawer })
  const care = new Care({ ...base, wearing, drawer })
  const merging = new Merging({ ...base, wearing, drawer })
  const deleting = new Deleting(base)
  const checkIns = new CheckIns({ ...base, measuring })
  const importing = new Importing({ ...base, collection }, heavy.readSheet)
  const files = new CollectionFiles({ ...base, photos })
  const finder = new Finder(base)

  const currentPlan = new CurrentPlan(base)
  const projects = new Projects({ ...known, currentPlan })
  const planning = new Planning({ ...known, currentPlan, drawer, projects })
  const decide = new Decide({ ...known, drawer, projects, wearing })
  const empties = new Empties({ ...known, measuring, drawer, decide })
  const packages = new Packages({ ...base, collection, drawer, projects, decide })
  const seasonChange = new SeasonChange({ ...base, currentPlan, drawer, decide })
  const fronts = new FrontFigures({ ...base, decide })
  const doubting = new Doubting(known)
  const comparing = new Comparing(known)
  const targets = new Targets(known)
  const feeling = new Feeling(base)
  const pairing = new Pairing({ ...base, care })
  const lettingGo = new LettingGo(base)
  const settingAside = new SettingAside({ ...base, drawer })
  const stash = new Stash({ ...known, drawer, decide })
  const buyingRules = new BuyingRules(base)
  const buyingCheck = new BuyingCheck({ ...known, buyingRules })
  const buying = new Buying({ ...known, buyingRules, collection })
  const spanSheets = new SpanSheets({ ...known, buyingRules })
  const keptSpans = new KeptSpans(base)
  const asking = new Asking(base)

  journal.listen((touched) => {
    for (const each of [settingsStore, stock, forecasts, supplying, evidence, currentPlan, spanSheets])
      each.forget(touched)
  })
  return {
    ...known,
    ...{ health, stillThere, collectionId, undo, heavy, readCollection: heavy.readCollection },
    ...{
      forecastKeeping,
      settingUp,
      drawer,
      wearing,
      dayFacts,
      stretches,
      measuring,
      photos,
      collection,
      care,
      merging,
      deleting,
    },
    ...{
      checkIns,
      importing,
      files,
      finder,
      currentPlan,
      projects,
      planning,
      decide,
      empties,
      packages,
      seasonChange,
      fronts,
    },
    ...{ doubting, comparing, targets, feeling, pairing, lettingGo, settingAside, stash },
    ...{ buyingRules, buyingCheck, buying, spanSheets, keptSpans, asking },
  }
}
