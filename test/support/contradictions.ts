import { addDays, type Day } from '#core/calendar/day'
import { CHANCE_WORDS } from '#core/forecast/verdict'
import { monthsWithin } from '#core/look-back/span'
import type { DoubtsAnswer, LettingGoAnswer } from '#contract/deciding'
import type { ForecastView, LookBackAnswer, RaceView, SupplyAnswer, VerdictsAnswer } from '#contract/forecast'
import type { ItemAnswer, ShelfLifeAnswer } from '#contract/item'
import type { SpanSheet } from '#contract/look-back'
import type { ProjectsAnswer } from '#contract/projects'
import { listedOf } from '#server/stock/item-facts'
import { raceSentences } from '#web/shelf-life/race-words'
import { rowsOf } from '#web/shelf-life/race-rows'
import { askedWords, howFastWords, howMuchWords } from '#web/ui/words/forecast-words'
import { leftWords } from '#web/ui/words/gauge-words'
import { verdictSentence, VERDICT_WORDS } from '#web/ui/words/verdict-words'
import type { TestHouse } from './test-house'

const CHANCES: readonly string[] = CHANCE_WORDS

/** Asks every place what it says of each item, goal, type and month today, and gives all in which two of them differ. */
export async function contradictionsOf(house: TestHouse): Promise<string[]> {
  const found: string[] = []
  const same = (what: string, one: unknown, other: unknown): void => {
    if (JSON.stringify(one) !== JSON.stringify(other))
      found.push(`${what}: ${JSON.stringify(one)} and ${JSON.stringify(other)}`)
  }
  const must = (what: string, holds: boolean): void => void (holds || found.push(what))
  const get = async <T>(path: string): Promise<T> => (await house.get(path)).body as T
  const today = house.services.today()
  const { stock } = house.services
  const items = stock.facts(stock.presentIds(), today).map(listedOf)
  const shelf = await get<ShelfLifeAnswer>('/shelf-life')
  const verdicts = await get<VerdictsAnswer>('/verdicts')
  const projects = await get<ProjectsAnswer>('/projects')
  const supply = await get<SupplyAnswer>('/supply')
  const doubts = await get<DoubtsAnswer>('/doubts')
  const gone = await get<LettingGoAnswer>('/letting-go')
  const lookBack = await get<LookBackAnswer>('/look-back')
  const races = new Map(shelf.races.map((race) => [race.itemId, race]))
  const rows = new Map(rowsOf(shelf.races, items).map((row) => [row.item.id, row]))
  const inProjects = new Map(
    projects.projects.flatMap(({ stays }) => stays.map((stay) => [stay.stayId, stay] as const)),
  )
  const verdictOf = new Map(verdicts.goals.map((each) => [each.stayId, each]))

  for (const listed of items) {
    const answer = await get<ItemAnswer>(`/items/${listed.id}`)
    const { item, forecast } = answer
    const where = `${item.maker} ${item.name} ${item.shade} on ${today}`
    must(
      `${where}: worn, and ${leftWords(listed)}`,
      !(leftWords(listed) === 'untouched' && item.wears > 0 && (listed.reading?.day ?? '') <= (item.lastWorn ?? '')),
    )
    for (const outlook of answer.outlooks) {
      const goal = answer.goals.find((each) => each.stayId === outlook.stayId)
      const elsewhere = verdictOf.get(outlook.stayId)
      const { verdict, needed, pace } = outlook
      same(
        `${where}, its goal in lists`,
        { verdict, needed, pace },
        elsewhere && { verdict: elsewhere.verdict, needed: elsewhere.needed, pace: elsewhere.pace },
      )
      same(`${where}, its goal in its project`, inProjects.get(outlook.stayId)?.outlook ?? outlook, outlook)
      must(`${where}: an outlook of a goal that is met`, goal !== undefined && !goal.met)
      must(`${where}: a chance of what can’t come, ${verdict}`, outlook.chance !== null || !CHANCES.includes(verdict))
      if (goal) {
        const sentence = verdictSentence(goal, outlook, today)
        const word = VERDICT_WORDS[verdict].toLowerCase().replace(' by then', '')
        must(`${where}: ${sentence} isn’t ${word}`, verdict === 'missed' || sentence.toLowerCase().startsWith(word))
      }
    }
    const race = races.get(item.id)
    if (forecast === null || race === undefined) continue
    ofForecast(where, item, forecast, race)
    const row = rows.get(item.id)
    for (const words of [
      howMuchWords(forecast, 'g'),
      howFastWords(forecast),
      askedWords(forecast),
      ...(row ? raceSentences(row, today, shelf.currency) : []),
    ])
      must(
        `${where}: ${words}`,
        !/\b(\S*\d\S*(?: \w+)?) to (?:about )?\1(?![\w.])/.test(words) && !/NaN|undefined|null|Infinity/.test(words),
      )
  }
  ofSupply()
  ofDoubts()
  await ofMonths()
  return found

  function ofForecast(where: string, item: ItemAnswer['item'], forecast: ForecastView, race: RaceView): void {
    same(`${where}, verdict`, forecast.verdict, race.verdict)
    same(`${where}, dates`, forecast.finish, race.finish)
    same(`${where}, uses`, forecast.uses, race.uses)
    same(`${where}, share left`, forecast.share.middle, race.share)
    for (const span of [forecast.days, forecast.uses, forecast.grams, forecast.share, forecast.perUse])
      must(
        `${where}: a range out of order ${JSON.stringify(span)}`,
        span.low <= span.middle && span.middle <= span.high,
      )
    const over = item.shelfLife.state === 'past' || item.shelfLife.state === 'sign seen'
    must(
      `${where}: ${forecast.verdict}, and ${item.shelfLife.state}`,
      over === ['expired', 'gone off'].includes(forecast.verdict),
    )
    if (over) must(`${where}: a measurement is asked for of what is over`, forecast.asked === null)
    const { leftThen, share, stake, price } = race
    if (leftThen !== null) must(`${where}: ${leftThen} left then, ${share} now`, leftThen <= forecast.share.high + 1e-9)
    if (stake !== null && price !== null) must(`${where}: ${stake} of ${price.minor}`, stake <= price.minor)
  }

  function ofSupply(): void {
    for (const each of supply.categories) {
      const own = items.filter(({ id }) => races.get(id)?.wornAsId === each.categoryId)
      const where = `${each.category} on ${today}`
      same(`${where}, items`, each.items + each.expired, own.length)
      const over = own
        .filter(({ shelfLife: { state } }) => state === 'past' || state === 'sign seen')
        .map(({ id }) => id)
      const lost = each.expiring.reduce((sum, { priceMinor, left }) => sum + (priceMinor ?? 0) * left, 0)
      must(`${where}: ${each.expiringPrice}, by its items ${lost}`, Math.abs(each.expiringPrice - lost) < 1)
      for (const one of each.expiring) {
        must(`${where}: ${one.mark} is over, and yet to expire`, !over.includes(one.itemId))
        must(`${where}: more of ${one.mark} then than there is`, one.left <= (races.get(one.itemId)?.share ?? 1) + 1e-9)
      }
      if (each.yearsInDate !== null && each.years !== null)
        must(`${where}: ${each.yearsInDate} of ${each.years} years`, each.yearsInDate <= each.years + 1e-9)
    }
  }

  function ofDoubts(): void {
    const expiring = new Set(supply.categories.flatMap((each) => each.expiring.map(({ itemId }) => itemId)))
    for (const { item, doubts: all } of doubts.inDoubt)
      for (const doubt of all) {
        if (doubt.code === 'spoils first')
          must(`${item.name}: expires before its turn in one list only`, expiring.has(item.id))
        if (doubt.code === 'not reached for')
          must(`${item.name}: reached ${doubt.reached} of ${doubt.chances}`, doubt.reached <= doubt.chances)
      }
  }

  async function ofMonths(): Promise<void> {
    const sheet = (from: Day, to: Day): SpanSheet => {
      const answer = house.services.spanSheets.of({ from, to }, null)
      if (!answer.ok) throw new Error(answer.failure.code)
      return answer.value
    }
    const span = { from: addDays(today, -365), to: today }
    const year = sheet(span.from, span.to)
    const months = monthsWithin(span).map(({ from, to }) => sheet(from, to))
    const added = (of: (sheet: SpanSheet) => number): number => months.reduce((sum, each) => sum + of(each), 0)
    for (const [what, of] of Object.entries({
      uses: (each: SpanSheet) => each.totals.uses,
      'wear days': (each: SpanSheet) => each.days.wear,
      finished: (each: SpanSheet) => each.finishes.length,
      'let go': (each: SpanSheet) => each.letGo.length,
      'came in': (each: SpanSheet) => each.cameIn.length,
      bought: (each: SpanSheet) => each.bought.minor,
    }))
      same(`${what} of the months and of the year to ${today}`, added(of), of(year))
    must(
      `money of the months ${added((each) => each.totals.spent.minor)}, of the year ${year.totals.spent.minor}`,
      Math.abs(added((each) => each.totals.spent.minor) - year.totals.spent.minor) <
        1e-6 * (1 + year.totals.spent.minor),
    )
    same(
      `uses by type of the year to ${today}`,
      year.kinds.reduce((sum, each) => sum + each.uses, 0),
      year.totals.uses,
    )
    for (const left of year.letGo) {
      const row = [...gone.waiting, ...gone.gone].find(({ item }) => item.id === left.itemId)
      if (row) same(`${left.mark}, money unused`, row.lost, left.unusedMinor)
    }
    const kept = new Map(lookBack.forecasts.each.map((each) => [each.itemId, each]))
    const guessed = new Map(lookBack.guesses.each.map((each) => [each.itemId, each]))
    for (const { itemId, mark, on, guess, forecast } of year.finishes) {
      same(`${mark}, finished`, on, kept.get(itemId)?.finishedOn ?? on)
      same(`${mark}, a forecast kept`, forecast !== null, kept.has(itemId))
      if (guess) same(`${mark}, guessed`, guess.months, guessed.get(itemId)?.months)
    }
    const reach = house.services.evidence.all()
    for (const { itemId, mark, wearDays } of year.neglected)
      if (reach.byId.has(itemId)) same(`${mark}, chances`, wearDays, reach.reach(itemId).chances)
  }
}
