import { type Bundle, bundles } from '../bundles';
import { type Form, mended } from './form';

/** A project of bundles in which `app` stands on a page. */
const app = (all: Readonly<Record<string, Bundle>>): Form['files'] =>
  bundles(Object.fromEntries(Object.entries(all).map(([name, bundle]) => [name, name === 'app' ? { ...bundle, exposed: true } : bundle])));

/** Faults as they are written in Lightning web components. */
export const lwcForms: readonly Form[] = [
  mended({
    rule: 'change-unseen',
    form: 'a Set in a tracked field gets one more',
    files: app({
      app: {
        js: "  @track picked = new Set();\n  pick() {\n    ¶this.picked.add('oak');\n  }\n  get count() { return this.picked.size; }",
        html: '<button onclick={pick}>oak</button><p>{count}</p>',
      },
    }),
    by: [["this.picked.add('oak');", "this.picked = new Set(this.picked).add('oak');"]],
  }),
  mended({
    rule: 'change-unseen',
    form: 'a variable of the module is counted up and shown by a getter',
    files: app({
      app: {
        head: 'let seen = 0;\n',
        js: '  look() {\n    ¶seen += 1;\n  }\n  get seenText() { return `${seen} seen`; }',
        html: '<button onclick={look}>look</button><p>{seenText}</p>',
      },
    }),
    by: [
      ['let seen = 0;\n', ''],
      ['look() {\n    seen += 1;', 'seen = 0;\n  look() {\n    this.seen += 1;'],
      ['`${seen} seen`', '`${this.seen} seen`'],
    ],
  }),
  mended({
    rule: 'change-unseen',
    form: 'a date in a field is moved where it stands',
    files: app({
      app: {
        js: '  day = new Date(2026, 0, 1);\n  next() {\n    ¶this.day.setDate(this.day.getDate() + 1);\n  }\n  get text() { return this.day.toDateString(); }',
        html: '<button onclick={next}>next</button><p>{text}</p>',
      },
    }),
    by: [['this.day.setDate(this.day.getDate() + 1);', 'this.day = new Date(this.day.getTime() + 86400000);']],
  }),
  mended({
    rule: 'change-unseen',
    form: 'a list in an untracked field is pushed to',
    files: app({
      app: {
        js: "  rows = [];\n  add() {\n    ¶this.rows.push({ id: this.rows.length, name: 'cod' });\n  }",
        html: '<button onclick={add}>add</button><template for:each={rows} for:item="row"><p key={row.id}>{row.name}</p></template>',
      },
    }),
    by: [["this.rows.push({ id: this.rows.length, name: 'cod' });", "this.rows = [...this.rows, { id: this.rows.length, name: 'cod' }];"]],
  }),
  mended({
    rule: 'prop-unknown',
    form: 'an attribute that the child does not offer',
    files: app({
      app: { html: '<c-berth-card label="North"\n  ¶colour="blue"></c-berth-card>' },
      berthCard: { js: '  @api label;', html: '<p>{label}</p>' },
    }),
    by: [['\n  colour="blue"', '']],
  }),
  mended({
    rule: 'prop-spelt',
    form: 'a capital is written as it stands in the class',
    files: app({
      app: { js: "  id1 = '4';", html: '<c-berth-card\n  ¶berth-id={id1}></c-berth-card>' },
      berthCard: { js: '  @api berthID;', html: '<p>{berthID}</p>' },
    }),
    or: ['prop-unknown'],
    by: [['berth-id', 'berth-i-d']],
  }),
  mended({
    rule: 'prop-missing',
    form: 'a record is read by a getter and one use does not give it',
    files: app({
      app: {
        js: "  boat = { name: 'Teal' };",
        html: '<c-boat-card boat={boat}></c-boat-card>\n<hr>\n<hr>\n<hr>\n¶<c-boat-card></c-boat-card>',
      },
      boatCard: { js: '  @api boat;\n  get title() { return this.boat.name.toUpperCase(); }', html: '<h3>{title}</h3>' },
    }),
    by: [['<hr>\n<c-boat-card>', '<hr>\n<c-boat-card boat={boat}>']],
  }),
  mended({
    rule: 'prop-written',
    form: 'a list that was given is sorted where it stands',
    files: app({
      app: { js: "  crew = ['Wren', 'Avocet'];", html: '<c-crew-list crew={crew}></c-crew-list>' },
      crewList: {
        js: '  @api crew;\n  get sorted() {\n    return this.crew\n      ¶.sort();\n  }',
        html: '<template for:each={sorted} for:item="one"><p key={one}>{one}</p></template>',
      },
    }),
    by: [['this.crew\n      .sort()', '[...this.crew].sort()']],
  }),
  mended({
    rule: 'prop-written',
    form: 'a field of a given record is set by a handler',
    files: app({
      app: { js: '  task = { done: false };', html: '<c-task-row task={task}></c-task-row>' },
      taskRow: {
        js: '  @api task;\n  finish() {\n    ¶this.task.done = true;\n  }',
        html: '<button onclick={finish}>finish</button><p>{task.done}</p>',
      },
    }),
    by: [
      ['this.task.done = true;', "this.dispatchEvent(new CustomEvent('finish'));"],
      ['task={task}>', 'task={task} onfinish={finish}>'],
      ['task = { done: false };', 'task = { done: false };\n  finish() { this.task = { done: true }; }'],
    ],
  }),
  mended({
    rule: 'prop-copied',
    form: 'a draft is taken from what is given when the part is connected',
    files: app({
      app: {
        js: "  notes = ['oak', 'elm'];\n  at = 0;\n  other() { this.at = 1 - this.at; }\n  get note() { return this.notes[this.at]; }",
        html: '<button onclick={other}>other</button><c-note-edit note={note}></c-note-edit>',
      },
      noteEdit: {
        js: '  @api note;\n  draft;\n  connectedCallback() {\n    ¶this.draft = this.note;\n  }\n  type(event) { this.draft = event.target.value; }',
        html: '<input value={draft} onchange={type}>',
      },
    }),
    by: [
      [
        '@api note;\n  draft;\n  connectedCallback() {\n    this.draft = this.note;\n  }',
        '_note;\n  draft;\n  @api get note() { return this._note; }\n  set note(value) { this._note = value; this.draft = value; }',
      ],
    ],
  }),
  mended({
    rule: 'prop-kind',
    form: 'a flag is given as the word false',
    files: app({
      app: { html: '<c-lamp-post\n  ¶lit="false"></c-lamp-post>' },
      lampPost: { js: '  @api lit = false;', html: '<p lwc:if={lit}>on</p><p lwc:else>off</p>' },
    }),
    by: [['\n  lit="false"', '']],
  }),
  mended({
    rule: 'event-never-raised',
    form: 'a listener for an event that the child calls otherwise',
    files: app({
      app: {
        js: '  open = false;\n  show() { this.open = true; }',
        html: '<p lwc:if={open}>open</p><c-gate-key\n  ¶onunlocked={show}></c-gate-key>',
      },
      gateKey: { js: "  turn() { this.dispatchEvent(new CustomEvent('turned')); }", html: '<button onclick={turn}>turn</button>' },
    }),
    by: [['onunlocked', 'onturned']],
  }),
  mended({
    rule: 'event-stops-short',
    form: 'an event without bubbling is awaited two parts above',
    files: app({
      app: { js: '  who;\n  take(event) { this.who = event.detail; }', html: '<p>{who}</p><c-crew-list\n  ¶onpick={take}></c-crew-list>' },
      crewList: { html: '<section><c-crew-name></c-crew-name></section>' },
      crewName: {
        js: "  pick() { this.dispatchEvent(new CustomEvent('pick', { detail: 'Wren' })); }",
        html: '<button onclick={pick}>Wren</button>',
      },
    }),
    by: [["{ detail: 'Wren' }", "{ detail: 'Wren', bubbles: true, composed: true }"]],
  }),
  mended({
    rule: 'event-unheard',
    form: 'a button that only tells, and nobody listens at one use',
    files: app({
      app: {
        js: '  gone = 0;\n  count() { this.gone += 1; }',
        html: '<p>{gone}</p><c-order-line ondrop={count}></c-order-line>\n<hr>\n<c-order-line></c-order-line>',
      },
      orderLine: { js: "  drop() {\n    ¶this.dispatchEvent(new CustomEvent('drop'));\n  }", html: '<button onclick={drop}>drop</button>' },
    }),
    by: [['<hr>\n<c-order-line>', '<hr>\n<c-order-line ondrop={count}>']],
  }),
  mended({
    rule: 'handler-missing',
    form: 'a template names a handler that the class writes otherwise',
    files: app({
      app: { js: '  turns = 0;\n  handleWind() { this.turns += 1; }', html: '<p>{turns}</p>\n¶<button onclick={handelWind}>wind</button>' },
    }),
    by: [['handelWind', 'handleWind']],
  }),
  mended({
    rule: 'name-unknown',
    form: 'a template reads a field that the class does not have',
    files: app({
      app: { js: "  title = 'Weir';", html: '<h1>{title}</h1>\n<p>\n¶{subtitle}</p>' },
    }),
    by: [['{subtitle}', '{title}']],
  }),
  mended({
    rule: 'component-unknown',
    form: 'a tag for which there is no bundle',
    files: app({
      app: { html: '<main>\n¶<c-pier-lamps></c-pier-lamps></main>' },
      pierLamp: { html: '<i>lamp</i>' },
    }),
    by: [['c-pier-lamps></c-pier-lamps', 'c-pier-lamp></c-pier-lamp']],
  }),
  mended({
    rule: 'subscription-kept',
    form: 'a message channel is subscribed to and never left',
    files: {
      ...app({
        app: { html: '<c-mail-count></c-mail-count><c-mail-send></c-mail-send>' },
        mailSend: {
          head: "import { publish, MessageContext } from 'lightning/messageService';\nimport MAIL from '@salesforce/messageChannel/Mail__c';\n",
          js: '  @wire(MessageContext) messageContext;\n  send() { publish(this.messageContext, MAIL, { count: 1 }); }',
          html: '<button onclick={send}>send</button>',
        },
        mailCount: {
          head: "import { subscribe, unsubscribe, createMessageContext, APPLICATION_SCOPE } from 'lightning/messageService';\nimport MAIL from '@salesforce/messageChannel/Mail__c';\n",
          js: '  messageContext = createMessageContext();\n  count = 0;\n  connectedCallback() {\n    ¶this.subscription = subscribe(this.messageContext, MAIL, (message) => { this.count += message.count; }, { scope: APPLICATION_SCOPE });\n  }',
          html: '<p>{count}</p>',
        },
      }),
      'force-app/main/default/messageChannels/Mail.messageChannel-meta.xml':
        '<LightningMessageChannel><masterLabel>Mail</masterLabel></LightningMessageChannel>',
    },
    by: [
      [
        '{ scope: APPLICATION_SCOPE });\n  }',
        '{ scope: APPLICATION_SCOPE });\n  }\n  disconnectedCallback() { unsubscribe(this.subscription); }',
      ],
    ],
  }),
  mended({
    rule: 'subscription-kept',
    form: 'a timer of connectedCallback runs on',
    files: app({
      app: {
        js: '  on = false;\n  connectedCallback() {\n    ¶setInterval(() => { this.on = !this.on; }, 500);\n  }',
        html: '<p lwc:if={on}>on</p>',
      },
    }),
    by: [
      ['setInterval(', 'this.timer = setInterval('],
      ['500);\n  }', '500);\n  }\n  disconnectedCallback() { clearInterval(this.timer); }'],
    ],
  }),
  mended({
    rule: 'subscription-kept',
    form: 'a listener of the window is added in renderedCallback each time',
    files: app({
      app: {
        js: "  width = 0;\n  renderedCallback() {\n    ¶window.addEventListener('resize', () => { this.width = window.innerWidth; });\n  }",
        html: '<p>{width}</p>',
      },
    }),
    by: [
      [
        "renderedCallback() {\n    window.addEventListener('resize', () => { this.width = window.innerWidth; });\n  }",
        "measure = () => { this.width = window.innerWidth; };\n  connectedCallback() { window.addEventListener('resize', this.measure); }\n  disconnectedCallback() { window.removeEventListener('resize', this.measure); }",
      ],
    ],
  }),
  mended({
    rule: 'channel-unpaired',
    form: 'a module that pairs names is sent one and told another',
    files: {
      'force-app/main/default/lwc/bus/bus.js':
        'const heard = {};\nexport const on = (name, run) => { (heard[name] ??= []).push(run); };\nexport const off = (name, run) => { heard[name] = (heard[name] ?? []).filter((one) => one !== run); };\nexport const fire = (name, detail) => { (heard[name] ?? []).forEach((run) => run(detail)); };\n',
      ...app({
        app: { html: '<c-mail-send></c-mail-send><c-mail-count></c-mail-count>' },
        mailSend: {
          head: "import { fire } from 'c/bus';\n",
          js: "  send() {\n    ¶fire('lettersent', 1);\n  }",
          html: '<button onclick={send}>send</button>',
        },
        mailCount: {
          head: "import { on, off } from 'c/bus';\n",
          js: "  count = 0;\n  add = (by) => { this.count += by; };\n  connectedCallback() { on('letterSent', this.add); }\n  disconnectedCallback() { off('letterSent', this.add); }",
          html: '<p>{count}</p>',
        },
      }),
    },
    by: [["'lettersent'", "'letterSent'"]],
  }),
  mended({
    rule: 'slot-nowhere',
    form: 'content names a slot that the child does not have',
    files: app({
      app: { html: '<c-info-card>\n  ¶<h3 slot="title">Weir</h3>\n</c-info-card>' },
      infoCard: { html: '<header><slot name="heading"></slot></header><slot></slot>' },
    }),
    by: [['slot="title"', 'slot="heading"']],
  }),
  mended({
    rule: 'list-unkeyed',
    form: 'the position is the key, made by a getter, and rows keep a field',
    files: app({
      app: {
        js: "  hauls = ['cod'];\n  add() { this.hauls = ['ling', ...this.hauls]; }\n  get rows() { return this.hauls.map((name, index) => ({ key: `row-${index}`, name })); }",
        html: '<button onclick={add}>add</button><template for:each={rows} for:item="row">\n  ¶<c-haul-row key={row.key} name={row.name}></c-haul-row></template>',
      },
      haulRow: {
        js: '  @api name;\n  open = false;\n  flip() { this.open = !this.open; }',
        html: '<button onclick={flip}>{name}</button><p lwc:if={open}>more</p>',
      },
    }),
    by: [['`row-${index}`', '`row-${name}`']],
  }),
  mended({
    rule: 'stale-reading',
    form: 'a constant of the class is computed once from what is given',
    files: app({
      app: {
        js: '  feet = 40;\n  grow() { this.feet += 1; }',
        html: '<button onclick={grow}>grow</button><c-boat-size feet={feet}></c-boat-size>',
      },
      boatSize: {
        js: '  @api feet;\n  metres;\n  connectedCallback() {\n    ¶this.metres = Math.round(this.feet * 0.3);\n  }',
        html: '<p>{metres} m</p>',
      },
    }),
    or: ['prop-copied'],
    by: [
      [
        'metres;\n  connectedCallback() {\n    this.metres = Math.round(this.feet * 0.3);\n  }',
        'get metres() { return Math.round(this.feet * 0.3); }',
      ],
    ],
  }),
  mended({
    rule: 'endless-render',
    form: 'a field is set in renderedCallback without a question',
    files: app({
      app: { js: '  times = 0;\n  renderedCallback() {\n    ¶this.times = this.times + 1;\n  }', html: '<p>{times}</p>' },
    }),
    by: [['this.times = this.times + 1;', 'if (this.isDrawn) return;\n    this.isDrawn = true;\n    this.times = this.times + 1;']],
  }),
  mended({
    rule: 'prop-carried',
    form: 'a value is handed through two parts that do not read it',
    files: app({
      app: {
        js: "  unit = 'm';\n  change(event) { this.unit = event.target.value; }",
        html: '<select onchange={change}><option>m</option></select><c-wharf-main unit={unit}></c-wharf-main>',
      },
      wharfMain: { js: '  ¶@api unit;', html: '<h1>Wharf</h1><c-wharf-side unit={unit}></c-wharf-side>' },
      wharfSide: { js: '  @api unit;', html: '<h2>Depth</h2><c-wharf-depth unit={unit}></c-wharf-depth>' },
      wharfDepth: { js: '  @api unit;', html: '<b>4 {unit}</b>' },
    }),
    by: [],
  }),
  mended({
    rule: 'event-relayed',
    form: 'an event is caught and sent again by two parts',
    files: app({
      app: { js: '  who;\n  take(event) { this.who = event.detail; }', html: '<p>{who}</p><c-pilot-list onchoose={take}></c-pilot-list>' },
      pilotList: {
        js: "  again(event) { this.dispatchEvent(new CustomEvent('choose', { detail: event.detail })); }",
        html: '<ul><c-pilot-row onchoose={again}></c-pilot-row></ul>',
      },
      pilotRow: {
        js: "  again(event) {\n    ¶this.dispatchEvent(new CustomEvent('choose', { detail: event.detail }));\n  }",
        html: '<li><c-pilot-name onchoose={again}></c-pilot-name></li>',
      },
      pilotName: {
        js: "  pick() { this.dispatchEvent(new CustomEvent('choose', { detail: 'Wren' })); }",
        html: '<button onclick={pick}>Wren</button>',
      },
    }),
    by: [],
  }),
  mended({
    rule: 'prop-idle',
    form: 'what is offered is never read',
    files: app({
      app: { html: '<c-sail-tag name="jib" area="12"></c-sail-tag>' },
      sailTag: { js: '  @api name;\n  ¶@api area;', html: '<b>{name}</b>' },
    }),
    by: [['<b>{name}</b>', '<b>{name} {area}</b>']],
  }),
  mended({
    rule: 'prop-unused',
    form: 'what is offered is given by nobody',
    files: app({
      app: { html: '<c-oar-tag name="a"></c-oar-tag><c-oar-tag name="b"></c-oar-tag>' },
      oarTag: { js: '  @api name;\n  ¶@api spare = false;', html: '<b>{name}</b><i lwc:if={spare}>spare</i>' },
    }),
    by: [['<c-oar-tag name="b">', '<c-oar-tag name="b" spare>']],
  }),
  mended({
    rule: 'slot-idle',
    form: 'a named slot that nobody fills',
    files: app({
      app: { html: '<c-mast-panel><p>one</p></c-mast-panel><c-mast-panel><p>two</p></c-mast-panel>' },
      mastPanel: { html: '<section><slot></slot><footer>\n¶<slot name="actions"></slot></footer></section>' },
    }),
    by: [['<p>two</p>', '<p>two</p><button slot="actions">go</button>']],
  }),
  mended({
    rule: 'component-idle',
    form: 'a bundle that stands in no markup and is not exposed',
    files: app({
      app: { html: '<p>hull</p>' },
      hullPaint: { js: '  ¶shade = 1;', html: '<p>paint</p>' },
    }),
    by: [['<p>hull</p>', '<p>hull</p><c-hull-paint></c-hull-paint>']],
  }),
  mended({
    rule: 'wrapper-thin',
    form: 'a part that shows one other and hands all on',
    files: app({
      app: { html: '<c-lock-box name="North"></c-lock-box>' },
      lockBox: { js: '  ¶@api name;', html: '<c-lock-card name={name}></c-lock-card>' },
      lockCard: { js: '  @api name;', html: '<h3>{name}</h3>' },
    }),
    by: [],
  }),
  mended({
    rule: 'twins',
    form: 'two bundles with one body',
    files: app({
      app: {
        js: "  boat = { name: 'Teal', note: 'blue' };",
        html: '<c-boat-tile item={boat}></c-boat-tile><c-spar-tile item={boat}></c-spar-tile>',
      },
      boatTile: {
        js: '  ¶@api item;\n  open = false;\n  flip() { this.open = !this.open; }',
        html: '<article><header><h3>{item.name}</h3><button onclick={flip}>more</button></header><p lwc:if={open}>{item.note}</p><footer>boats</footer></article>',
      },
      sparTile: {
        js: '  @api item;\n  open = false;\n  flip() { this.open = !this.open; }',
        html: '<article><header><h3>{item.name}</h3><button onclick={flip}>more</button></header><p lwc:if={open}>{item.note}</p><footer>spars</footer></article>',
      },
    }),
    by: [],
  }),
  mended({
    rule: 'flags-many',
    form: 'four flags in three ways',
    files: app({
      app: {
        html: '<c-deck-card text="a" with-icon with-foot></c-deck-card><c-deck-card text="b" with-icon with-foot></c-deck-card><c-deck-card text="c" with-badge></c-deck-card><c-deck-card text="d" with-badge with-hint></c-deck-card>',
      },
      deckCard: {
        js: '  ¶@api text;\n  @api withIcon;\n  @api withFoot;\n  @api withBadge;\n  @api withHint;',
        html: '<i lwc:if={withIcon}>*</i><b>{text}</b><em lwc:if={withBadge}>new</em><small lwc:if={withHint}>hint</small><footer lwc:if={withFoot}>foot</footer>',
      },
    }),
    by: [],
  }),
  mended({
    rule: 'store-dead',
    form: 'a module counts visits that nobody reads',
    files: {
      ...app({ app: { head: "import { visited } from 'c/visitLog';\n", js: '  connectedCallback() { visited(); }', html: '<p>log</p>' } }),
      'force-app/main/default/lwc/visitLog/visitLog.js': '¶let visits = 0;\nexport function visited() {\n  visits += 1;\n}\n',
    },
    by: [],
  }),
  mended({
    rule: 'two-truths',
    form: 'two parts ask for the same records and one changes its own',
    files: app({
      app: { html: '<c-roster-count></c-roster-count><c-roster-list></c-roster-list>' },
      rosterList: {
        head: "import getCrew from '@salesforce/apex/Crew.getCrew';\n",
        js: '  crew = [];\n  connectedCallback() { getCrew().then((found) => { this.crew = found; }); }\n  add() { this.crew = [...this.crew, { Id: 1, Name: "Wren" }]; }',
        html: '<button onclick={add}>add</button><template for:each={crew} for:item="one"><p key={one.Id}>{one.Name}</p></template>',
      },
      rosterCount: {
        head: "import getCrew from '@salesforce/apex/Crew.getCrew';\n",
        js: '  count = 0;\n  connectedCallback() {\n    ¶getCrew().then((found) => { this.count = found.length; });\n  }',
        html: '<p>{count} aboard</p>',
      },
    }),
    by: [],
  }),
  mended({
    rule: 'markup-repeated',
    form: 'one stretch of markup in three templates',
    files: app({
      app: {
        js: "  boat = { name: 'Teal', note: 'blue', feet: 4, owner: 'Wren' };\n  mast = { name: 'Boom', note: 'ash', feet: 3, owner: 'Avocet' };",
        html: '¶<article class="tile"><header><h3>{boat.name}</h3><span class="pill">{boat.feet} ft</span></header><dl><dt>Note</dt><dd>{boat.note}</dd><dt>Owner</dt><dd>{boat.owner}</dd></dl></article>\n<hr>\n<article class="tile"><header><h3>{mast.name}</h3><span class="pill">{mast.feet} ft</span></header><dl><dt>Note</dt><dd>{mast.note}</dd><dt>Owner</dt><dd>{mast.owner}</dd></dl></article>',
      },
    }),
    by: [],
  }),

  mended({
    rule: 'event-never-raised',
    form: 'an event is raised with a capital, which no markup can listen to',
    files: app({
      app: {
        js: '  row;\n  pick(event) { this.row = event.detail; }',
        html: '<p>{row}</p><c-row-list\n  ¶onrowselect={pick}></c-row-list>',
      },
      rowList: {
        js: "  choose() {\n    this.dispatchEvent(new CustomEvent('rowSelect', { detail: 'a' }));\n  }",
        html: '<button onclick={choose}>a</button>',
      },
    }),
    or: ['prop-spelt'],
    by: [["'rowSelect'", "'rowselect'"]],
  }),
  mended({
    rule: 'prop-written',
    form: 'a part gives its own offered field another value',
    files: app({
      app: {
        js: "  name = 'Wren';\n  reset() { this.name = 'Teal'; }",
        html: '<button onclick={reset}>reset</button><c-name-edit value={name}></c-name-edit>',
      },
      nameEdit: {
        js: '  @api value;\n  type(event) {\n    ¶this.value = event.target.value;\n  }',
        html: '<input value={value} onchange={type}>',
      },
    }),
    by: [
      ['this.value = event.target.value;', "this.dispatchEvent(new CustomEvent('typed', { detail: event.target.value }));"],
      ['value={name}>', 'value={name} ontyped={take}>'],
      ['reset() {', 'take(event) { this.name = event.detail; }\n  reset() {'],
    ],
  }),
  mended({
    rule: 'change-unseen',
    form: 'a member of an object in a field is written',
    files: app({
      app: {
        js: "  form = { name: '' };\n  type(event) {\n    ¶this.form.name = event.target.value;\n  }",
        html: '<input onchange={type}><p>{form.name}</p>',
      },
    }),
    by: [['this.form.name = event.target.value;', 'this.form = { ...this.form, name: event.target.value };']],
  }),
  mended({
    rule: 'event-stops-short',
    form: 'an event bubbles and is not composed, and is awaited two roots up',
    files: app({
      app: { js: '  who;\n  take(event) { this.who = event.detail; }', html: '<p>{who}</p><c-crew-list\n  ¶onpick={take}></c-crew-list>' },
      crewList: { html: '<section><c-crew-name></c-crew-name></section>' },
      crewName: {
        js: "  pick() { this.dispatchEvent(new CustomEvent('pick', { detail: 'Wren', bubbles: true })); }",
        html: '<button onclick={pick}>Wren</button>',
      },
    }),
    by: [['bubbles: true }', 'bubbles: true, composed: true }']],
  }),
  mended({
    rule: 'two-truths',
    form: 'one part is wired to records that another asks for by hand and changes',
    files: app({
      app: { html: '<c-jar-count></c-jar-count><c-jar-list></c-jar-list>' },
      jarList: {
        head: "import getJars from '@salesforce/apex/Jars.getJars';\n",
        js: '  jars = [];\n  async connectedCallback() { this.jars = await getJars(); }\n  drop() { this.jars = this.jars.slice(1); }',
        html: '<button onclick={drop}>drop</button><template for:each={jars} for:item="jar"><p key={jar.Id}>{jar.Name}</p></template>',
      },
      jarCount: {
        head: "import getJars from '@salesforce/apex/Jars.getJars';\n",
        js: '  count = 0;\n  async connectedCallback() {\n    const jars = await getJars();\n    ¶this.count = jars.length;\n  }',
        html: '<p>{count} jars</p>',
      },
    }),
    by: [],
  }),
  mended({
    rule: 'subscription-kept',
    form: 'a listener of the document is bound anew when it is added and when it is taken off',
    files: app({
      app: {
        js: "  last = '';\n  connectedCallback() {\n    ¶document.addEventListener('keydown', this.onKey.bind(this));\n  }\n  disconnectedCallback() { document.removeEventListener('keydown', this.onKey.bind(this)); }\n  onKey(event) { this.last = event.key; }",
        html: '<p>{last}</p>',
      },
    }),
    by: [
      ["addEventListener('keydown', this.onKey.bind(this))", "addEventListener('keydown', this.onKey)"],
      ["removeEventListener('keydown', this.onKey.bind(this))", "removeEventListener('keydown', this.onKey)"],
      ['onKey(event) { this.last = event.key; }', 'onKey = (event) => { this.last = event.key; };'],
    ],
  }),
  mended({
    rule: 'prop-spelt',
    form: 'a listener with two letters in each other’s place',
    files: app({
      app: {
        js: '  open = false;\n  show() { this.open = true; }',
        html: '<p lwc:if={open}>open</p><c-gate-key\n  ¶ontunred={show}></c-gate-key>',
      },
      gateKey: { js: "  turn() { this.dispatchEvent(new CustomEvent('turned')); }", html: '<button onclick={turn}>turn</button>' },
    }),
    or: ['event-never-raised'],
    by: [['ontunred', 'onturned']],
  }),
  mended({
    rule: 'state-too-high',
    missed: true,
    form: 'a state that one part alone reads and changes',
    files: app({
      app: {
        js: '  ¶open = false;\n  flip() { this.open = !this.open; }',
        html: '<h1>Shed</h1><c-shed-menu open={open} ontoggle={flip}></c-shed-menu>',
      },
      shedMenu: {
        js: "  @api open;\n  tell() { this.dispatchEvent(new CustomEvent('toggle')); }",
        html: '<button onclick={tell}>menu</button><ul lwc:if={open}><li>one</li></ul>',
      },
    }),
    by: [],
  }),
  mended({
    rule: 'event-unheard',
    form: 'an event that nobody listens to anywhere',
    files: app({
      app: { html: '<c-load-image></c-load-image>' },
      loadImage: {
        js: "  shown() {\n    ¶this.dispatchEvent(new CustomEvent('imageshown'));\n  }",
        html: '<img alt="" src="a.png" onload={shown}>',
      },
    }),
    by: [
      ['<c-load-image>', '<c-load-image onimageshown={note}>'],
      [
        'export default class App extends LightningElement {',
        'export default class App extends LightningElement {\n  seen = 0;\n  note() { this.seen += 1; }',
      ],
    ],
  }),
  mended({
    rule: 'prop-unused',
    form: 'all uses give the same constant',
    files: app({
      app: {
        html: '<c-oar-tag name="a" unit="m"></c-oar-tag><c-oar-tag name="b" unit="m"></c-oar-tag><c-oar-tag name="c" unit="m"></c-oar-tag>',
      },
      oarTag: { js: '  @api name;\n  ¶@api unit;', html: '<b>{name}</b><i>{unit}</i>' },
    }),
    by: [['name="c" unit="m"', 'name="c" unit="ft"']],
  }),
  mended({
    rule: 'slot-nowhere',
    form: 'content between the tags of a part without a slot',
    files: app({ app: { html: '<c-fog-horn>\n  ¶<b>Sound it</b></c-fog-horn>' }, fogHorn: { html: '<button>horn</button>' } }),
    by: [['<button>horn</button>', '<button><slot></slot></button>']],
  }),
  mended({
    rule: 'derived-twice',
    form: 'one sum of what both are given in two parts',
    files: app({
      app: {
        js: '  lines = [{ id: 1, price: 2, count: 3 }];\n  add() { this.lines = [...this.lines, { id: 2, price: 1, count: 1 }]; }',
        html: '<button onclick={add}>add</button><c-bill-head lines={lines}></c-bill-head><c-bill-foot lines={lines}></c-bill-foot>',
      },
      billHead: {
        js: '  @api lines;\n  ¶get total() { return this.lines.reduce((sum, line) => sum + line.price * line.count, 0); }',
        html: '<h1>{total}</h1>',
      },
      billFoot: {
        js: '  @api lines;\n  ¶get total() { return this.lines.reduce((sum, line) => sum + line.price * line.count, 0); }',
        html: '<b>{total}</b>',
      },
    }),
    by: [],
  }),
];
