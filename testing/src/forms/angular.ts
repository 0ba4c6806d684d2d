import { type Form, mended } from './form';

type Part = {
  readonly selector: string;
  readonly template: string;
  readonly body?: string;
  readonly head?: string;
  /** What the template uses, by file. */
  readonly uses?: Readonly<Record<string, string>>;
  /** Names of packages. */
  readonly core?: string;
  readonly more?: string;
  /** A mark before the class. */
  readonly marked?: boolean;
};

const upper = (name: string): string => name.replace(/(?:^|-)(.)/g, (_, letter: string) => letter.toUpperCase());

/** A standalone component in a file of its own. */
function part({ selector, template, body = '', head = '', uses = {}, core = '', more = '', marked }: Part): string {
  const imports = Object.entries(uses).map(([name, from]) => `import { ${name} } from '${from}';\n`);
  return `import { Component${core ? `, ${core}` : ''} } from '@angular/core';
${imports.join('')}${head}
@Component({
  selector: 'app-${selector}',
  standalone: true,
  imports: [${Object.keys(uses).join(', ')}],
  template: \`${template}\`,${more}
})
${marked ? '¶' : ''}export class ${upper(selector)}Component {
${body}
}
`;
}

const started = (files: Form['files']): Form['files'] => ({
  'package.json': '{ "dependencies": { "@angular/core": "^20.0.0", "@angular/common": "^20.0.0" } }',
  'src/index.html': '<!doctype html><html lang="en"><body><app-root></app-root></body></html>',
  'src/main.ts':
    "import { bootstrapApplication } from '@angular/platform-browser';\nimport { RootComponent } from './app/root.component';\nbootstrapApplication(RootComponent);\n",
  ...Object.fromEntries(Object.entries(files).map(([name, text]) => [`src/app/${name}`.replace('app/../', ''), text])),
});

/** Faults as they are written in Angular. */
export const angularForms: readonly Form[] = [
  mended({
    rule: 'prop-missing',
    form: 'a required signal input is left out at one use',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        uses: { CardComponent: './card.component' },
        template: '<app-card [name]="\'a\'" />\n<hr>\n<hr>\n<hr>\n¶<app-card />',
      }),
      'card.component.ts': part({
        selector: 'card',
        core: 'input',
        body: '  readonly name = input.required<string>();',
        template: '<b>{{ name() }}</b>',
      }),
    }),
    by: [['<hr>\n<app-card />', '<hr>\n<app-card name="b" />']],
  }),
  mended({
    rule: 'prop-unknown',
    form: 'a bound property that the component does not have',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        uses: { CardComponent: './card.component' },
        template: '<app-card name="a"\n ¶[colour]="\'blue\'" />',
      }),
      'card.component.ts': part({ selector: 'card', core: 'Input', body: '  @Input() name = "";', template: '<b>{{ name }}</b>' }),
    }),
    by: [['\n [colour]="\'blue\'"', '']],
  }),
  mended({
    rule: 'prop-spelt',
    form: 'an input is bound by the name of its field, and has an alias',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        uses: { CardComponent: './card.component' },
        template: '<app-card\n ¶[lable]="\'a\'" />',
      }),
      'card.component.ts': part({
        selector: 'card',
        core: 'input',
        body: "  readonly text = input('', { alias: 'label' });",
        template: '<b>{{ text() }}</b>',
      }),
    }),
    or: ['prop-unknown'],
    by: [['[lable]', '[label]']],
  }),
  mended({
    rule: 'prop-spelt',
    form: 'a listener is one letter off an output',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        uses: { CardComponent: './card.component' },
        body: '  n = 0;',
        template: '{{ n }}<app-card\n ¶(pickd)="n = n + 1" />',
      }),
      'card.component.ts': part({
        selector: 'card',
        core: 'output',
        body: '  readonly picked = output<void>();',
        template: '<button (click)="picked.emit()">pick</button>',
      }),
    }),
    or: ['event-never-raised'],
    by: [['(pickd)', '(picked)']],
  }),
  mended({
    rule: 'event-stops-short',
    form: 'an output of a part further down is listened to above',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        uses: { ListComponent: './list.component' },
        body: '  who = "";',
        template: '{{ who }}<app-list\n ¶(chosen)="who = $event" />',
      }),
      'list.component.ts': part({ selector: 'list', uses: { RowComponent: './row.component' }, template: '<ul><app-row /></ul>' }),
      'row.component.ts': part({
        selector: 'row',
        core: 'EventEmitter, Output',
        body: '  @Output() chosen = new EventEmitter<string>();',
        template: '<button (click)="chosen.emit(\'Wren\')">Wren</button>',
      }),
    }),
    by: [
      ['<ul><app-row /></ul>', '<ul><app-row (chosen)="chosen.emit($event)" /></ul>'],
      [
        "import { Component } from '@angular/core';\nimport { RowComponent }",
        "import { Component, output } from '@angular/core';\nimport { RowComponent }",
      ],
      ['export class ListComponent {', 'export class ListComponent {\n  readonly chosen = output<string>();'],
    ],
  }),
  mended({
    rule: 'event-never-raised',
    form: 'an output that is declared and never raised is listened to',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        uses: { CardComponent: './card.component' },
        body: '  open = true;',
        template: '@if (open) { <app-card\n ¶(closed)="open = false" /> }',
      }),
      'card.component.ts': part({
        selector: 'card',
        core: 'output',
        body: '  readonly closed = output<void>();\n  isShut = false;\n  close() { this.isShut = true; }',
        template: '<button (click)="close()">close</button>{{ isShut }}',
      }),
    }),
    by: [['this.isShut = true;', 'this.isShut = true; this.closed.emit();']],
  }),
  mended({
    rule: 'event-unheard',
    form: 'a button only raises an output that one use does not hear',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        uses: { LineComponent: './line.component' },
        body: '  gone = 0;',
        template: '{{ gone }}<app-line (dropped)="gone = gone + 1" />\n<hr>\n<app-line />',
      }),
      'line.component.ts': part({
        selector: 'line',
        core: 'output',
        body: '  readonly dropped = output<void>();',
        template: '<p>line</p>\n¶<button (click)="dropped.emit()">drop</button>',
      }),
    }),
    by: [['<hr>\n<app-line />', '<hr>\n<app-line (dropped)="gone = gone + 1" />']],
  }),
  mended({
    rule: 'two-way-half',
    form: 'a banana onto an input whose output is called otherwise',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        uses: { DialComponent: './dial.component' },
        body: '  level = 1;',
        template: '{{ level }}<app-dial\n ¶[(value)]="level" />',
      }),
      'dial.component.ts': part({
        selector: 'dial',
        core: 'EventEmitter, Input, Output',
        body: '  @Input() value = 0;\n  @Output() changed = new EventEmitter<number>();',
        template: '<button (click)="changed.emit(value + 1)">{{ value }}</button>',
      }),
    }),
    by: [
      ['@Output() changed', '@Output() valueChange'],
      ['changed.emit(value', 'valueChange.emit(value'],
    ],
  }),
  mended({
    rule: 'handler-missing',
    form: 'a listener names a method without calling it',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        body: '  n = 0;\n  add() { this.n += 1; }',
        template: '{{ n }}\n¶<button (click)="add">add</button>',
      }),
    }),
    by: [['"add"', '"add()"']],
  }),
  mended({
    rule: 'handler-missing',
    form: 'a listener calls a method that the class does not have',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        body: '  n = 0;\n  add() { this.n += 1; }',
        template: '{{ n }}\n¶<button (click)="addOne()">add</button>',
      }),
    }),
    or: ['name-unknown'],
    by: [['addOne()', 'add()']],
  }),
  mended({
    rule: 'name-unknown',
    form: 'a template reads a variable of a block outside of it',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        body: "  rows = ['a'];",
        template: '@for (row of rows; track row) { <p>{{ row }}</p> }\n<hr>\n¶<p>{{ row }}</p>',
      }),
    }),
    by: [['<p>{{ row }}</p>`', '<p>{{ rows.length }}</p>`']],
  }),
  mended({
    rule: 'name-unknown',
    form: 'a pipe of the project is not imported',
    files: started({
      'root.component.ts': part({ selector: 'root', body: '  n = 4;', template: '¶<p>{{ n | feet }}</p>' }),
      'feet.pipe.ts':
        "import { Pipe, PipeTransform } from '@angular/core';\n@Pipe({ name: 'feet', standalone: true })\nexport class FeetPipe implements PipeTransform {\n  transform(value: number): string { return `${value} ft`; }\n}\n",
    }),
    by: [
      [
        "import { Component } from '@angular/core';\n",
        "import { Component } from '@angular/core';\nimport { FeetPipe } from './feet.pipe';\n",
      ],
      ['imports: []', 'imports: [FeetPipe]'],
    ],
  }),
  mended({
    rule: 'component-unknown',
    form: 'a component is imported by the file and not by the component',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        head: "import { CardComponent } from './card.component';\n",
        body: '  kind = CardComponent;',
        template: '{{ kind.name }}\n¶<app-card />',
      }),
      'card.component.ts': part({ selector: 'card', template: '<b>card</b>' }),
    }),
    by: [['imports: []', 'imports: [CardComponent]']],
  }),
  mended({
    rule: 'component-unknown',
    form: 'a directive of the framework that is not imported',
    files: started({
      'root.component.ts': part({ selector: 'root', body: '  isOpen = true;', template: '<h1>a</h1>\n¶<p *ngIf="isOpen">open</p>' }),
    }),
    or: ['prop-unknown', 'name-unknown'],
    by: [
      [
        "import { Component } from '@angular/core';\n",
        "import { Component } from '@angular/core';\nimport { NgIf } from '@angular/common';\n",
      ],
      ['imports: []', 'imports: [NgIf]'],
    ],
  }),
  mended({
    rule: 'context-missing',
    form: 'a service without a home is asked for by a part outside of its provider',
    files: started({
      'tally.ts':
        "import { Injectable, signal } from '@angular/core';\n@Injectable()\nexport class Tally {\n  readonly n = signal(0);\n  add() { this.n.update((one) => one + 1); }\n}\n",
      'root.component.ts': part({
        selector: 'root',
        uses: { ZoneComponent: './zone.component', CountComponent: './count.component' },
        template: '<app-zone />\n<app-count />',
      }),
      'zone.component.ts': part({
        selector: 'zone',
        uses: { CountComponent: './count.component' },
        head: "import { Tally } from './tally';\n",
        more: '\n  providers: [Tally],',
        template: '<app-count />',
      }),
      'count.component.ts': part({
        selector: 'count',
        core: 'inject',
        head: "import { Tally } from './tally';\n",
        body: '  ¶readonly tally = inject(Tally);',
        template: '<button (click)="tally.add()">{{ tally.n() }}</button>',
      }),
    }),
    by: [
      ['@Injectable()', "@Injectable({ providedIn: 'root' })"],
      ['\n  providers: [Tally],', ''],
    ],
  }),
  mended({
    rule: 'context-shadowed',
    form: 'a service of the root is provided again by a part, and one part stands inside and outside',
    files: started({
      'tally.ts':
        "import { Injectable, signal } from '@angular/core';\n@Injectable({ providedIn: 'root' })\nexport class Tally {\n  readonly n = signal(0);\n  add() { this.n.update((one) => one + 1); }\n}\n",
      'root.component.ts': part({
        selector: 'root',
        uses: { ZoneComponent: './zone.component', CountComponent: './count.component' },
        template: '<app-zone />\n<app-count />',
      }),
      'zone.component.ts': part({
        selector: 'zone',
        uses: { CountComponent: './count.component' },
        head: "import { Tally } from './tally';\n",
        more: '\n  ¶viewProviders: [{ provide: Tally, useClass: Tally }],',
        template: '<app-count />',
      }),
      'count.component.ts': part({
        selector: 'count',
        core: 'inject',
        head: "import { Tally } from './tally';\n",
        body: '  readonly tally = inject(Tally);',
        template: '<button (click)="tally.add()">{{ tally.n() }}</button>',
      }),
    }),
    by: [['\n  viewProviders: [{ provide: Tally, useClass: Tally }],', '']],
  }),
  mended({
    rule: 'context-unread',
    form: 'a service is provided by a part and nothing below asks for it',
    files: started({
      'tally.ts': "import { Injectable } from '@angular/core';\n@Injectable()\nexport class Tally {\n  n = 0;\n}\n",
      'root.component.ts': part({
        selector: 'root',
        head: "import { Tally } from './tally';\n",
        more: '\n  ¶providers: [Tally],',
        template: '<p>root</p>',
      }),
    }),
    or: ['component-idle', 'store-dead'],
    by: [['\n  providers: [Tally],', '']],
  }),
  mended({
    rule: 'store-dead',
    form: 'a signal of a service is set and never read',
    files: started({
      'tally.ts':
        "import { Injectable, signal } from '@angular/core';\n@Injectable({ providedIn: 'root' })\nexport class Tally {\n  readonly n = signal(0);\n  ¶readonly last = signal('');\n  add(name: string) { this.n.update((one) => one + 1); this.last.set(name); }\n}\n",
      'root.component.ts': part({
        selector: 'root',
        core: 'inject',
        head: "import { Tally } from './tally';\n",
        body: '  readonly tally = inject(Tally);',
        template: '<button (click)="tally.add(\'a\')">{{ tally.n() }}</button>',
      }),
    }),
    by: [['{{ tally.n() }}', '{{ tally.n() }} {{ tally.last() }}']],
  }),
  mended({
    rule: 'change-unseen',
    form: 'a list in a signal is pushed to in update',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        core: 'ChangeDetectionStrategy, signal',
        more: '\n  changeDetection: ChangeDetectionStrategy.OnPush,',
        body: "  readonly rows = signal<string[]>([]);\n  add() {\n    this.rows.update((rows) => {\n      ¶rows.push('cod');\n      return rows;\n    });\n  }",
        template: '<button (click)="add()">add</button>@for (row of rows(); track row) { <p>{{ row }}</p> }',
      }),
    }),
    by: [["rows.push('cod');\n      return rows;", "return [...rows, 'cod'];"]],
  }),
  mended({
    rule: 'change-unseen',
    form: 'a plain field of a part that asks only on push is set by a timer',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        core: 'ChangeDetectionStrategy, OnDestroy',
        more: '\n  changeDetection: ChangeDetectionStrategy.OnPush,',
        body: '  seconds = 0;\n  private readonly timer = setInterval(() => {\n    ¶this.seconds += 1;\n  }, 1000);\n  ngOnDestroy() { clearInterval(this.timer); }',
        template: '<p>{{ seconds }}</p>',
      }),
    }),
    by: [
      ['ChangeDetectionStrategy, OnDestroy', 'ChangeDetectionStrategy, OnDestroy, signal'],
      ['seconds = 0;', 'readonly seconds = signal(0);'],
      ['this.seconds += 1;', 'this.seconds.update((one) => one + 1);'],
      ['{{ seconds }}', '{{ seconds() }}'],
    ],
  }),
  mended({
    rule: 'prop-written',
    form: 'a given record is changed by the part that shows it',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        uses: { RowComponent: './row.component' },
        body: '  task = { done: false };',
        template: '{{ task.done }}<app-row [task]="task" />',
      }),
      'row.component.ts': part({
        selector: 'row',
        core: 'Input',
        body: '  @Input({ required: true }) task!: { done: boolean };\n  flip() {\n    ¶this.task.done = !this.task.done;\n  }',
        template: '<button (click)="flip()">{{ task.done }}</button>',
      }),
    }),
    by: [],
  }),
  mended({
    rule: 'prop-copied',
    form: 'a form field starts from an input in ngOnInit and never follows',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        uses: { EditComponent: './edit.component' },
        body: "  at = 0;\n  notes = ['oak', 'elm'];",
        template: '<button (click)="at = 1 - at">other</button><app-edit [note]="notes[at]" />',
      }),
      'edit.component.ts': part({
        selector: 'edit',
        core: 'Input, OnInit',
        body: "  @Input() note = '';\n  draft = '';\n  ngOnInit() {\n    ¶this.draft = this.note;\n  }",
        template: '<input [value]="draft" (input)="draft = $any($event.target).value">',
      }),
    }),
    by: [['ngOnInit()', 'ngOnChanges()']],
  }),
  mended({
    rule: 'stale-reading',
    form: 'a field reads a signal input when the class is made',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        uses: { SizeComponent: './size.component' },
        core: 'signal',
        body: '  readonly feet = signal(40);',
        template: '<button (click)="feet.set(41)">grow</button><app-size [feet]="feet()" />',
      }),
      'size.component.ts': part({
        selector: 'size',
        core: 'input, OnInit',
        body: '  readonly feet = input(0);\n  metres = 0;\n  ngOnInit() {\n    ¶this.metres = Math.round(this.feet() * 0.3);\n  }',
        template: '<p>{{ metres }} m</p>',
      }),
    }),
    or: ['prop-copied'],
    by: [
      ['input, OnInit', 'input, computed'],
      [
        'metres = 0;\n  ngOnInit() {\n    this.metres = Math.round(this.feet() * 0.3);\n  }',
        'readonly metres = computed(() => Math.round(this.feet() * 0.3));',
      ],
      ['{{ metres }}', '{{ metres() }}'],
    ],
  }),
  mended({
    rule: 'subscription-kept',
    form: 'a stream of an interval is subscribed to in ngOnInit',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        uses: { ClockComponent: './clock.component' },
        body: '  isOn = true;',
        template: '<button (click)="isOn = !isOn">x</button>@if (isOn) { <app-clock /> }',
      }),
      'clock.component.ts': part({
        selector: 'clock',
        core: 'OnInit',
        head: "import { interval } from 'rxjs';\nimport { map } from 'rxjs/operators';\n",
        body: '  n = 0;\n  ngOnInit() {\n    ¶interval(1000).pipe(map((one) => one * 2)).subscribe((one) => { this.n = one; });\n  }',
        template: '<p>{{ n }}</p>',
      }),
    }),
    by: [
      ["core';\nimport { interval", "core';\nimport { Subscription } from 'rxjs';\nimport { interval"],
      [
        'n = 0;\n  ngOnInit() {\n    interval',
        'n = 0;\n  private all = new Subscription();\n  ngOnDestroy() { this.all.unsubscribe(); }\n  ngOnInit() {\n    this.all.add(interval',
      ],
      ['this.n = one; });', 'this.n = one; }));'],
    ],
  }),
  mended({
    rule: 'subscription-kept',
    form: 'a listener of the window by the renderer is not given up',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        uses: { ClockComponent: './clock.component' },
        body: '  isOn = true;',
        template: '<button (click)="isOn = !isOn">x</button>@if (isOn) { <app-clock /> }',
      }),
      'clock.component.ts': part({
        selector: 'clock',
        core: 'AfterViewInit, inject, Renderer2',
        body: "  private readonly renderer = inject(Renderer2);\n  width = 0;\n  ngAfterViewInit() {\n    ¶this.renderer.listen('window', 'resize', () => { this.width = window.innerWidth; });\n  }",
        template: '<p>{{ width }}</p>',
      }),
    }),
    by: [
      ['this.renderer.listen(', 'this.stop = this.renderer.listen('],
      ['width = 0;', 'width = 0;\n  private stop = (): void => undefined;\n  ngOnDestroy() { this.stop(); }'],
    ],
  }),
  mended({
    rule: 'channel-unpaired',
    form: 'a subject of a service is sent on and nobody subscribes',
    files: started({
      'bus.ts':
        "import { Injectable } from '@angular/core';\nimport { Subject } from 'rxjs';\n@Injectable({ providedIn: 'root' })\nexport class Bus {\n  readonly letters = new Subject<string>();\n  ¶readonly parcels = new Subject<string>();\n}\n",
      'root.component.ts': part({
        selector: 'root',
        uses: { CountComponent: './count.component' },
        core: 'inject',
        head: "import { Bus } from './bus';\n",
        body: "  private readonly bus = inject(Bus);\n  send() { this.bus.letters.next('a'); }\n  pack() {\n    ¶this.bus.parcels.next('b');\n  }",
        template: '<button (click)="send()">send</button><button (click)="pack()">pack</button><app-count />',
      }),
      'count.component.ts': part({
        selector: 'count',
        uses: { AsyncPipe: '@angular/common' },
        core: 'inject',
        head: "import { Bus } from './bus';\n",
        body: '  readonly letters = inject(Bus).letters;',
        template: '<p>{{ letters | async }}</p>',
      }),
    }),
    or: ['store-dead'],
    by: [
      ['{{ letters | async }}', '{{ letters | async }} {{ parcels | async }}'],
      [
        'readonly letters = inject(Bus).letters;',
        'private readonly bus = inject(Bus);\n  readonly letters = this.bus.letters;\n  readonly parcels = this.bus.parcels;',
      ],
    ],
  }),
  mended({
    rule: 'slot-nowhere',
    form: 'content with an attribute that no ng-content selects',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        uses: { CardComponent: './card.component' },
        template: '<app-card>\n ¶<h3 card-title>Weir</h3>\n</app-card>',
      }),
      'card.component.ts': part({ selector: 'card', template: '<header><ng-content select="[cardTitle]" /></header>' }),
    }),
    by: [['card-title', 'cardTitle']],
  }),
  mended({
    rule: 'slot-shape',
    form: 'a template reads a value that the outlet does not hand out',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        uses: { ListComponent: './list.component' },
        template: '<app-list>\n <ng-template #row let-item let-place="place">\n ¶{{ place }} {{ item }}</ng-template>\n</app-list>',
      }),
      'list.component.ts': part({
        selector: 'list',
        core: 'contentChild, TemplateRef',
        uses: { NgTemplateOutlet: '@angular/common' },
        body: "  readonly rows = ['a'];\n  readonly row = contentChild.required<TemplateRef<unknown>>('row');",
        template:
          '@for (one of rows; track one; let i = $index) { <ng-container [ngTemplateOutlet]="row()" [ngTemplateOutletContext]="{ $implicit: one, index: i }" /> }',
      }),
    }),
    by: [['let-place="place"', 'let-place="index"']],
  }),
  mended({
    rule: 'list-unkeyed',
    form: 'rows with a field are tracked by position and the list grows at its front',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        uses: { RowComponent: './row.component' },
        body: "  rows = [{ id: 1, name: 'cod' }];\n  add() { this.rows = [{ id: this.rows.length + 1, name: 'ling' }, ...this.rows]; }",
        template: '<button (click)="add()">add</button>\n¶@for (row of rows; track $index) { <app-row [name]="row.name" /> }',
      }),
      'row.component.ts': part({
        selector: 'row',
        core: 'Input',
        body: "  @Input() name = '';\n  isOpen = false;",
        template: '<button (click)="isOpen = !isOpen">{{ name }}</button>@if (isOpen) { <p>more</p> }',
      }),
    }),
    by: [['track $index', 'track row.id']],
  }),
  mended({
    rule: 'page-imported',
    form: 'a page that lives from the address is used as a part',
    files: started({
      '../main.ts':
        "import { bootstrapApplication } from '@angular/platform-browser';\nimport { provideRouter } from '@angular/router';\nimport { RootComponent } from './app/root.component';\nimport { routes } from './app/routes';\nbootstrapApplication(RootComponent, { providers: [provideRouter(routes)] });\n",
      'root.component.ts': part({ selector: 'root', uses: { RouterOutlet: '@angular/router' }, template: '<router-outlet />' }),
      'routes.ts':
        "import { Routes } from '@angular/router';\nimport { LockComponent } from './lock.component';\nimport { HomeComponent } from './home.component';\nexport const routes: Routes = [\n  { path: '', component: HomeComponent },\n  { path: 'locks/:id', component: LockComponent },\n];\n",
      'lock.component.ts': part({
        selector: 'lock',
        core: 'inject',
        head: "import { ActivatedRoute } from '@angular/router';\n",
        body: "  readonly id = inject(ActivatedRoute).snapshot.paramMap.get('id')!;",
        template: '<h1>{{ id.toUpperCase() }}</h1>',
      }),
      'home.component.ts': part({
        selector: 'home',
        uses: { LockComponent: './lock.component' },
        template: '<h1>Home</h1>\n¶<app-lock />',
      }),
    }),
    by: [['\n<app-lock />', '']],
  }),
  mended({
    rule: 'endless-render',
    form: 'an effect sets the signal that it reads',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        core: 'effect, signal',
        body: '  readonly n = signal(0);\n  constructor() {\n    effect(() => {\n      ¶this.n.set(this.n() + 1);\n    });\n  }',
        template: '<p>{{ n() }}</p>',
      }),
    }),
    by: [['this.n.set(this.n() + 1);', 'if (this.n() < 4) this.n.set(this.n() + 1);']],
  }),
  mended({
    rule: 'prop-kind',
    form: 'a flag without a transform is given as a text',
    files: started({
      'root.component.ts': part({ selector: 'root', uses: { LampComponent: './lamp.component' }, template: '<app-lamp\n ¶lit="false" />' }),
      'lamp.component.ts': part({
        selector: 'lamp',
        core: 'Input',
        body: '  @Input() lit: boolean = false;',
        template: "<p>{{ lit ? 'on' : 'off' }}</p>",
      }),
    }),
    by: [['lit="false"', '[lit]="false"']],
  }),
  mended({
    rule: 'default-lacking',
    form: 'an optional record is read without a question and one use leaves it out',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        uses: { CardComponent: './card.component' },
        body: "  boat = { name: 'Teal' };",
        template: '<app-card [boat]="boat" />\n<hr>\n<app-card />',
      }),
      'card.component.ts': part({
        selector: 'card',
        core: 'Input',
        body: '  @Input() boat?: { name: string };\n  get title() {\n    ¶return this.boat!.name.toUpperCase();\n  }',
        template: '<b>{{ title }}</b>',
      }),
    }),
    or: ['prop-missing'],
    by: [['this.boat!.name.toUpperCase()', "(this.boat?.name ?? '').toUpperCase()"]],
  }),
  mended({
    rule: 'prop-carried',
    form: 'a value goes through two parts that do not read it',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        uses: { MainComponent: './main.component' },
        body: "  unit = 'm';",
        template: '<button (click)="unit = \'ft\'">ft</button><app-main [unit]="unit" />',
      }),
      'main.component.ts': part({
        selector: 'main',
        core: 'Input',
        uses: { SideComponent: './side.component' },
        body: "  ¶@Input() unit = '';",
        template: '<h1>Wharf</h1><app-side [unit]="unit" />',
      }),
      'side.component.ts': part({
        selector: 'side',
        core: 'Input',
        uses: { DepthComponent: './depth.component' },
        body: "  @Input() unit = '';",
        template: '<h2>Depth</h2><app-depth [unit]="unit" />',
      }),
      'depth.component.ts': part({ selector: 'depth', core: 'Input', body: "  @Input() unit = '';", template: '<b>4 {{ unit }}</b>' }),
    }),
    by: [],
  }),
  mended({
    rule: 'event-relayed',
    form: 'an output is raised again by two parts',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        uses: { ListComponent: './list.component' },
        body: '  who = "";',
        template: '{{ who }}<app-list (chosen)="who = $event" />',
      }),
      'list.component.ts': part({
        selector: 'list',
        core: 'output',
        uses: { RowComponent: './row.component' },
        body: '  readonly chosen = output<string>();',
        template: '<ul><app-row (chosen)="chosen.emit($event)" /></ul>',
      }),
      'row.component.ts': part({
        selector: 'row',
        core: 'output',
        uses: { NameComponent: './name.component' },
        body: '  readonly chosen = output<string>();',
        template: '<li>\n¶<app-name (chosen)="chosen.emit($event)" /></li>',
      }),
      'name.component.ts': part({
        selector: 'name',
        core: 'output',
        body: '  readonly chosen = output<string>();',
        template: '<button (click)="chosen.emit(\'Wren\')">Wren</button>',
      }),
    }),
    by: [],
  }),
  mended({
    rule: 'prop-idle',
    form: 'an input is never read',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        uses: { TagComponent: './tag.component' },
        template: '<app-tag name="jib" [area]="12" />',
      }),
      'tag.component.ts': part({
        selector: 'tag',
        core: 'input',
        body: "  readonly name = input('');\n  ¶readonly area = input(0);",
        template: '<b>{{ name() }}</b>',
      }),
    }),
    by: [['<b>{{ name() }}</b>', '<b>{{ name() }} {{ area() }}</b>']],
  }),
  mended({
    rule: 'event-idle',
    form: 'an output is neither raised nor heard',
    files: started({
      'root.component.ts': part({ selector: 'root', uses: { TagComponent: './tag.component' }, template: '<app-tag name="jib" />' }),
      'tag.component.ts': part({
        selector: 'tag',
        core: 'input, output',
        body: "  readonly name = input('');\n  ¶readonly gone = output<void>();",
        template: '<b>{{ name() }}</b>',
      }),
    }),
    by: [['\n  readonly gone = output<void>();', '']],
  }),
  mended({
    rule: 'slot-idle',
    form: 'an ng-content that nobody fills',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        uses: { PanelComponent: './panel.component' },
        template: '<app-panel><p>one</p></app-panel><app-panel><p>two</p></app-panel>',
      }),
      'panel.component.ts': part({
        selector: 'panel',
        template: '<section><ng-content /><footer>\n¶<ng-content select="[actions]" /></footer></section>',
      }),
    }),
    by: [['<p>two</p>', '<p>two</p><button actions>go</button>']],
  }),
  mended({
    rule: 'component-idle',
    missed: true,
    form: 'a component is imported by another and stands in no template',
    files: started({
      'root.component.ts': part({ selector: 'root', uses: { PaintComponent: './paint.component' }, template: '<p>hull</p>' }),
      'paint.component.ts': part({ selector: 'paint', template: '<p>paint</p>', marked: true }),
    }),
    by: [['<p>hull</p>', '<p>hull</p><app-paint />']],
  }),
  mended({
    rule: 'wrapper-thin',
    form: 'a component that shows one other and hands all on',
    files: started({
      'root.component.ts': part({ selector: 'root', uses: { BoxComponent: './box.component' }, template: '<app-box name="North" />' }),
      'box.component.ts': part({
        selector: 'box',
        core: 'input',
        uses: { CardComponent: './card.component' },
        body: "  readonly name = input('');",
        template: '<app-card [name]="name()" />',
        marked: true,
      }),
      'card.component.ts': part({
        selector: 'card',
        core: 'input',
        body: "  readonly name = input('');",
        template: '<h3>{{ name() }}</h3>',
      }),
    }),
    by: [],
  }),
  mended({
    rule: 'twins',
    form: 'two components with one body',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        uses: { BoatTileComponent: './boat-tile.component', SparTileComponent: './spar-tile.component' },
        body: "  boat = { name: 'Teal', note: 'blue' };",
        template: '<app-boat-tile [item]="boat" /><app-spar-tile [item]="boat" />',
      }),
      'boat-tile.component.ts': part({
        selector: 'boat-tile',
        core: 'Input',
        body: '  @Input({ required: true }) item!: { name: string; note: string };\n  isOpen = false;\n  flip() { this.isOpen = !this.isOpen; }',
        template:
          '<article><header><h3>{{ item.name }}</h3><button (click)="flip()">more</button></header>@if (isOpen) { <p>{{ item.note }}</p> }<footer>boats</footer></article>',
        marked: true,
      }),
      'spar-tile.component.ts': part({
        selector: 'spar-tile',
        core: 'Input',
        body: '  @Input({ required: true }) item!: { name: string; note: string };\n  isOpen = false;\n  flip() { this.isOpen = !this.isOpen; }',
        template:
          '<article><header><h3>{{ item.name }}</h3><button (click)="flip()">more</button></header>@if (isOpen) { <p>{{ item.note }}</p> }<footer>spars</footer></article>',
      }),
    }),
    by: [],
  }),
  mended({
    rule: 'flags-many',
    form: 'four flags in three ways',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        uses: { DeckCardComponent: './deck-card.component' },
        template:
          '<app-deck-card text="a" [withIcon]="true" [withFoot]="true" /><app-deck-card text="b" [withIcon]="true" [withFoot]="true" /><app-deck-card text="c" [withBadge]="true" /><app-deck-card text="d" [withBadge]="true" [withHint]="true" />',
      }),
      'deck-card.component.ts': part({
        selector: 'deck-card',
        core: 'Input',
        body: "  @Input() text = '';\n  @Input() withIcon = false;\n  @Input() withFoot = false;\n  @Input() withBadge = false;\n  @Input() withHint = false;",
        template:
          '@if (withIcon) { <i>*</i> }<b>{{ text }}</b>@if (withBadge) { <em>new</em> }@if (withHint) { <small>hint</small> }@if (withFoot) { <footer>foot</footer> }',
        marked: true,
      }),
    }),
    by: [],
  }),
  mended({
    rule: 'state-too-high',
    form: 'a state that one part alone reads and changes',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        core: 'signal',
        uses: { MenuComponent: './menu.component' },
        body: '  ¶readonly isOpen = signal(false);',
        template: '<h1>Shed</h1><app-menu [isOpen]="isOpen()" (toggled)="isOpen.set(!isOpen())" />',
      }),
      'menu.component.ts': part({
        selector: 'menu',
        core: 'input, output',
        body: '  readonly isOpen = input(false);\n  readonly toggled = output<void>();',
        template: '<button (click)="toggled.emit()">menu</button>@if (isOpen()) { <ul><li>one</li></ul> }',
      }),
    }),
    by: [],
  }),
  mended({
    rule: 'store-private',
    form: 'a service that one part alone, once, reads and writes',
    files: started({
      'tally.ts':
        "import { Injectable, signal } from '@angular/core';\n@Injectable({ providedIn: 'root' })\n¶export class Tally {\n  readonly n = signal(0);\n  add() { this.n.update((one) => one + 1); }\n}\n",
      'root.component.ts': part({ selector: 'root', uses: { CountComponent: './count.component' }, template: '<h1>a</h1><app-count />' }),
      'count.component.ts': part({
        selector: 'count',
        core: 'inject',
        head: "import { Tally } from './tally';\n",
        body: '  readonly tally = inject(Tally);',
        template: '<button (click)="tally.add()">{{ tally.n() }}</button>',
      }),
    }),
    by: [],
  }),
  mended({
    rule: 'derived-twice',
    form: 'one sum computed by two parts from one service',
    files: started({
      'basket.ts':
        "import { Injectable, signal } from '@angular/core';\n@Injectable({ providedIn: 'root' })\nexport class Basket {\n  readonly lines = signal([{ price: 2, count: 3 }]);\n  add() { this.lines.update((lines) => [...lines, { price: 1, count: 1 }]); }\n}\n",
      'root.component.ts': part({
        selector: 'root',
        uses: { HeadComponent: './head.component', FootComponent: './foot.component' },
        template: '<app-head /><app-foot />',
      }),
      'head.component.ts': part({
        selector: 'head',
        core: 'computed, inject',
        head: "import { Basket } from './basket';\n",
        body: '  private readonly basket = inject(Basket);\n  ¶readonly total = computed(() => this.basket.lines().reduce((sum, line) => sum + line.price * line.count, 0));',
        template: '<h1>{{ total() }}</h1>',
      }),
      'foot.component.ts': part({
        selector: 'foot',
        core: 'computed, inject',
        head: "import { Basket } from './basket';\n",
        body: '  readonly basket = inject(Basket);\n  ¶readonly sum = computed(() => this.basket.lines().reduce((sum, line) => sum + line.price * line.count, 0));',
        template: '<button (click)="basket.add()">add</button><b>{{ sum() }}</b>',
      }),
    }),
    by: [],
  }),
  mended({
    rule: 'two-truths',
    form: 'two parts ask one address each for itself',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        uses: { ListComponent: './list.component', CountComponent: './count.component' },
        template: '<app-count /><app-list />',
      }),
      'list.component.ts': part({
        selector: 'list',
        core: 'inject, OnInit, signal',
        head: "import { HttpClient } from '@angular/common/http';\n",
        body: "  private readonly http = inject(HttpClient);\n  readonly crew = signal<{ name: string }[]>([]);\n  ngOnInit() { this.http.get<{ name: string }[]>('/api/crew').subscribe((crew) => this.crew.set(crew)); }\n  add() { this.crew.update((crew) => [...crew, { name: 'Wren' }]); }",
        template: '<button (click)="add()">add</button>@for (one of crew(); track one.name) { <p>{{ one.name }}</p> }',
      }),
      'count.component.ts': part({
        selector: 'count',
        core: 'inject, OnInit, signal',
        head: "import { HttpClient } from '@angular/common/http';\n",
        body: "  private readonly http = inject(HttpClient);\n  readonly count = signal(0);\n  ngOnInit() {\n    ¶this.http.get<{ name: string }[]>('/api/crew').subscribe((crew) => this.count.set(crew.length));\n  }",
        template: '<p>{{ count() }} aboard</p>',
      }),
    }),
    by: [],
  }),

  mended({
    rule: 'component-unknown',
    form: 'a component that no module declares is used by one of a module',
    files: {
      'package.json': '{ "dependencies": { "@angular/core": "^17.0.0" } }',
      'src/main.ts':
        "import { platformBrowserDynamic } from '@angular/platform-browser-dynamic';\nimport { AppModule } from './app/app.module';\nplatformBrowserDynamic().bootstrapModule(AppModule);\n",
      'src/app/app.module.ts':
        "import { NgModule } from '@angular/core';\nimport { BrowserModule } from '@angular/platform-browser';\nimport { AppComponent } from './app.component';\n@NgModule({ declarations: [AppComponent], imports: [BrowserModule], bootstrap: [AppComponent] })\nexport class AppModule {}\n",
      'src/app/app.component.ts':
        "import { Component } from '@angular/core';\n@Component({ selector: 'app-root', template: `<h1>a</h1>\n¶<app-lamp></app-lamp>` })\nexport class AppComponent {}\n",
      'src/app/lamp.component.ts':
        "import { Component } from '@angular/core';\n@Component({ selector: 'app-lamp', template: `<i>lamp</i>` })\nexport class LampComponent {}\n",
    },
    by: [
      [
        "import { AppComponent } from './app.component';\n@NgModule({ declarations: [AppComponent]",
        "import { AppComponent } from './app.component';\nimport { LampComponent } from './lamp.component';\n@NgModule({ declarations: [AppComponent, LampComponent]",
      ],
    ],
  }),
  mended({
    rule: 'two-way-half',
    form: 'a banana onto a signal input beside an output of another name',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        uses: { DrawerComponent: './drawer.component' },
        core: 'signal',
        body: '  readonly open = signal(false);',
        template: '{{ open() }}<app-drawer\n ¶[(open)]="open" />',
      }),
      'drawer.component.ts': part({
        selector: 'drawer',
        core: 'input, output',
        body: '  readonly open = input(false);\n  readonly opened = output<boolean>();',
        template: '<button (click)="opened.emit(!open())">{{ open() }}</button>',
      }),
    }),
    by: [
      ['readonly opened = output', 'readonly openChange = output'],
      ['opened.emit', 'openChange.emit'],
    ],
  }),
  mended({
    rule: 'context-missing',
    form: 'a token without a factory is asked for and nobody provides it',
    files: started({
      'unit.ts': "import { InjectionToken } from '@angular/core';\nexport const UNIT = new InjectionToken<string>('unit');\n",
      'root.component.ts': part({ selector: 'root', uses: { DepthComponent: './depth.component' }, template: '<app-depth />' }),
      'depth.component.ts': part({
        selector: 'depth',
        core: 'Inject',
        head: "import { UNIT } from './unit';\n",
        body: '  constructor(\n    ¶@Inject(UNIT) readonly unit: string,\n  ) {}',
        template: '<b>4 {{ unit }}</b>',
      }),
    }),
    by: [["new InjectionToken<string>('unit')", "new InjectionToken<string>('unit', { factory: () => 'm' })"]],
  }),
  mended({
    rule: 'change-unseen',
    form: 'what a signal gives is pushed to',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        core: 'signal',
        body: "  readonly rows = signal<string[]>([]);\n  add() {\n    ¶this.rows().push('cod');\n  }",
        template: '<button (click)="add()">add</button>@for (row of rows(); track row) { <p>{{ row }}</p> }',
      }),
    }),
    by: [["this.rows().push('cod');", "this.rows.update((rows) => [...rows, 'cod']);"]],
  }),
  mended({
    rule: 'stale-reading',
    form: 'an effect reads a signal in a timer',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        core: 'effect, signal',
        body: "  readonly word = signal('');\n  readonly page = signal(1);\n  readonly said = signal('');\n  constructor() {\n    effect(() => {\n      const word = this.word();\n      setTimeout(() => {\n        ¶this.said.set(`${word} ${this.page()}`);\n      }, 300);\n    });\n  }",
        template: '<input (input)="word.set($any($event.target).value)"><button (click)="page.set(page() + 1)">more</button>{{ said() }}',
      }),
    }),
    by: [
      ['const word = this.word();', 'const word = this.word();\n      const page = this.page();'],
      ['${this.page()}', '${page}'],
    ],
  }),
  mended({
    rule: 'name-unknown',
    form: 'a reference within a block is read outside of it',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        body: '  isOpen = true;',
        template: '@if (isOpen) { <input #box> }\n<hr>\n¶<button (click)="box.focus()">focus</button>',
      }),
    }),
    or: ['handler-missing'],
    by: [['@if (isOpen) { <input #box> }', '<input #box>']],
  }),
  mended({
    rule: 'handler-missing',
    form: 'a form names the method that it should call',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        uses: { FormsModule: '@angular/forms' },
        body: '  n = 0;\n  save() { this.n += 1; }',
        template: '{{ n }}\n¶<form (ngSubmit)="save"><button>save</button></form>',
      }),
    }),
    by: [['"save"', '"save()"']],
  }),
  mended({
    rule: 'prop-unknown',
    form: 'a static attribute that is no input',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        uses: { MeterComponent: './meter.component' },
        template: '<app-meter [value]="4"\n ¶unit="kW" />',
      }),
      'meter.component.ts': part({ selector: 'meter', core: 'Input', body: '  @Input() value = 0;', template: '<b>{{ value }}</b>' }),
    }),
    by: [['\n unit="kW"', '']],
  }),
  mended({
    rule: 'event-never-raised',
    form: 'a listener by the field’s name of an output that has an alias',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        uses: { PickComponent: './pick.component' },
        body: '  n = 0;',
        template: '{{ n }}<app-pick\n ¶(selectionMade)="n = n + 1" />',
      }),
      'pick.component.ts': part({
        selector: 'pick',
        core: 'output',
        body: "  readonly selectionMade = output<void>({ alias: 'picked' });",
        template: '<button (click)="selectionMade.emit()">pick</button>',
      }),
    }),
    by: [['(selectionMade)', '(picked)']],
  }),
  mended({
    rule: 'subscription-kept',
    form: 'a stream of a service of the root is followed from ngOnInit on',
    files: started({
      'feed.ts':
        "import { Injectable } from '@angular/core';\nimport { BehaviorSubject } from 'rxjs';\n@Injectable({ providedIn: 'root' })\nexport class Feed {\n  readonly news$ = new BehaviorSubject<string>('');\n  tell(text: string) { this.news$.next(text); }\n}\n",
      'root.component.ts': part({
        selector: 'root',
        uses: { NewsComponent: './news.component' },
        core: 'inject',
        head: "import { Feed } from './feed';\n",
        body: '  readonly feed = inject(Feed);\n  isOn = true;',
        template: '<button (click)="isOn = !isOn">x</button><button (click)="feed.tell(\'a\')">tell</button>@if (isOn) { <app-news /> }',
      }),
      'news.component.ts': part({
        selector: 'news',
        core: 'inject, OnInit',
        head: "import { Feed } from './feed';\n",
        body: "  private readonly feed = inject(Feed);\n  text = '';\n  ngOnInit() {\n    ¶this.feed.news$.subscribe((text) => { this.text = text; });\n  }",
        template: '<p>{{ text }}</p>',
      }),
    }),
    by: [
      [
        "core';\nimport { Feed } from './feed';\n\n@Component({\n  selector: 'app-news'",
        "core';\nimport { Subscription } from 'rxjs';\nimport { Feed } from './feed';\n\n@Component({\n  selector: 'app-news'",
      ],
      [
        "text = '';\n  ngOnInit() {\n    this.feed",
        "text = '';\n  private kept?: Subscription;\n  ngOnDestroy() { this.kept?.unsubscribe(); }\n  ngOnInit() {\n    this.kept = this.feed",
      ],
    ],
  }),
  mended({
    rule: 'context-close',
    form: 'a service is provided by a part for one other, one level below',
    files: started({
      'tally.ts':
        "import { Injectable, signal } from '@angular/core';\n@Injectable()\nexport class Tally {\n  readonly n = signal(0);\n  add() { this.n.update((one) => one + 1); }\n}\n",
      'root.component.ts': part({
        selector: 'root',
        uses: { CountComponent: './count.component' },
        head: "import { Tally } from './tally';\n",
        more: '\n  ¶providers: [Tally],',
        template: '<h1>a</h1><app-count />',
      }),
      'count.component.ts': part({
        selector: 'count',
        core: 'inject',
        head: "import { Tally } from './tally';\n",
        body: '  readonly tally = inject(Tally);',
        template: '<button (click)="tally.add()">{{ tally.n() }}</button>',
      }),
    }),
    or: ['store-private'],
    by: [],
  }),
  mended({
    rule: 'prop-copied',
    form: 'a control of a form begins with an input',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        uses: { EditComponent: './edit.component' },
        body: "  at = 0;\n  notes = ['oak', 'elm'];",
        template: '<button (click)="at = 1 - at">other</button><app-edit [note]="notes[at]" />',
      }),
      'edit.component.ts': part({
        selector: 'edit',
        core: 'Input, OnInit',
        uses: { ReactiveFormsModule: '@angular/forms' },
        head: "import { FormControl } from '@angular/forms';\n",
        body: "  @Input() note = '';\n  control!: FormControl<string | null>;\n  ngOnInit() {\n    ¶this.control = new FormControl(this.note);\n  }",
        template: '<input [formControl]="control">',
      }),
    }),
    or: ['stale-reading'],
    by: [],
  }),
  mended({
    rule: 'wrapper-empty',
    form: 'a container without anything that it does',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        body: '  n = 4;',
        template: '<main>\n¶<ng-container><p>{{ n }}</p></ng-container>\n</main>',
      }),
    }),
    by: [['<ng-container><p>{{ n }}</p></ng-container>', '<p>{{ n }}</p>']],
  }),
  mended({
    rule: 'default-lacking',
    form: 'a signal input without a default is opened as if it were given',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        uses: { CardComponent: './card.component' },
        template: '<app-card name="a" />\n<hr>\n<app-card />',
      }),
      'card.component.ts': part({
        selector: 'card',
        core: 'input, computed',
        body: '  readonly name = input<string>();\n  readonly title = computed(() => {\n    ¶return this.name()!.toUpperCase();\n  });',
        template: '<b>{{ title() }}</b>',
      }),
    }),
    or: ['prop-missing'],
    by: [['this.name()!.toUpperCase()', "(this.name() ?? '').toUpperCase()"]],
  }),
  mended({
    rule: 'prop-kind',
    form: 'a number is given as a text to a number',
    files: started({
      'root.component.ts': part({ selector: 'root', uses: { StepComponent: './step.component' }, template: '<app-step\n ¶count="4" />' }),
      'step.component.ts': part({
        selector: 'step',
        core: 'input',
        body: '  readonly count = input.required<number>();',
        template: '<b>{{ count() + 1 }}</b>',
      }),
    }),
    by: [['count="4"', '[count]="4"']],
  }),
  mended({
    rule: 'list-unkeyed',
    form: 'a signal of rows with a field is given a list that grows at its front',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        core: 'signal',
        body: "  readonly rows = signal(['a']);\n  add() { this.rows.update((all) => [`z${all.length}`, ...all]); }",
        template: '<button (click)="add()">add</button>\n¶@for (row of rows(); track $index) { <label>{{ row }}<input></label> }',
      }),
    }),
    by: [['track $index', 'track row']],
  }),
  mended({
    rule: 'prop-copied',
    form: 'a draft begins with what an input says, without the blanks around it',
    files: started({
      'root.component.ts': part({
        selector: 'root',
        core: 'signal',
        uses: { EditComponent: './edit.component' },
        body: "  readonly note = signal('a');",
        template: '<button (click)="note.set(\'b\')">next</button><app-edit [note]="note()" />',
      }),
      'edit.component.ts': part({
        selector: 'edit',
        core: 'Input',
        body: "  @Input() note = '';\n  draft = '';\n  ngOnInit() {\n    ¶this.draft = this.note.trim();\n  }",
        template: '<textarea (input)="draft = \'x\'">{{ draft }}</textarea>',
      }),
    }),
    by: [['ngOnInit', 'ngOnChanges']],
  }),
];
