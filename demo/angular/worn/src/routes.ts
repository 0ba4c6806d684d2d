import { inject } from '@angular/core';
import { ResolveFn, Routes } from '@angular/router';
import { Lock } from './data/canal';
import { Levels } from './data/levels';
import { TodayPage } from './pages/today-page';

const lockOf: ResolveFn<Lock | undefined> = (route) => inject(Levels).lock(route.paramMap.get('id') ?? '');

export const routes: Routes = [
  { path: '', component: TodayPage },
  { path: 'lock/:id', resolve: { lock: lockOf }, loadComponent: () => import('./pages/lock-page').then((module) => module.LockPage) },
  { path: 'roster', loadComponent: () => import('./pages/roster-page') },
];
