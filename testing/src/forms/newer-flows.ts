import { bundles } from '../bundles';
import { astroPackages } from './astro';
import { page } from './elements';
import type { FlowForm } from './flows';

const lit = (tag: string, name: string, body: string, head = ''): string =>
  `import { LitElement, html } from 'lit';\n${head}\nexport class ${name} extends LitElement {\n${body}\n}\n\ncustomElements.define('${tag}', ${name});\n`;

const angular = (selector: string, name: string, imports: string, template: string, body: string, head = ''): string =>
  `import { Component, computed, inject, input, output, signal } from '@angular/core';\n${head}\n@Component({\n  selector: 'app-${selector}',\n  imports: [${imports}],\n  template: \`\n${template}\n\`,\n})\nexport class ${name} {\n${body}\n}\n`;

const angularStart = {
  'package.json': '{ "dependencies": { "@angular/core": "^20.0.0" } }',
  'src/main.ts':
    "import { bootstrapApplication } from '@angular/platform-browser';\nimport { Root } from './app/root';\nbootstrapApplication(Root);\n",
};

/** Questions of flow over what people write in the newer frameworks. */
export const newerFlowForms: readonly FlowForm[] = [
  {
    framework: 'elements',
    form: 'a list that a part’s event and a request change',
    ask: 'changes:HaulApp.hauls',
    files: {
      'index.html': page('<haul-app></haul-app>'),
      'src/main.js': lit(
        'haul-app',
        'HaulApp',
        `  static properties = { hauls: { state: true } };

  constructor() {
    super();
    this.hauls = [];
  }



  async connectedCallback() {
    super.connectedCallback();
    const answer = await fetch('/api/hauls');
    ①this.hauls = await answer.json();
  }



  add(event) {
    ②this.hauls = [...this.hauls, event.detail];
  }



  render() {
    return html\`
      <p>\${this.hauls.length}</p>



      ③<haul-form @caught=\${this.add}></haul-form>
    \`;
  }`,
        "import './haul-form.js';\n",
      ),
      'src/haul-form.js': lit(
        'haul-form',
        'HaulForm',
        `  static properties = { kind: { state: true } };



  send() {
    ④this.dispatchEvent(new CustomEvent('caught', { detail: this.kind }));
  }



  render() {
    return html\`
      <input @input=\${(event) => (this.kind = event.target.value)}>



      ⑤<button @click=\${this.send}>catch</button>
    \`;
  }`,
      ),
    },
  },
  {
    framework: 'elements',
    form: 'a value that goes on as a property, a computed attribute, and a text',
    ask: 'goes:DepthApp.depth',
    files: {
      'index.html': page('<depth-app></depth-app>'),
      'src/main.js': lit(
        'depth-app',
        'DepthApp',
        `  static properties = { depth: { state: true }, name: { state: true } };

  constructor() {
    super();
    this.depth = 4;
    this.name = 'Weir';
  }



  render() {
    return html\`
      <h1>\${this.name}</h1>



      ①<depth-view .metres=\${this.depth}></depth-view>
    \`;
  }`,
        "import './depth-view.js';\n",
      ),
      'src/depth-view.js': lit(
        'depth-view',
        'DepthView',
        `  static properties = { metres: { type: Number }, unit: {} };



  get feet() {
    ②return this.metres * 3.28;
  }



  render() {
    return html\`
      ③<b>\${this.feet} ft</b>



      ④<depth-bar length="\${this.metres * 10}"></depth-bar>



      ⓪<i>\${this.unit}</i>
    \`;
  }`,
        "import './depth-bar.js';\n",
      ),
      'src/depth-bar.js': lit(
        'depth-bar',
        'DepthBar',
        '  static properties = { length: { type: Number } };\n\n\n\n  render() {\n    ⑤return html`<hr style="width: ${this.length}px">`;\n  }',
      ),
    },
  },
  {
    framework: 'elements',
    form: 'an event that bubbles out of two roots to a page’s own script',
    ask: 'hears:SeatDot.taken',
    files: {
      'index.html': page(
        "<seat-plan></seat-plan>\n<script type=\"module\">\n  const plan = document.querySelector('seat-plan');\n\n\n\n  ①plan.addEventListener('taken', (event) => console.log(event.detail));\n</script>",
      ),
      'src/main.js': lit(
        'seat-plan',
        'SeatPlan',
        '  render() {\n    return html`<div><seat-dot no="4"></seat-dot></div>`;\n  }',
        "import './seat-dot.js';\n",
      ),
      'src/seat-dot.js': lit(
        'seat-dot',
        'SeatDot',
        "  static properties = { no: {} };\n\n  take() {\n    this.dispatchEvent(new CustomEvent('taken', { detail: this.no, bubbles: true, composed: true }));\n  }\n\n  render() {\n    return html`<button @click=${this.take}>${this.no}</button>`;\n  }",
      ),
    },
  },
  {
    framework: 'elements',
    form: 'who answers for a context, of two that provide it',
    ask: 'answers:DepthRead.unit',
    files: {
      'index.html': page('<unit-app></unit-app>'),
      'src/unit.js': "import { createContext } from '@lit/context';\n\nexport const unit = createContext('unit');\n",
      'src/main.js': lit(
        'unit-app',
        'UnitApp',
        "  ⓪outer = new ContextProvider(this, { context: unit, initialValue: 'm' });\n\n\n\n  render() {\n    return html`<unit-zone></unit-zone>`;\n  }",
        "import { ContextProvider } from '@lit/context';\nimport { unit } from './unit.js';\nimport './unit-zone.js';\n",
      ),
      'src/unit-zone.js': lit(
        'unit-zone',
        'UnitZone',
        "  ①inner = new ContextProvider(this, { context: unit, initialValue: 'ft' });\n\n\n\n  render() {\n    return html`<depth-read></depth-read>`;\n  }",
        "import { ContextProvider } from '@lit/context';\nimport { unit } from './unit.js';\nimport './depth-read.js';\n",
      ),
      'src/depth-read.js': lit(
        'depth-read',
        'DepthRead',
        '  unit = new ContextConsumer(this, { context: unit, subscribe: true });\n\n\n\n  render() {\n    return html`<b>${this.unit.value}</b>`;\n  }',
        "import { ContextConsumer } from '@lit/context';\nimport { unit } from './unit.js';\n",
      ),
    },
  },
  {
    framework: 'lwc',
    form: 'a count that a part two levels down changes by an event that goes outward',
    ask: 'changes:app.count',
    files: bundles({
      app: {
        exposed: true,
        js: '  count = 0;\n\n\n\n  add(event) {\n    ①this.count += event.detail;\n  }',
        html: '<p>{count}</p>\n\n\n\n②<c-crew-list onpick={add}></c-crew-list>',
      },
      crewList: { html: '<section><c-crew-name></c-crew-name></section>' },
      crewName: {
        js: "  pick() {\n    ③this.dispatchEvent(new CustomEvent('pick', { detail: 1, bubbles: true, composed: true }));\n  }",
        html: '<p>name</p>\n\n\n\n④<button onclick={pick}>Wren</button>',
      },
    }),
  },
  {
    framework: 'lwc',
    form: 'rows that go on by an attribute, through a getter and a loop, to a text',
    ask: 'goes:app.rows',
    files: bundles({
      app: {
        exposed: true,
        js: "  rows = [{ id: 1, name: 'cod' }];\n  title = 'Catch';",
        html: '<h1>{title}</h1>\n\n\n\n①<c-row-list rows={rows}></c-row-list>',
      },
      rowList: {
        js: '  @api rows;\n  @api title;\n\n\n\n  get sorted() {\n    ②return [...this.rows].reverse();\n  }',
        html: '<template for:each={sorted} for:item="row">\n\n\n\n  ③<c-row-name key={row.id} name={row.name}></c-row-name>\n</template>',
      },
      rowName: { js: '  @api name;', html: '<hr>\n\n\n\n④<b>{name}</b>' },
    }),
  },
  {
    framework: 'lwc',
    form: 'where a title comes from: a wire, through a getter of the owner',
    ask: 'comes:rowCard.title',
    files: bundles({
      app: {
        exposed: true,
        head: "import getBoat from '@salesforce/apex/Boats.getBoat';\n",
        js: "  boatId = '4';\n\n\n\n  ①@wire(getBoat, { id: '$boatId' }) boat;\n\n\n\n  get boatTitle() {\n    ②return this.boat?.data?.name ?? '';\n  }",
        html: '<h1>Boat</h1>\n\n\n\n③<c-row-card title={boatTitle}></c-row-card>',
      },
      rowCard: { js: '  @api title;', html: '<b>{title}</b>' },
    }),
  },
  {
    framework: 'lwc',
    form: 'who hears an event that stops at the root of its owner',
    ask: 'hears:crewName.pick',
    files: bundles({
      app: {
        exposed: true,
        js: '  who;\n\n\n\n  ⓪take(event) {\n    this.who = event.detail;\n  }',
        html: '<p>{who}</p><c-crew-list onpick={take}></c-crew-list>',
      },
      crewList: {
        js: '  last;\n\n\n\n  ①note(event) {\n    this.last = event.detail;\n  }',
        html: '<p>{last}</p>\n\n\n\n②<section onpick={note}>\n\n\n\n<c-crew-name></c-crew-name></section>',
      },
      crewName: {
        js: "  pick() {\n    this.dispatchEvent(new CustomEvent('pick', { detail: 'Wren', bubbles: true }));\n  }",
        html: '<button onclick={pick}>Wren</button>',
      },
    }),
  },
  {
    framework: 'angular',
    form: 'a signal of a service that two parts change',
    ask: 'changes:src/app/tally.ts#count',
    files: {
      ...angularStart,
      'src/app/tally.ts':
        "import { Injectable, signal } from '@angular/core';\n\n@Injectable({ providedIn: 'root' })\nexport class Tally {\n  readonly count = signal(0);\n\n\n\n  add(by: number) {\n    ①this.count.update((before) => before + by);\n  }\n\n\n\n  clear() {\n    ②this.count.set(0);\n  }\n}\n",
      'src/app/root.ts': angular(
        'root',
        'Root',
        'More, Less',
        '<app-more />\n<app-less />',
        '',
        "import { More } from './more';\nimport { Less } from './less';\n",
      ),
      'src/app/more.ts': angular(
        'more',
        'More',
        '',
        '  ③<button (click)="tally.add(2)">more</button>\n\n\n\n  {{ tally.count() }}',
        '  readonly tally = inject(Tally);',
        "import { Tally } from './tally';\n",
      ),
      'src/app/less.ts': angular(
        'less',
        'Less',
        '',
        '  <button (click)="drop()">none</button>',
        '  private readonly tally = inject(Tally);\n\n\n\n  drop() {\n    ④this.tally.clear();\n  }',
        "import { Tally } from './tally';\n",
      ),
    },
  },
  {
    framework: 'angular',
    form: 'a state that goes on as an input, a computed value and a text',
    ask: 'goes:Root.feet',
    files: {
      ...angularStart,
      'src/app/root.ts': angular(
        'root',
        'Root',
        'Depth',
        '  <button (click)="feet.set(5)">5</button>\n\n\n\n  ①<app-depth [feet]="feet()" unit="m" />',
        '  readonly feet = signal(4);',
        "import { Depth } from './depth';\n",
      ),
      'src/app/depth.ts': angular(
        'depth',
        'Depth',
        '',
        '  ③<b>{{ metres() }}</b>\n\n\n\n  ⓪<i>{{ unit() }}</i>',
        "  readonly feet = input.required<number>();\n  readonly unit = input('');\n\n\n\n  readonly metres = computed(() => {\n    ②return this.feet() * 0.3;\n  });",
      ),
    },
  },
  {
    framework: 'angular',
    form: 'where an input comes from: a request, followed into a field',
    ask: 'comes:Row.boats',
    files: {
      ...angularStart,
      'src/app/root.ts': angular(
        'root',
        'Root',
        'Row',
        '  ④<app-row [boats]="boats()" />',
        "  private readonly http = inject(HttpClient);\n  readonly boats = signal<string[]>([]);\n\n\n\n  constructor() {\n    ①this.http.get<string[]>('/api/boats').subscribe((found) => {\n\n\n\n      ②this.boats.set(found);\n    });\n  }",
        "import { HttpClient } from '@angular/common/http';\nimport { Row } from './row';\n",
      ),
      'src/app/row.ts': angular(
        'row',
        'Row',
        '',
        '  @for (one of boats(); track one) { <p>{{ one }}</p> }',
        '  readonly boats = input<string[]>([]);',
      ),
    },
  },
  {
    framework: 'angular',
    form: 'who hears an output that a part between hands on',
    ask: 'hears:Name.chosen',
    files: {
      ...angularStart,
      'src/app/root.ts': angular(
        'root',
        'Root',
        'List',
        '  {{ who() }}\n\n\n\n  ②<app-list (chosen)="take($event)" />',
        "  readonly who = signal('');\n\n\n\n  take(name: string) {\n    ③this.who.set(name);\n  }",
        "import { List } from './list';\n",
      ),
      'src/app/list.ts': angular(
        'list',
        'List',
        'Name',
        '  ①<app-name (chosen)="chosen.emit($event)" />',
        '  readonly chosen = output<string>();',
        "import { Name } from './name';\n",
      ),
      'src/app/name.ts': angular(
        'name',
        'Name',
        '',
        '  <button (click)="chosen.emit(\'Wren\')">Wren</button>',
        '  readonly chosen = output<string>();',
      ),
    },
  },
  {
    framework: 'astro',
    form: 'a constant of a page through a layout and a part into a started part',
    ask: 'goes:index.unit',
    files: {
      'package.json': astroPackages,
      'src/pages/index.astro':
        "---\nimport Base from '../layouts/Base.astro';\nconst unit = Astro.url.searchParams.get('unit') ?? 'm';\nconst title = 'Weir';\n---\n<p>{title}</p>\n\n\n\n①<Base unit={unit}><p>text</p></Base>\n",
      'src/layouts/Base.astro':
        '---\nimport Side from \'../components/Side.astro\';\nconst { unit } = Astro.props;\n---\n<html lang="en"><body>\n\n\n\n②<Side unit={unit} /><slot /></body></html>\n',
      'src/components/Side.astro':
        "---\nimport Dial from './Dial.jsx';\nconst { unit, tone = 'a' } = Astro.props;\n---\n<aside class={tone}>\n\n\n\n③<Dial client:load unit={unit} /></aside>\n",
      'src/components/Dial.jsx':
        "import { useState } from 'react';\n\nexport default function Dial({ unit }) {\n  const [n, setN] = useState(0);\n\n\n\n  return (\n    <button onClick={() => setN(n + 1)}>\n\n\n\n      ④{n} {unit}\n    </button>\n  );\n}\n",
    },
  },
  {
    framework: 'astro',
    form: 'a store that parts of two frameworks change',
    ask: 'changes:src/stores/level.ts#level',
    files: {
      'package.json': astroPackages,
      'src/pages/index.astro':
        "---\nimport Up from '../components/Up.vue';\nimport Down from '../components/Down.jsx';\n---\n<Up client:load /><Down client:load />\n",
      'src/stores/level.ts':
        "import { atom } from 'nanostores';\n\nexport const level = atom(0);\n\n\n\nexport function raise(by: number) {\n  ①level.set(level.get() + by);\n}\n",
      'src/components/Up.vue':
        '<script setup>\nimport { useStore } from "@nanostores/vue";\nimport { level, raise } from "../stores/level";\nconst shown = useStore(level);\n</script>\n\n<template>\n  <b>{{ shown }}</b>\n\n\n\n  ②<button @click="raise(2)">up</button>\n</template>\n',
      'src/components/Down.jsx':
        "import { level } from '../stores/level';\n\nexport default function Down() {\n  return (\n    <p>\n\n\n\n      ③<button onClick={() => level.set(0)}>down</button>\n    </p>\n  );\n}\n",
    },
  },
  {
    framework: 'astro',
    missed: true,
    form: 'where a prop comes from: what the paths of a page are given',
    ask: 'comes:Card.name',
    files: {
      'package.json': astroPackages,
      'src/pages/[id].astro':
        "---\nimport Card from '../components/Card.astro';\n\nexport function getStaticPaths() {\n  const boats = [{ id: 'a', name: 'Teal' }];\n\n\n\n  ①return boats.map((boat) => ({ params: { id: boat.id }, props: { boat } }));\n}\n\n\n\n②const { boat } = Astro.props;\n---\n<h1>Boat</h1>\n\n\n\n③<Card name={boat.name} />\n",
      'src/components/Card.astro': '---\nconst { name } = Astro.props;\n---\n<b>{name}</b>\n',
    },
  },
];
