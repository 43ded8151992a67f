import { createRouter, createWebHistory } from 'vue-router'

import { useSession } from './stores/session'

declare module 'vue-router' {
  interface RouteMeta {
    open?: boolean
    bare?: boolean
    tight?: boolean
    title?: string
  }
}

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/today' },
    {
      path: '/sign-in',
      component: () => import('./views/SignInView.vue'),
      meta: { open: true, bare: true, title: 'Sign in' },
    },
    { path: '/today', component: () => import('./views/TodayView.vue'), meta: { title: 'Today' } },
    { path: '/desk', component: () => import('./views/ShelfView.vue'), meta: { title: 'Desk' } },
    {
      path: '/desk/:id(\\d+)',
      name: 'exercise',
      component: () => import('./views/DeskView.vue'),
      meta: { tight: true, title: 'Desk' },
      props: true,
    },
    {
      path: '/show',
      component: () => import('./views/ChooseView.vue'),
      meta: { title: 'Show' },
      props: { purpose: 'show' },
    },
    {
      path: '/show/:id(\\d+)',
      component: () => import('./views/ShowView.vue'),
      meta: { bare: true, tight: true, title: 'Show' },
      props: true,
    },
    {
      path: '/show/:id(\\d+)/class',
      component: () => import('./views/ClassView.vue'),
      meta: { bare: true, tight: true, title: 'Class' },
      props: true,
    },
    {
      path: '/print',
      component: () => import('./views/ChooseView.vue'),
      meta: { title: 'Print' },
      props: { purpose: 'print' },
    },
    {
      path: '/print/:id(\\d+)',
      component: () => import('./views/PrintView.vue'),
      meta: { title: 'Print' },
      props: true,
    },
    { path: '/check', component: () => import('./views/CheckView.vue'), meta: { title: 'Check' } },
    {
      path: '/check/:id(\\d+)',
      component: () => import('./views/PileView.vue'),
      meta: { tight: true, title: 'Check' },
      props: true,
    },
    { path: '/register', component: () => import('./views/RegisterView.vue'), meta: { title: 'Register' } },
    {
      path: '/register/:id(\\d+)',
      component: () => import('./views/RegisterView.vue'),
      meta: { title: 'Register' },
      props: true,
    },
    { path: '/account', component: () => import('./views/AccountView.vue'), meta: { title: 'Account' } },
    { path: '/:rest(.*)*', component: () => import('./views/LostView.vue'), meta: { title: 'Not here' } },
  ],
})

router.beforeEach(async (to) => {
  const session = useSession()
  if (to.meta.open || (await session.known())) return true
  return { path: '/sign-in', query: { then: to.fullPath } }
})

/** The page's title: what is open, and where. */
export function setTitle(what: string, view: unknown = router.currentRoute.value.meta.title): void {
  document.title = [what, view, 'Orthopsis'].filter(Boolean).join(' · ')
}

router.afterEach((to) => setTitle('', to.meta.title))
