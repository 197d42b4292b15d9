import { createRouter, createWebHistory } from 'vue-router'
import TodayPage from '#web/today/TodayPage.vue'
import { useOpenDrafts } from '#web/ui/form/open-drafts'
import { latePage } from '#web/ui/late-part'

/** Every place; all but Today load when they are opened. */
export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'today', component: TodayPage, meta: { title: 'Today' } },
    { path: '/day/:day', name: 'day', component: TodayPage, meta: { title: 'A day' } },
    {
      path: '/tally-sheet',
      name: 'tally-sheet',
      component: latePage(() => import('#web/today/TallySheetPage.vue')),
      meta: { title: 'Type in a sheet' },
    },
    {
      path: '/drawer',
      name: 'drawer',
      component: latePage(() => import('#web/drawer/DrawerPage.vue')),
      meta: { title: 'Lay the drawer' },
    },
    {
      path: '/collection',
      name: 'collection',
      component: latePage(() => import('#web/collection/CollectionPage.vue')),
      meta: { title: 'Collection' },
    },
    {
      path: '/collection/add',
      name: 'add',
      component: latePage(() => import('#web/item/ItemFormPage.vue')),
      meta: { title: 'Add an item' },
    },
    {
      path: '/collection/openings',
      name: 'openings',
      component: latePage(() => import('#web/collection/OpeningsPage.vue')),
      meta: { title: 'When was it opened?' },
    },
    {
      path: '/collection/lines',
      name: 'lines',
      component: latePage(() => import('#web/stocktaking/LinesPage.vue')),
      meta: { title: 'Line by line' },
    },
    {
      path: '/collection/swatches',
      name: 'swatches',
      component: latePage(() => import('#web/collection/SwatchesPage.vue')),
      meta: { title: 'Swatches' },
    },
    {
      path: '/drawer/first',
      name: 'first-drawer',
      component: latePage(() => import('#web/drawer/FirstDrawerPage.vue')),
      meta: { title: 'A drawer to begin with' },
    },
    {
      path: '/drawer/laying',
      name: 'laying',
      component: latePage(() => import('#web/drawer/LayingPage.vue')),
      meta: { title: 'Lay for a season' },
    },
    {
      path: '/collection/import',
      name: 'import',
      component: latePage(() => import('#web/importing/ImportPage.vue')),
      meta: { title: 'Import a sheet' },
    },
    {
      path: '/items/:id',
      name: 'item',
      component: latePage(() => import('#web/item/ItemPage.vue')),
      meta: { title: 'Item' },
    },
    {
      path: '/items/:id/edit',
      name: 'edit',
      component: latePage(() => import('#web/item/ItemFormPage.vue')),
      meta: { title: 'Edit an item' },
    },
    {
      path: '/projects',
      name: 'projects',
      component: latePage(() => import('#web/projects/ProjectsPage.vue')),
      meta: { title: 'Projects' },
    },
    {
      path: '/plan',
      name: 'plan',
      component: latePage(() => import('#web/plan/PlanPage.vue')),
      meta: { title: 'The plan' },
    },
    {
      path: '/plan/month',
      name: 'plan-month',
      component: latePage(() => import('#web/plan/MonthSheetPage.vue')),
      meta: { title: 'The month on a sheet' },
    },
    {
      path: '/check-in',
      name: 'check-ins',
      component: latePage(() => import('#web/check-in/CheckInsPage.vue')),
      meta: { title: 'Check-in' },
    },
    {
      path: '/check-in/:id',
      name: 'check-in',
      component: latePage(() => import('#web/check-in/CheckInPage.vue')),
      meta: { title: 'Check-in' },
    },
    {
      path: '/check-in/:id/sheet',
      name: 'check-in-sheet',
      component: latePage(() => import('#web/check-in/SheetPage.vue')),
      meta: { title: 'Check-in sheet' },
    },
    {
      path: '/empties/containers',
      name: 'containers',
      component: latePage(() => import('#web/empties/ContainersPage.vue')),
      meta: { title: 'Kept containers' },
    },
    {
      path: '/shelf-life',
      name: 'shelf-life',
      component: latePage(() => import('#web/shelf-life/ShelfLifePage.vue')),
      meta: { title: 'Shelf life' },
    },
    {
      path: '/supply',
      name: 'supply',
      component: latePage(() => import('#web/supply/SupplyPage.vue')),
      meta: { title: 'Supply' },
    },
    {
      path: '/look-back',
      name: 'look-back',
      component: latePage(() => import('#web/look-back/SpanSheetPage.vue')),
      props: { mode: 'month' },
      meta: { title: 'Look back' },
    },
    {
      path: '/look-back/year',
      name: 'look-back-year',
      component: latePage(() => import('#web/look-back/SpanSheetPage.vue')),
      props: { mode: 'year' },
      meta: { title: 'The year' },
    },
    {
      path: '/look-back/span',
      name: 'look-back-span',
      component: latePage(() => import('#web/look-back/SpanSheetPage.vue')),
      props: { mode: 'span' },
      meta: { title: 'Any span' },
    },
    {
      path: '/look-back/faces',
      name: 'faces',
      component: latePage(() => import('#web/look-back/FacesPage.vue')),
      meta: { title: 'Faces' },
    },
    {
      path: '/look-back/guesses',
      name: 'guesses',
      component: latePage(() => import('#web/look-back/GuessesPage.vue')),
      meta: { title: 'Guesses and forecasts' },
    },
    {
      path: '/look-back/asks',
      name: 'asks',
      component: latePage(() => import('#web/look-back/AsksPage.vue')),
      meta: { title: 'Which next?' },
    },
    {
      path: '/decide',
      name: 'decide',
      component: latePage(() => import('#web/decide/DecidePage.vue')),
      meta: { title: 'Decide' },
    },
    {
      path: '/decide/compare',
      name: 'compare',
      component: latePage(() => import('#web/decide/ComparePage.vue')),
      meta: { title: 'Side by side' },
    },
    {
      path: '/decide/stash',
      name: 'stash',
      component: latePage(() => import('#web/decide/StashPage.vue')),
      meta: { title: 'From the stash' },
    },
    {
      path: '/decide/aside',
      name: 'aside',
      component: latePage(() => import('#web/decide/AsidePage.vue')),
      meta: { title: 'Set aside' },
    },
    {
      path: '/decide/targets',
      name: 'targets',
      component: latePage(() => import('#web/decide/TargetsPage.vue')),
      meta: { title: 'How many' },
    },
    {
      path: '/decide/letting-go',
      name: 'letting-go',
      component: latePage(() => import('#web/decide/LettingGoPage.vue')),
      meta: { title: 'Letting go' },
    },
    {
      path: '/decide/lessons',
      name: 'lessons',
      component: latePage(() => import('#web/decide/LessonsPage.vue')),
      meta: { title: 'Lessons' },
    },
    {
      path: '/buying',
      name: 'buying',
      component: latePage(() => import('#web/buying/BuyingPage.vue')),
      meta: { title: 'Before buying' },
    },
    {
      path: '/buying/till',
      name: 'till',
      component: latePage(() => import('#web/buying/TillPage.vue')),
      meta: { title: 'At the till' },
    },
    {
      path: '/empties',
      name: 'empties',
      component: latePage(() => import('#web/empties/EmptiesPage.vue')),
      meta: { title: 'Empties' },
    },
    {
      path: '/settings',
      name: 'settings',
      component: latePage(() => import('#web/settings/SettingsPage.vue')),
      meta: { title: 'Settings' },
    },
    {
      path: '/settings/devices',
      name: 'devices',
      component: latePage(() => import('#web/settings/DevicesPage.vue')),
      meta: { title: 'Devices' },
    },
    {
      path: '/settings/copies',
      name: 'copies',
      component: latePage(() => import('#web/settings/CopiesPage.vue')),
      meta: { title: 'Copies' },
    },
    {
      path: '/journal',
      name: 'journal',
      component: latePage(() => import('#web/journal/JournalPage.vue')),
      meta: { title: 'Journal of changes' },
    },
    {
      path: '/specimen',
      name: 'specimen',
      component: latePage(() => import('#web/specimen/SpecimenPage.vue')),
      meta: { title: 'Specimen sheet' },
    },
    { path: '/:rest(.*)*', redirect: '/' },
  ],
  // Not for the very first page, which stands at its top: asking would make the browser lay it out twice.
  scrollBehavior: (_to, from, saved) => saved ?? (from.matched.length > 0 ? { top: 0 } : false),
})

// Nothing typed is left by going elsewhere without a word.
router.beforeEach((to, from) => to.path === from.path || useOpenDrafts().mayLeave())

router.afterEach((to) => {
  document.title = `${String(to.meta['title'])} · Seligo`
})
