import { provideZonelessChangeDetection } from '@angular/core';
import { bootstrapApplication } from '@angular/platform-browser';
import { provideRouter, type Routes } from '@angular/router';
import { App } from './app';
import { Inner, Routed } from './pages';
import { FAR, MAKER, TONE } from './tokens';

const routes: Routes = [
  {
    path: '',
    providers: [
      { provide: TONE, useValue: 'route' },
      { provide: FAR, useValue: 'route' },
    ],
    children: [
      { path: '', component: Routed },
      { path: 'inner', component: Inner },
    ],
  },
];

bootstrapApplication(App, {
  providers: [
    provideZonelessChangeDetection(),
    provideRouter(routes),
    { provide: TONE, useValue: 'application' },
    { provide: FAR, useValue: 'application' },
    { provide: MAKER, useValue: 'application' },
  ],
}).catch((error: unknown) => console.error(error));
