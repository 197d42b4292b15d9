import {
  AddRule,
  AddWish,
  BuyingQuery,
  BuyWish,
  DropRule,
  DropWish,
  EditWish,
  KeepLesson,
  StrikeLesson,
} from '#contract/buying'
import { ok } from '../failing.js'
import { read, readBy, write, type Route } from '../http/routes.js'
import type { Buying } from './buying.js'
import type { BuyingCheck } from './checking.js'
import type { BuyingRules } from './rules.js'
import type { Lessons } from './lessons.js'

export function buyingRoutes({
  buying,
  buyingCheck,
  buyingRules,
  lessons,
}: {
  buying: Buying
  buyingCheck: BuyingCheck
  buyingRules: BuyingRules
  lessons: Lessons
}): Route[] {
  return [
    read('/buying', () => ok(buying.all()), 'all'),
    read('/lessons', () => ok(lessons.all()), 'all'),
    readBy('/buying/check', BuyingQuery, (query) => buyingCheck.of(query), 'all'),
    write('post', '/wishes', 'add-wish', AddWish, (body) => buying.addWish(body)),
    write('put', '/wishes/:id', 'edit-wish', EditWish, (body, id) => buying.editWish(id, body)),
    write('post', '/wishes/:id/drop', 'drop-wish', DropWish, (_, id) => buying.dropWish(id)),
    write('post', '/wishes/:id/bought', 'buy-wish', BuyWish, (body, id) => buying.buyWish(id, body)),
    write('post', '/buying-rules', 'add-rule', AddRule, (body) => buyingRules.add(body)),
    write('post', '/buying-rules/:id/drop', 'drop-rule', DropRule, (_, id) => buyingRules.drop(id)),
    write('post', '/lessons', 'keep-lesson', KeepLesson, (body) => lessons.keep(body)),
    write('post', '/lessons/:id/strike', 'strike-lesson', StrikeLesson, (body, id) => lessons.strike(id, body.struck)),
  ]
}
