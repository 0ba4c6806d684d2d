import { beforeAll, describe, expect, test } from 'vitest';
import { parts } from '../../../../testing/src/parts';
import { analyseFiles, type Files, rows, strandLines, treeOf } from '../../../../testing/src/project';
import { listenersOf, listenerSubject, makeFlowQueries } from '../../flow';
import { loadCompilers } from '../registry';

beforeAll(() => loadCompilers(['app.component.html']));

const found = (files: Files): string[] =>
  analyseFiles(files)
    .findings.filter(({ severity }) => severity !== 'tidy')
    .map(({ rule, subject }) => `${rule} ${subject}`)
    .sort();

const row = {
  js: '  readonly name = input.required<string>();\n  readonly level = input(0);\n  readonly isOpen = input(false);\n  readonly picked = output<string>();',
  template: '<button [disabled]="!isOpen()" (click)="picked.emit(name())">{{ name() }} {{ level() }}</button>',
};
const olderRow = {
  js: "  @Input({ required: true }) name = '';\n  @Input('height') level = 0;\n  @Output('chosen') picked = new EventEmitter<string>();",
  template: '<button (click)="picked.emit(name)">{{ name }} {{ level }}</button>',
};
const pick = "  at = '';\n  pick(name: string) { this.at = name; }";

test('static HTML that only holds the tag of the root is no component and no page', () => {
  const files = { ...parts({ App: { template: 'x' } }), 'src/index.html': '<html><body><app></app></body></html>' };
  const { model } = analyseFiles(files);
  expect([...model.components.values()].filter(({ role }) => role === 'component').map(({ name }) => name)).toEqual(['App']);
  expect(model.pages.map(({ name }) => name)).toEqual(['App']);
});

describe('the tree of a page', () => {
  const cases: readonly [name: string, files: Files, page: string, tree: string][] = [
    [
      'a component that a field holds',
      parts({
        App: {
          uses: ['Row'],
          js: '  kind = Row;',
          template: '<ng-container *ngComponentOutlet="kind" /><p [ngComponentOutlet]="kind"></p>',
        },
        Row: { template: 'x' },
      }),
      'App',
      'App\n  Row\n  Row',
    ],
    [
      'outlets with names, beside a page and not of it',
      {
        ...parts({
          App: { template: '<router-outlet /><router-outlet name="side" /><router-outlet name="foot" />' },
          Row: { template: 'x' },
          Note: { template: 'x' },
        }),
        'src/main.ts':
          "import { bootstrapApplication } from '@angular/platform-browser';\nimport { provideRouter } from '@angular/router';\nimport { App } from './app';\nimport { Row } from './row';\nimport { Note } from './note';\nconst routes = [{ path: 'rows', component: Row }, { path: 'help', component: Note, outlet: 'side' }];\nbootstrapApplication(App, { providers: [provideRouter(routes)] });",
      },
      'Row',
      'App\n  Row\n  Note if help is open',
    ],
    [
      'an outlet with a name within a route that shows nothing else',
      {
        ...parts({
          App: { template: '<router-outlet />' },
          Row: { template: '<router-outlet name="side" />' },
          Note: { template: 'x' },
        }),
        'src/main.ts':
          "import { bootstrapApplication } from '@angular/platform-browser';\nimport { provideRouter } from '@angular/router';\nimport { App } from './app';\nimport { Row } from './row';\nimport { Note } from './note';\nconst routes = [{ path: 'rows', component: Row, children: [{ path: 'help', component: Note, outlet: 'side' }] }];\nbootstrapApplication(App, { providers: [provideRouter(routes)] });",
      },
      'Row',
      'App\n  Row\n    Note if help is open',
    ],
    [
      'blocks of conditions, lists and cases',
      parts({
        App: {
          uses: ['Row', 'Note', 'Hint'],
          js: "  locks = ['a'];\n  shown = true;\n  kind = 1;",
          template:
            '@for (lock of locks; track lock) {<row />} @empty {<hint />} @if (shown) {<note />} @else {<hint />} @switch (kind) { @case (1) {<note />} @default {<hint />} } @defer {<note />}',
        },
        Row: { template: 'x' },
        Note: { template: 'x' },
        Hint: { template: 'x' },
      }),
      'App',
      'App\n  Row each lock\n  Hint if not locks\n  Note if shown\n  Hint if not shown\n  Note if kind is 1\n  Hint if kind is none of these\n  Note if it is loaded',
    ],
    [
      'stars, and a template that is shown by its name',
      parts({
        App: {
          uses: ['Row', 'Note', 'NgIf', 'NgFor', 'NgTemplateOutlet'],
          head: "import { NgFor, NgIf, NgTemplateOutlet } from '@angular/common';",
          js: "  locks = ['a'];\n  shown = true;",
          template:
            '<row *ngFor="let lock of locks; index as i" /><note *ngIf="shown; else other" /><ng-template #other><row /></ng-template><ng-container *ngTemplateOutlet="again" /><ng-template #again><note /></ng-template>',
        },
        Row: { template: 'x' },
        Note: { template: 'x' },
      }),
      'App',
      'App\n  Row each lock\n  Note if shown\n  Row if not shown\n  Note',
    ],
    [
      'content, by what selects it',
      parts({
        App: {
          uses: ['Card', 'Note', 'Hint'],
          template: '<card><note head /><hint /></card>',
        },
        Card: { template: '<header><ng-content select="[head]" /></header><p><ng-content /></p>' },
        Note: { template: 'x' },
        Hint: { template: 'x' },
      }),
      'App',
      'App\n  Card\n    Note in slot:[head] of App\n    Hint in slot:default of App',
    ],
    [
      'selectors of attributes and classes, and those that exclude',
      parts({
        App: {
          uses: ['Soft', 'Plain'],
          template: '<button soft></button><button class="plain"></button><button class="plain" soft></button>',
        },
        Soft: { selector: 'button[soft]', template: 'x' },
        Plain: { selector: 'button.plain:not([soft])', template: 'x' },
      }),
      'App',
      'App\n  Soft\n  Plain\n  Soft',
    ],
  ];
  test.each(cases)('%s', (_, files, page, tree) => {
    const { model } = analyseFiles(files);
    expect(rows(model, treeOf(model, page))).toBe(tree);
  });
});

type Case = readonly [name: string, files: Files, findings: readonly string[]];

const app = (template: string, js = pick, more: Parameters<typeof parts>[0] = {}): Files =>
  parts({ App: { uses: ['Row'], js, template }, Row: row, ...more });

describe('what is given, and what is declared', () => {
  const sound: Case[] = [
    ['all that a row needs', app('<row [name]="at" [level]="2" [isOpen]="true" (picked)="pick($event)" />'), []],
    [
      'names of fields and of inputs apart',
      parts({ App: { uses: ['Row'], js: pick, template: '<row name="a" [height]="1" (chosen)="pick($event)" />' }, Row: olderRow }),
      [],
    ],
    [
      'what belongs to the element',
      app(
        '<row name="a" class="wide" id="r" title="t" tabindex="0" data-x="1" aria-label="l" [attr.role]="at" [class.on]="at" [style.width.px]="2" [hidden]="!at" (picked)="pick($event)" (mouseenter)="pick(at)" (keydown.enter)="pick(at)" />',
      ),
      [],
    ],
    [
      'an alias, a setter, and a conversion',
      parts({
        App: { uses: ['Row'], js: pick, template: '<row who="a" [wide]="true" />{{ at }}' },
        Row: {
          js: "  readonly name = input.required<string>({ alias: 'who' });\n  @Input() set wide(on: boolean) { this.on = on; }\n  on = false;",
          template: '{{ name() }}{{ on }}',
        },
      }),
      [],
    ],
    [
      'inputs that the decorator lists',
      parts({
        App: { uses: ['Row'], template: '<row [name]="1" />' },
        Row: { options: "inputs: ['name']", js: '  name = 0;', template: '{{ name }}' },
      }),
      [],
    ],
    [
      'a class that another one extends',
      parts({
        App: { uses: ['Row'], js: pick, template: '<row name="a" [level]="1" (picked)="pick($event)" />' },
        Row: {
          base: 'Base',
          template: '<button (click)="picked.emit(name())">{{ extra() }}</button>',
          js: '  readonly extra = computed(() => this.level() + 1);',
        },
        Base: { js: row.js, selector: 'never' },
      }),
      [],
    ],
  ];
  const faults: Case[] = [
    ['nothing for what is required', app('<row (picked)="pick($event)" />'), ['prop-missing name']],
    [
      'nothing for what is required, in the older way',
      parts({ App: { uses: ['Row'], js: pick, template: '<row (chosen)="pick($event)" />' }, Row: olderRow }),
      ['prop-missing name'],
    ],
    ['what nobody takes', app('<row name="a" [colour]="at" (picked)="pick($event)" />'), ['prop-unknown colour']],
    [
      'the field instead of the input',
      parts({ App: { uses: ['Row'], js: pick, template: '<row name="a" [level]="1" (chosen)="pick($event)" />' }, Row: olderRow }),
      ['prop-unknown level'],
    ],
    ['another case, as a text', app('<row name="a" isopen="yes" (picked)="pick($event)" />'), ['prop-spelt isopen']],
    ['another case', app('<row name="a" [isopen]="true" (picked)="pick($event)" />'), ['prop-spelt [isopen]']],
    ['an output that is spelt otherwise', app('<row name="a" (piked)="pick($event)" />'), ['prop-spelt (piked)']],
    [
      'an event that nothing raises',
      app('<row name="a" (picked)="pick($event)" (dropped)="pick(at)" />'),
      ['event-never-raised (dropped)'],
    ],
    ['a use that does not listen', app('<row name="a" (picked)="pick($event)" /><row name="b" />'), ['event-unheard (picked)']],
  ];
  test.each([...sound, ...faults])('%s', (_, files, findings) => {
    expect(found(files)).toEqual(findings);
  });
});

describe('bound both ways', () => {
  const field = (js: string, template = '{{ value() }}'): Files =>
    parts({
      App: { uses: ['Field'], js: '  at = signal(1);\n  plain = 2;\n  both = { at: 1 };', template: '<field [(value)]="at" />{{ at() }}' },
      Field: { js, template },
    });
  const cases: Case[] = [
    ['a model', field('  readonly value = model(0);', '<button (click)="value.set(1)">{{ value() }}</button>'), []],
    [
      'an input and its change',
      field(
        '  readonly value = input(0);\n  readonly valueChange = output<number>();',
        '<button (click)="valueChange.emit(1)">{{ value() }}</button>',
      ),
      [],
    ],
    [
      'in the older way',
      field(
        '  @Input() value = 0;\n  @Output() valueChange = new EventEmitter<number>();',
        '<button (click)="valueChange.emit(1)">{{ value }}</button>',
      ),
      [],
    ],
    ['only the value', field('  readonly value = input(0);'), ['two-way-half value']],
    [
      'only the change',
      field('  readonly valueChange = output<number>();', '<button (click)="valueChange.emit(1)">x</button>'),
      ['two-way-half value'],
    ],
    [
      'a change of another name',
      field(
        '  readonly value = input(0);\n  readonly valueChanged = output<number>();',
        '<button (click)="valueChanged.emit(1)">{{ value() }}</button>',
      ),
      ['two-way-half value'],
    ],
  ];
  test.each(cases)('%s', (_, files, findings) => {
    expect(found(files)).toEqual(findings);
  });
});

describe('what is in reach', () => {
  const pipe = {
    shorten: { names: ['Shorten'], text: "@Pipe({ name: 'shorten' })\nexport class Shorten { transform(text: string) { return text; } }" },
  };
  const cases: Case[] = [
    ['a component that is not imported', parts({ App: { template: '<row name="a" />' }, Row: row }), ['component-unknown row']],
    [
      'one in a list of them',
      parts({
        App: { uses: ['ROWS'], js: pick, head: 'const ROWS = [Row] as const;', template: '<row name="a" (picked)="pick($event)" />' },
        Row: row,
      }),
      [],
    ],
    [
      'one that does not exist',
      parts({ App: { uses: ['Row'], js: pick, template: '<row name="a" (picked)="pick($event)" /><no-row />' }, Row: row }),
      ['component-unknown no-row'],
    ],
    [
      'one that may be of elsewhere',
      parts({
        App: {
          uses: ['Row', 'Other'],
          js: pick,
          head: "import { Other } from 'elsewhere';",
          template: '<row name="a" (picked)="pick($event)" /><no-row />',
        },
        Row: row,
      }),
      [],
    ],
    [
      'any element is let pass',
      parts({
        App: {
          options: 'schemas: [CUSTOM_ELEMENTS_SCHEMA]',
          head: "import { CUSTOM_ELEMENTS_SCHEMA } from '@angular/core';",
          template: '<no-row />',
        },
      }),
      [],
    ],
    [
      'a pipe',
      parts(
        {
          App: {
            uses: ['Shorten', 'UpperCasePipe'],
            head: "import { UpperCasePipe } from '@angular/common';",
            template: "{{ 'a' | shorten }} {{ 'b' | uppercase }}",
          },
        },
        pipe,
      ),
      [],
    ],
    ['a pipe of the framework that is not imported', parts({ App: { template: "{{ 'a' | uppercase }}" } }), ['name-unknown uppercase']],
    ['a pipe that is not imported', parts({ App: { template: "{{ 'a' | shorten }}" } }, pipe), ['name-unknown shorten']],
    [
      'modules: what one declares, and what another hands on',
      {
        'src/main.ts':
          "import { platformBrowserDynamic } from '@angular/platform-browser-dynamic';\nimport { AppModule } from './module';\nplatformBrowserDynamic().bootstrapModule(AppModule);",
        'src/module.ts':
          "import { NgModule } from '@angular/core';\nimport { App } from './app';\nimport { SharedModule } from './shared';\n@NgModule({ declarations: [App], imports: [SharedModule], bootstrap: [App] })\nexport class AppModule {}",
        'src/shared.ts':
          "import { Component, Input, NgModule } from '@angular/core';\n@Component({ selector: 'row', standalone: false, template: '{{ name }}<inner />' })\nexport class Row { @Input() name = ''; }\n@Component({ selector: 'inner', standalone: false, template: 'x' })\nexport class Inner {}\n@NgModule({ declarations: [Row, Inner], exports: [Row] })\nexport class SharedModule {}",
        'src/app.ts':
          "import { Component } from '@angular/core';\n@Component({ selector: 'app-root', standalone: false, template: '<row name=\"a\" /><in-ner></in-ner><inner />' })\nexport class App {}",
      },
      ['component-unknown in-ner', 'component-unknown inner'],
    ],
  ];
  test.each(cases)('%s', (_, files, findings) => {
    const faults = analyseFiles(files)
      .findings.filter(({ severity }) => severity === 'fault')
      .map(({ rule, subject }) => `${rule} ${subject}`)
      .sort();
    expect(faults).toEqual(findings);
  });
});

describe('names of the markup', () => {
  const cases: Case[] = [
    [
      'members, references, and what blocks name',
      parts({
        App: {
          js: "  at = signal('');\n  list = [1];",
          template:
            '<input #box [value]="at()" (input)="at.set(box.value)" />@let n = list.length; {{ n }}@for (one of list; track $index; let i = $index, last = $last) {{{ one }}{{ i }}{{ last }}{{ $count }}}@if (at(); as text) {{{ text }}}',
        },
      }),
      [],
    ],
    ['a name that nothing declares', parts({ App: { template: '<p>{{ missing }}</p>' } }), ['name-unknown missing']],
    ['a method that nothing declares', parts({ App: { template: '<button (click)="save()">x</button>' } }), ['handler-missing save']],
    [
      'a method that is named and not called',
      parts({ App: { js: '  save() {}', template: '<button (click)="save">x</button>' } }),
      ['handler-missing save'],
    ],
    [
      'a reference within a condition',
      parts({ App: { js: '  on = true;', template: '@if (on) {<input #box />}{{ box.value }}' } }),
      ['name-unknown box'],
    ],
    [
      'a reference to what a directive is',
      parts({
        App: { uses: ['Scope'], template: '<form scope #s="scope">{{ s.prefix() }}</form>' },
        Scope: { options: "exportAs: 'scope'", js: "  readonly prefix = signal('a');" },
      }),
      [],
    ],
    [
      'what a class has that it extends',
      parts({
        App: { base: 'Base', template: '{{ at() }}<button (click)="go()">x</button>' },
        Base: { selector: 'never', js: '  readonly at = signal(1);\n  go() { this.at.set(2); }' },
      }),
      [],
    ],
    [
      'what neither class has',
      parts({ App: { base: 'Base', template: '{{ at() }}{{ more }}' }, Base: { selector: 'never', js: '  readonly at = signal(1);' } }),
      ['name-unknown more'],
    ],
  ];
  test.each(cases)('%s', (_, files, findings) => {
    expect(found(files)).toEqual(findings);
  });
});

describe('who answers for what is asked', () => {
  const keeper = {
    keeper: {
      names: ['Keeper'],
      text: "@Injectable()\nexport class Keeper { readonly name = signal(''); rename(to: string) { this.name.set(to); } }",
    },
  };
  const forAll = {
    keeper: {
      names: ['Keeper'],
      text: "@Injectable({ providedIn: 'root' })\nexport class Keeper { readonly name = signal(''); rename(to: string) { this.name.set(to); } }",
    },
  };
  const menu = {
    js: '  readonly keeper = inject(Keeper);',
    template: '{{ keeper.name() }}<button (click)="keeper.rename(\'a\')">x</button>',
  };
  const cases: Case[] = [
    [
      'nobody',
      parts({ App: { uses: ['Menu'], template: '<menu-x />' }, Menu: { ...menu, selector: 'menu-x' } }, keeper),
      ['context-missing Keeper'],
    ],
    [
      'the application',
      parts({ App: { uses: ['Menu'], template: '<menu-x />' }, Menu: { ...menu, selector: 'menu-x' } }, keeper, '{ providers: [Keeper] }'),
      [],
    ],
    [
      'a component above',
      parts(
        {
          App: { uses: ['Menu'], options: 'providers: [Keeper]', template: '<menu-x /><menu-x />' },
          Menu: { ...menu, selector: 'menu-x' },
        },
        keeper,
      ),
      [],
    ],
    ['the component itself', parts({ App: { ...menu, options: 'providers: [Keeper]' } }, keeper), []],
    ['the one that all are given', parts({ App: menu }, forAll), []],
    [
      'only where there is one',
      parts({ App: { js: '  readonly keeper = inject(Keeper, { optional: true });', template: '{{ keeper?.name() }}' } }, keeper),
      [],
    ],
    [
      'a directive on the element',
      parts(
        {
          App: { uses: ['Menu', 'Scope'], template: '<menu-x scope />' },
          Menu: { ...menu, selector: 'menu-x' },
          Scope: { options: 'providers: [Keeper]' },
        },
        keeper,
      ),
      [],
    ],
    [
      'a directive beside it',
      parts(
        {
          App: { uses: ['Menu', 'Scope'], template: '<p scope></p><menu-x />' },
          Menu: { ...menu, selector: 'menu-x' },
          Scope: { options: 'providers: [Keeper]' },
        },
        keeper,
      ),
      ['context-missing Keeper'],
    ],
    [
      'itself alone is asked',
      parts(
        {
          App: { uses: ['Menu'], options: 'providers: [Keeper]', template: '<menu-x />' },
          Menu: { selector: 'menu-x', js: '  readonly keeper = inject(Keeper, { self: true });', template: '{{ keeper.name() }}' },
        },
        keeper,
      ),
      ['context-missing Keeper'],
    ],
    [
      'only from outside of itself',
      parts(
        {
          App: {
            js: '  readonly keeper = inject(Keeper, { skipSelf: true });',
            options: 'providers: [Keeper]',
            template: '{{ keeper.name() }}',
          },
        },
        keeper,
      ),
      ['context-missing Keeper'],
    ],
    [
      'a parameter of the constructor',
      parts(
        {
          App: {
            js: '  constructor(private readonly keeper: Keeper) {}\n  get name() { return this.keeper.name(); }',
            template: '{{ name }}',
          },
        },
        keeper,
      ),
      ['context-missing Keeper'],
    ],
    [
      'the component around, by its class',
      parts({
        App: { uses: ['Tabs', 'Tab'], template: '<tabs><tab /></tabs>' },
        Tabs: { js: '  at = signal(0);', template: '{{ at() }}<ng-content />' },
        Tab: { js: '  readonly tabs = inject(Tabs);', template: '{{ tabs.at() }}' },
      }),
      [],
    ],
    [
      'no such component around',
      parts({
        App: { uses: ['Tabs', 'Tab'], template: '<tabs /><tab />' },
        Tabs: { template: 'x' },
        Tab: { js: '  readonly tabs = inject(Tabs);', template: '{{ tabs }}' },
      }),
      ['context-missing Tabs'],
    ],
    [
      'provided again below, and asked outside and inside',
      parts(
        {
          App: { uses: ['Menu', 'Inner'], template: '<menu-x /><inner />' },
          Inner: { uses: ['Menu'], options: 'providers: [Keeper]', template: '<menu-x />' },
          Menu: { ...menu, selector: 'menu-x' },
        },
        forAll,
      ),
      ['context-shadowed Keeper'],
    ],
    [
      'the content of what provides for its own markup alone',
      parts(
        {
          App: { uses: ['Menu', 'Box'], template: '<box><menu-x /></box>' },
          Box: { options: 'viewProviders: [Keeper]', template: '<ng-content />' },
          Menu: { ...menu, selector: 'menu-x' },
        },
        keeper,
      ),
      ['context-missing Keeper'],
    ],
    [
      'the markup of what provides for it alone',
      parts(
        {
          App: { uses: ['Box'], template: '<box />' },
          Box: { uses: ['Menu'], options: 'viewProviders: [Keeper]', template: '<menu-x />' },
          Menu: { ...menu, selector: 'menu-x' },
        },
        keeper,
      ),
      [],
    ],
    [
      'a function that provides',
      parts(
        { App: { ...menu, options: 'providers: [provideKeeper()]', head: "import { provideKeeper } from './keeper';" } },
        {
          keeper: {
            names: ['Keeper'],
            text: `${keeper.keeper.text}\nexport function provideKeeper() { return [{ provide: Keeper, useClass: Keeper }]; }`,
          },
        },
      ),
      [],
    ],
  ];
  test.each(cases)('%s', (_, files, findings) => {
    expect(found(files)).toEqual(findings);
  });
});

/** A service with a signal and what is computed from it, and a component that takes from it what `js` says. */
const levels = (js: string, template: string, change = 'raise() { this.held.set(2); }'): Files =>
  parts(
    { App: { js: `  private levels = inject(Levels);\n  private fixed = inject(Fixed);\n${js}`, template } },
    {
      levels: {
        names: ['Levels', 'Fixed'],
        text: `@Injectable({ providedIn: 'root' })\nexport class Levels {\n  private held = signal(1);\n  readonly twice = computed(() => this.held() * 2);\n  ${change}\n}\n@Injectable({ providedIn: 'root' })\nexport class Fixed { most() { return 3; } }`,
      },
    },
  );
const raised = '<button (click)="levels.raise()">{{ shown }}</button>';

test('the state of a service is one strand, and the service is none', () => {
  const text =
    'export class Levels {\n  private held = signal(1);\n  readonly twice = computed(() => this.held() * 2);\n  raise() { this.held.set(2); }\n}';
  const asks = '  levels = inject(Levels);';
  const files = parts(
    {
      App: { uses: ['Row'], js: asks, template: '<row /><button (click)="levels.raise()">x</button>' },
      Row: { js: asks, template: '{{ levels.twice() }}' },
    },
    { levels: { names: ['Levels'], text: `@Injectable({ providedIn: 'root' })\n${text}` } },
  );
  const { model } = analyseFiles(files);
  expect(strandLines(model, 'App').filter((line) => line.startsWith('store'))).toEqual(['store Levels.held: App changes > Row reads']);
});

test('a method of a service is its own, whatever lists call theirs', () => {
  const js = (method: string): string => `  all = inject(All);\n  readonly given = this.all.${method}(0);`;
  const held = (method: string): unknown => {
    const service = `@Injectable({ providedIn: 'root' })\nexport class All { private held = [1]; ${method}(n: number) { return this.held[n]; } }`;
    const files = parts({ App: { js: js(method), template: '{{ given }}' } }, { all: { names: ['All'], text: service } });
    const app = [...analyseFiles(files).model.components.values()].find(({ name }) => name === 'App');
    return app?.facts.values.find(({ name }) => name === 'given')?.from.map(({ path, how }) => [...path, how]);
  };
  expect([held('at'), held('find'), held('of')]).toEqual([[['at', 'called']], [['find', 'called']], [['of', 'called']]]);
});

describe('what follows what', () => {
  const cases: Case[] = [
    [
      'a signal of a service, opened as the class is made',
      levels('  shown = this.levels.twice();', raised),
      ['stale-reading levels.twice'],
    ],
    ['one that is the seed of a form', levels('  shown = new FormControl(this.levels.twice());', raised), []],
    [
      'one that is written later',
      levels('  shown = this.levels.twice();\n  again() { this.shown = 3; }', `${raised}<b (click)="again()"></b>`),
      [],
    ],
    ['one that is opened where it is shown', levels('', '<button (click)="levels.raise()">{{ levels.twice() }}</button>'), []],
    ['one that nothing changes', levels('  shown = this.levels.twice();', '{{ shown }}', ''), []],
    ['what a method of a service gives', levels('  shown = this.fixed.most();', raised), []],
    [
      'a plain field in what is computed',
      parts({
        App: {
          js: "  kind = 'a';\n  all = signal(['a']);\n  shown = computed(() => this.all().filter((one) => one === this.kind));\n  pick(to: string) { this.kind = to; }",
          template: '{{ shown() }}<button (click)="pick(\'b\')">{{ kind }}</button>',
        },
      }),
      ['stale-reading kind'],
    ],
    [
      'a signal in its stead',
      parts({
        App: {
          js: "  kind = signal('a');\n  all = signal(['a']);\n  shown = computed(() => this.all().filter((one) => one === this.kind()));\n  pick(to: string) { this.kind.set(to); this.all.set([]); }",
          template: '{{ shown() }}<button (click)="pick(\'b\')">{{ kind() }}</button>',
        },
      }),
      [],
    ],
    [
      'a field that never changes',
      parts({
        App: {
          js: "  kind = 'a';\n  all = signal(['a']);\n  shown = computed(() => this.all().filter((one) => one === this.kind));\n  clear() { this.all.set([]); }",
          template: '{{ shown() }}{{ kind }}<button (click)="clear()">x</button>',
        },
      }),
      [],
    ],
    [
      'a plain field in an effect',
      parts({
        App: {
          js: "  kind = 'a';\n  constructor() { effect(() => { document.title = this.kind; }); }\n  pick(to: string) { this.kind = to; }",
          template: '<button (click)="pick(\'b\')">{{ kind }}</button>',
        },
      }),
      ['stale-reading kind'],
    ],
    [
      'an effect that sets what it reads',
      parts({ App: { js: '  n = signal(0);\n  constructor() { effect(() => { this.n.set(this.n() + 1); }); }', template: '{{ n() }}' } }),
      ['endless-render n'],
    ],
    [
      'an effect that sets what it reads apart',
      parts({
        App: {
          js: '  n = signal(0);\n  m = signal(0);\n  constructor() { effect(() => { this.n.set(untracked(this.n) + this.m()); }); }\n  more() { this.m.set(1); }',
          template: '{{ n() }}<button (click)="more()">x</button>',
        },
      }),
      [],
    ],
    [
      'a list of a signal that is changed in place',
      parts({
        App: {
          js: "  all = signal<string[]>([]);\n  add() { this.all().push('a'); }",
          template: '{{ all() }}<button (click)="add()">x</button>',
        },
      }),
      ['change-unseen all'],
    ],
    [
      'a new list',
      parts({
        App: {
          js: "  all = signal<string[]>([]);\n  add() { this.all.update((before) => [...before, 'a']); }",
          template: '{{ all() }}<button (click)="add()">x</button>',
        },
      }),
      [],
    ],
    [
      'a list of a field that is changed in place',
      parts({
        App: { js: "  all: string[] = [];\n  add() { this.all.push('a'); }", template: '{{ all }}<button (click)="add()">x</button>' },
      }),
      [],
    ],
    [
      'the same, handed to what waits for another list',
      parts({
        App: {
          uses: ['List'],
          js: "  all: string[] = [];\n  add() { this.all.push('a'); }",
          template: '<list [all]="all" /><button (click)="add()">x</button>',
        },
        List: {
          options: 'changeDetection: ChangeDetectionStrategy.OnPush',
          js: '  readonly all = input<string[]>([]);',
          template: '{{ all() }}',
        },
      }),
      ['change-unseen all'],
    ],
    [
      'a field that takes the value of a signal once',
      parts({
        App: {
          js: "  name = signal('a');\n  label = this.name() + '!';\n  rename() { this.name.set('b'); }",
          template: '{{ label }}{{ name() }}<button (click)="rename()">x</button>',
        },
      }),
      ['stale-reading name'],
    ],
    [
      'an input that is written',
      parts({
        App: { uses: ['Row'], js: '  at = 1;', template: '<row [level]="at" />' },
        Row: {
          js: '  @Input() level = 0;\n  more() { this.level = this.level + 1; }',
          template: '<button (click)="more()">{{ level }}</button>',
        },
      }),
      ['prop-written level'],
    ],
  ];
  test.each(cases)('%s', (_, files, findings) => {
    expect(found(files)).toEqual(findings);
  });
});

describe('streams', () => {
  const levels = {
    levels: {
      names: ['Levels'],
      text: "import { BehaviorSubject } from 'rxjs';\n@Injectable({ providedIn: 'root' })\nexport class Levels { private readonly all = new BehaviorSubject<number[]>([]); readonly all$ = this.all.asObservable(); add(one: number) { this.all.next([...this.all.value, one]); } }",
    },
  };
  const board = (js: string, template = '{{ top }}<button (click)="levels.add(1)">x</button>', head = ''): Files =>
    parts(
      {
        App: { uses: ['Board'], template: '<board />' },
        Board: {
          js: `  top = 0;\n  readonly levels = inject(Levels);\n${js}`,
          template,
          head: `import { map, takeUntil, Subject, Subscription } from 'rxjs';\nimport { takeUntilDestroyed, toSignal } from '@angular/core/rxjs-interop';\nimport { AsyncPipe } from '@angular/common';\n${head}`,
          uses: ['AsyncPipe'],
        },
      },
      levels,
    );
  const cases: Case[] = [
    [
      'followed and never left',
      board('  constructor() { this.levels.all$.subscribe((all) => { this.top = all.length; }); }'),
      ['subscription-kept '],
    ],
    [
      'left with the component',
      board(
        '  constructor() { this.levels.all$.pipe(map((all) => all.length), takeUntilDestroyed()).subscribe((n) => { this.top = n; }); }',
      ),
      [],
    ],
    [
      'left by a subject of its own',
      board(
        '  private readonly gone = new Subject<void>();\n  ngOnInit() { this.levels.all$.pipe(takeUntil(this.gone)).subscribe((all) => { this.top = all.length; }); }\n  ngOnDestroy() { this.gone.next(); }',
      ),
      [],
    ],
    [
      'kept, and left at the end',
      board(
        '  private sub?: Subscription;\n  ngOnInit() { this.sub = this.levels.all$.subscribe((all) => { this.top = all.length; }); }\n  ngOnDestroy() { this.sub?.unsubscribe(); }',
      ),
      [],
    ],
    ['read in the markup', board('', '{{ levels.all$ | async }}<button (click)="levels.add(1)">x</button>'), []],
    [
      'read as a signal',
      board('  readonly all = toSignal(this.levels.all$);', '{{ all() }}<button (click)="levels.add(1)">x</button>'),
      [],
    ],
  ];
  test.each(cases)('%s', (_, files, findings) => {
    expect(found(files).map((one) => one.replace(/^(subscription-kept) .*/, '$1 '))).toEqual(findings);
  });
});

describe('content and templates', () => {
  const card = { js: '  readonly n = signal(1);', template: '<p><ng-content /></p>' };
  const table = {
    js: "  @Input() rows: string[] = [];\n  @ContentChild('cell') cell?: TemplateRef<unknown>;",
    uses: ['NgTemplateOutlet'],
    head: "import { NgTemplateOutlet } from '@angular/common';",
    template: '@for (row of rows; track row) {<ng-container *ngTemplateOutlet="cell; context: { $implicit: row, at: 1 }" />}',
  };
  const rowsOf = (content: string): Files =>
    parts({ App: { uses: ['Grid'], template: `<grid [rows]="['a']">${content}</grid>` }, Grid: table });
  const cases: Case[] = [
    ['content for its place', parts({ App: { uses: ['Card'], template: '<card>text</card>' }, Card: card }), []],
    [
      'content where there is no place',
      parts({ App: { uses: ['Card'], template: '<card><b>text</b></card>' }, Card: { template: 'x' } }),
      ['slot-nowhere default'],
    ],
    ['a template, and what it is handed', rowsOf('<ng-template #cell let-row let-at="at">{{ row }}{{ at }}</ng-template>'), []],
    [
      'a template that takes what it is not handed',
      rowsOf('<ng-template #cell let-row let-to="to">{{ row }}{{ to }}</ng-template>'),
      ['slot-shape to'],
    ],
    ['an element where a template is asked for', rowsOf('<span #cell>x</span>'), ['slot-shape markup']],
    [
      'a structural directive of one’s own',
      parts({
        App: { uses: ['Times'], template: '<li *times="3; from: 1; let n; let last = last">{{ n }}{{ last }}</li>' },
        Times: {
          js: '  readonly times = input.required<number>();\n  readonly timesFrom = input.required<number>();\n  private readonly template = inject(TemplateRef);\n  private readonly views = inject(ViewContainerRef);\n  constructor() { effect(() => { this.views.createEmbeddedView(this.template, { $implicit: this.times() + this.timesFrom(), last: true }); }); }',
        },
      }),
      [],
    ],
    [
      'one of which it lacks a part',
      parts({
        App: { uses: ['Times'], template: '<li *times="3; let n">{{ n }}</li>' },
        Times: {
          js: '  readonly times = input.required<number>();\n  readonly timesFrom = input.required<number>();\n  private readonly template = inject(TemplateRef);\n  private readonly views = inject(ViewContainerRef);\n  constructor() { effect(() => { this.views.createEmbeddedView(this.template, { $implicit: this.times() + this.timesFrom() }); }); }',
        },
      }),
      ['prop-missing timesFrom'],
    ],
  ];
  test.each(cases)('%s', (_, files, findings) => {
    expect(found(files)).toEqual(findings);
  });
});

describe('directives on elements', () => {
  const dense = {
    js: '  readonly dense = model(false);',
    options: "host: { '[class.dense]': 'dense()', '(dblclick)': 'dense.set(!dense())' }",
  };
  const cases: Case[] = [
    [
      'an input that bears the name of its selector',
      parts({ App: { uses: ['Dense'], js: '  on = signal(false);', template: '<p [(dense)]="on">{{ on() }}</p>' }, Dense: dense }),
      [],
    ],
    [
      'one that comes along with a component',
      parts({
        App: { uses: ['List'], js: '  on = signal(false);', template: '<list [(compact)]="on" />{{ on() }}' },
        List: {
          template: 'x',
          options: "hostDirectives: [{ directive: Dense, inputs: ['dense: compact'], outputs: ['denseChange: compactChange'] }]",
        },
        Dense: dense,
      }),
      [],
    ],
    [
      'one whose input is not offered',
      parts({
        App: { uses: ['List'], template: '<list [dense]="true" />' },
        List: { template: 'x', options: 'hostDirectives: [Dense]' },
        Dense: dense,
      }),
      ['prop-unknown dense'],
    ],
    [
      'what it needs',
      parts({
        App: { uses: ['Field'], template: '<input field />' },
        Field: {
          js: '  readonly field = input.required<string>();\n  readonly size = input.required<number>();',
          options: "host: { '[id]': 'field() + size()' }",
        },
      }),
      ['prop-missing size'],
    ],
  ];
  test.each(cases)('%s', (_, files, findings) => {
    expect(found(files)).toEqual(findings);
  });
});

test('what people do is named by the element, the window, or what the component stands on', () => {
  const { model } = analyseFiles(
    parts({
      App: {
        js: '  open = signal(false);',
        options: "host: { '(window:resize)': 'open.set(false)', '(click)': 'open.set(true)' }",
        template: '<button (click)="open.set(true)">{{ open() }}</button>',
      },
    }),
  );
  const { graph } = makeFlowQueries(model, treeOf(model, 'App'));
  const names = graph.frames.flatMap((frame) => listenersOf(frame).map((one) => listenerSubject(one).name));
  expect(names.sort()).toEqual(['click on <button>', 'click on its own element', 'resize on the window']);
});

test('a field that stands for a value of another module is that value', () => {
  const store = (name: string): string => `import { signal } from '@angular/core';\nexport const ${name} = signal('');\n`;
  const files = parts(
    {
      App: {
        head: "import { levels } from './levels';\n",
        js: '  protected readonly levels = levels;',
        template: '{{ levels() }}<button (click)="levels.set(\'a\')">x</button>',
      },
    },
    {},
  );
  expect(found({ ...files, 'src/levels.ts': store('levels') })).toEqual([]);
});
