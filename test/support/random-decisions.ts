import { addDays } from '#core/calendar/day'
import type { RandomOwner } from './random-owner'
import { TODAY, type Answer } from './test-house'

type Act = (owner: RandomOwner) => Promise<Answer> | Answer

const CATEGORY = ['blush', 'lipstick', 'bronzer'] as const
const SOON = addDays(TODAY, 40)

/** What a random owner decides, wishes for and learns. */
export const DECISIONS: Readonly<Record<string, Act>> = {
  'trials together': (o) =>
    o.house.post('/trials/together', {
      setId: o.id(),
      trials: [...new Set([o.item(), o.item()])].map((itemId) => ({ trialId: o.id(), itemId })),
      wearsWanted: 2,
      dueOn: SOON,
      question: '',
    }),
  'verdict with more': async (o) => {
    const verdict = o.random.pick(['keep and use', 'once more, otherwise', 'let go'])
    const goal = { kind: 'uses', target: 5, headStart: 0, by: { kind: 'none' } }
    const again = { trialId: o.id(), otherwise: 'base', wearsWanted: 2, dueOn: SOON, question: '' }
    return o.house.post('/verdicts', {
      verdictId: o.id(),
      itemId: o.item(),
      trialId: null,
      verdict,
      reason: '',
      destination: verdict === 'let go' ? o.random.pick(['give', 'swap', 'return scheme']) : null,
      until: null,
      usedAs: null,
      why: verdict === 'let go' ? 'too many' : null,
      into: verdict === 'keep and use' ? { projectId: o.project(), stayId: o.id(), goal } : null,
      again: verdict === 'once more, otherwise' ? again : null,
    })
  },
  'hand over': async (o) =>
    o.house.post(`/verdicts/${await letGo(o)}/handed`, { day: o.random.pick([TODAY, null]), toWhom: 'Ines' }),
  regret: async (o) => o.house.post(`/verdicts/${await letGo(o)}/regret`, { day: TODAY, words: 'that red' }),
  feel: (o) => {
    const wear = o.house.db
      .prepare<[], { item_id: string; day: string }>('SELECT item_id, day FROM wear ORDER BY rowid')
      .all()
    const { item_id: itemId, day } = wear.length > 0 ? o.random.pick(wear) : { item_id: 'none', day: TODAY }
    const felt = [{ aspect: o.random.pick(['in all', 'fuss']), felt: o.random.pick(['good', 'bad', null]) }]
    return o.house.post('/feelings', { itemId, day, felt, words: o.random.pick(['soft', null]) })
  },
  'a recipe': (o) =>
    o.house.post(`/items/${o.item()}/pairs`, {
      id: o.make('recipe'),
      otherItemId: o.item(),
      verdict: 'works',
      itemAmount: 2,
      otherAmount: 1,
      amountUnit: 'pumps',
      words: '',
      targetColour: '#c7747a',
    }),
  'a recipe worn': (o) => o.house.post('/wear/mixed', { mixId: o.id(), day: o.day(3), pairId: o.of('recipe') }),
  'set aside': (o) => {
    const kind = o.random.pick(['keepsake', 'special', null])
    const forDay = kind === 'special' && o.random.chance(0.5) ? SOON : null
    return o.house.put(`/items/${o.item()}/aside`, { id: o.id(), kind, forDay, words: '' })
  },
  'shop the stash': (o) => {
    const items = [...new Set([o.item(), o.item()])].map((itemId) => ({ id: o.id(), itemId, placementId: o.id() }))
    return o.house.post('/stash', { id: o.make('stash'), to: SOON, items })
  },
  'end the stash': (o) =>
    o.house.post(`/stash/${o.of('stash')}/end`, {
      endings: [{ itemId: o.item(), ending: o.random.pick(['stays', 'goes on trial', 'goes back']), trialId: o.id() }],
    }),
  target: (o) => o.house.post('/targets', { id: o.id(), categoryId: o.random.pick(CATEGORY), items: 0, by: SOON }),
  'drop target': (o) => o.house.post(`/targets/${o.row('target')}/drop`, {}),
  wish: (o) => o.house.post('/wishes', { id: o.id(), ...wish(o) }),
  'change wish': (o) => {
    const id = o.row('wish')
    const row = o.house.db.prepare<[string], { version: number }>('SELECT version FROM wish WHERE id = ?').get(id)
    return o.house.put(`/wishes/${id}`, { version: row?.version ?? 1, ...wish(o) })
  },
  'drop wish': (o) => o.house.post(`/wishes/${o.row('wish')}/drop`, {}),
  'buy wish': async (o) => {
    const itemId = o.id()
    const answer = await o.house.post(`/wishes/${o.row('wish')}/bought`, { itemId, day: TODAY, priceMinor: 900 })
    if (answer.status === 200) o.items.push(itemId)
    return answer
  },
  'buying rule': (o) =>
    o.house.post('/buying-rules', {
      id: o.id(),
      from: o.day(20),
      to: SOON,
      most: o.random.whole(0, 2),
      categoryId: o.random.pick([null, 'blush']),
      sparesReplacements: o.random.chance(0.5),
      exceptions: o.random.chance(0.5) ? [{ id: o.id(), categoryId: 'lipstick', most: 1, words: '' }] : [],
      words: '',
    }),
  'drop buying rule': (o) => o.house.post(`/buying-rules/${o.row('buying_rule')}/drop`, {}),
  lesson: (o) => {
    const own = o.random.chance(0.5)
    return o.house.post('/lessons', {
      id: o.id(),
      words: 'Gifts aren’t for me.',
      promptedBy: own ? 'herself' : 'numbers',
      rule: own ? null : 'never finishes',
      about: own ? null : o.random.pick(CATEGORY),
      itemId: own && o.random.chance(0.5) ? o.item() : null,
      categoryId: null,
      struck: o.random.chance(0.3),
    })
  },
  'strike lesson': (o) => o.house.post(`/lessons/${o.row('lesson')}/strike`, { struck: o.random.chance(0.5) }),
  review: (o) => {
    const done = o.house.db
      .prepare<[], { id: string; version: number | null }>(
        "SELECT i.id, (SELECT max(version) FROM review r WHERE r.item_id = i.id) AS version FROM item i WHERE ended_as = 'finished'",
      )
      .all()
    const { id, version } = done.length > 0 ? o.random.pick(done) : { id: 'none', version: null }
    const replacedById = o.random.chance(0.4) ? o.item() : null
    return o.house.put(`/items/${id}/review`, {
      reviewId: o.id(),
      version,
      wouldBuyAgain: 'yes',
      words: 'Lasted the whole gig.',
      packageGoes: null,
      endedBy: 'counted early',
      remained: 0.1,
      replacedById,
    })
  },
}

/** Something let go; where nothing was, it is tried first. */
async function letGo(o: RandomOwner): Promise<string> {
  const gone = o.house.db.prepare<[], { id: string }>(
    'SELECT id FROM verdict WHERE destination IS NOT NULL ORDER BY rowid',
  )
  if (gone.all().length === 0)
    await o.house.post('/verdicts', {
      verdictId: o.id(),
      itemId: o.item(),
      trialId: null,
      verdict: 'let go',
      reason: '',
      destination: 'return scheme',
      until: null,
      usedAs: null,
      why: 'too many',
      into: null,
      again: null,
    })
  const rows = gone.all()
  return rows.length === 0 ? 'none' : o.random.pick(rows).id
}

function wish(o: RandomOwner): object {
  return {
    categoryId: o.random.pick(CATEGORY),
    maker: 'Pellwick',
    name: `Wish ${o.random.whole(1, 9)}`,
    shade: '',
    colour: '#a0504a',
    finish: null,
    priceMinor: 1200,
    reason: 'the poster',
    waitUntil: o.random.pick([null, SOON]),
  }
}
