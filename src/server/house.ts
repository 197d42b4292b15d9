import { randomUUID } from 'node:crypto'
import { existsSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { dayAt, type Day } from '#core/calendar/day'
import type { Hemisphere } from '#core/calendar/hemisphere'
import type { Settings } from '#contract/settings'
import { Buying } from './buying/buying.js'
import { BuyingCheck } from './buying/checking.js'
import { Lessons } from './buying/lessons.js'
import { BuyingRules } from './buying/rules.js'
import { CheckIns } from './check-in/check-ins.js'
import { Care } from './collection/care.js'
import { CollectionCommands } from './collection/commands.js'
import { Merging } from './collection/merging.js'
import { Photos } from './collection/photos.js'
import { Copies } from './copies/copies.js'
import { factsOf, wrongWith } from './copies/copy-facts.js'
import type { Check } from './copies/copy-shelf.js'
import { Health } from './db/health.js'
import { Journal } from './db/journal.js'
import type { Db } from './db/open-database.js'
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
import type { CommandRoute } from './http/routes.js'
import { Importing } from './importing/importing.js'
import { readSheetBytes, type ReadSheet } from './importing/read-sheet-bytes.js'
import { Laying } from './laying/laying.js'
import { Asking } from './look-back/asking.js'
import { KeptSpans } from './look-back/keeping.js'
import { SpanSheets } from './look-back/sheets.js'
import { Measuring } from './measuring/measuring.js'
import { Packages } from './measuring/packages.js'
import { Planning } from './planning/planning.js'
import { Projects } from './projects/projects.js'
import { SettingsStore } from './settings/settings-store.js'
import { Stretches } from './settings/stretches.js'
import { Stock } from './stock/stock.js'
import { DayFacts } from './today/day-facts.js'
import { Wearing } from './today/wearing.js'

/** What takes long or much: a running server has it done in threads of their own. */
export interface LargeWork {
  /** Reads a copy through. */
  readonly check: Check
  /** Looks the open collection through; what is wrong with it, or null. */
  readonly lookThrough: (file: string) => string | null | Promise<string | null>
  readonly readSheet: ReadSheet
  readonly readCollection: ReadCollectionFile
}
export const HERE: LargeWork = {
  check: factsOf,
  lookThrough: wrongWith,
  readSheet: readSheetBytes,
  readCollection: readCollectionFile,
}

/**
 * What every place works with: the database behind the one way to write, the clock, what is in stock, and the commands of the
 * places, each made once.
 */
export class House {
  readonly db: Db
  readonly journal: Journal
  readonly undo: Undo
  readonly stock: Stock
  readonly copies: Copies
  /** The data folder: where pictures lie beside the database. */
  readonly folder: string
  /** What stands against the file itself. */
  readonly health: Health
  /** Whether what is written still reaches the file she has. */
  readonly stillThere: () => boolean
  /** Which collection it is, whatever address it is served at. */
  readonly collectionId: string
  readonly now: () => Date
  readonly large: LargeWork
  /** Ids for rows that no caller names; they tell nothing. */
  readonly newId: () => string
  /** Every route that writes, with what it takes: for tests that try all of them. */
  readonly commandRoutes: CommandRoute[] = []

  readonly settingsStore: SettingsStore
  readonly drawer: Drawer
  readonly projects: Projects
  readonly decide: Decide
  readonly empties: Empties
  readonly laying: Laying
  readonly wearing: Wearing
  readonly dayFacts: DayFacts
  readonly collection: CollectionCommands
  readonly care: Care
  readonly merging: Merging
  readonly photos: Photos
  readonly measuring: Measuring
  readonly packages: Packages
  readonly checkIns: CheckIns
  readonly stretches: Stretches
  readonly importing: Importing
  readonly files: CollectionFiles
  readonly fronts: FrontFigures
  readonly finder: Finder
  readonly forecasts: Forecasts
  readonly forecastViews: ForecastViews
  readonly forecastKeeping: ForecastKeeping
  readonly guessing: Guessing
  readonly lookingBack: LookingBack
  readonly supplying: Supplying
  readonly settingUp: SettingUp
  readonly evidence: GatheringEvidence
  readonly doubting: Doubting
  readonly feeling: Feeling
  readonly pairing: Pairing
  readonly comparing: Comparing
  readonly settingAside: SettingAside
  readonly stash: Stash
  readonly lettingGo: LettingGo
  readonly targets: Targets
  readonly buying: Buying
  readonly buyingCheck: BuyingCheck
  readonly buyingRules: BuyingRules
  readonly lessons: Lessons
  readonly planning: Planning
  readonly spanSheets: SpanSheets
  readonly keptSpans: KeptSpans
  readonly asking: Asking

  constructor(
    db: Db,
    now: () => Date,
    newId: () => string = randomUUID,
    large: LargeWork = HERE,
    guessed?: Hemisphere,
    folder = dirname(db.name),
  ) {
    this.db = db
    this.now = now
    this.large = large
    this.newId = newId
    this.folder = folder
    this.health = new Health(db.readonly)
    this.collectionId = db.prepare<[], { id: string }>('SELECT id FROM collection').get()?.id ?? ''
    this.stillThere = watchFiles(db.name)
    this.journal = new Journal(db, now, this.stillThere)
    this.undo = new Undo(db, this.journal, (content) => existsSync(join(this.folder, 'photos', `${content}.jpg`)))
    this.settingsStore = new SettingsStore(db, guessed)
    this.stock = new Stock(db, () => this.settings())
    this.copies = new Copies(db, this.folder, now, large.check)
    this.forecasts = new Forecasts(db, this.stock, () => this.today())
    this.journal.listen((touched) => {
      this.settingsStore.forget(touched)
      this.stock.forget(touched)
      this.forecasts.forget(touched)
      this.supplying.forget(touched)
      this.evidence.forget(touched)
      this.planning.forget(touched)
      this.spanSheets.forget(touched)
    })
    this.drawer = new Drawer(this)
    this.projects = new Projects(this)
    this.decide = new Decide(this)
    this.empties = new Empties(this)
    this.laying = new Laying(this)
    this.wearing = new Wearing(this)
    this.dayFacts = new DayFacts(this)
    this.collection = new CollectionCommands(this)
    this.care = new Care(this)
    this.merging = new Merging(this)
    this.photos = new Photos(this)
    this.measuring = new Measuring(this)
    this.packages = new Packages(this)
    this.checkIns = new CheckIns(this)
    this.stretches = new Stretches(this)
    this.importing = new Importing(this, large.readSheet)
    this.files = new CollectionFiles(this)
    this.fronts = new FrontFigures(this)
    this.finder = new Finder(this)
    this.forecastViews = new ForecastViews(this)
    this.forecastKeeping = new ForecastKeeping(this)
    this.guessing = new Guessing(this)
    this.lookingBack = new LookingBack(this)
    this.supplying = new Supplying(this)
    this.settingUp = new SettingUp(this)
    this.evidence = new GatheringEvidence(this)
    this.doubting = new Doubting(this)
    this.feeling = new Feeling(this)
    this.pairing = new Pairing(this)
    this.comparing = new Comparing(this)
    this.settingAside = new SettingAside(this)
    this.stash = new Stash(this)
    this.lettingGo = new LettingGo(this)
    this.targets = new Targets(this)
    this.buying = new Buying(this)
    this.buyingCheck = new BuyingCheck(this)
    this.buyingRules = new BuyingRules(this)
    this.lessons = new Lessons(this)
    this.planning = new Planning(this)
    this.spanSheets = new SpanSheets(this)
    this.keptSpans = new KeptSpans(this)
    this.asking = new Asking(this)
  }

  settings(): Settings {
    return this.settingsStore.read().settings
  }

  /** Her day now: local time and her roll-over hour. */
  today(): Day {
    return dayNow(this.now(), this.settings().rollOverHour)
  }
}

/** The instant at which the day after `instant`'s begins for her: the next time that the clock stands at her roll-over hour. */
export function nextRollOver(instant: Date, rollOverHour: number): Date {
  const next = new Date(instant)
  next.setHours(rollOverHour, 0, 0, 0)
  if (next <= instant) next.setDate(next.getDate() + 1)
  return next
}

/** The local calendar day of an instant under her roll-over hour. */
export function dayNow(instant: Date, rollOverHour: number): Day {
  return dayAt(
    {
      year: instant.getFullYear(),
      month: instant.getMonth() + 1,
      date: instant.getDate(),
      hour: instant.getHours(),
    },
    rollOverHour,
  )
}
