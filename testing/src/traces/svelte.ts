import type { TraceCase } from '../trace';
import { importSvelte, svelte, type Part } from './alike';

const sleaf = ['let { a } = $props();', '<p>{a}</p>'] as const;
const svOld = svelte({
  'App.svelte': [
    `${importSvelte('Row', 'Field')}\nlet n = 0;\nlet name = '';\n$: twice = n * 2;\n$: if (n > 3) name = 'late';\nfunction add(event) { n += event.detail; }`,
    '<Row boat={twice} on:pick={add}/><Field bind:name/>',
  ],
  'Row.svelte': [
    "import { createEventDispatcher } from 'svelte';\nexport let boat;\nexport let step = 1;\nconst dispatch = createEventDispatcher();",
    '<button on:click={() => dispatch("pick", step)}>{boat}</button>',
  ],
  'Field.svelte': ['export let name;', '<input bind:value={name}>'],
});
const svForward = svelte({
  'App.svelte': [`${importSvelte('Mid')}\nlet n = 0;`, '<Mid on:click={() => n += 1}/><p>{n}</p>'],
  'Mid.svelte': [importSvelte('Inner'), '<Inner on:click/>'],
  'Inner.svelte': ['', '<button on:click>x</button>'],
});
const svSlot = svelte({
  'App.svelte': [
    `${importSvelte('Table', 'Leaf')}\nlet boats = [];`,
    '<Table rows={boats} let:row><Leaf a={row.name}/><b slot="foot" let:count>{count}</b></Table>',
  ],
  'Table.svelte': [
    'export let rows;',
    '<ul>{#each rows as row (row.id)}<li><slot {row}/></li>{/each}</ul><slot name="foot" count={rows.length}/>',
  ],
  'Leaf.svelte': ['export let a;', '<p>{a}</p>'],
});
const svStores = svelte({
  'stores.js':
    "import { writable, derived, get } from 'svelte/store';\nexport const levels = writable({ high: 1 });\nexport const busy = writable(false);\nexport const late = derived([levels, busy], ([$levels, $busy]) => $busy && $levels.high > 3);\nexport function raise() { levels.update((now) => ({ ...now, high: now.high + 1 })); }\nexport const first = get(levels);",
  'App.svelte': [
    "import { levels, busy, late, raise } from './stores';",
    '<p>{$levels.high}{$late}</p><button onclick={raise}>x</button><button onclick={() => $busy = true}>y</button>',
  ],
});
const svCustom = svelte({
  'count.js':
    "import { writable } from 'svelte/store';\nfunction makeCount(start) { const { subscribe, set, update } = writable(start); return { subscribe, add: () => update((n) => n + 1), reset: () => set(0) }; }\nexport const count = makeCount(0);",
  'App.svelte': ["import { count } from './count';", '<p>{$count}</p><button onclick={() => count.add()}>x</button>'],
});
const svProps = svelte({
  'App.svelte': [`${importSvelte('Row')}\nlet boat = 'x'; let tip = 'y';`, '<Row {boat} title={tip}/>'],
  'Row.svelte': ['export let boat;', '<li {...$$restProps}>{boat}{$$props.title}</li>'],
});
const svState = svelte({
  'app.svelte.js': "export const form = $state({ boat: '', eta: 1 });\nexport function clear() { form.boat = ''; }",
  'App.svelte': [
    "import { form, clear } from './app.svelte.js';",
    '<input bind:value={form.boat}><p>{form.boat}{form.eta}</p><button onclick={clear}>x</button>',
  ],
});
const svClass = svelte({
  'counter.svelte.js':
    'class Counter { n = $state(0); twice = $derived(this.n * 2); add() { this.n++; } }\nexport const counter = new Counter();',
  'App.svelte': ["import { counter } from './counter.svelte.js';", '<p>{counter.n}</p><button onclick={() => counter.add()}>x</button>'],
});
const board = `import { getContext, setContext } from 'svelte';
export class Board {
  cards = $state([]);
  lane = $state('todo');
  shown = $derived(this.cards.filter((one) => one.lane === this.lane));
  add = (text) => { this.cards.push({ text }); };
}
const key = Symbol('board');
export const setBoard = () => setContext(key, new Board());
export const getBoard = () => getContext(key);`;
const shownBoard: Part = [
  "import { getBoard } from './board.svelte.js';\nconst board = getBoard();",
  '{#each board.shown as one}{one.text}{/each}',
];
/** An instance of a class with state as a context: made by a function, or where it is given. */
const svContextClass = svelte({
  'board.svelte.js': board,
  'App.svelte': [
    `${importSvelte('List')}\nimport { setBoard } from './board.svelte.js';\nconst board = setBoard();`,
    '<button onclick={() => board.add("x")}>a</button><List/>',
  ],
  'List.svelte': shownBoard,
});
const svContextHere = svelte({
  'board.svelte.js': board,
  'App.svelte': [
    `${importSvelte('List')}\nimport { setContext } from 'svelte';\nimport { Board } from './board.svelte.js';\nconst board = setContext('b', new Board());`,
    '<button onclick={() => board.add("x")}>a</button><List/>',
  ],
  'List.svelte': ["import { getContext } from 'svelte';\nconst board = getContext('b');", '{#each board.shown as one}{one.text}{/each}'],
});
const svSnip = svelte({
  'App.svelte': [
    `${importSvelte('Table', 'Leaf')}\nlet boats = $state([]);`,
    '{#snippet row(boat)}<Leaf a={boat.name}/>{/snippet}{#each boats as boat}{@render row(boat)}{/each}<Table rows={boats} {row}/>',
  ],
  'Table.svelte': ['let { rows, row } = $props();', '<ul>{#each rows as one}<li>{@render row(one)}</li>{/each}</ul>'],
  'Leaf.svelte': sleaf,
});
const svBlocks = svelte({
  'App.svelte': [
    "let { load } = $props();\nlet asked = $state(fetch('/boats'));\nlet kind = $state('a');",
    '{#await asked}wait{:then boats}{#each boats as { name }, at (name)}{@const shown = name + at}<p>{shown}</p>{/each}{:catch error}{error}{/await}{#key kind}<i class:on={kind === "a"} style:color={kind} use:load={kind}>k</i>{/key}{@html kind}',
  ],
});
const svCtx = svelte({
  'keeper.js':
    "import { getContext, setContext } from 'svelte';\nconst key = Symbol('keeper');\nexport const setKeeper = (keeper) => setContext(key, keeper);\nexport function getKeeper() { return getContext(key); }\nexport { key };",
  'App.svelte': [
    `import { setContext } from 'svelte'; import { key } from './keeper'; ${importSvelte('Badge')}\nlet ada = $state(1);\nsetContext(key, { get name() { return ada; }, rename: (to) => { ada = to; } });`,
    '<Badge/>',
  ],
  'Badge.svelte': [
    "import { getKeeper } from './keeper';\nconst keeper = getKeeper();",
    '<b>{keeper.name}</b><button onclick={() => keeper.rename(2)}>x</button>',
  ],
});
const svBy = svelte({
  'App.svelte': [
    `${importSvelte('Leaf')}\nlet boats = $state([]);\nconst late = $derived.by(() => { const all = boats.filter((one) => one.late); return all.length; });\nlet raw = $state.raw([]);\n$effect.pre(() => { raw = boats; });\nfunction add(one) { boats.push(one); boats[0].late = true; }`,
    '<Leaf a={late}/><button onclick={() => add(1)}>x</button>{raw}',
  ],
  'Leaf.svelte': sleaf,
});
const svDyn = svelte({
  'App.svelte': [
    `${importSvelte('Leaf', 'Tree')}\nlet part = $state(Leaf); let n = $state(1);`,
    '<svelte:component this={Leaf} a={n}/><Tree depth={n}/><svelte:window onkeydown={() => n = 2}/>',
  ],
  'Tree.svelte': ['let { depth } = $props();', '{#if depth}<p>{depth}</p><svelte:self depth={depth - 1}/>{/if}'],
  'Leaf.svelte': sleaf,
});
const svRename = svelte({
  'App.svelte': [`${importSvelte('Tag')}\nlet kind = 'x';`, '<Tag class={kind}/>'],
  'Tag.svelte': ['let klass = "y";\nexport { klass as class };', '<i class={klass}>t</i>'],
});
const svRenameRune = svelte({
  'App.svelte': [`${importSvelte('Tag')}\nlet kind = $state('x');`, '<Tag class={kind}/>'],
  'Tag.svelte': ['let { class: klass, ...others } = $props();', '<i class={klass} {...others}>t</i>'],
});

/** Traces: what is Svelte's own. */
export const svelteOwn: readonly TraceCase[] = [
  {
    name: 'an instance of a class that a function puts into a context: who changes it',
    files: svContextClass,
    of: 'List.one',
    ask: 'changes',
    rungs: [
      'List owns one',
      '  List narrows board.shown',
      '  List/getBoard gives getContext.shown',
      '  App/setBoard provides Board.shown',
      '  App/Board gives shown',
      '  App/Board derives lane',
      '  App/Board owns lane | constant',
      'List narrows board.shown',
      'List/getBoard gives getContext.shown',
      'App/setBoard provides Board.shown',
      'App/Board gives shown',
      'App/Board derives cards',
      'App/Board changes cards',
      'App/Board catches add',
      'App/Board relays Board.add',
      'App/setBoard relays board.add',
      'App calls board.add',
      'App starts click | platform button',
    ],
  },
  {
    name: 'an instance of a class that a function puts into a context: where it comes from',
    files: svContextClass,
    of: 'List.one',
    ask: 'comes',
    rungs: [
      'List owns one',
      'List narrows board.shown',
      'List/getBoard gives getContext.shown',
      'List/getBoard takes key',
      'App/setBoard provides Board.shown',
      'App/Board gives shown',
      '  App/Board derives lane | decides',
      'App/Board derives cards',
      '  App/Board owns cards | constant',
      'App/Board changes text',
      'App/Board relays Board.add',
      'App/setBoard relays board.add',
      'App calls board.add | constant "x"',
    ],
  },
  {
    name: 'an instance of a class that is made where it is put into a context',
    files: svContextHere,
    of: 'List.one',
    ask: 'changes',
    rungs: [
      'List owns one',
      '  List narrows board.shown',
      '  App provides board.shown',
      '  App/Board gives shown',
      '  App/Board derives lane',
      '  App/Board owns lane | constant',
      'List narrows board.shown',
      'App provides board.shown',
      'App/Board gives shown',
      'App/Board derives cards',
      'App/Board changes cards',
      'App/Board catches add',
      'App/Board relays board.add',
      'App calls board.add',
      'App starts click | platform button',
    ],
  },
  {
    name: 'an instance of a class under the name that a context gives back',
    files: svContextHere,
    of: 'App.board',
    ask: 'goes',
    rungs: ['App owns board', 'App provides b', 'List takes board', 'List narrows one', 'List paints one | painted'],
  },

  {
    name: 'older: a reactive declaration',
    files: svOld,
    of: 'App.n',
    ask: 'goes',
    rungs: ['App owns n', '  App reads n | read', 'App derives twice', 'Row renames boat', 'Row paints boat | painted'],
  },
  {
    name: 'older: dispatched',
    files: svOld,
    of: 'App.n',
    ask: 'changes',
    rungs: ['App owns n', 'App changes n', 'App catches add', 'Row relays pick', 'Row raises pick', 'Row starts click | platform button'],
  },
  {
    name: 'older: what is dispatched',
    files: svOld,
    of: 'Row.step',
    ask: 'goes',
    rungs: [
      'Row owns step',
      'Row raises pick',
      'App relays add',
      'App catches event',
      'App changes n',
      '  App reads n | read',
      'App derives twice',
      'Row renames boat',
      'Row paints boat | painted',
    ],
  },
  {
    name: 'older: bound, up',
    files: svOld,
    of: 'App.name',
    ask: 'changes',
    rungs: [
      'App owns name',
      '  App changes name',
      '  App starts $: | platform when n changes',
      'App changes name',
      'App catches name',
      'Field raises name',
      'Field starts input | platform input',
    ],
  },
  {
    name: 'older: bound, down',
    files: svOld,
    of: 'App.name',
    ask: 'goes',
    rungs: ['App owns name', 'Field passes name', 'Field paints name | painted'],
  },
  {
    name: 'older: a prop, back',
    files: svOld,
    of: 'Row.boat',
    ask: 'comes',
    rungs: [
      'Row owns boat',
      'App renames twice',
      'App derives n',
      '  App owns n | constant',
      'App changes event',
      'Row relays pick',
      'Row raises step',
      'Row passes step | default 1',
    ],
  },
  {
    name: 'older: an event that is forwarded',
    files: svForward,
    of: 'App.n',
    ask: 'changes',
    rungs: ['App owns n', 'App changes n', 'App catches click', 'Inner relays click', 'Inner starts click | platform button'],
  },
  {
    name: 'older: a slot with let',
    files: svSlot,
    of: 'App.boats',
    ask: 'goes',
    rungs: [
      'App owns boats',
      'Table renames rows',
      '  App gives count',
      '  App paints count | painted',
      'Table narrows row',
      'App gives row',
      'Leaf narrows a',
      'Leaf paints a | painted',
    ],
  },
  {
    name: 'older: let, back',
    files: svSlot,
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'App narrows row', 'Table gives row', 'Table narrows rows', 'App renames boats', 'App owns boats | constant'],
  },
  {
    name: 'stores and one derived from both',
    files: svStores,
    of: 'stores.js:levels',
    ask: 'goes',
    rungs: [
      'stores.js owns levels',
      '  stores.js renames first',
      '  App paints levels | painted',
      'stores.js derives late',
      'App paints late | painted',
    ],
  },
  {
    name: 'a store that is updated',
    files: svStores,
    of: 'stores.js:levels',
    ask: 'changes',
    rungs: ['stores.js owns levels', 'stores.js changes levels', 'stores.js catches raise', 'App starts click | platform button'],
  },
  {
    name: 'a store that is assigned',
    files: svStores,
    of: 'stores.js:busy',
    ask: 'changes',
    rungs: ['stores.js owns busy', 'App changes busy', 'App starts click | platform button'],
  },
  {
    name: 'a derived store, back',
    files: svStores,
    of: 'stores.js:late',
    ask: 'comes',
    rungs: ['stores.js owns late', '  stores.js derives busy | decides', 'stores.js derives levels', 'stores.js owns levels | constant'],
  },
  {
    name: 'a store of its own making',
    files: svCustom,
    of: 'count.js:count',
    ask: 'goes',
    rungs: ['count.js owns count', 'App paints count | painted'],
  },
  {
    name: 'what changes a store of its own making',
    files: svCustom,
    of: 'count.js:count',
    ask: 'changes',
    rungs: [
      'count.js owns count',
      'count.js gives writable',
      '  count.js changes writable',
      '  count.js starts reset | uncalled reset',
      'count.js changes writable',
      'count.js catches add',
      'count.js relays count',
      'App calls count.add',
      'App starts click | platform button',
    ],
  },
  {
    name: 'the rest of the props, older',
    files: svProps,
    of: 'App.tip',
    ask: 'goes',
    rungs: ['App owns tip', 'Row renames title', 'Row paints title | painted'],
  },
  {
    name: 'state of a module',
    files: svState,
    of: 'app.svelte.js:form.boat',
    ask: 'goes',
    rungs: ['app.svelte.js owns form.boat', '  App paints form | painted', 'App paints form | painted'],
  },
  {
    name: 'what changes state of a module',
    files: svState,
    of: 'app.svelte.js:form.boat',
    ask: 'changes',
    rungs: [
      'app.svelte.js owns form.boat',
      '  App changes form',
      '  App starts input | platform input',
      'app.svelte.js changes form',
      'app.svelte.js catches clear',
      'App starts click | platform button',
    ],
  },
  {
    name: 'state in a class',
    files: svClass,
    of: 'counter.svelte.js:counter.n',
    ask: 'goes',
    rungs: ['counter.svelte.js owns counter.n', 'App paints counter | painted'],
  },
  {
    name: 'what changes state in a class',
    files: svClass,
    of: 'counter.svelte.js:counter.n',
    ask: 'changes',
    rungs: [
      'counter.svelte.js owns counter.n',
      'counter.svelte.js changes counter',
      'counter.svelte.js catches add',
      'counter.svelte.js relays counter',
      'App calls counter.add',
      'App starts click | platform button',
    ],
  },
  {
    name: 'a snippet in place and handed on',
    files: svSnip,
    of: 'App.boats',
    ask: 'goes',
    rungs: [
      'App owns boats',
      '  App narrows boat',
      '  Leaf narrows a',
      '  Leaf paints a | painted',
      'Table renames rows',
      'Table narrows one',
      'App gives boat',
      'Leaf narrows a',
      'Leaf paints a | painted',
    ],
  },
  {
    name: 'a snippet, back',
    files: svSnip,
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'App narrows boat', 'App narrows boats', 'App owns boats | constant'],
  },
  {
    name: 'blocks: await, each, const',
    files: svBlocks,
    of: 'App.asked',
    ask: 'goes',
    rungs: ['App owns asked', 'App renames boats', 'App narrows { name }', 'App derives shown', 'App paints shown | painted'],
  },
  {
    name: 'directives',
    files: svBlocks,
    of: 'App.kind',
    ask: 'goes',
    rungs: ['App owns kind', '  App paints kind | painted ×2', 'App paints kind | painted ×3'],
  },
  {
    name: 'a context through a function',
    files: svCtx,
    of: 'App.ada',
    ask: 'goes',
    rungs: [
      'App owns ada',
      'App provides key',
      'Badge/getKeeper takes getContext.name',
      'Badge/getKeeper gives keeper.name',
      'Badge paints keeper.name | painted',
    ],
  },
  {
    name: 'a function in a context',
    files: svCtx,
    of: 'App.ada',
    ask: 'changes',
    rungs: [
      'App owns ada',
      'App changes ada',
      'App catches rename',
      'App relays key',
      'Badge/getKeeper relays getContext.rename',
      'Badge/getKeeper relays keeper.rename',
      'Badge calls keeper.rename',
      'Badge starts click | platform button',
    ],
  },
  {
    name: 'derived by a function, and an effect',
    files: svBy,
    of: 'App.boats',
    ask: 'goes',
    rungs: [
      'App owns boats',
      '  App reads boats | read',
      '  App changes raw',
      '  App paints raw | painted',
      'App derives late',
      'Leaf renames a',
      'Leaf paints a | painted',
    ],
  },
  {
    name: 'changed in place',
    files: svBy,
    of: 'App.boats',
    ask: 'changes',
    rungs: [
      'App owns boats',
      '  App changes boats',
      '  App catches add | again',
      'App changes boats',
      'App catches add',
      'App calls add',
      'App starts click | platform button',
    ],
  },
  {
    name: 'a component by value, itself, and the window',
    files: svDyn,
    of: 'App.n',
    ask: 'goes',
    rungs: [
      'App owns n',
      '  Leaf renames a',
      '  Leaf paints a | painted',
      'Tree renames depth',
      '  Tree paints depth | painted',
      '  Tree paints depth | painted',
      'Tree derives depth | again',
    ],
  },
  {
    name: 'an event of the window',
    files: svDyn,
    of: 'App.n',
    ask: 'changes',
    rungs: ['App owns n', 'App changes n', 'App starts keydown | platform svelte:window'],
  },
  {
    name: 'a prop by another name, older',
    files: svRename,
    of: 'App.kind',
    ask: 'goes',
    rungs: ['App owns kind', 'Tag renames class', 'Tag paints class | painted'],
  },
  {
    name: 'a prop by another name',
    files: svRenameRune,
    of: 'App.kind',
    ask: 'goes',
    rungs: ['App owns kind', 'Tag renames class', 'Tag paints class | painted'],
  },
];
