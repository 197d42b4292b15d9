import loadHighs from 'highs'
import { openDatabase } from '#server/db/open-database'
import { House } from '#server/house'
import { problemOf } from '#core/plan/laid/problem-of'
import { USUAL_SETUP } from '#core/plan/laid/basis'
import { layPlan, draftPlan } from '#core/plan/laid/lay-plan'
import { highsSolver } from '#core/plan/laid/highs-solver'
import { linesOf, outcomeOf } from '#core/plan/laid/outcome'
import { leftOutOf } from '#core/plan/laid/left-out'
import { evaluateSchedule } from '#core/plan/laid/evaluate'
import { qualityOf } from '#core/plan/laid/quality'
const db = openDatabase('/tmp/demo11/collection.db', { appliedAt: new Date().toISOString() })
const house = new House(db, () => new Date('2026-11-24T09:00'))
let t = performance.now()
const a = house.planning.all()
console.log('gather', performance.now()-t, JSON.stringify(a).length, a.basis.things.length, a.notPlanned, a.perWeek)
const setup = { ...USUAL_SETUP, months: Number(process.env.M ?? 6) }
t = performance.now()
const made = problemOf(a.basis, setup)
console.log('problem', performance.now()-t, made.span.months, made.wearDays.join(' '), made.problem.grain)
t = performance.now(); const d = draftPlan(made.problem); console.log('draft', performance.now()-t, evaluateSchedule(made.problem, d).objective)
const h = await loadHighs()
t = performance.now()
const l = layPlan(made.problem, { solve: highsSolver(h), seconds: 3, now: () => performance.now() })
console.log('lay', performance.now()-t, l.objective)
const name = new Map(a.items.map(i => [i.id, `${i.name} ${i.shade} (${i.category})`]))
const zn = new Map(a.zones.map(z=>[z.id,z.name]))
for (const p of l.parts) console.log(p.zoneIds.map(z=>zn.get(z)), p.itemIds.length, p.objective.toFixed(1), p.bound.toFixed(1), JSON.stringify(qualityOf(p)))
console.log(made.problem.zones.map(z => [zn.get(z.id), z.slots.join()].join(' ')).join('; '))
for (const k of a.basis.kinds) console.log(k.categoryId, k.perWearDay.toFixed(2), k.need)
const lines = linesOf(made, setup, l.schedule)
for (const x of lines) { const it = made.problem.items.find(i=>i.id===x.itemId)!; console.log(name.get(x.itemId), x.lies.map(v=>v?'#':'.').join(''), x.planned+'/'+x.needed, 'q', x.milestone, 'v', it.value, 'until', x.until, x.likely.low, x.likely.high, x.finishes?'FIN':'', x.met?'':'unmet', x.chance) }
console.log(outcomeOf(made, setup, lines))
for (const x of leftOutOf(a.basis, made, l.schedule).slice(0,40)) console.log(name.get(x.itemId), x.value, JSON.stringify(x.reason), x.lies)
