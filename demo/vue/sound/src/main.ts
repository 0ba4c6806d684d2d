import { createPinia } from 'pinia';
import { createApp } from 'vue';
import { createRouter, createWebHistory } from 'vue-router';
import App from './App.vue';
import LockPage from './pages/LockPage.vue';
import RosterPage from './pages/RosterPage.vue';
import TodayPage from './pages/TodayPage.vue';
import './towpath.css';

const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', component: TodayPage },
    { path: '/locks/:lockId', component: LockPage },
    { path: '/roster', component: RosterPage },
  ],
});

createApp(App).use(createPinia()).use(router).mount('#root');
