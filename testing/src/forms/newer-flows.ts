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

const exposed = '<LightningComponentBundle><isExposed>true</isExposed></LightningComponentBundle>\n';

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
  {
    framework: 'elements',
    form: 'a plain element’s list, pushed in a handler of a form, cleared by a button, drawn again by hand',
    ask: 'changes:LogBook.entries',
    files: {
      'index.html': `<!doctype html>
<html lang="en"><head><title>Log</title><script type="module" src="./src/main.js"></script></head>
<body><log-book></log-book></body></html>
`,
      'src/main.js': `import './log-line.js';

class LogBook extends HTMLElement {
  #entries = [];

  connectedCallback() {
    this.innerHTML = '<form><input name="text"><button>add</button></form><button class="clear">clear</button><ul></ul>';
    this.querySelector('form').addEventListener('submit', (event) => {
      event.preventDefault();



      ①this.#entries.push(event.target.text.value);
      this.draw();
    });



    this.querySelector('.clear').addEventListener('click', () => {
      ②this.#entries = [];
      this.draw();
    });
  }



  draw() {
    ⓪this.querySelector('ul').innerHTML = this.#entries.map((one) => \`<log-line text="\${one}"></log-line>\`).join('');
  }
}

customElements.define('log-book', LogBook);
`,
      'src/log-line.js': `class LogLine extends HTMLElement {
  static observedAttributes = ['text'];
  attributeChangedCallback(name, before, text) {
    this.textContent = text;
  }
}

customElements.define('log-line', LogLine);
`,
    },
  },
  {
    framework: 'elements',
    form: 'who hears an event of a slotted tab, on the host that holds the slot',
    ask: 'hears:TabHead.select',
    files: {
      'index.html': `<!doctype html>
<html lang="en"><head><title>Tabs</title><script type="module" src="./src/main.js"></script></head>
<body><dock-app></dock-app></body></html>
`,
      'src/main.js': `import { LitElement, html } from 'lit';
import './tab-bar.js';
import './tab-head.js';

class DockApp extends LitElement {
  static properties = { at: { state: true } };



  note() {
    ⓪this.at = 'none';
  }



  render() {
    return html\`
      <tab-bar>
        <tab-head name="a"></tab-head>
        <tab-head name="b"></tab-head>
      </tab-bar>



      <button @click=\${this.note}>\${this.at}</button>
    \`;
  }
}

customElements.define('dock-app', DockApp);
`,
      'src/tab-bar.js': `import { LitElement, html } from 'lit';

class TabBar extends LitElement {
  constructor() {
    super();



    ①this.addEventListener('select', this.choose);
  }



  choose(event) {
    ②this.chosen = event.detail;
    this.requestUpdate();
  }

  render() {
    return html\`<p>\${this.chosen}</p><slot></slot>\`;
  }
}

customElements.define('tab-bar', TabBar);
`,
      'src/tab-head.js': `import { LitElement, html } from 'lit';

class TabHead extends LitElement {
  static properties = { name: {} };

  pick() {
    this.dispatchEvent(new CustomEvent('select', { detail: this.name, bubbles: true }));
  }

  render() {
    return html\`<button @click=\${this.pick}>\${this.name}</button>\`;
  }
}

customElements.define('tab-head', TabHead);
`,
    },
  },
  {
    framework: 'elements',
    form: 'where a property comes from: a task of a request in willUpdate, through a map',
    ask: 'comes:PriceTag.amount',
    files: {
      'index.html': `<!doctype html>
<html lang="en"><head><title>Shop</title><script type="module" src="./src/main.js"></script></head>
<body><shop-list></shop-list></body></html>
`,
      'src/main.js': `import { LitElement, html } from 'lit';
import { repeat } from 'lit/directives/repeat.js';
import { fetchGoods } from './api.js';
import './price-tag.js';

class ShopList extends LitElement {
  static properties = { goods: { state: true }, page: { type: Number } };
  goods = [];



  async willUpdate(changed) {
    if (!changed.has('page')) return;



    ①this.goods = await fetchGoods(this.page);
  }



  render() {
    return html\`<ul>
      \${repeat(
        this.goods,
        (one) => one.id,
        (one) => html\`<li>



          ②<price-tag .amount=\${one.price}></price-tag>
        </li>\`,
      )}
    </ul>\`;
  }
}

customElements.define('shop-list', ShopList);
`,
      'src/api.js': `export async function fetchGoods(page) {



  ③const answer = await fetch(\`/api/goods?page=\${page}\`);
  return answer.json();
}
`,
      'src/price-tag.js': `import { LitElement, html } from 'lit';

class PriceTag extends LitElement {
  static properties = { amount: { type: Number } };
  render() {
    return html\`<b>\${this.amount}</b>\`;
  }
}

customElements.define('price-tag', PriceTag);
`,
    },
  },
  {
    framework: 'elements',
    form: 'a reactive property through a decorator class to a child attribute, a class map and updated()',
    ask: 'goes:MapView.zoom',
    files: {
      'index.html': `<!doctype html>
<html lang="en"><head><title>Map</title><script type="module" src="./src/main.ts"></script></head>
<body><map-view></map-view></body></html>
`,
      'src/main.ts': `import { LitElement, html } from 'lit';
import { customElement, property, state } from 'lit/decorators.js';
import { classMap } from 'lit/directives/class-map.js';
import './zoom-bar';

@customElement('map-view')
export class MapView extends LitElement {
  @property({ type: Number, reflect: true }) zoom = 3;
  @state() private tone = 'day';



  updated(changed: Map<string, unknown>) {
    ①if (changed.has('zoom')) document.title = \`Zoom \${this.zoom}\`;
  }



  render() {
    return html\`
      ②<div class=\${classMap({ near: this.zoom > 5 })}></div>



      ③<zoom-bar .level=\${this.zoom} @level-change=\${(event: CustomEvent<number>) => (this.zoom = event.detail)}></zoom-bar>



      ⓪<p @click=\${() => (this.tone = 'night')}>\${this.tone}</p>
    \`;
  }
}
`,
      'src/zoom-bar.ts': `import { LitElement, html } from 'lit';
import { customElement, property } from 'lit/decorators.js';

@customElement('zoom-bar')
export class ZoomBar extends LitElement {
  @property({ attribute: false }) level = 0;

  private send(by: number) {
    this.dispatchEvent(new CustomEvent('level-change', { detail: this.level + by }));
  }

  render() {
    return html\`
      <button @click=\${() => this.send(1)}>+</button>



      ④<b>\${this.level}</b>
    \`;
  }
}
`,
    },
  },
  {
    framework: 'lwc',
    form: 'an object replaced by spread from a child’s change event, and cleared in a message handler',
    ask: 'changes:app.filters',
    files: {
      'force-app/main/default/lwc/app/app.js': `import { LightningElement, wire } from 'lwc';
import { subscribe, MessageContext } from 'lightning/messageService';
import RESET from '@salesforce/messageChannel/Reset__c';

export default class App extends LightningElement {
  filters = { name: '', berth: 0 };
  open = false;
  subscription;

  @wire(MessageContext) context;



  connectedCallback() {
    this.subscription = subscribe(this.context, RESET, () => {
      ①this.filters = { name: '', berth: 0 };
    });
  }



  change(event) {
    const { field, value } = event.detail;
    ②this.filters = { ...this.filters, [field]: value };
  }



  toggle() {
    ⓪this.open = !this.open;
  }
}
`,
      'force-app/main/default/lwc/app/app.html': `<template>
  <p>{filters.name} {filters.berth} {open}</p>
  <button onclick={toggle}>open</button>



  ③<c-filter-field label="name" onfilterchange={change}></c-filter-field>
</template>
`,
      'force-app/main/default/lwc/app/app.js-meta.xml': exposed,
      'force-app/main/default/lwc/filterField/filterField.js': `import { LightningElement, api } from 'lwc';

export default class FilterField extends LightningElement {
  @api label;



  handleChange(event) {
    ④this.dispatchEvent(new CustomEvent('filterchange', { detail: { field: this.label, value: event.target.value } }));
  }
}
`,
      'force-app/main/default/lwc/filterField/filterField.html': `<template>
  <label>{label}



    ⑤<input onchange={handleChange}></label>
</template>
`,
    },
  },
  {
    framework: 'lwc',
    form: 'a record id into a wire, a child’s public property with a setter, and a getter’s text',
    ask: 'goes:app.recordId',
    files: {
      'force-app/main/default/lwc/app/app.js': `import { LightningElement, api, wire } from 'lwc';
import getVisits from '@salesforce/apex/Visits.getVisits';

export default class App extends LightningElement {
  @api recordId;
  heading = 'Visits';



  ①@wire(getVisits, { boat: '$recordId' }) visits;
}
`,
      'force-app/main/default/lwc/app/app.html': `<template>
  <h1>{heading}</h1>



  ②<c-boat-head boat-id={recordId}></c-boat-head>
  <template lwc:if={visits.data}><p>{visits.data.length}</p></template>
</template>
`,
      'force-app/main/default/lwc/app/app.js-meta.xml': exposed,
      'force-app/main/default/lwc/boatHead/boatHead.js': `import { LightningElement, api } from 'lwc';

export default class BoatHead extends LightningElement {
  _boatId;
  tone = 'light';



  @api
  get boatId() {
    return this._boatId;
  }
  set boatId(value) {
    ③this._boatId = value;
  }



  get link() {
    ④return \`/boats/\${this._boatId}\`;
  }
}
`,
      'force-app/main/default/lwc/boatHead/boatHead.html': `<template>
  <i class={tone}>boat</i>



  ⑤<a href={link}>open</a>
</template>
`,
    },
  },
  {
    framework: 'lwc',
    form: 'who hears an event on a list item from a row in an iteration, with its dataset',
    ask: 'hears:rowAction.act',
    files: {
      'force-app/main/default/lwc/app/app.js': `import { LightningElement } from 'lwc';

export default class App extends LightningElement {
  rows = [{ id: 1 }];
  last;



  handleAct(event) {
    ②this.last = event.currentTarget.dataset.id;
  }
}
`,
      'force-app/main/default/lwc/app/app.html': `<template>
  <p>{last}</p>
  <ul>
    <template for:each={rows} for:item="row">



      ①<li key={row.id} data-id={row.id} onact={handleAct}>
        <c-row-action></c-row-action>
      </li>
    </template>
  </ul>
</template>
`,
      'force-app/main/default/lwc/app/app.js-meta.xml': exposed,
      'force-app/main/default/lwc/rowAction/rowAction.js': `import { LightningElement } from 'lwc';

export default class RowAction extends LightningElement {
  act() {
    this.dispatchEvent(new CustomEvent('act', { bubbles: true }));
  }
}
`,
      'force-app/main/default/lwc/rowAction/rowAction.html': `<template><button onclick={act}>act</button></template>
`,
    },
  },
  {
    framework: 'lwc',
    form: 'where a sum comes from: a method called by template query with a computed value',
    ask: 'comes:total.sum',
    files: {
      'force-app/main/default/lwc/app/app.js': `import { LightningElement } from 'lwc';

export default class App extends LightningElement {
  lines = [];
  title = 'Sums';



  async connectedCallback() {
    ①this.lines = await fetch('/lines').then((answer) => answer.json());
  }



  get sum() {
    ②return this.lines.reduce((all, line) => all + line.cost, 0);
  }
}
`,
      'force-app/main/default/lwc/app/app.html': `<template>



  ⓪<h1>{title}</h1>



  ③<c-total sum={sum}></c-total>
</template>
`,
      'force-app/main/default/lwc/app/app.js-meta.xml': exposed,
      'force-app/main/default/lwc/total/total.js': `import { LightningElement, api } from 'lwc';

export default class Total extends LightningElement {
  @api sum = 0;
}
`,
      'force-app/main/default/lwc/total/total.html': `<template><b>{sum}</b></template>
`,
    },
  },
  {
    framework: 'angular',
    form: 'a signal changed by a two-way model of a child, a key listener and a route’s parameter',
    ask: 'changes:Root.query',
    files: {
      ...angularStart,
      'src/app/root.ts': `import { Component, inject, signal } from '@angular/core';
import { ActivatedRoute } from '@angular/router';
import { SearchBox } from './search-box';

@Component({
  selector: 'app-root',
  imports: [SearchBox],
  host: { '(document:keydown.escape)': 'clear()' },
  template: \`
    <p>{{ query() }} {{ wide() }}</p>



    ①<app-search-box [(text)]="query" />



    ⓪<button (click)="wide.set(true)">wide</button>
  \`,
})
export class Root {
  readonly query = signal('');
  readonly wide = signal(false);
  private readonly route = inject(ActivatedRoute);



  constructor() {
    this.route.queryParamMap.subscribe((map) => {
      ②this.query.set(map.get('q') ?? '');
    });
  }



  clear() {
    ③this.query.set('');
  }
}
`,
      'src/app/search-box.ts': `import { Component, model } from '@angular/core';

@Component({
  selector: 'app-search-box',
  template: \`
    <label>Search



      ④<input [value]="text()" (input)="text.set($any($event.target).value)" />
    </label>
  \`,
})
export class SearchBox {
  readonly text = model('');
}
`,
    },
  },
  {
    framework: 'angular',
    form: 'a value in a service’s subject through a pipe of operators and the async pipe',
    ask: 'goes:Fleet.rate',
    files: {
      'package.json': `{ "dependencies": { "@angular/core": "^20.0.0" } }
`,
      'src/main.ts': `import { bootstrapApplication } from '@angular/platform-browser';
import { Fleet } from './app/fleet';
bootstrapApplication(Fleet);
`,
      'src/app/fleet.ts': `import { Component, inject } from '@angular/core';
import { AsyncPipe } from '@angular/common';
import { BehaviorSubject, map } from 'rxjs';
import { Cost } from './cost';

@Component({
  selector: 'app-root',
  imports: [AsyncPipe, Cost],
  template: \`
    <h1>{{ name }}</h1>



    ②<app-cost [amount]="(cost$ | async) ?? 0" />
    <button (click)="rate.next(2)">2</button>
  \`,
})
export class Fleet {
  readonly rate = new BehaviorSubject(1);
  readonly name = 'Fleet';



  ①readonly cost$ = this.rate.pipe(map((rate) => rate * 40));
}
`,
      'src/app/cost.ts': `import { Component, input } from '@angular/core';

@Component({
  selector: 'app-cost',
  template: \`
    <hr />



    ③<b>{{ amount() }}</b>
  \`,
})
export class Cost {
  readonly amount = input(0);
}
`,
    },
  },
  {
    framework: 'angular',
    form: 'where an input comes from: a resource keyed by a signal, in an @for',
    ask: 'comes:BoatCard.boat',
    files: {
      ...angularStart,
      'src/app/root.ts': `import { Component, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { BoatCard } from './boat-card';
import { Boats } from './boats';

@Component({
  selector: 'app-root',
  imports: [BoatCard],
  template: \`
    @for (boat of list(); track boat.id) {



      ①<app-boat-card [boat]="boat" />
    }
  \`,
})
export class Root {
  private readonly boats = inject(Boats);



  ②readonly list = toSignal(this.boats.all(), { initialValue: [] });
}
`,
      'src/app/boats.ts': `import { HttpClient } from '@angular/common/http';
import { Injectable, inject } from '@angular/core';

export type Boat = { id: number; name: string };

@Injectable({ providedIn: 'root' })
export class Boats {
  private readonly http = inject(HttpClient);



  all() {
    ③return this.http.get<Boat[]>('/api/boats');
  }
}
`,
      'src/app/boat-card.ts': `import { Component, input } from '@angular/core';
import type { Boat } from './boats';

@Component({ selector: 'app-boat-card', template: \`<b>{{ boat().name }}</b>\` })
export class BoatCard {
  readonly boat = input.required<Boat>();
}
`,
    },
  },
  {
    framework: 'angular',
    form: 'who hears a decorated output with an alias, from an ng-template outlet',
    ask: 'hears:Stars.rated',
    files: {
      ...angularStart,
      'src/app/root.ts': `import { Component } from '@angular/core';
import { NgTemplateOutlet } from '@angular/common';
import { Stars } from './stars';

@Component({
  selector: 'app-root',
  imports: [NgTemplateOutlet, Stars],
  template: \`
    <ng-container [ngTemplateOutlet]="rating" />



    <ng-template #rating>
      ①<app-stars (score)="save($event)" />
    </ng-template>
    <p>{{ last }}</p>
  \`,
})
export class Root {
  last = 0;



  save(score: number) {
    ②this.last = score;
  }



  other() {
    ⓪this.last = 1;
  }
}
`,
      'src/app/stars.ts': `import { Component, EventEmitter, Output } from '@angular/core';

@Component({ selector: 'app-stars', template: \`<button (click)="rated.emit(5)">5</button>\` })
export class Stars {
  @Output('score') rated = new EventEmitter<number>();
}
`,
    },
  },
  {
    framework: 'angular',
    form: 'who works with a setting handed down through a directive’s input',
    ask: 'impact:Root.unit',
    files: {
      ...angularStart,
      'src/app/root.ts': `import { Component, signal } from '@angular/core';
import { Depth } from './depth';
import { Title } from './title';

@Component({
  selector: 'app-root',
  imports: [Depth, Title],
  template: \`
    <button (click)="unit.set('ft')">ft</button>
    <app-depth [unit]="unit()" />
    <app-title [text]="title()" />
  \`,
})
export class Root {
  readonly unit = signal('m');
  readonly title = signal('Depth');
}
`,
      'src/app/depth.ts': `import { Component, computed, input } from '@angular/core';





①@Component({ selector: 'app-depth', template: \`<b>{{ shown() }}</b>\` })
export class Depth {
  readonly unit = input('m');
  readonly shown = computed(() => (this.unit() === 'm' ? 3 : 10));
}
`,
      'src/app/title.ts': `import { Component, input } from '@angular/core';





⓪@Component({ selector: 'app-title', template: \`<h1>{{ text() }}</h1>\` })
export class Title {
  readonly text = input('');
}
`,
    },
  },
  {
    framework: 'astro',
    form: 'a value of a path’s props through a component and define:vars into a script',
    ask: 'goes:[boat].boat',
    files: {
      'package.json': `{ "dependencies": { "astro": "^5.0.0" } }
`,
      'src/pages/[boat].astro': `---
import Head from '../components/Head.astro';
import { getCollection } from 'astro:content';

export async function getStaticPaths() {
  const boats = await getCollection('boats');
  return boats.map((boat) => ({ params: { boat: boat.slug }, props: { boat: boat.data } }));
}

const { boat } = Astro.props;
---



①<Head title={boat.name} />



②<script define:vars={{ id: boat.id }}>
  document.body.dataset.boat = id;
</script>
`,
      'src/components/Head.astro': `---
const { title, sub = 'Boats' } = Astro.props;
---



③<h1>{title}</h1>



⓪<p>{sub}</p>
`,
    },
  },
  {
    framework: 'astro',
    form: 'a map store changed by an island’s key and a script of the page',
    ask: 'changes:src/stores/cart.js#cart',
    files: {
      'package.json': `{ "dependencies": { "astro": "^5.0.0", "@astrojs/svelte": "^7.0.0", "svelte": "^5.0.0", "nanostores": "^1.0.0" } }
`,
      'astro.config.mjs': `import { defineConfig } from 'astro/config';
import svelte from '@astrojs/svelte';
export default defineConfig({ integrations: [svelte()] });
`,
      'src/stores/cart.js': `import { map } from 'nanostores';

export const cart = map({});



export function put(id, count) {
  ①cart.setKey(id, count);
}
`,
      'src/components/Put.svelte': `<script>
  import { cart, put } from '../stores/cart';
  let { id } = $props();
</script>

<b>{Object.keys($cart).length}</b>



②<button onclick={() => put(id, 1)}>put</button>
`,
      'src/pages/index.astro': `---
import Put from '../components/Put.svelte';
---
<Put client:load id="rope" />
<button id="empty">empty</button>



<script>
  import { cart } from '../stores/cart';
  document.querySelector('#empty').addEventListener('click', () => {
    ③cart.set({});
  });
</script>
`,
    },
  },
  {
    framework: 'astro',
    form: 'where a number comes from: a request in the frontmatter of a layout, handed into a slot’s part',
    ask: 'comes:Badge.count',
    files: {
      'package.json': `{ "dependencies": { "astro": "^5.0.0" } }
`,
      'src/pages/index.astro': `---
import Shell from '../layouts/Shell.astro';
import Badge from '../components/Badge.astro';



①const answer = await fetch('https://example.org/tides.json');
const tides = await answer.json();



②const high = tides.filter((tide) => tide.height > 3);
---
<Shell title="Tides">



  ③<Badge count={high.length} />
</Shell>
`,
      'src/layouts/Shell.astro': `---
const { title } = Astro.props;
---



⓪<html lang="en"><head><title>{title}</title></head><body><slot /></body></html>
`,
      'src/components/Badge.astro': `---
const { count } = Astro.props;
---
<b>{count}</b>
`,
    },
  },
  {
    framework: 'astro',
    form: 'who hears an event that an element on a page sends to a script of another component',
    ask: 'hears:Rating.rate',
    files: {
      'package.json': `{ "dependencies": { "astro": "^5.0.0" } }
`,
      'src/pages/index.astro': `---
import Rating from '../components/Rating.astro';
import Sum from '../components/Sum.astro';
---
<Rating />
<Sum />
`,
      'src/components/Rating.astro': `<star-rating><button>5</button></star-rating>

<script>
  class StarRating extends HTMLElement {
    connectedCallback() {
      this.querySelector('button').addEventListener('click', () => {
        this.dispatchEvent(new CustomEvent('rate', { detail: 5, bubbles: true }));
      });
    }
  }
  customElements.define('star-rating', StarRating);
</script>
`,
      'src/components/Sum.astro': `<output id="sum"></output>

<script>
  const sum = document.querySelector('#sum');



  document.addEventListener('rate', (event) => {
    ①sum.textContent = event.detail;
  });
</script>
`,
    },
  },
];
