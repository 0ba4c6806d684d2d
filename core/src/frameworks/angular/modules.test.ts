import { beforeAll, describe, expect, test } from 'vitest';
import { parts } from '../../../../testing/src/parts';
import { analyseFiles, type Files, rows, treeOf } from '../../../../testing/src/project';
import { placeCard } from '../../flow';
import { loadCompilers } from '../registry';

beforeAll(() => loadCompilers(['app.component.html']));

const core =
  "import { Component, Injectable, NgModule } from '@angular/core';\nimport { CommonModule } from '@angular/common';\nimport { RouterModule } from '@angular/router';\n";
const declared = (selector: string, template: string, rest: string): string =>
  `${core}@Component({ selector: '${selector}', standalone: false, ${template} })\n${rest}`;

/** What an older application may write otherwise. */
type Ways = {
  readonly loads?: string;
  readonly table?: string;
  readonly routing?: string;
  readonly template?: string;
  readonly provides?: string;
  readonly root?: string;
  readonly pageName?: string;
};

/** An application of modules: its root, a module that is loaded with its table and its service, and one that gives itself by a function. */
function application({
  loads = "() => import('./locks/locks.module').then((m) => m.LocksModule)",
  table = "[{ path: '', component: LockPage }]",
  routing = 'RouterModule.forChild(routes)',
  template = "templateUrl: './lock-page.html'",
  provides = 'Locks',
  root = 'CanalModule.forRoot()',
  pageName = 'lock-page',
}: Ways = {}): Files {
  return {
    'src/main.ts': `import { platformBrowserDynamic } from '@angular/platform-browser-dynamic';\nimport { AppModule } from './app.module';\nplatformBrowserDynamic().bootstrapModule(AppModule);`,
    'src/app.ts': declared('app', "template: '<router-outlet></router-outlet>'", 'export class App {}'),
    'src/app.module.ts': `${core}import { App } from './app';\nimport { routing } from './app.routing';\nimport { CanalModule } from './canal';\n@NgModule({ declarations: [App], imports: [RouterModule, routing, ${root}], bootstrap: [App] })\nexport class AppModule {}`,
    'src/app.routing.ts': `${core}const routes = [{ path: 'locks', loadChildren: ${loads} }];\nexport const routing = RouterModule.forRoot(routes, { useHash: true });`,
    'src/canal.ts': `${core}@Injectable()\nexport class Canal {}\nconst SERVICES = [Canal];\n@NgModule({})\nexport class CanalModule {\n  static forRoot() {\n    return <any>{ ngModule: CanalModule, providers: [...SERVICES] };\n  }\n}`,
    'src/locks/locks.module.ts': `${core}import { LockPage } from './${pageName}.component';\nimport { LockGauge } from './lock-gauge';\nimport { Locks } from './locks';\nimport { routing } from './locks.routing';\n@NgModule({ declarations: [LockPage, LockGauge], imports: [CommonModule, routing], providers: [${provides}] })\nexport class LocksModule {}\nexport default LocksModule;`,
    'src/locks/locks.routing.ts': `${core}import { LockPage } from './${pageName}.component';\nconst routes = ${table};\nexport const routing = ${routing};`,
    'src/locks/locks.ts': `${core}@Injectable()\nexport class Locks { names = ['Aldermoor']; }`,
    'src/locks/lock-gauge.ts': declared('lock-gauge', "template: 'x'", 'export class LockGauge {}'),
    [`src/locks/${pageName}.component.ts`]: `import { Canal } from '../canal';\nimport { Locks } from './locks';\n${declared('lock-page', template, 'export class LockPage { constructor(private canal: Canal, protected locks: Locks) {} }')}`,
    [`src/locks/${pageName}.html`]: '<lock-gauge *ngFor="let one of locks.names"></lock-gauge>',
  };
}

/** What is provided by the root, and asked for by what `text` declares. */
const unread = (text: string, providers = 'Http, Locks'): string[] =>
  analyseFiles(
    parts(
      { App: { js: '  locks = inject(Locks);', template: '{{ locks.n }}' } },
      { all: { names: ['Http', 'Locks'], text: `@Injectable()\nexport class Http { get() { return 1; } }\n${text}` } },
      `{ providers: [${providers}] }`,
    ),
  )
    .findings.filter(({ rule }) => rule === 'context-unread')
    .map(({ message }) => message);

describe('what is provided for others than components', () => {
  const locks = '@Injectable()\nexport class Locks { n = 1; }\n';
  const read: readonly [name: string, text: string, providers?: string][] = [
    ['asked for by the constructor of a service', '@Injectable()\nexport class Locks { n = 1; constructor(private http: Http) {} }'],
    ['by a field of a service', '@Injectable()\nexport class Locks { n = 1; private http = inject(Http); }'],
    ['by a converter', `${locks}@Pipe({ name: 'x' })\nexport class X { constructor(private http: Http) {} transform() {} }`],
    ['by a group', `${locks}@NgModule({})\nexport class Canal { constructor(http: Http) {} }`],
    ['by a guard', `${locks}export const open = () => inject(Http).get() > 0;`],
    ['by a class that others extend', `${locks}export abstract class Base { protected http = inject(Http); }`],
    ['to make something else', locks, 'Http, Locks, { provide: APP_INITIALIZER, useFactory: (http: Http) => http.get(), deps: [Http] }'],
    ['under another name', locks, 'Http, Locks, { provide: Base, useExisting: Http }'],
  ];
  test.each(read)('%s', (_, text, providers) => {
    expect(unread(text, providers)).toEqual([]);
  });

  test('nobody asks for it', () => {
    expect(unread(locks)).toEqual(['main.ts provides Http, and nothing takes it.']);
  });
});

/** What is said of a template whose component imports `uses`; `Hint` is a directive of the project, on an attribute and with an input of that name. */
const said = (template: string, uses: readonly string[] = []): string[] =>
  analyseFiles(
    parts({
      App: {
        uses,
        head: "import { CommonModule, NgClass, NgIf } from '@angular/common';\nimport { FormsModule, ReactiveFormsModule } from '@angular/forms';\nimport { RouterLink, RouterOutlet } from '@angular/router';\nimport { Tips } from 'tips';",
        js: '  x: any = 1;',
        template,
      },
      Hint: { js: "  hint = input('');\n  late = input(0);" },
      TideDial: { template: '<i></i>', js: '  level = input(0);' },
    }),
  )
    .findings.filter(({ severity }) => severity !== 'tidy')
    .map(({ rule, subject, message }) => `${rule} ${subject}: ${message}`);

describe('what an element is given, and who takes it', () => {
  const taken: readonly [template: string, uses?: readonly string[]][] = [
    ['<p [hint]="x" [late]="1">y</p>', ['Hint']],
    ['<p hint="a" [late]="1">y</p>', ['Hint']],
    ['<p *ngIf="x" [ngClass]="x">y</p>', ['CommonModule']],
    ['<p *ngIf="x">y</p>', ['NgIf']],
    ['<input [(ngModel)]="x" /><p [ngClass]="x">y</p>', ['FormsModule', 'NgClass']],
    ['<form [formGroup]="x"><input formControlName="a" [minlength]="2" /></form>', ['ReactiveFormsModule']],
    // A component that stands for a field of a form.
    ['<form [formGroup]="x"><tide-dial formControlName="a" [level]="1" /></form>', ['ReactiveFormsModule', 'TideDial']],
    ['<tide-dial [formControl]="x" />', ['ReactiveFormsModule', 'TideDial']],
    ['<a [routerLink]="x" [queryParams]="x">y</a><router-outlet />', ['RouterLink', 'RouterOutlet']],
    ['<p [hidden]="x" [attr.colr]="x" [class.a]="x" [style.width.px]="x" [innerHtml]="x" [tabindex]="0" data-a="b" title="c">y</p>'],
    ['<label [for]="x">y</label><input [readonly]="x" [value]="x" />'],
    // What comes from elsewhere may take anything.
    ['<p [tip]="x" hint="a" *ngIf="x">y</p>', ['Tips']],
  ];
  test.each(taken)('%s', (template, uses) => {
    expect(said(template, uses)).toEqual([]);
  });

  const lost: readonly [template: string, said: readonly string[], uses?: readonly string[]][] = [
    ['<p [hint]="x">y</p>', ['component-unknown hint: App writes hint, and nothing that it may use takes it: that would need Hint.']],
    ['<p hint="a">y</p>', ['component-unknown hint: App writes hint, and nothing that it may use takes it: that would need Hint.']],
    ['<p *hint="x">y</p>', ['component-unknown hint: App writes hint, and nothing that it may use takes it: that would need Hint.']],
    ['<p [colr]="x">y</p>', ['prop-unknown colr: <p> is given colr, and does not take it.']],
    [
      '<tide-dial formControlNam="a" />',
      ['prop-unknown formControlNam: TideDial is given formControlNam, and does not take it.'],
      ['ReactiveFormsModule', 'TideDial'],
    ],
    [
      '<p *ngIf="x">y</p>',
      ['component-unknown ngIf: App writes ngIf, and nothing that it may use takes it: that would need NgIf.'],
      ['NgClass'],
    ],
    [
      '<input [(ngModel)]="x" />',
      ['component-unknown ngModel: App writes ngModel, and nothing that it may use takes it: that would need FormsModule.'],
      ['ReactiveFormsModule', 'Hint'],
    ],
    [
      '<form [formGroup]="x"></form>',
      ['component-unknown formGroup: App writes formGroup, and nothing that it may use takes it: that would need ReactiveFormsModule.'],
      ['FormsModule'],
    ],
    [
      '<router-outlet />',
      ['component-unknown router-outlet: App uses <router-outlet>, which is RouterOutlet, and may not use it.'],
      ['RouterLink'],
    ],
  ];
  test.each(lost)('%s', (template, findings, uses) => {
    expect(said(template, uses)).toEqual(findings);
  });
});

const faultsOf = (files: Files): string[] =>
  analyseFiles(files)
    .findings.filter(({ severity }) => severity === 'fault')
    .map(({ rule, subject }) => `${rule} ${subject}`)
    .sort();

describe('applications of modules', () => {
  const whole = 'App\n  LockPage\n    LockGauge each one';
  const trees: readonly [name: string, ways: Ways][] = [
    ['a module that is imported when it is asked for', {}],
    ['by the loader of older bundles, which gives what is exported by default', { loads: "() => System.import('./locks/locks.module')" }],
    ['by a text', { loads: "'./locks/locks.module#LocksModule'" }],
    ['a template that is required', { template: "template: require('./lock-page.html')" }],
    ['a template that is required with words to the bundler', { template: "template: require('raw-loader!./lock-page.html')" }],
  ];
  test.each(trees)('%s', (_, ways) => {
    const { model } = analyseFiles(application(ways));
    expect(model.pages.map(({ name, path }) => `${name} ${path}`)).toEqual(['LockPage /locks']);
    expect(rows(model, treeOf(model, 'LockPage'))).toBe(whole);
    expect(faultsOf(application(ways))).toEqual([]);
  });

  test('what no group declares may see anything, where parts are declared by groups', () => {
    const files = application();
    const loose = declared('loose', 'template: \'<b *ngIf="x" [colr]="x"></b>\'', 'export class Loose { x = 1; }');
    const named = (text: string): string => text.replaceAll(' standalone: false,', '');
    const older = Object.fromEntries(Object.entries({ ...files, 'src/loose.ts': loose }).map(([file, text]) => [file, named(text)]));
    expect(faultsOf(older)).toEqual([]);
    expect(faultsOf({ ...files, 'src/loose.ts': named(loose) })).toEqual(['component-unknown ngIf', 'prop-unknown colr']);
  });

  test('a template that is imported by a name', () => {
    const files = { ...application({ template: 'template: text' }) };
    const page = 'src/locks/lock-page.component.ts';
    files[page] = `import text from './lock-page.html';\n${files[page] ?? ''}`;
    const { model } = analyseFiles(files);
    expect(rows(model, treeOf(model, 'LockPage'))).toBe(whole);
  });

  const faults: readonly [name: string, ways: Ways, findings: readonly string[]][] = [
    ['the loaded module provides nothing', { provides: '' }, ['context-missing Locks']],
    ['the module itself is brought in, not what its function gives', { root: 'CanalModule' }, ['context-missing Canal']],
  ];
  test.each(faults)('%s', (_, ways, findings) => {
    expect(faultsOf(application(ways))).toEqual(findings);
  });

  test('a route that only loads others is no page by itself', () => {
    const table = "[{ path: '', component: LockPage, children: [{ path: 'gauge', component: LockPage }] }]";
    const { model } = analyseFiles(application({ table }));
    expect(model.pages.map(({ name, path }) => `${name} ${path}`)).toEqual(['LockPage /locks', 'LockPage /locks/gauge']);
  });
});

test('the card of a component tells which module declares it, and whether that hands it on', () => {
  const files: Files = {
    'src/main.ts': `import { platformBrowserDynamic } from '@angular/platform-browser-dynamic';\nimport { AppModule } from './app.module';\nplatformBrowserDynamic().bootstrapModule(AppModule);`,
    'src/app.ts': declared('app-root', "template: '<app-gauge></app-gauge><app-alone></app-alone>'", 'export class App {}'),
    'src/gauge.ts': declared('app-gauge', "template: 'x'", 'export class Gauge {}'),
    'src/alone.ts': `${core}@Component({ selector: 'app-alone', template: 'x' })\nexport class Alone {}`,
    'src/gauge.module.ts': `${core}import { Gauge } from './gauge';\n@NgModule({ declarations: [Gauge], exports: [Gauge] })\nexport class GaugeModule {}`,
    'src/app.module.ts': `${core}import { App } from './app';\nimport { Alone } from './alone';\nimport { GaugeModule } from './gauge.module';\n@NgModule({ declarations: [App], imports: [GaugeModule, Alone], bootstrap: [App] })\nexport class AppModule {}`,
  };
  const { model } = analyseFiles(files);
  const tree = treeOf(model, 'App');
  const told = tree.places.flatMap(({ index }) => {
    const card = placeCard(model, tree, [], index);
    return card ? [`${card.name} ${card.module ? `${card.module.name} ${card.module.offers}` : 'alone'}`] : [];
  });
  expect(told.filter((one) => !one.startsWith('<'))).toEqual(['App AppModule false', 'Gauge GaugeModule true', 'Alone alone']);
});
