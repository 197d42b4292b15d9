import {
  CompareQuery,
  DoubtsQuery,
  DropTarget,
  EndPick,
  SetAsideBody,
  SetFeelings,
  SetHanded,
  SetRegret,
  SetTarget,
  StartPick,
} from '#contract/deciding'
import { GiveVerdict, StartTrial, StartTrials } from '#contract/ending'
import { ok } from '../failing.js'
import { dayParam, read, readBy, write, type Route } from '../http/routes.js'
import type { Comparing } from './comparing.js'
import type { Decide } from './decide.js'
import type { Doubting } from './doubting.js'
import type { Feeling } from './feeling.js'
import type { LettingGo } from './letting-go.js'
import type { Pairing } from './pairing.js'
import type { SettingAside } from './setting-aside.js'
import type { Stash } from './stash.js'
import type { Targets } from './targets.js'

export function decideRoutes({
  comparing,
  decide,
  doubting,
  feeling,
  lettingGo,
  pairing,
  settingAside,
  stash,
  targets,
}: {
  comparing: Comparing
  decide: Decide
  doubting: Doubting
  feeling: Feeling
  lettingGo: LettingGo
  pairing: Pairing
  settingAside: SettingAside
  stash: Stash
  targets: Targets
}): Route[] {
  return [
    read('/decide', () => ok(decide.all())),
    read('/feelings', (_, query) => {
      const day = dayParam(query['day'])
      return ok(day === null ? { worn: [] } : feeling.on(day))
    }),
    read('/items/:id/together', (id) => pairing.of(id)),
    read('/aside', () => ok(settingAside.all())),
    read('/stash', () => ok(stash.all()), 'all'),
    read('/letting-go', () => ok(lettingGo.all()), 'all'),
    read('/targets', () => ok(targets.all()), 'all'),
    readBy('/doubts', DoubtsQuery, ({ leaning }) => ok(doubting.all(leaning)), 'all'),
    readBy('/compare', CompareQuery, ({ items }) => comparing.of(items), 'all'),
    write('post', '/trials', 'start-trial', StartTrial, (body) => decide.startTrial(body)),
    write('post', '/trials/together', 'start-trials', StartTrials, (body) => decide.startTrials(body)),
    write('post', '/verdicts', 'verdict', GiveVerdict, (body) => decide.giveVerdict(body)),
    write('post', '/verdicts/:id/handed', 'set-handed', SetHanded, (body, id) => lettingGo.setHanded(id, body)),
    write('post', '/verdicts/:id/regret', 'set-regret', SetRegret, (body, id) => lettingGo.setRegret(id, body)),
    write('post', '/feelings', 'set-feelings', SetFeelings, (body) => feeling.set(body)),
    write('put', '/items/:id/aside', 'set-aside', SetAsideBody, (body, id) => settingAside.set(id, body)),
    write('post', '/stash', 'start-pick', StartPick, (body) => stash.start(body)),
    write('post', '/stash/:id/end', 'end-pick', EndPick, (body, id) => stash.end(id, body)),
    write('post', '/targets', 'set-target', SetTarget, (body) => targets.set(body)),
    write('post', '/targets/:id/drop', 'drop-target', DropTarget, (_, id) => targets.drop(id)),
  ]
}
