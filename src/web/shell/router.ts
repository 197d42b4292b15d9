import { createRouter, createWebHistory, type RouteComponent, type RouteRecordRaw } from 'vue-router'
import TodayPage from '#web/today/TodayPage.vue'
import { useOpenDrafts } from '#web/ui/form/open-drafts'
import { latePage } from '#web/ui/late-part'

/** One page: its address, its name, its title, and what it is made of. All but Today load when they are opened. */
function page(
  path: string,
  name: string,
  title: string,
  load: RouteComponent | (() => Promise<{ default: RouteComponent }>),
  props: Record<string, unknown> = {},
): RouteRecordRaw {
  const component = load === TodayPage ? TodayPage : latePage(load as Parameters<typeof latePage>[0])
  return { path, name, component, props, meta: { title } }
}

/** Pages of one place, lit in the chest and in the phone's bar. */
function place(name: string, children: RouteRecordRaw[]): RouteRecordRaw {
  return { path: '/', meta: { place: name }, children }
}

const routes: RouteRecordRaw[] = [
  place('Today', [
    page('', 'today', 'Today', TodayPage),
    page('day/:day', 'day', 'A day', TodayPage),
    page('paper', 'paper', 'Fill in from paper', () => import('#web/today/TallySheetPage.vue')),
    page('drawer', 'drawer', 'Arrange the drawer', () => import('#web/drawer/DrawerPage.vue')),
    page('drawer/starter', 'starter-drawer', 'Starter drawer', () => import('#web/drawer/FirstDrawerPage.vue')),
    page('drawer/season', 'season', 'Change season', () => import('#web/drawer/SeasonChangePage.vue')),
    page('stash', 'stash', 'Shop my stash', () => import('#web/decide/StashPage.vue')),
  ]),
  place('Collection', [
    page('collection', 'collection', 'Collection', () => import('#web/collection/CollectionPage.vue')),
    page('collection/use-first', 'use-first', 'Use first', () => import('#web/shelf-life/ShelfLifePage.vue')),
    page('collection/how-much', 'how-much', 'How much I own', () => import('#web/supply/SupplyPage.vue')),
    page('collection/add', 'add', 'Add an item', () => import('#web/item/ItemFormPage.vue')),
    page('collection/openings', 'openings', 'When opened?', () => import('#web/collection/OpeningsPage.vue')),
    page('collection/lines', 'lines', 'Line by line', () => import('#web/stocktaking/LinesPage.vue')),
    page('collection/swatches', 'swatches', 'Swatches', () => import('#web/collection/SwatchesPage.vue')),
    page('collection/import', 'import', 'Import a sheet', () => import('#web/importing/ImportPage.vue')),
    page('items/:id', 'item', 'Item', () => import('#web/item/ItemPage.vue')),
    page('items/:id/edit', 'edit', 'Edit an item', () => import('#web/item/ItemFormPage.vue')),
  ]),
  place('Projects', [
    page('projects', 'projects', 'Projects', () => import('#web/projects/ProjectsPage.vue')),
    page('projects/check-in', 'check-ins', 'Check-in', () => import('#web/check-in/CheckInsPage.vue')),
    page('projects/check-in/:id', 'check-in', 'Check-in', () => import('#web/check-in/CheckInPage.vue')),
    page('projects/check-in/:id/update', 'update', 'Monthly update', () => import('#web/check-in/SheetPage.vue')),
    page('projects/plan', 'plan', 'Plan', () => import('#web/plan/PlanPage.vue')),
    page('projects/plan/month', 'plan-month', 'Month to print', () => import('#web/plan/MonthSheetPage.vue')),
  ]),
  place('Keep or let go', [
    page('keep', 'keep', 'Keep or let go', () => import('#web/decide/DecidePage.vue')),
    page('keep/trials', 'trials', 'Trials', () => import('#web/decide/TrialsPage.vue')),
    page('keep/compare', 'compare', 'Compare', () => import('#web/decide/ComparePage.vue')),
    page('keep/how-many', 'how-many', 'How many to keep', () => import('#web/decide/TargetsPage.vue')),
    page('keep/let-go', 'let-go', 'Let go', () => import('#web/decide/LettingGoPage.vue')),
    page('keep/special', 'special', 'Special items', () => import('#web/decide/AsidePage.vue')),
  ]),
  place('Before buying', [
    page('buying', 'check', 'Before buying', () => import('#web/buying/TillPage.vue')),
    page('buying/wish-list', 'wish-list', 'Wish list', () => import('#web/buying/WishListPage.vue')),
    page('buying/no-buys', 'no-buys', 'No-buys', () => import('#web/buying/NoBuysPage.vue')),
  ]),
  place('Look back', [
    page('look-back', 'look-back', 'Look back', () => import('#web/look-back/SpanSheetPage.vue'), { mode: 'month' }),
    page('look-back/year', 'year', 'The year', () => import('#web/look-back/SpanSheetPage.vue'), { mode: 'year' }),
    page('look-back/span', 'period', 'Any period', () => import('#web/look-back/SpanSheetPage.vue'), { mode: 'span' }),
    page('look-back/empties', 'empties', 'Empties', () => import('#web/empties/EmptiesPage.vue')),
    page(
      'look-back/empties/containers',
      'containers',
      'Kept containers',
      () => import('#web/empties/ContainersPage.vue'),
    ),
    page('look-back/looks', 'looks', 'Looks', () => import('#web/look-back/LooksPage.vue')),
    page('look-back/guesses', 'guesses', 'Guesses', () => import('#web/look-back/GuessesPage.vue')),
    page('look-back/asks', 'asks', 'Ask friends', () => import('#web/look-back/AsksPage.vue')),
    page('look-back/lessons', 'lessons', 'Lessons', () => import('#web/decide/LessonsPage.vue')),
  ]),
  place('Settings', [
    page('settings', 'settings', 'Settings', () => import('#web/settings/SettingsPage.vue')),
    page('settings/phones', 'phones', 'Phones', () => import('#web/settings/DevicesPage.vue')),
    page('settings/safety-copies', 'safety-copies', 'Safety copies', () => import('#web/settings/CopiesPage.vue')),
    page('settings/history', 'history', 'History', () => import('#web/journal/JournalPage.vue')),
  ]),
]

/** Addresses of earlier versions. */
const MOVED: Readonly<Record<string, string>> = {
  '/tally-sheet': '/paper',
  '/drawer/first': '/drawer/starter',
  '/drawer/laying': '/drawer/season',
  '/decide/stash': '/stash',
  '/shelf-life': '/collection/use-first',
  '/supply': '/collection/how-much',
  '/check-in': '/projects/check-in',
  '/check-in/:id': '/projects/check-in/:id',
  '/check-in/:id/sheet': '/projects/check-in/:id/update',
  '/plan': '/projects/plan',
  '/plan/month': '/projects/plan/month',
  '/decide': '/keep',
  '/decide/compare': '/keep/compare',
  '/decide/targets': '/keep/how-many',
  '/decide/letting-go': '/keep/let-go',
  '/decide/aside': '/keep/special',
  '/decide/lessons': '/look-back/lessons',
  '/buying/till': '/buying',
  '/empties': '/look-back/empties',
  '/empties/containers': '/look-back/empties/containers',
  '/look-back/faces': '/look-back/looks',
  '/settings/devices': '/settings/phones',
  '/settings/copies': '/settings/safety-copies',
  '/journal': '/settings/history',
}
const moved = Object.entries(MOVED).map(([path, to]): RouteRecordRaw => ({
  path,
  redirect: ({ params, query }) => ({ path: to.replace(':id', String(params['id'])), query }),
}))

export const router = createRouter({
  history: createWebHistory(),
  routes: [...routes, ...moved, { path: '/:rest(.*)*', redirect: '/' }],
  // Not for the very first page, which stands at its top: asking would make the browser lay it out twice.
  scrollBehavior: (_to, from, saved) => saved ?? (from.matched.length > 0 ? { top: 0 } : false),
})

// Nothing typed is left by going elsewhere without a word.
router.beforeEach((to, from) => to.path === from.path || useOpenDrafts().mayLeave())

router.afterEach((to) => {
  document.title = `${String(to.meta['title'])} · Seligo`
})
