import type { RouteRecordRaw } from 'vue-router';
import { STOPS } from '../composables/stops.ts';

/** Where each view is, loaded when it is first gone to. */
export const ROUTES: readonly RouteRecordRaw[] = [
  { path: '/', name: 'today', component: () => import('../views/TodayView.vue'), meta: { title: 'Today' } },
  {
    path: '/projects',
    name: 'projects',
    component: () => import('../views/ProjectsView.vue'),
    meta: { title: 'Projects' },
  },
  {
    path: '/calendar',
    name: 'calendar',
    component: () => import('../views/CalendarView.vue'),
    meta: { title: 'Calendar' },
  },
  { path: '/shelf', name: 'shelf', component: () => import('../views/ShelfView.vue'), meta: { title: 'Shelf' } },
  { path: '/stock', name: 'stock', component: () => import('../views/StockView.vue'), meta: { title: 'Stock' } },
  {
    path: '/glossary',
    name: 'glossary',
    component: () => import('../views/GlossaryView.vue'),
    meta: { title: 'Glossary' },
  },
  { path: '/about', name: 'about', component: () => import('../views/AboutView.vue'), meta: { title: 'About' } },
  {
    path: '/logbook',
    name: 'logbook',
    component: () => import('../views/LogbookView.vue'),
    meta: { title: 'Logbook' },
  },
  {
    path: '/practice/:exercise?',
    name: 'practice',
    component: () => import('../views/PracticeView.vue'),
    meta: { title: 'Practice' },
  },
  {
    path: '/together',
    name: 'together',
    component: () => import('../views/TogetherView.vue'),
    meta: { title: 'Cut together' },
  },
  { path: '/my-way', name: 'my-way', component: () => import('../views/MyWayView.vue'), meta: { title: 'My way' } },
  {
    path: `/project/:id/:stop(${STOPS.join('|')})`,
    name: 'project',
    component: () => import('../views/ProjectView.vue'),
    props: true,
  },
  {
    path: '/project/:id',
    redirect: (to) => ({ name: 'project', params: { id: to.params['id'] as string, stop: 'measure' } }),
  },
  { path: '/:rest(.*)*', redirect: '/' },
];

/**
 * Has the view of an address fetched, before anything is there to show it; one that cannot be had is asked for again later.
 *
 * @param path of the address
 */
export async function fetchView(path: string): Promise<void> {
  const route = ROUTES.find((one) => one.path === path) ?? ROUTES.find(({ name }) => name === 'project' && path.startsWith('/project/')); // prettier-ignore
  if (typeof route?.component === 'function')
    await (route.component as () => Promise<unknown>)().catch(() => undefined);
}
