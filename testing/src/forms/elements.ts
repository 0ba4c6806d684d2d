import { type Form, mended } from './form';

/** A page that loads the module with the elements. */
export const page = (body: string): string =>
  `<!doctype html>\n<html lang="en">\n<head><title>Quay</title><script type="module" src="./src/main.js"></script></head>\n<body>\n${body}\n</body>\n</html>\n`;

/** A module of Lit: one element, with what stands before it. */
const lit = (tag: string, name: string, body: string, head = '', more = ''): string =>
  `import { LitElement, html, nothing } from 'lit';\n${head}${more ? `import { ${more} } from 'lit/directives/${more}.js';\n` : ''}
export class ${name} extends LitElement {
${body}
}
customElements.define('${tag}', ${name});
`;

/** Faults as they are written in custom elements, plain and with Lit. */
export const elementsForms: readonly Form[] = [
  mended({
    rule: 'change-unseen',
    form: 'a Map in a reactive property gets one more entry',
    files: {
      'index.html': page('<berth-list></berth-list>'),
      'src/main.js': lit(
        'berth-list',
        'BerthList',
        `  static properties = { berths: { state: true } };
  constructor() { super(); this.berths = new Map([['a1', 'free']]); }
  take(id) {
    ¶this.berths.set(id, 'taken');
  }
  render() { return html\`<p>\${this.berths.size}</p><button @click=\${() => this.take('a2')}>take</button>\`; }`,
      ),
    },
    by: [["this.berths.set(id, 'taken');", "this.berths = new Map(this.berths).set(id, 'taken');"]],
    acts: ['take'],
  }),
  mended({
    rule: 'change-unseen',
    form: 'a private field that is shown is no reactive property',
    files: {
      'index.html': page('<tide-clock></tide-clock>'),
      'src/main.js': lit(
        'tide-clock',
        'TideClock',
        `  #turns = 0;
  turn() {
    ¶this.#turns++;
  }
  render() { return html\`<output>\${this.#turns}</output><button @click=\${this.turn}>turn</button>\`; }`,
      ),
    },
    by: [['this.#turns++;', 'this.#turns++;\n    this.requestUpdate();']],
    acts: ['turn'],
  }),
  mended({
    rule: 'change-unseen',
    form: 'a list of a property is sorted where it stands',
    files: {
      'index.html': page('<crew-list></crew-list>'),
      'src/crew-list.ts': `import { LitElement, html } from 'lit';
import { customElement, state } from 'lit/decorators.js';
@customElement('crew-list')
export class CrewList extends LitElement {
  @state() private crew = ['Wren', 'Avocet'];
  private sort() {
    ¶this.crew.sort();
  }
  render() {
    return html\`<button @click=\${this.sort}>sort</button><ol>\${this.crew.map((one) => html\`<li>\${one}</li>\`)}</ol>\`;
  }
}
`,
      'src/main.js': "import './crew-list.ts';\n",
    },
    by: [['this.crew.sort();', 'this.crew = [...this.crew].sort();']],
    acts: ['sort'],
  }),
  mended({
    rule: 'prop-unknown',
    form: 'a property of a template that the element does not have',
    files: {
      'index.html': page('<quay-board></quay-board>'),
      'src/main.js': `import './quay-sign.js';\n${lit(
        'quay-board',
        'QuayBoard',
        `  render() { return html\`
    <quay-sign .text=\${'North'}
      ¶.colour=\${'blue'}></quay-sign>\`; }`,
      )}`,
      'src/quay-sign.js': lit(
        'quay-sign',
        'QuaySign',
        `  static properties = { text: { type: String } };
  render() { return html\`<b>\${this.text}</b>\`; }`,
      ),
    },
    by: [["\n      .colour=${'blue'}", '']],
  }),
  mended({
    rule: 'prop-spelt',
    form: 'an attribute of a page is one letter off',
    files: {
      'index.html': page('<depth-mark\n  ¶metes="4"></depth-mark>'),
      'src/main.js': `class DepthMark extends HTMLElement {
  static observedAttributes = ['metres'];
  attributeChangedCallback() { this.show(); }
  connectedCallback() { this.show(); }
  show() { this.textContent = \`\${this.getAttribute('metres') ?? '?'} m\`; }
}
customElements.define('depth-mark', DepthMark);
`,
    },
    or: ['prop-unknown'],
    by: [['metes', 'metres']],
  }),
  mended({
    rule: 'prop-spelt',
    form: 'a camel-cased property is bound as an attribute with a hyphen',
    files: {
      'index.html': page('<lock-view></lock-view>'),
      'src/main.js': `import './lock-gate.js';\n${lit(
        'lock-view',
        'LockView',
        `  render() { return html\`<lock-gate
    ¶open-width="4"></lock-gate>\`; }`,
      )}`,
      'src/lock-gate.js': lit(
        'lock-gate',
        'LockGate',
        `  static properties = { openWidth: { type: Number } };
  render() { return html\`<i>\${this.openWidth ?? 0}</i>\`; }`,
      ),
    },
    or: ['prop-unknown'],
    by: [['open-width', 'openwidth']],
  }),
  mended({
    rule: 'prop-kind',
    form: 'a list is given as the text of an attribute',
    files: {
      'index.html': page('<stop-board></stop-board>'),
      'src/main.js': `import './stop-names.js';\n${lit(
        'stop-board',
        'StopBoard',
        `  stops = ['Mill', 'Weir'];
  render() { return html\`<stop-names
    ¶stops=\${this.stops}></stop-names>\`; }`,
      )}`,
      'src/stop-names.js': lit(
        'stop-names',
        'StopNames',
        `  static properties = { stops: { type: Array } };
  constructor() { super(); this.stops = []; }
  render() { return html\`<ul>\${this.stops.map((one) => html\`<li>\${one}</li>\`)}</ul>\`; }`,
      ),
    },
    by: [['stops=${', '.stops=${']],
  }),
  mended({
    rule: 'prop-kind',
    form: 'a boolean attribute is written as the word false',
    files: {
      'index.html': page('<lamp-post\n  ¶lit="false"></lamp-post>'),
      'src/main.js': lit(
        'lamp-post',
        'LampPost',
        `  static properties = { lit: { type: Boolean } };
  render() { return html\`<p>\${this.lit ? 'on' : 'off'}</p>\`; }`,
      ),
    },
    by: [['\n  lit="false"', '']],
  }),
  mended({
    rule: 'prop-missing',
    form: 'a record that is read while rendering is given at one of two places',
    files: {
      'index.html': page('<boat-yard></boat-yard>'),
      'src/main.js': `import './boat-card.js';\n${lit(
        'boat-yard',
        'BoatYard',
        `  static properties = { boat: { state: true } };
  constructor() { super(); this.boat = { name: 'Teal', feet: 40 }; }
  render() { return html\`
    <boat-card .boat=\${this.boat}></boat-card>
    <hr><hr><hr><hr>
    ¶<boat-card></boat-card>\`; }`,
      )}`,
      'src/boat-card.js': lit(
        'boat-card',
        'BoatCard',
        `  static properties = { boat: { attribute: false } };
  render() { return html\`<h3>\${this.boat.name}</h3><p>\${this.boat.feet} ft</p>\`; }`,
      ),
    },
    by: [['<hr>\n    <boat-card>', '<hr>\n    <boat-card .boat=${this.boat}>']],
  }),
  mended({
    rule: 'prop-written',
    form: 'a row toggles a field of the record that it was given',
    files: {
      'index.html': page('<task-board></task-board>'),
      'src/main.js': `import './task-row.js';\n${lit(
        'task-board',
        'TaskBoard',
        `  static properties = { tasks: { state: true } };
  constructor() { super(); this.tasks = [{ id: 1, done: false }]; }
  render() { return html\`<p>\${this.tasks.filter((one) => one.done).length} done</p>\${this.tasks.map((one) => html\`<task-row .task=\${one}></task-row>\`)}\`; }`,
      )}`,
      'src/task-row.js': lit(
        'task-row',
        'TaskRow',
        `  static properties = { task: { attribute: false } };
  flip() {
    ¶this.task.done = !this.task.done;
    this.requestUpdate();
  }
  render() { return html\`<button @click=\${this.flip}>\${this.task?.id}: \${this.task?.done ? 'done' : 'open'}</button>\`; }`,
      ),
    },
    by: [
      ['this.task.done = !this.task.done;\n    this.requestUpdate();', "this.dispatchEvent(new CustomEvent('flip'));"],
      [
        '<task-row .task=${one}></task-row>',
        '<task-row .task=${one} @flip=${() => (this.tasks = this.tasks.map((other) => (other === one ? { ...other, done: !other.done } : other)))}></task-row>',
      ],
    ],
  }),
  mended({
    rule: 'prop-copied',
    form: 'a draft is begun in connectedCallback and the value given may change',
    files: {
      'index.html': page('<note-desk></note-desk>'),
      'src/main.js': `import './note-edit.js';\n${lit(
        'note-desk',
        'NoteDesk',
        `  static properties = { at: { state: true } };
  constructor() { super(); this.at = 0; this.notes = ['oak', 'elm']; }
  render() { return html\`<button @click=\${() => (this.at = 1 - this.at)}>other</button><note-edit .note=\${this.notes[this.at]}></note-edit>\`; }`,
      )}`,
      'src/note-edit.js': lit(
        'note-edit',
        'NoteEdit',
        `  static properties = { note: {}, draft: { state: true } };
  connectedCallback() {
    super.connectedCallback();
    ¶this.draft = this.note;
  }
  render() { return html\`<input .value=\${this.draft ?? ''} @input=\${(event) => (this.draft = event.target.value)}>\`; }`,
      ),
    },
    by: [
      [
        'connectedCallback() {\n    super.connectedCallback();\n    this.draft = this.note;\n  }',
        "willUpdate(changed) {\n    if (changed.has('note')) this.draft = this.note;\n  }",
      ],
    ],
    acts: ['other'],
  }),
  mended({
    rule: 'event-stops-short',
    missed: true,
    form: 'a bubbling event of a part in a shadow root is awaited on the page',
    files: {
      'index.html': page('<seat-plan></seat-plan>\n<p id="said"></p>'),
      'src/main.js': `import './seat-dot.js';
${lit('seat-plan', 'SeatPlan', "  render() { return html`<div><seat-dot no=${'4'}></seat-dot></div>`; }")}
document.querySelector('seat-plan').addEventListener('taken', (event) => {
  document.querySelector('#said').textContent = event.detail;
});
`.replace("document.querySelector('seat-plan').addEventListener", "¶document.querySelector('seat-plan').addEventListener"),
      'src/seat-dot.js': lit(
        'seat-dot',
        'SeatDot',
        `  static properties = { no: {} };
  take() { this.dispatchEvent(new CustomEvent('taken', { detail: this.no, bubbles: true })); }
  render() { return html\`<button @click=\${this.take}>\${this.no}</button>\`; }`,
      ),
    },
    by: [['bubbles: true }', 'bubbles: true, composed: true }']],
    acts: ['4'],
  }),
  mended({
    rule: 'event-never-raised',
    form: 'a parent listens for a name that the part never sends',
    files: {
      'index.html': page('<gate-desk></gate-desk>'),
      'src/main.js': `import './gate-key.js';\n${lit(
        'gate-desk',
        'GateDesk',
        `  static properties = { open: { state: true } };
  render() { return html\`<p>\${this.open ? 'open' : 'shut'}</p><gate-key
    ¶@unlocked=\${() => (this.open = true)}></gate-key>\`; }`,
      )}`,
      'src/gate-key.js': lit(
        'gate-key',
        'GateKey',
        `  render() { return html\`<button @click=\${() => this.dispatchEvent(new Event('turned'))}>turn</button>\`; }`,
      ),
    },
    by: [['@unlocked', '@turned']],
    acts: ['turn'],
  }),
  mended({
    rule: 'event-unheard',
    form: 'a button whose click only sends an event, and nobody listens at one use',
    files: {
      'index.html': page('<order-desk></order-desk>'),
      'src/main.js': `import './order-line.js';\n${lit(
        'order-desk',
        'OrderDesk',
        `  static properties = { gone: { state: true } };
  constructor() { super(); this.gone = 0; }
  render() { return html\`<p>\${this.gone} gone</p>
    <order-line @drop=\${() => this.gone++}></order-line>
    <hr><hr>
    <order-line></order-line>\`; }`,
      )}`,
      'src/order-line.js': lit(
        'order-line',
        'OrderLine',
        `  drop() {
    ¶this.dispatchEvent(new CustomEvent('drop'));
  }
  render() { return html\`<button @click=\${this.drop}>drop</button>\`; }`,
      ),
    },
    by: [['<hr>\n    <order-line>', '<hr>\n    <order-line @drop=${() => this.gone++}>']],
    unseen: true,
  }),
  mended({
    rule: 'handler-missing',
    form: 'a listener of a template names a method that the class does not have',
    files: {
      'index.html': page('<rope-coil></rope-coil>'),
      'src/main.js': lit(
        'rope-coil',
        'RopeCoil',
        `  static properties = { turns: { state: true } };
  constructor() { super(); this.turns = 0; }
  wind() { this.turns++; }
  render() { return html\`<p>\${this.turns}</p>
    ¶<button @click=\${this.windUp}>wind</button>\`; }`,
      ),
    },
    or: ['name-unknown'],
    by: [['this.windUp', 'this.wind']],
    acts: ['wind'],
  }),
  mended({
    rule: 'handler-missing',
    form: 'a method is called while rendering instead of being handed over',
    files: {
      'index.html': page('<rope-bin></rope-bin>'),
      'src/main.js': lit(
        'rope-bin',
        'RopeBin',
        `  static properties = { said: { state: true } };
  tell() { this.said = 'told'; }
  render() { return html\`<p>\${this.said ?? 'still'}</p>
    ¶<button @click=\${this.tell()}>tell</button>\`; }`,
      ),
    },
    or: ['endless-render'],
    by: [['this.tell()}', 'this.tell}']],
    acts: ['tell'],
  }),
  mended({
    rule: 'component-unknown',
    form: 'a tag is written otherwise than it is defined',
    files: {
      'index.html': page('<pier-view></pier-view>'),
      'src/main.js': `import './pier-lamp.js';\n${lit('pier-view', 'PierView', '  render() { return html`<main>\n    ¶<pier-lamps></pier-lamps>\n  </main>`; }')}`,
      'src/pier-lamp.js': lit('pier-lamp', 'PierLamp', '  render() { return html`<i>lamp</i>`; }'),
    },
    by: [['<pier-lamps></pier-lamps>', '<pier-lamp></pier-lamp>']],
  }),
  mended({
    rule: 'subscription-kept',
    form: 'a listener of the window is bound anew when it is taken off',
    files: {
      'index.html': page('<wind-rose></wind-rose>'),
      'src/main.js': `class WindRose extends HTMLElement {
  connectedCallback() {
    ¶window.addEventListener('resize', this.draw.bind(this));
    this.draw();
  }
  disconnectedCallback() {
    window.removeEventListener('resize', this.draw.bind(this));
  }
  draw() { this.textContent = String(window.innerWidth); }
}
customElements.define('wind-rose', WindRose);
`,
    },
    by: [
      ["addEventListener('resize', this.draw.bind(this))", "addEventListener('resize', this.draw)"],
      ["removeEventListener('resize', this.draw.bind(this))", "removeEventListener('resize', this.draw)"],
      ['draw() { this.textContent = String(window.innerWidth); }', 'draw = () => { this.textContent = String(window.innerWidth); };'],
    ],
    unseen: true,
  }),
  mended({
    rule: 'subscription-kept',
    form: 'a timer is started each time the element is connected',
    files: {
      'index.html': page('<buoy-light></buoy-light>'),
      'src/main.js': lit(
        'buoy-light',
        'BuoyLight',
        `  static properties = { on: { state: true } };
  connectedCallback() {
    super.connectedCallback();
    ¶this.timer = setInterval(() => { this.on = !this.on; }, 500);
  }
  render() { return html\`\${this.on ? '●' : '○'}\`; }`,
      ),
    },
    by: [['500);\n  }', '500);\n  }\n  disconnectedCallback() { super.disconnectedCallback(); clearInterval(this.timer); }']],
    unseen: true,
  }),
  mended({
    rule: 'channel-unpaired',
    form: 'a bus of the project is sent one name and listened to by another',
    files: {
      'index.html': page('<mail-desk></mail-desk><mail-count></mail-count>'),
      'src/bus.js': 'export const bus = new EventTarget();\n',
      'src/main.js': `import './mail-count.js';\n${lit(
        'mail-desk',
        'MailDesk',
        `  send() {
    ¶bus.dispatchEvent(new CustomEvent('letter-sent', { detail: 1 }));
  }
  render() { return html\`<button @click=\${this.send}>send</button>\`; }`,
        "import { bus } from './bus.js';\n",
      )}`,
      'src/mail-count.js': lit(
        'mail-count',
        'MailCount',
        `  static properties = { count: { state: true } };
  constructor() { super(); this.count = 0; this.add = () => this.count++; }
  connectedCallback() { super.connectedCallback(); bus.addEventListener('lettersent', this.add); }
  disconnectedCallback() { bus.removeEventListener('lettersent', this.add); super.disconnectedCallback(); }
  render() { return html\`<p>\${this.count} letters</p>\`; }`,
        "import { bus } from './bus.js';\n",
      ),
    },
    by: [["'letter-sent'", "'lettersent'"]],
    acts: ['send'],
  }),
  mended({
    rule: 'slot-nowhere',
    form: 'content names a slot that the root does not have',
    files: {
      'index.html': page('<info-card>\n  ¶<h3 slot="title">Weir</h3>\n  <p>Deep water</p>\n</info-card>'),
      'src/main.js': `const shape = document.createElement('template');
shape.innerHTML = '<article><header><slot name="heading"></slot></header><slot></slot></article>';
class InfoCard extends HTMLElement {
  constructor() {
    super();
    this.attachShadow({ mode: 'open' }).append(shape.content.cloneNode(true));
  }
}
customElements.define('info-card', InfoCard);
`,
    },
    by: [['slot="title"', 'slot="heading"']],
  }),
  mended({
    rule: 'slot-nowhere',
    form: 'content between the tags of an element that has no slot at all',
    files: {
      'index.html': page('<fog-horn></fog-horn>'),
      'src/main.js': `import './brass-button.js';\n${lit('fog-horn', 'FogHorn', '  render() { return html`<section>\n    ¶<brass-button>Sound it</brass-button>\n  </section>`; }')}`,
      'src/brass-button.js': lit('brass-button', 'BrassButton', '  render() { return html`<button part="face"></button>`; }'),
    },
    by: [['<button part="face"></button>', '<button part="face"><slot></slot></button>']],
  }),
  mended({
    rule: 'context-missing',
    form: 'a consumer of a context of the package stands beside its provider',
    files: {
      'index.html': page('<tide-app></tide-app>'),
      'src/tide.js': "import { createContext } from '@lit/context';\nexport const tide = createContext(Symbol('tide'));\n",
      'src/main.js': `import './tide-zone.js';\nimport './tide-read.js';\n${lit('tide-app', 'TideApp', '  render() { return html`<tide-zone></tide-zone>\n    <hr><hr><hr>\n    <tide-read></tide-read>`; }')}`,
      'src/tide-zone.js': lit(
        'tide-zone',
        'TideZone',
        `  source = new ContextProvider(this, { context: tide, initialValue: { level: 3 } });
  render() { return html\`<slot></slot><tide-read></tide-read>\`; }`,
        "import { ContextProvider } from '@lit/context';\nimport { tide } from './tide.js';\n",
      ),
      'src/tide-read.js': lit(
        'tide-read',
        'TideRead',
        `  ¶level = new ContextConsumer(this, { context: tide, subscribe: true });
  render() { return html\`<b>\${this.level.value.level}</b>\`; }`,
        "import { ContextConsumer } from '@lit/context';\nimport { tide } from './tide.js';\n",
      ),
    },
    by: [['<tide-zone></tide-zone>\n    <hr><hr><hr>\n    <tide-read></tide-read>', '<tide-zone><tide-read></tide-read></tide-zone>']],
  }),
  mended({
    rule: 'context-unread',
    form: 'a context is provided and no element below takes it',
    files: {
      'index.html': page('<quay-app></quay-app>'),
      'src/keys.js': "import { createContext } from '@lit/context';\nexport const theme = createContext('theme');\n",
      'src/main.ts': `import { LitElement, html } from 'lit';
import { customElement, state } from 'lit/decorators.js';
import { provide } from '@lit/context';
import { theme } from './keys.js';
@customElement('quay-app')
export class QuayApp extends LitElement {
  ¶@provide({ context: theme })
  @state() theme = 'dark';
  render() {
    return html\`<button @click=\${() => (this.theme = 'light')}>light</button>\`;
  }
}
`,
    },
    by: [['@provide({ context: theme })\n', '']],
    unseen: true,
  }),
  mended({
    rule: 'list-unkeyed',
    form: 'rows that keep a field are repeated by position, and the list grows at its front',
    files: {
      'index.html': page('<haul-list></haul-list>'),
      'src/main.js': `import './haul-row.js';\n${lit(
        'haul-list',
        'HaulList',
        `  static properties = { hauls: { state: true } };
  constructor() { super(); this.hauls = [{ id: 1, name: 'cod' }]; }
  add() { this.hauls = [{ id: this.hauls.length + 1, name: 'ling' }, ...this.hauls]; }
  render() { return html\`<button @click=\${this.add}>add</button>
    ¶\${this.hauls.map((one) => html\`<haul-row .name=\${one.name}></haul-row>\`)}\`; }`,
        '',
      )}`,
      'src/haul-row.js': lit(
        'haul-row',
        'HaulRow',
        `  static properties = { name: {}, open: { state: true } };
  render() { return html\`<button @click=\${() => (this.open = !this.open)}>\${this.name}</button>\${this.open ? html\`<p>more</p>\` : nothing}\`; }`,
      ),
    },
    by: [
      [
        "import { LitElement, html, nothing } from 'lit';\n\nexport class HaulList",
        "import { LitElement, html, nothing } from 'lit';\nimport { repeat } from 'lit/directives/repeat.js';\nexport class HaulList",
      ],
      [
        '${this.hauls.map((one) => html`<haul-row .name=${one.name}></haul-row>`)}',
        '${repeat(this.hauls, (one) => one.id, (one) => html`<haul-row .name=${one.name}></haul-row>`)}',
      ],
    ],
    acts: ['cod', 'add'],
  }),
  mended({
    rule: 'two-way-half',
    form: 'a field is bound to a property and nothing takes what is typed',
    files: {
      'index.html': page('<name-field></name-field>'),
      'src/main.js': lit(
        'name-field',
        'NameField',
        `  static properties = { name: { state: true } };
  constructor() { super(); this.name = 'Wren'; }
  render() { return html\`<p>\${this.name}</p>
    <label>Name
    ¶<input .value=\${live(this.name)}></label>\`; }`,
        '',
        'live',
      ),
    },
    by: [['.value=${live(this.name)}>', '.value=${live(this.name)} @input=${(event) => (this.name = event.target.value)}>']],
    acts: ['Name=Teal'],
  }),
  mended({
    rule: 'endless-render',
    form: 'a property is counted up in updated without a question',
    files: {
      'index.html': page('<count-up></count-up>'),
      'src/main.js': lit(
        'count-up',
        'CountUp',
        `  static properties = { seen: { state: true }, name: {} };
  constructor() { super(); this.seen = 0; }
  updated() {
    ¶this.seen = this.seen + 1;
  }
  render() { return html\`<p>\${this.seen}</p>\`; }`,
      ),
    },
    by: [['updated() {\n    this.seen', "updated(changed) {\n    if (changed.has('name')) this.seen"]],
    unseen: true,
  }),
  mended({
    rule: 'prop-carried',
    form: 'a value passes through two elements that do not read it',
    files: {
      'index.html': page('<wharf-app></wharf-app>'),
      'src/main.js': `import './wharf-main.js';\n${lit(
        'wharf-app',
        'WharfApp',
        `  static properties = { unit: { state: true } };
  constructor() { super(); this.unit = 'm'; }
  render() { return html\`<select @change=\${(event) => (this.unit = event.target.value)}><option>m</option><option>ft</option></select><wharf-main .unit=\${this.unit}></wharf-main>\`; }`,
      )}`,
      'src/wharf-main.js': `import './wharf-side.js';\n${lit(
        'wharf-main',
        'WharfMain',
        `  static properties = {
    ¶unit: {},
  };
  render() { return html\`<main><h1>Wharf</h1><wharf-side .unit=\${this.unit}></wharf-side></main>\`; }`,
      )}`,
      'src/wharf-side.js': `import './wharf-depth.js';\n${lit(
        'wharf-side',
        'WharfSide',
        `  static properties = { unit: {} };
  render() { return html\`<aside><h2>Depth</h2><wharf-depth .unit=\${this.unit}></wharf-depth></aside>\`; }`,
      )}`,
      'src/wharf-depth.js': lit(
        'wharf-depth',
        'WharfDepth',
        '  static properties = { unit: {} };\n  render() { return html`<b>4 ${this.unit}</b>`; }',
      ),
    },
    by: [],
    unseen: true,
  }),
  mended({
    rule: 'event-relayed',
    form: 'an event is caught and sent again unchanged by two elements',
    files: {
      'index.html': page('<pilot-app></pilot-app>'),
      'src/main.js': `import './pilot-list.js';\n${lit(
        'pilot-app',
        'PilotApp',
        `  static properties = { who: { state: true } };
  render() { return html\`<p>\${this.who}</p><pilot-list @choose=\${(event) => (this.who = event.detail)}></pilot-list>\`; }`,
      )}`,
      'src/pilot-list.js': `import './pilot-row.js';\n${lit(
        'pilot-list',
        'PilotList',
        `  again(event) { this.dispatchEvent(new CustomEvent('choose', { detail: event.detail })); }
  render() { return html\`<ul><pilot-row @choose=\${this.again}></pilot-row></ul>\`; }`,
      )}`,
      'src/pilot-row.js': `import './pilot-name.js';\n${lit(
        'pilot-row',
        'PilotRow',
        `  again(event) {
    ¶this.dispatchEvent(new CustomEvent('choose', { detail: event.detail }));
  }
  render() { return html\`<li><pilot-name @choose=\${this.again}></pilot-name></li>\`; }`,
      )}`,
      'src/pilot-name.js': lit(
        'pilot-name',
        'PilotName',
        "  render() { return html`<button @click=${() => this.dispatchEvent(new CustomEvent('choose', { detail: 'Wren' }))}>Wren</button>`; }",
      ),
    },
    by: [],
    unseen: true,
  }),
  mended({
    rule: 'prop-idle',
    form: 'a declared property is never read, and a use gives it',
    files: {
      'index.html': page('<sail-rack></sail-rack>'),
      'src/main.js': `import './sail-tag.js';\n${lit('sail-rack', 'SailRack', '  render() { return html`<sail-tag name="jib" area="12"></sail-tag><sail-tag name="main" area="30"></sail-tag>`; }')}`,
      'src/sail-tag.js': lit(
        'sail-tag',
        'SailTag',
        `  static properties = {
    name: {},
    ¶area: { type: Number },
  };
  render() { return html\`<b>\${this.name}</b>\`; }`,
      ),
    },
    by: [['<b>${this.name}</b>', '<b>${this.name} ${this.area}</b>']],
    unseen: true,
  }),
  mended({
    rule: 'prop-unused',
    form: 'an optional property that no use gives',
    files: {
      'index.html': page('<oar-rack></oar-rack>'),
      'src/main.js': `import './oar-tag.js';\n${lit('oar-rack', 'OarRack', '  render() { return html`<oar-tag name="a"></oar-tag><oar-tag name="b"></oar-tag>`; }')}`,
      'src/oar-tag.ts': `import { LitElement, html } from 'lit';
import { customElement, property } from 'lit/decorators.js';
@customElement('oar-tag')
export class OarTag extends LitElement {
  @property() name = '';
  ¶@property({ type: Boolean }) spare = false;
  render() { return html\`<b>\${this.name}\${this.spare ? ' (spare)' : ''}</b>\`; }
}
`,
    },
    by: [['<oar-tag name="b">', '<oar-tag name="b" spare>']],
    unseen: true,
  }),
  mended({
    rule: 'slot-idle',
    form: 'a named slot that no use fills',
    files: {
      'index.html': page('<mast-app></mast-app>'),
      'src/main.js': `import './mast-panel.js';\n${lit('mast-app', 'MastApp', '  render() { return html`<mast-panel><p>one</p></mast-panel><mast-panel><p>two</p></mast-panel>`; }')}`,
      'src/mast-panel.js': lit(
        'mast-panel',
        'MastPanel',
        `  render() { return html\`<section>
    <slot></slot>
    <footer>
      ¶<slot name="actions"></slot></footer></section>\`; }`,
      ),
    },
    by: [['<p>two</p>', '<p>two</p><button slot="actions">go</button>']],
    unseen: true,
  }),
  mended({
    rule: 'component-idle',
    missed: true,
    form: 'an element is defined and stands nowhere',
    files: {
      'index.html': page('<hull-app></hull-app>'),
      'src/main.js': `import './hull-paint.js';\n${lit('hull-app', 'HullApp', '  render() { return html`<p>hull</p>`; }')}`,
      'src/hull-paint.js': lit('hull-paint', 'HullPaint', '  render() { return html`<p>paint</p>`; }').replace(
        'export class',
        '¶export class',
      ),
    },
    by: [['<p>hull</p>', '<p>hull</p><hull-paint></hull-paint>']],
    unseen: true,
  }),
  mended({
    rule: 'store-dead',
    form: 'what a module holds is set and read by nobody',
    files: {
      'index.html': page('<log-app></log-app>'),
      'src/visits.js': `¶export const visits = { count: 0 };
export function visited() {
  visits.count += 1;
}
`,
      'src/main.js': lit(
        'log-app',
        'LogApp',
        '  connectedCallback() { super.connectedCallback(); visited(); }\n  render() { return html`<p>log</p>`; }',
        "import { visited } from './visits.js';\n",
      ),
    },
    by: [],
    unseen: true,
  }),
  mended({
    rule: 'flags-many',
    form: 'four flags, each of which shows a piece, used in three ways',
    files: {
      'index.html': page('<deck-app></deck-app>'),
      'src/main.js': `import './deck-card.js';\n${lit('deck-app', 'DeckApp', '  render() { return html`<deck-card text="a" withIcon withFoot></deck-card><deck-card text="b" withIcon withFoot></deck-card><deck-card text="c" withBadge></deck-card><deck-card text="d" withBadge withHint></deck-card>`; }')}`,
      'src/deck-card.js': lit(
        'deck-card',
        'DeckCard',
        `  static properties = { text: {}, withIcon: { type: Boolean }, withFoot: { type: Boolean }, withBadge: { type: Boolean }, withHint: { type: Boolean } };
  render() { return html\`<article>\${this.withIcon ? html\`<i>*</i>\` : nothing}<b>\${this.text}</b>
    \${this.withBadge ? html\`<em>new</em>\` : nothing}
    \${this.withHint ? html\`<small>hint</small>\` : nothing}
    \${this.withFoot ? html\`<footer>foot</footer>\` : nothing}</article>\`; }`,
      ).replace('export class', '¶export class'),
    },
    by: [],
    unseen: true,
  }),
  mended({
    rule: 'twins',
    form: 'two elements with the same body under two names',
    files: {
      'index.html': page('<spar-app></spar-app>'),
      'src/main.js': `import './boat-tile.js';\nimport './spar-tile.js';\n${lit('spar-app', 'SparApp', "  render() { return html`<boat-tile .item=${{ name: 'Teal', note: 'blue' }}></boat-tile><spar-tile .item=${{ name: 'Boom', note: 'ash' }}></spar-tile>`; }")}`,
      'src/boat-tile.js': lit(
        'boat-tile',
        'BoatTile',
        `  static properties = { item: {}, open: { state: true } };
  flip() { this.open = !this.open; }
  render() { return html\`<article><header><h3>\${this.item.name}</h3><button @click=\${this.flip}>more</button></header>\${this.open ? html\`<p>\${this.item.note}</p>\` : nothing}<footer>boats</footer></article>\`; }`,
      ).replace('export class', '¶export class'),
      'src/spar-tile.js': lit(
        'spar-tile',
        'SparTile',
        `  static properties = { item: {}, open: { state: true } };
  flip() { this.open = !this.open; }
  render() { return html\`<article><header><h3>\${this.item.name}</h3><button @click=\${this.flip}>more</button></header>\${this.open ? html\`<p>\${this.item.note}</p>\` : nothing}<footer>spars</footer></article>\`; }`,
      ),
    },
    by: [],
    unseen: true,
  }),
  mended({
    rule: 'stale-reading',
    missed: true,
    form: 'a listener of the document keeps the value of the moment of connecting',
    files: {
      'index.html': page('<zoom-app></zoom-app>'),
      'src/main.js': `import './zoom-key.js';\n${lit(
        'zoom-app',
        'ZoomApp',
        `  static properties = { step: { state: true } };
  constructor() { super(); this.step = 1; }
  render() { return html\`<button @click=\${() => this.step++}>step</button><zoom-key .step=\${this.step}></zoom-key>\`; }`,
      )}`,
      'src/zoom-key.js': lit(
        'zoom-key',
        'ZoomKey',
        `  static properties = { step: { type: Number }, at: { state: true } };
  constructor() { super(); this.at = 0; }
  connectedCallback() {
    super.connectedCallback();
    ¶const { step } = this;
    this.onKey = () => { this.at += step; };
    document.addEventListener('keydown', this.onKey);
  }
  disconnectedCallback() { super.disconnectedCallback(); document.removeEventListener('keydown', this.onKey); }
  render() { return html\`<p>\${this.at}</p>\`; }`,
      ),
    },
    by: [
      ['const { step } = this;\n', ''],
      ['this.at += step;', 'this.at += this.step;'],
    ],
    unseen: true,
  }),
  mended({
    rule: 'state-too-high',
    form: 'a state that only one part of the element reads and changes',
    files: {
      'index.html': page('<shed-app></shed-app>'),
      'src/main.js': `import './shed-menu.js';\n${lit(
        'shed-app',
        'ShedApp',
        `  static properties = {
    ¶open: { state: true },
  };
  constructor() { super(); this.open = false; }
  render() { return html\`<h1>Shed</h1><shed-menu .open=\${this.open} @toggle=\${() => (this.open = !this.open)}></shed-menu>\`; }`,
      )}`,
      'src/shed-menu.js': lit(
        'shed-menu',
        'ShedMenu',
        "  static properties = { open: { type: Boolean } };\n  render() { return html`<button @click=${() => this.dispatchEvent(new CustomEvent('toggle'))}>menu</button>${this.open ? html`<ul><li>one</li></ul>` : nothing}`; }",
      ),
    },
    by: [],
    unseen: true,
  }),
  mended({
    rule: 'two-truths',
    form: 'two elements of one page read one address each for itself',
    files: {
      'index.html': page('<roster-app></roster-app>'),
      'src/main.js': `import './roster-list.js';\nimport './roster-count.js';\n${lit('roster-app', 'RosterApp', '  render() { return html`<roster-count></roster-count><roster-list></roster-list>`; }')}`,
      'src/roster-list.js': lit(
        'roster-list',
        'RosterList',
        `  static properties = { crew: { state: true } };
  constructor() { super(); this.crew = []; }
  async connectedCallback() {
    super.connectedCallback();
    const answer = await fetch('/api/crew');
    this.crew = await answer.json();
  }
  add() { this.crew = [...this.crew, { name: 'Wren' }]; }
  render() { return html\`<button @click=\${this.add}>add</button>\${this.crew.map((one) => html\`<p>\${one.name}</p>\`)}\`; }`,
      ),
      'src/roster-count.js': lit(
        'roster-count',
        'RosterCount',
        `  static properties = { count: { state: true } };
  connectedCallback() {
    super.connectedCallback();
    ¶fetch('/api/crew').then((answer) => answer.json()).then((crew) => { this.count = crew.length; });
  }
  render() { return html\`<p>\${this.count ?? 0} aboard</p>\`; }`,
      ),
    },
    by: [],
    unseen: true,
  }),

  mended({
    rule: 'prop-spelt',
    form: 'a property of a decorated class with two letters in each other’s place',
    files: {
      'index.html': page('<hut-app></hut-app>'),
      'src/main.js': `import './hut-wall.ts';\n${lit('hut-app', 'HutApp', '  render() { return html`<hut-wall\n    ¶.heigth=${4}></hut-wall>`; }')}`,
      'src/hut-wall.ts':
        "import { LitElement, html } from 'lit';\nimport { customElement, property } from 'lit/decorators.js';\n@customElement('hut-wall')\nexport class HutWall extends LitElement {\n  @property({ type: Number }) height = 0;\n  render() { return html`<b>${this.height} m</b>`; }\n}\n",
    },
    or: ['prop-unknown'],
    by: [['.heigth', '.height']],
  }),
  mended({
    rule: 'event-stops-short',
    form: 'an event that does not bubble is awaited two templates up',
    files: {
      'index.html': page('<fleet-app></fleet-app>'),
      'src/main.js': `import './fleet-list.js';\n${lit('fleet-app', 'FleetApp', '  static properties = { who: { state: true } };\n  render() { return html`<p>${this.who}</p><fleet-list\n    ¶@sailed=${(event) => (this.who = event.detail)}></fleet-list>`; }')}`,
      'src/fleet-list.js': `import './fleet-boat.js';\n${lit('fleet-list', 'FleetList', '  render() { return html`<section><fleet-boat></fleet-boat></section>`; }')}`,
      'src/fleet-boat.js': lit(
        'fleet-boat',
        'FleetBoat',
        "  sail() { this.dispatchEvent(new CustomEvent('sailed', { detail: 'Teal' })); }\n  render() { return html`<button @click=${this.sail}>sail</button>`; }",
      ),
    },
    by: [["{ detail: 'Teal' }", "{ detail: 'Teal', bubbles: true, composed: true }"]],
  }),
  mended({
    rule: 'event-never-raised',
    form: 'a plain element listens in script for what its part calls otherwise',
    files: {
      'index.html': page('<form-desk></form-desk>'),
      'src/main.js': `class FormField extends HTMLElement {
  connectedCallback() {
    this.innerHTML = '<input>';
    this.querySelector('input').addEventListener('input', () => this.dispatchEvent(new CustomEvent('filled', { bubbles: true })));
  }
}
customElements.define('form-field', FormField);
class FormDesk extends HTMLElement {
  connectedCallback() {
    this.innerHTML = '<form-field></form-field><output></output>';
    const field = this.querySelector('form-field');
    ¶field.addEventListener('fill', () => { this.querySelector('output').textContent = 'ready'; });
  }
}
customElements.define('form-desk', FormDesk);
`,
    },
    or: ['prop-spelt'],
    by: [["'fill'", "'filled'"]],
  }),
  mended({
    rule: 'prop-kind',
    form: 'a number is given as a word',
    files: {
      'index.html': page('<grid-view\n  ¶columns="many"></grid-view>'),
      'src/main.js': lit(
        'grid-view',
        'GridView',
        '  static properties = { columns: { type: Number } };\n  render() { return html`<p>${this.columns * 2}</p>`; }',
      ),
    },
    by: [['columns="many"', 'columns="4"']],
  }),
  mended({
    rule: 'context-shadowed',
    form: 'a part provides its own value of a context, and one part stands inside and beside it',
    files: {
      'index.html': page('<map-app></map-app>'),
      'src/unit.js': "import { createContext } from '@lit/context';\nexport const unit = createContext('unit');\n",
      'src/main.js': `import './map-zone.js';\nimport './map-depth.js';\n${lit('map-app', 'MapApp', "  unit = new ContextProvider(this, { context: unit, initialValue: 'm' });\n  render() { return html`<map-depth></map-depth><map-zone></map-zone>`; }", "import { ContextProvider } from '@lit/context';\nimport { unit } from './unit.js';\n")}`,
      'src/map-zone.js': `import './map-depth.js';\n${lit('map-zone', 'MapZone', "  ¶unit = new ContextProvider(this, { context: unit, initialValue: 'ft' });\n  render() { return html`<map-depth></map-depth>`; }", "import { ContextProvider } from '@lit/context';\nimport { unit } from './unit.js';\n")}`,
      'src/map-depth.js': lit(
        'map-depth',
        'MapDepth',
        '  unit = new ContextConsumer(this, { context: unit, subscribe: true });\n  render() { return html`<b>4 ${this.unit.value}</b>`; }',
        "import { ContextConsumer } from '@lit/context';\nimport { unit } from './unit.js';\n",
      ),
    },
    by: [],
  }),
  mended({
    rule: 'two-truths',
    form: 'two elements read one entry of the storage each for itself, by a constant',
    files: {
      'index.html': page('<mark-app></mark-app>'),
      'src/key.js': "export const KEY = 'marks-kept';\n",
      'src/main.js': `import './mark-list.js';\nimport './mark-count.js';\n${lit('mark-app', 'MarkApp', '  render() { return html`<mark-count></mark-count><mark-list></mark-list>`; }')}`,
      'src/mark-list.js': lit(
        'mark-list',
        'MarkList',
        "  static properties = { marks: { state: true } };\n  constructor() { super(); this.marks = JSON.parse(localStorage.getItem(KEY) ?? '[]'); }\n  add() { this.marks = [...this.marks, 'oak']; localStorage.setItem(KEY, JSON.stringify(this.marks)); }\n  render() { return html`<button @click=${this.add}>add</button>${this.marks.map((one) => html`<p>${one}</p>`)}`; }",
        "import { KEY } from './key.js';\n",
      ),
      'src/mark-count.js': lit(
        'mark-count',
        'MarkCount',
        "  static properties = { marks: { state: true } };\n  constructor() {\n    super();\n    ¶this.marks = JSON.parse(localStorage.getItem(KEY) ?? '[]');\n  }\n  render() { return html`<p>${this.marks.length} marks</p>`; }",
        "import { KEY } from './key.js';\n",
      ),
    },
    by: [],
  }),
  mended({
    rule: 'subscription-kept',
    form: 'a question of the screen’s width is listened to and never left',
    files: {
      'index.html': page('<nav-bar></nav-bar>'),
      'src/main.js': lit(
        'nav-bar',
        'NavBar',
        "  static properties = { narrow: { state: true } };\n  connectedCallback() {\n    super.connectedCallback();\n    ¶matchMedia('(max-width: 600px)').addEventListener('change', (event) => { this.narrow = event.matches; });\n  }\n  render() { return html`${this.narrow ? 'narrow' : 'wide'}`; }",
      ),
    },
    by: [
      [
        "matchMedia('(max-width: 600px)').addEventListener('change', (event) => { this.narrow = event.matches; });",
        "this.query = matchMedia('(max-width: 600px)');\n    this.query.addEventListener('change', this.onChange);",
      ],
      [
        'render() {',
        "onChange = (event) => { this.narrow = event.matches; };\n  disconnectedCallback() { super.disconnectedCallback(); this.query.removeEventListener('change', this.onChange); }\n  render() {",
      ],
    ],
  }),
  mended({
    rule: 'change-unseen',
    form: 'a member of an object that is state is written',
    files: {
      'index.html': page('<user-card></user-card>'),
      'src/main.js': lit(
        'user-card',
        'UserCard',
        "  static properties = { user: { state: true } };\n  constructor() { super(); this.user = { name: 'Wren', seen: 0 }; }\n  see() {\n    ¶this.user.seen += 1;\n  }\n  render() { return html`<p>${this.user.name} ${this.user.seen}</p><button @click=${this.see}>see</button>`; }",
      ),
    },
    by: [['this.user.seen += 1;', 'this.user = { ...this.user, seen: this.user.seen + 1 };']],
  }),
  mended({
    rule: 'prop-missing',
    form: 'a plain element takes an attribute apart that one place does not have',
    files: {
      'index.html': page('<tag-row tags="oak,elm"></tag-row>\n<hr>\n<hr>\n<hr>\n<main>\n¶<tag-row></tag-row></main>'),
      'src/main.js':
        "class TagRow extends HTMLElement {\n  connectedCallback() {\n    const tags = this.getAttribute('tags').split(',');\n    this.innerHTML = tags.map((one) => `<b>${one}</b>`).join('');\n  }\n}\ncustomElements.define('tag-row', TagRow);\n",
    },
    by: [['<main>\n<tag-row>', '<main>\n<tag-row tags="ash">']],
  }),
  mended({
    rule: 'channel-unpaired',
    form: 'the window is told one name and listened to for another',
    files: {
      'index.html': page('<zoom-in></zoom-in><zoom-view></zoom-view>'),
      'src/main.js': `import './zoom-view.js';\n${lit('zoom-in', 'ZoomIn', "  zoom() {\n    ¶window.dispatchEvent(new CustomEvent('map:zoom', { detail: 2 }));\n  }\n  render() { return html`<button @click=${this.zoom}>zoom</button>`; }")}`,
      'src/zoom-view.js': lit(
        'zoom-view',
        'ZoomView',
        "  static properties = { at: { state: true } };\n  onZoom = (event) => { this.at = event.detail; };\n  connectedCallback() { super.connectedCallback(); window.addEventListener('map:zoomed', this.onZoom); }\n  disconnectedCallback() { window.removeEventListener('map:zoomed', this.onZoom); super.disconnectedCallback(); }\n  render() { return html`<p>${this.at}</p>`; }",
      ),
    },
    by: [["'map:zoom'", "'map:zoomed'"]],
  }),
  mended({
    rule: 'handler-missing',
    form: 'a listener is added by a name that the class writes otherwise',
    files: {
      'index.html': page('<bell-knob></bell-knob>'),
      'src/main.js':
        "class BellKnob extends HTMLElement {\n  connectedCallback() {\n    this.textContent = 'ring';\n    ¶this.addEventListener('click', this.onClik);\n  }\n  onClick() { this.textContent = 'rung'; }\n}\ncustomElements.define('bell-knob', BellKnob);\n",
    },
    or: ['name-unknown'],
    by: [['this.onClik', 'this.onClick']],
  }),
  mended({
    rule: 'context-close',
    form: 'a context with one taker in one place, one level below',
    files: {
      'index.html': page('<pond-app></pond-app>'),
      'src/depth.js': "import { createContext } from '@lit/context';\nexport const depth = createContext('depth');\n",
      'src/main.js': `import './pond-view.js';\n${lit('pond-app', 'PondApp', '  ¶depth = new ContextProvider(this, { context: depth, initialValue: 4 });\n  render() { return html`<h1>Pond</h1><pond-view></pond-view>`; }', "import { ContextProvider } from '@lit/context';\nimport { depth } from './depth.js';\n")}`,
      'src/pond-view.js': lit(
        'pond-view',
        'PondView',
        '  depth = new ContextConsumer(this, { context: depth });\n  render() { return html`<b>${this.depth.value}</b>`; }',
        "import { ContextConsumer } from '@lit/context';\nimport { depth } from './depth.js';\n",
      ),
    },
    by: [],
  }),
  mended({
    rule: 'event-unheard',
    form: 'an event that nobody listens to anywhere',
    files: {
      'index.html': page('<load-app></load-app>'),
      'src/main.js': `import './load-img.js';\n${lit('load-app', 'LoadApp', '  render() { return html`<load-img src="a.png"></load-img>`; }')}`,
      'src/load-img.js': lit(
        'load-img',
        'LoadImg',
        '  static properties = { src: {} };\n  shown() {\n    ¶this.dispatchEvent(new CustomEvent(\'image-shown\'));\n  }\n  render() { return html`<img alt="" src=${this.src} @load=${this.shown}>`; }',
      ),
    },
    by: [['<load-img src="a.png">', '<load-img src="a.png" @image-shown=${() => console.log(1)}>']],
  }),
];
