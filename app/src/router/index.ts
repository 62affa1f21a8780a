import { createRouter, createWebHistory } from 'vue-router';
import { ROUTES } from './routes.ts';

export const router = createRouter({ history: createWebHistory(), routes: ROUTES });

router.afterEach((to) => {
  const title = to.meta['title'];
  document.title = typeof title === 'string' ? `${title} · Mivet` : 'Mivet';
});
