import { type Form, mended } from './form';

const part = (script: string, markup: string, lang = ''): string =>
  script === '' ? `${markup}\n` : `<script${lang === '' ? '' : ` lang="${lang}"`}>\n${script}\n</script>\n\n${markup}\n`;

/** Faults as they are written in Svelte, in runes and in the form before them. */
export const svelteForms: readonly Form[] = [
  {
    rule: 'change-unseen',
    form: 'a plain variable in a component in runes',
    files: {
      'App.svelte': part(
        `let open = $state(false);\nlet count = 0;\nfunction more() {\n  ¶count += 1;\n}`,
        `<button onclick={more}>Count {count}</button>{#if open}<p>open</p>{/if}`,
      ),
    },
    sound: {
      'App.svelte': part(
        `let open = $state(false);\nlet count = $state(0);\nfunction more() {\n  count += 1;\n}`,
        `<button onclick={more}>Count {count}</button>{#if open}<p>open</p>{/if}`,
      ),
    },
    acts: ['Count'],
  },
  {
    rule: 'change-unseen',
    form: 'a push into a list, before runes',
    files: {
      'App.svelte': part(
        `let rows = ['oak'];\nconst add = () => { ¶rows.push('ash'); };`,
        `<button on:click={add}>Add</button><p>{rows.length}</p>`,
      ),
    },
    sound: {
      'App.svelte': part(
        `let rows = ['oak'];\nconst add = () => { rows = [...rows, 'ash']; };`,
        `<button on:click={add}>Add</button><p>{rows.length}</p>`,
      ),
    },
    acts: ['Add'],
  },
  {
    rule: 'change-unseen',
    form: 'a map in state',
    files: {
      'App.svelte': part(
        `let picked = $state(new Map());\nconst pick = (name) => ¶picked.set(name, true);`,
        `<button onclick={() => pick('oak')}>oak</button><p>{picked.size}</p>`,
      ),
    },
    sound: {
      'App.svelte': part(
        `import { SvelteMap } from 'svelte/reactivity';\nconst picked = new SvelteMap();\nconst pick = (name) => picked.set(name, true);`,
        `<button onclick={() => pick('oak')}>oak</button><p>{picked.size}</p>`,
      ),
    },
    acts: ['oak'],
  },
  {
    rule: 'change-unseen',
    form: 'a member of a list is set through another name, before runes',
    files: {
      'App.svelte': part(
        `let rows = [{ n: 1 }];\nfunction up() {\n  const first = rows[0];\n  ¶first.n += 1;\n}`,
        `<button on:click={up}>Up</button>{#each rows as row}<p>{row.n}</p>{/each}`,
      ),
    },
    sound: {
      'App.svelte': part(
        `let rows = [{ n: 1 }];\nfunction up() {\n  rows[0].n += 1;\n}`,
        `<button on:click={up}>Up</button>{#each rows as row}<p>{row.n}</p>{/each}`,
      ),
    },
    acts: ['Up'],
  },
  {
    rule: 'stale-reading',
    form: 'a value is computed once from a prop',
    files: {
      'App.svelte': part(
        `import Price from './Price.svelte';\nlet amount = $state(1);`,
        `<button onclick={() => amount++}>More</button><Price {amount} />`,
      ),
      'Price.svelte': part(`let { amount } = $props();\nconst price = ¶amount * 3;`, `<p>{price}</p>`),
    },
    sound: { 'Price.svelte': part(`let { amount } = $props();\nconst price = $derived(amount * 3);`, `<p>{price}</p>`) },
    acts: ['More'],
  },
  {
    rule: 'stale-reading',
    form: 'a value is computed once from a prop, before runes',
    files: {
      'App.svelte': part(
        `import Price from './Price.svelte';\nlet amount = 1;`,
        `<button on:click={() => (amount += 1)}>More</button><Price {amount} />`,
      ),
      'Price.svelte': part(`export let amount;\nlet label = 'costs ' + ¶amount * 3;`, `<p>{label}</p>`),
    },
    sound: { 'Price.svelte': part(`export let amount;\n$: label = 'costs ' + amount * 3;`, `<p>{label}</p>`) },
    acts: ['More'],
  },
  {
    rule: 'stale-reading',
    form: 'a context holds the value of a state',
    files: {
      'App.svelte': part(
        `import { setContext } from 'svelte';\nimport Sheet from './Sheet.svelte';\nlet unit = $state('m');\nsetContext('unit', ¶unit);`,
        `<button onclick={() => (unit = 'ft')}>Feet</button><Sheet />`,
      ),
      'Sheet.svelte': part(
        `import { getContext } from 'svelte';\nconst unit = getContext('unit');`,
        `<p>{typeof unit === 'function' ? unit() : unit}</p>`,
      ),
    },
    sound: {
      'App.svelte': part(
        `import { setContext } from 'svelte';\nimport Sheet from './Sheet.svelte';\nlet unit = $state('m');\nsetContext('unit', () => unit);`,
        `<button onclick={() => (unit = 'ft')}>Feet</button><Sheet />`,
      ),
    },
    acts: ['Feet'],
  },
  {
    rule: 'stale-reading',
    form: 'a function of a module is handed a state by its value',
    files: {
      'App.svelte': part(
        `import { counterOf } from './counter.svelte.js';\nlet step = $state(1);\nconst counter = counterOf(¶step);`,
        `<button onclick={() => (step = 5)}>Step</button><button onclick={counter.up}>Up</button><p>{counter.n}</p>`,
      ),
      'counter.svelte.js': `export function counterOf(step) {\n  let n = $state(0);\n  return { get n() { return n; }, up: () => { n += step; } };\n}`,
    },
    sound: {
      'App.svelte': part(
        `import { counterOf } from './counter.svelte.js';\nlet step = $state(1);\nconst counter = counterOf(() => step);`,
        `<button onclick={() => (step = 5)}>Step</button><button onclick={counter.up}>Up</button><p>{counter.n}</p>`,
      ),
      'counter.svelte.js': `export function counterOf(step) {\n  let n = $state(0);\n  return { get n() { return n; }, up: () => { n += step(); } };\n}`,
    },
    acts: ['Step', 'Up'],
  },
  {
    rule: 'prop-copied',
    form: 'a state begins with a prop',
    files: {
      'App.svelte': part(
        `import Note from './Note.svelte';\nlet text = $state('first');`,
        `<button onclick={() => (text = 'second')}>Next</button><Note {text} />`,
      ),
      'Note.svelte': part(
        `let { text } = $props();\nlet draft = $state(¶text);`,
        `<label>Text<input bind:value={draft} /></label><p>{draft}</p>`,
      ),
    },
    sound: {
      'App.svelte': part(
        `import Note from './Note.svelte';\nlet text = $state('first');`,
        `<button onclick={() => (text = 'second')}>Next</button>{#key text}<Note {text} />{/key}`,
      ),
    },
    acts: ['Next'],
  },
  {
    rule: 'prop-copied',
    form: 'a local begins with a member of a prop and is changed, before runes',
    files: {
      'App.svelte': part(
        `import Edit from './Edit.svelte';\nconst all = [{ name: 'Ann' }, { name: 'Bo' }];\nlet at = 0;`,
        `<button on:click={() => (at = 1)}>Next</button><Edit person={all[at]} />`,
      ),
      'Edit.svelte': part(`export let person;\nlet name = ¶person.name;`, `<label>Name<input bind:value={name} /></label><p>{name}</p>`),
    },
    sound: {
      'App.svelte': part(
        `import Edit from './Edit.svelte';\nconst all = [{ name: 'Ann' }, { name: 'Bo' }];\nlet at = 0;`,
        `<button on:click={() => (at = 1)}>Next</button>{#key at}<Edit person={all[at]} />{/key}`,
      ),
    },
    acts: ['Next'],
  },
  {
    rule: 'prop-written',
    form: 'a member of a prop that is not bound is written',
    files: {
      'App.svelte': part(
        `import Row from './Row.svelte';\nlet boat = $state({ name: 'Wren', lit: false });`,
        `<Row {boat} /><p>{boat.lit ? 'lit' : 'dark'}</p>`,
      ),
      'Row.svelte': part(`let { boat } = $props();`, `<button onclick={() => { ¶boat.lit = true; }}>{boat.name}</button>`),
    },
    sound: {
      'App.svelte': part(
        `import Row from './Row.svelte';\nlet boat = $state({ name: 'Wren', lit: false });`,
        `<Row {boat} onlight={() => (boat.lit = true)} /><p>{boat.lit ? 'lit' : 'dark'}</p>`,
      ),
      'Row.svelte': part(`let { boat, onlight } = $props();`, `<button onclick={onlight}>{boat.name}</button>`),
    },
    acts: ['Wren'],
  },
  {
    rule: 'two-way-half',
    form: 'a prop is bound that is not bindable',
    files: {
      'App.svelte': part(`import Field from './Field.svelte';\nlet name = $state('Ann');`, `<Field ¶bind:value={name} /><p>{name}</p>`),
      'Field.svelte': part(`let { value } = $props();`, `<label>Name<input {value} /></label>`),
    },
    sound: { 'Field.svelte': part(`let { value = $bindable() } = $props();`, `<label>Name<input bind:value /></label>`) },
    acts: ['Name=Bo'],
  },
  {
    rule: 'event-never-raised',
    or: ['prop-spelt'],
    form: 'a listener of a part that dispatches another name',
    files: {
      'App.svelte': part(
        `import Pick from './Pick.svelte';\nlet at = 'none';`,
        `<Pick ¶on:selected={(event) => (at = event.detail)} /><p>{at}</p>`,
      ),
      'Pick.svelte': part(
        `import { createEventDispatcher } from 'svelte';\nconst dispatch = createEventDispatcher();`,
        `<button on:click={() => dispatch('select', 'oak')}>oak</button>`,
      ),
    },
    sound: {
      'App.svelte': part(
        `import Pick from './Pick.svelte';\nlet at = 'none';`,
        `<Pick on:select={(event) => (at = event.detail)} /><p>{at}</p>`,
      ),
    },
    acts: ['oak'],
  },
  {
    rule: 'event-never-raised',
    form: 'a listener in the old form for a part with callbacks',
    files: {
      'App.svelte': part(`import Pick from './Pick.svelte';\nlet at = 'none';`, `<Pick ¶on:pick={() => (at = 'oak')} /><p>{at}</p>`),
      'Pick.svelte': part(`let { onpick = () => {} } = $props();`, `<button onclick={() => onpick('oak')}>oak</button>`),
    },
    sound: { 'App.svelte': part(`import Pick from './Pick.svelte';\nlet at = 'none';`, `<Pick onpick={() => (at = 'oak')} /><p>{at}</p>`) },
    acts: ['oak'],
  },
  {
    rule: 'event-stops-short',
    form: 'a dispatched event that is not handed on',
    files: {
      'App.svelte': part(
        `import List from './List.svelte';\nlet at = 'none';`,
        `<List ¶on:pick={(event) => (at = event.detail)} /><p>{at}</p>`,
      ),
      'List.svelte': part(`import Item from './Item.svelte';`, `<ul><Item name="oak" /></ul>`),
      'Item.svelte': part(
        `import { createEventDispatcher } from 'svelte';\nexport let name;\nconst dispatch = createEventDispatcher();`,
        `<li><button on:click={() => dispatch('pick', name)}>{name}</button></li>`,
      ),
    },
    sound: { 'List.svelte': part(`import Item from './Item.svelte';`, `<ul><Item name="oak" on:pick /></ul>`) },
    acts: ['oak'],
  },
  {
    rule: 'prop-missing',
    form: 'a prop whose member is read, at one of two uses',
    files: {
      'App.svelte': part(`import Card from './Card.svelte';\nconst boat = { name: 'Wren' };`, `<Card {boat} /><¶Card />`),
      'Card.svelte': part(`let { boat } = $props();`, `<p>{boat.name.toUpperCase()}</p>`),
    },
    sound: { 'App.svelte': part(`import Card from './Card.svelte';\nconst boat = { name: 'Wren' };`, `<Card {boat} /><Card {boat} />`) },
  },
  {
    rule: 'prop-missing',
    form: 'a typed prop without a default',
    files: {
      'App.svelte': part(`import Gauge from './Gauge.svelte';`, `<¶Gauge label="North" />`),
      'Gauge.svelte': part(
        `interface Props { label: string; value: number; unit?: string }\nlet { label, value, unit = 'm' }: Props = $props();`,
        `<p>{label}: {value.toFixed(1)} {unit}</p>`,
        'ts',
      ),
    },
    sound: { 'App.svelte': part(`import Gauge from './Gauge.svelte';`, `<Gauge label="North" value={2} />`) },
  },
  {
    rule: 'prop-spelt',
    form: 'two letters changed in a shorthand',
    files: {
      'App.svelte': part(`import Row from './Row.svelte';\nconst hieght = 3;`, `<Row ¶{hieght} />`),
      'Row.svelte': part(`let { height = 0 } = $props();`, `<p>{height}</p>`),
    },
    sound: { 'App.svelte': part(`import Row from './Row.svelte';\nconst height = 3;`, `<Row {height} />`) },
  },
  {
    rule: 'prop-unknown',
    form: 'a prop that an older part does not export',
    files: {
      'App.svelte': part(`import Row from './Row.svelte';`, `<Row name="a" ¶tone="calm" />`),
      'Row.svelte': part(`export let name;`, `<p>{name}</p>`),
    },
    sound: { 'App.svelte': part(`import Row from './Row.svelte';`, `<Row name="a" />`) },
  },
  {
    rule: 'slot-nowhere',
    form: 'a named slot that the part has not',
    files: {
      'App.svelte': part(`import Panel from './Panel.svelte';`, `<Panel><b ¶slot="footer">end</b>body</Panel>`),
      'Panel.svelte': part('', `<section><slot name="foot" /><slot /></section>`),
    },
    sound: { 'App.svelte': part(`import Panel from './Panel.svelte';`, `<Panel><b slot="foot">end</b>body</Panel>`) },
  },
  {
    rule: 'slot-nowhere',
    form: 'content for a part that renders no children',
    files: {
      'App.svelte': part(`import Badge from './Badge.svelte';`, `<Badge kind="new"><¶em>seven</em></Badge>`),
      'Badge.svelte': part(`let { kind } = $props();`, `<span>{kind}</span>`),
    },
    sound: { 'App.svelte': part(`import Badge from './Badge.svelte';`, `<Badge kind="new" />`) },
    unseen: true,
  },
  {
    rule: 'slot-shape',
    form: 'a snippet is rendered with an object and takes a list',
    files: {
      'App.svelte': part(
        `import Each from './Each.svelte';`,
        `<Each items={['a']}>{#snippet row(¶{ entry })}<b>{entry}</b>{/snippet}</Each>`,
      ),
      'Each.svelte': part(`let { items, row } = $props();`, `{#each items as item (item)}<p>{@render row({ item })}</p>{/each}`),
    },
    sound: {
      'App.svelte': part(`import Each from './Each.svelte';`, `<Each items={['a']}>{#snippet row({ item })}<b>{item}</b>{/snippet}</Each>`),
    },
  },
  {
    rule: 'context-missing',
    form: 'a context under another key',
    files: {
      'App.svelte': part(
        `import { setContext } from 'svelte';\nimport Sheet from './Sheet.svelte';\nsetContext('units', { name: 'm' });`,
        `<Sheet />`,
      ),
      'Sheet.svelte': part(`import { getContext } from 'svelte';\nconst unit = ¶getContext('unit');`, `<p>{unit.name}</p>`),
    },
    sound: { 'Sheet.svelte': part(`import { getContext } from 'svelte';\nconst unit = getContext('units');`, `<p>{unit.name}</p>`) },
  },
  {
    rule: 'name-unknown',
    form: 'a name of the markup that nothing declares',
    files: {
      'App.svelte': part(
        `let rows = $state([1]);\nconst rowCount = $derived(rows.length);`,
        `<p>{¶count} rows</p><button onclick={() => rows.push(1)}>Add</button>`,
      ),
    },
    sound: {
      'App.svelte': part(
        `let rows = $state([1]);\nconst rowCount = $derived(rows.length);`,
        `<p>{rowCount} rows</p><button onclick={() => rows.push(1)}>Add</button>`,
      ),
    },
  },
  {
    rule: 'component-unknown',
    form: 'a part that is not imported',
    files: {
      'App.svelte': part(`import Frame from './Frame.svelte';`, `<Frame><¶Title text="Levels" /></Frame>`),
      'Frame.svelte': part(`let { children } = $props();`, `<section>{@render children()}</section>`),
      'Title.svelte': part(`let { text } = $props();`, `<h2>{text}</h2>`),
    },
    sound: {
      'App.svelte': part(
        `import Frame from './Frame.svelte';\nimport Title from './Title.svelte';`,
        `<Frame><Title text="Levels" /></Frame>`,
      ),
    },
  },
  {
    rule: 'handler-missing',
    form: 'a function is called where it should be given',
    files: {
      'App.svelte': part(
        `let n = $state(0);\nfunction log(word) {\n  console.info(word);\n}`,
        `<button onclick={¶log('up')}>Up</button><p>{n}</p>`,
      ),
    },
    sound: {
      'App.svelte': part(
        `let n = $state(0);\nfunction log(word) {\n  console.info(word);\n}`,
        `<button onclick={() => log('up')}>Up</button><p>{n}</p>`,
      ),
    },
    acts: ['Up'],
    unseen: true,
  },
  {
    rule: 'list-unkeyed',
    form: 'parts with a state of their own in a list that is shortened',
    files: {
      'App.svelte': part(
        `import Line from './Line.svelte';\nlet rows = $state([{ id: 1, n: 'a' }, { id: 2, n: 'b' }]);`,
        `<button onclick={() => rows.shift()}>Drop</button>{#each ¶rows as row}<Line n={row.n} />{/each}`,
      ),
      'Line.svelte': part(
        `let { n } = $props();\nlet open = $state(false);\nconst first = n;`,
        `<p>{n} {first}</p><button onclick={() => (open = !open)}>{open ? 'less' : 'more'}</button>`,
      ),
    },
    sound: {
      'App.svelte': part(
        `import Line from './Line.svelte';\nlet rows = $state([{ id: 1, n: 'a' }, { id: 2, n: 'b' }]);`,
        `<button onclick={() => rows.shift()}>Drop</button>{#each rows as row (row.id)}<Line n={row.n} />{/each}`,
      ),
    },
    acts: ['Drop'],
  },
  {
    rule: 'subscription-kept',
    form: 'a store is subscribed to by hand',
    files: {
      'App.svelte': part(
        `import Level from './Level.svelte';\nlet on = true;`,
        `<button on:click={() => (on = !on)}>Level</button>{#if on}<Level />{/if}`,
      ),
      'level.js': `import { writable } from 'svelte/store';\nexport const level = writable(1);\nexport const up = () => level.update((n) => n + 1);`,
      'Level.svelte': part(`import { level } from './level.js';\nlet now;\n¶level.subscribe((to) => (now = to));`, `<p>{now}</p>`),
    },
    sound: { 'Level.svelte': part(`import { level } from './level.js';`, `<p>{$level}</p>`) },
    unseen: true,
  },
  {
    rule: 'subscription-kept',
    form: 'a listener in an effect without an end',
    files: {
      'App.svelte': part(
        `import Menu from './Menu.svelte';\nlet on = $state(true);`,
        `<button onclick={() => (on = !on)}>Menu</button>{#if on}<Menu />{/if}`,
      ),
      'Menu.svelte': part(
        `let open = $state(true);\n$effect(() => {\n  ¶window.addEventListener('keydown', (event) => { if (event.key === 'Escape') open = false; });\n});`,
        `{#if open}<nav>menu</nav>{/if}`,
      ),
    },
    sound: {
      'Menu.svelte': part(
        `let open = $state(true);`,
        `<svelte:window onkeydown={(event) => { if (event.key === 'Escape') open = false; }} />{#if open}<nav>menu</nav>{/if}`,
      ),
    },
    unseen: true,
  },
  {
    rule: 'endless-render',
    form: 'an effect reads and sets one state',
    files: { 'App.svelte': part(`let n = $state(0);\n$effect(() => {\n  ¶n = n + 1;\n});`, `<p>{n > 3 ? 'many' : 'few'}</p>`) },
    sound: {
      'App.svelte': part(
        `import { onMount } from 'svelte';\nlet n = $state(0);\nonMount(() => {\n  n = n + 1;\n});`,
        `<p>{n > 3 ? 'many' : 'few'}</p>`,
      ),
    },
  },
  {
    rule: 'event-unheard',
    form: 'a callback that no use gives, of the only button',
    files: {
      'App.svelte': part(`import Row from './Row.svelte';`, `<Row name="a" /><Row name="b" />`),
      'Row.svelte': part(`let { name, onremove } = $props();`, `<p>{name} <button onclick={() => ¶onremove?.(name)}>Remove</button></p>`),
    },
    sound: {
      'App.svelte': part(
        `import Row from './Row.svelte';\nlet gone = $state('');`,
        `<Row name="a" onremove={(name) => (gone = name)} /><Row name="b" onremove={(name) => (gone = name)} />{gone}`,
      ),
    },
    or: ['prop-idle'],
    unseen: true,
  },
  {
    rule: 'prop-idle',
    form: 'a prop that is exported and not read',
    files: {
      'App.svelte': part(`import Buoy from './Buoy.svelte';`, `<Buoy name="Fairway" colour="red" />`),
      'Buoy.svelte': part(`export let name;\nexport let ¶colour;`, `<p>{name}</p>`),
    },
    sound: {
      'App.svelte': part(`import Buoy from './Buoy.svelte';`, `<Buoy name="Fairway" />`),
      'Buoy.svelte': part(`export let name;`, `<p>{name}</p>`),
    },
    unseen: true,
  },
  {
    rule: 'prop-carried',
    form: 'a value goes through three parts that do not read it',
    files: {
      'App.svelte': part(
        `import Page from './Page.svelte';\nlet user = $state({ name: 'Ann' });`,
        `<Page {user} /><button onclick={() => (user.name = 'Bo')}>Bo</button>`,
      ),
      'Page.svelte': part(`import Side from './Side.svelte';\nlet { ¶user } = $props();`, `<main><Side {user} /></main>`),
      'Side.svelte': part(`import Menu from './Menu.svelte';\nlet { user } = $props();`, `<aside><Menu {user} /></aside>`),
      'Menu.svelte': part(`import Face from './Face.svelte';\nlet { user } = $props();`, `<nav><Face {user} /></nav>`),
      'Face.svelte': part(`let { user } = $props();`, `<b>{user.name}</b>`),
    },
    sound: {
      'Page.svelte': part(`import Face from './Face.svelte';\nlet { user } = $props();`, `<main><Face {user} /></main>`),
      'Side.svelte': part('', '<p/>'),
      'Menu.svelte': part('', '<p/>'),
    },
    unseen: true,
  },
  {
    rule: 'state-too-high',
    form: 'a state that one part alone reads and sets',
    files: {
      'App.svelte': part(
        `import Find from './Find.svelte';\nimport Chart from './Chart.svelte';\nlet ¶text = $state('');`,
        `<main><Find bind:text /><Chart /></main>`,
      ),
      'Find.svelte': part(`let { text = $bindable() } = $props();`, `<input bind:value={text} />`),
      'Chart.svelte': part('', `<svg />`),
    },
    sound: {
      'App.svelte': part(`import Find from './Find.svelte';\nimport Chart from './Chart.svelte';`, `<main><Find /><Chart /></main>`),
      'Find.svelte': part(`let text = $state('');`, `<input bind:value={text} />`),
    },
    unseen: true,
  },
  {
    rule: 'store-dead',
    form: 'a store that is set and read by nobody',
    files: {
      'App.svelte': part(
        `import { level, lastAt } from './levels.js';\nfunction up() {\n  $level += 1;\n  lastAt.set(Date.now());\n}`,
        `<button on:click={up}>Up {$level}</button>`,
      ),
      'levels.js': `import { writable } from 'svelte/store';\nexport const level = writable(1);\nexport const ¶lastAt = writable(0);`,
    },
    sound: {
      'App.svelte': part(
        `import { level } from './levels.js';\nfunction up() {\n  $level += 1;\n}`,
        `<button on:click={up}>Up {$level}</button>`,
      ),
      'levels.js': `import { writable } from 'svelte/store';\nexport const level = writable(1);`,
    },
    unseen: true,
  },
  {
    rule: 'change-unseen',
    form: 'a raw state is changed inside',
    files: {
      'App.svelte': part(
        `let rows = $state.raw(['oak']);\nconst add = () => ¶rows.push('ash');`,
        `<button onclick={add}>Add</button><p>{rows.length} trees</p>`,
      ),
    },
    sound: {
      'App.svelte': part(
        `let rows = $state.raw(['oak']);\nconst add = () => (rows = [...rows, 'ash']);`,
        `<button onclick={add}>Add</button><p>{rows.length} trees</p>`,
      ),
    },
    acts: ['Add'],
  },
  {
    rule: 'change-unseen',
    form: 'a list that is no state, in a component in runes',
    files: {
      'App.svelte': part(
        `let open = $state(true);\nconst rows = ['oak'];\nfunction add() {\n  ¶rows.push('ash');\n}`,
        `<button onclick={add}>Add</button>{#if open}<p>{rows.length} trees</p>{/if}`,
      ),
    },
    sound: {
      'App.svelte': part(
        `let open = $state(true);\nconst rows = $state(['oak']);\nfunction add() {\n  rows.push('ash');\n}`,
        `<button onclick={add}>Add</button>{#if open}<p>{rows.length} trees</p>{/if}`,
      ),
    },
    acts: ['Add'],
  },
  {
    rule: 'change-unseen',
    form: 'a field of a class that is no state',
    missed: true,
    files: {
      'App.svelte': part(
        `import { Timer } from './timer.svelte.js';\nconst timer = new Timer();`,
        `<button onclick={() => timer.tick()}>Tick</button><p>{timer.left} left, {timer.name}</p>`,
      ),
      'timer.svelte.js': `export class Timer {\n  left = 60;\n  name = $state('egg');\n  tick() {\n    ¶this.left -= 1;\n  }\n}`,
    },
    sound: {
      'timer.svelte.js': `export class Timer {\n  left = $state(60);\n  name = $state('egg');\n  tick() {\n    this.left -= 1;\n  }\n}`,
    },
    acts: ['Tick'],
  },
  {
    rule: 'change-unseen',
    form: 'a store’s value is changed inside and not set',
    files: {
      'App.svelte': part(
        `import { rows } from './rows.js';\nfunction add() {\n  ¶$rows.push('ash');\n}`,
        `<button on:click={add}>Add</button><p>{$rows.length} trees</p>`,
      ),
      'rows.js': `import { writable } from 'svelte/store';\nexport const rows = writable(['oak']);`,
    },
    sound: {
      'App.svelte': part(
        `import { rows } from './rows.js';\nfunction add() {\n  $rows = [...$rows, 'ash'];\n}`,
        `<button on:click={add}>Add</button><p>{$rows.length} trees</p>`,
      ),
    },
    acts: ['Add'],
  },
  {
    rule: 'change-unseen',
    form: 'a member is taken out of a state object',
    files: {
      'App.svelte': part(
        `const gauge = $state({ level: 2 });\nlet { ¶level } = gauge;\nconst up = () => gauge.level++;`,
        `<button onclick={up}>Up</button><p>{level} m</p>`,
      ),
    },
    sound: {
      'App.svelte': part(
        `const gauge = $state({ level: 2 });\nconst up = () => gauge.level++;`,
        `<button onclick={up}>Up</button><p>{gauge.level} m</p>`,
      ),
    },
    or: ['stale-reading'],
    acts: ['Up'],
  },
  {
    rule: 'stale-reading',
    form: 'an effect reads a state after its timer',
    files: {
      'App.svelte': part(
        `let unit = $state('m');\nlet text = $state('');\nlet asked = $state(0);\n$effect(() => {\n  asked;\n  const id = setTimeout(() => (text = '3 ' + ¶unit), 5);\n  return () => clearTimeout(id);\n});`,
        `<button onclick={() => (unit = 'ft')}>Feet</button><p>{text}</p><button onclick={() => asked++}>Ask</button>`,
      ),
    },
    sound: {
      'App.svelte': part(
        `let unit = $state('m');\nlet text = $state('');\nlet asked = $state(0);\n$effect(() => {\n  asked;\n  const now = unit;\n  const id = setTimeout(() => (text = '3 ' + now), 5);\n  return () => clearTimeout(id);\n});`,
        `<button onclick={() => (unit = 'ft')}>Feet</button><p>{text}</p><button onclick={() => asked++}>Ask</button>`,
      ),
    },
    acts: ['Feet'],
  },
  {
    rule: 'stale-reading',
    form: 'a statement that calls a function which reads what it should follow',
    files: {
      'App.svelte': part(
        `let n = 1;\nlet text = '';\nfunction show() {\n  text = 'n is ' + ¶n;\n}\n$: show();`,
        `<button on:click={() => (n += 1)}>More</button><p>{text}</p>`,
      ),
    },
    sound: {
      'App.svelte': part(
        `let n = 1;\nlet text = '';\nfunction show(now) {\n  text = 'n is ' + now;\n}\n$: show(n);`,
        `<button on:click={() => (n += 1)}>More</button><p>{text}</p>`,
      ),
    },
    acts: ['More'],
  },
  {
    rule: 'stale-reading',
    form: 'props are taken apart twice',
    files: {
      'App.svelte': part(
        `import Card from './Card.svelte';\nlet boat = $state({ name: 'Wren' });`,
        `<button onclick={() => (boat = { name: 'Teal' })}>Next</button><Card {boat} />`,
      ),
      'Card.svelte': part(`let { boat } = $props();\nconst { name } = ¶boat;`, `<p>{name}</p>`),
    },
    sound: { 'Card.svelte': part(`let { boat } = $props();\nconst name = $derived(boat.name);`, `<p>{name}</p>`) },
    acts: ['Next'],
  },
  {
    rule: 'prop-copied',
    form: 'an object state begins with members of a prop',
    files: {
      'App.svelte': part(
        `import Edit from './Edit.svelte';\nconst all = [{ name: 'Ann' }, { name: 'Bo' }];\nlet at = $state(0);`,
        `<button onclick={() => (at = 1)}>Next</button><Edit person={all[at]} />`,
      ),
      'Edit.svelte': part(
        `let { person } = $props();\nlet draft = $state({ ...¶person });`,
        `<label>Name<input bind:value={draft.name} /></label><p>{draft.name}</p>`,
      ),
    },
    sound: {
      'App.svelte': part(
        `import Edit from './Edit.svelte';\nconst all = [{ name: 'Ann' }, { name: 'Bo' }];\nlet at = $state(0);`,
        `<button onclick={() => (at = 1)}>Next</button>{#key at}<Edit person={all[at]} />{/key}`,
      ),
    },
    acts: ['Next'],
  },
  {
    rule: 'prop-written',
    form: 'a list that is given and not bound is pushed into',
    files: {
      'App.svelte': part(`import Add from './Add.svelte';\nlet names = $state(['oak']);`, `<Add {names} /><p>{names.length}</p>`),
      'Add.svelte': part(`let { names } = $props();\nfunction add() {\n  ¶names.push('ash');\n}`, `<button onclick={add}>Add</button>`),
    },
    sound: {
      'App.svelte': part(
        `import Add from './Add.svelte';\nlet names = $state(['oak']);`,
        `<Add onadd={() => names.push('ash')} /><p>{names.length}</p>`,
      ),
      'Add.svelte': part(`let { onadd } = $props();`, `<button onclick={onadd}>Add</button>`),
    },
    acts: ['Add'],
  },
  {
    rule: 'event-stops-short',
    form: 'an element waits for what a part within dispatches',
    files: {
      'App.svelte': part(
        `import Item from './Item.svelte';\nlet at = 'none';`,
        `<div ¶on:pick={(event) => (at = event.detail)}><Item name="oak" /></div><p>{at}</p>`,
      ),
      'Item.svelte': part(
        `import { createEventDispatcher } from 'svelte';\nexport let name;\nconst dispatch = createEventDispatcher();`,
        `<button on:click={() => dispatch('pick', name)}>{name}</button>`,
      ),
    },
    sound: {
      'App.svelte': part(
        `import Item from './Item.svelte';\nlet at = 'none';`,
        `<div><Item name="oak" on:pick={(event) => (at = event.detail)} /></div><p>{at}</p>`,
      ),
    },
    acts: ['oak'],
  },
  {
    rule: 'event-never-raised',
    form: 'a native event of a part that does not hand it on',
    files: {
      'App.svelte': part(`import Knob from './Knob.svelte';\nlet n = 0;`, `<Knob label="Turn" ¶on:click={() => (n += 1)} /><p>{n}</p>`),
      'Knob.svelte': part(`export let label;`, `<button>{label}</button>`),
    },
    sound: { 'Knob.svelte': part(`export let label;`, `<button on:click>{label}</button>`) },
    acts: ['Turn'],
  },
  {
    rule: 'prop-kind',
    form: 'a typed flag is given as a word',
    files: {
      'App.svelte': part(`import Panel from './Panel.svelte';`, `<Panel ¶open="false" />`),
      'Panel.svelte': part(`let { open }: { open: boolean } = $props();`, `<p>{open ? 'open' : 'shut'}</p>`, 'ts'),
    },
    sound: { 'App.svelte': part(`import Panel from './Panel.svelte';`, `<Panel open={false} />`) },
  },
  {
    rule: 'slot-shape',
    form: 'content where a snippet with a value is wanted',
    files: {
      'App.svelte': part(
        `import Each from './Each.svelte';`,
        `<Each items={['a']}>{#snippet children(¶item, at, more)}<b>{item} {at} {more.x}</b>{/snippet}</Each>`,
      ),
      'Each.svelte': part(
        `let { items, children } = $props();`,
        `{#each items as item, at (item)}<p>{@render children(item, at)}</p>{/each}`,
      ),
    },
    sound: {
      'App.svelte': part(
        `import Each from './Each.svelte';`,
        `<Each items={['a']}>{#snippet children(item, at)}<b>{item} {at}</b>{/snippet}</Each>`,
      ),
    },
  },
  {
    rule: 'slot-idle',
    form: 'a snippet prop that no use gives',
    files: {
      'App.svelte': part(`import Panel from './Panel.svelte';`, `<Panel>one</Panel><Panel>two</Panel>`),
      'Panel.svelte': part(
        `let { children, ¶footer } = $props();`,
        `<section>{@render children()}{#if footer}<footer>{@render footer()}</footer>{/if}</section>`,
      ),
    },
    sound: { 'Panel.svelte': part(`let { children } = $props();`, `<section>{@render children()}</section>`) },
    or: ['prop-unused'],
    unseen: true,
  },
  {
    rule: 'context-missing',
    form: 'a context is taken by the part that sets it for others alone',
    files: {
      'App.svelte': part(`import Left from './Left.svelte';\nimport Right from './Right.svelte';`, `<Left /><Right />`),
      'unit.js': `import { getContext, setContext } from 'svelte';\nconst key = Symbol('unit');\nexport const giveUnit = (unit) => setContext(key, unit);\nexport const takeUnit = () => getContext(key);`,
      'Left.svelte': part(`import { giveUnit } from './unit.js';\ngiveUnit({ name: 'm' });`, `<p>left</p>`),
      'Right.svelte': part(`import { takeUnit } from './unit.js';\nconst unit = ¶takeUnit();`, `<p>{unit.name}</p>`),
    },
    sound: {
      'App.svelte': part(
        `import { giveUnit } from './unit.js';\nimport Right from './Right.svelte';\ngiveUnit({ name: 'm' });`,
        `<Right />`,
      ),
      'Left.svelte': part('', '<p/>'),
    },
  },
  {
    rule: 'context-unread',
    form: 'a context is set and taken by nobody',
    files: {
      'App.svelte': part(
        `import { setContext } from 'svelte';\nimport Label from './Label.svelte';\nsetContext('unit', 'm');\n¶setContext('place', 'quay');`,
        `<Label />`,
      ),
      'Label.svelte': part(`import { getContext } from 'svelte';\nconst unit = getContext('unit');`, `<i>{unit}</i>`),
    },
    sound: {
      'App.svelte': part(
        `import { setContext } from 'svelte';\nimport Label from './Label.svelte';\nsetContext('unit', 'm');`,
        `<Label />`,
      ),
    },
    unseen: true,
  },
  {
    rule: 'subscription-kept',
    form: 'an interval that is started when the part is made',
    files: {
      'App.svelte': part(
        `import Clock from './Clock.svelte';\nlet on = $state(true);`,
        `<button onclick={() => (on = !on)}>Clock</button>{#if on}<Clock />{/if}`,
      ),
      'Clock.svelte': part(`let n = $state(0);\n¶setInterval(() => n++, 1000);`, `<time>{n > 0 ? 'now' : ''}</time>`),
    },
    sound: {
      'Clock.svelte': part(
        `import { onDestroy } from 'svelte';\nlet n = $state(0);\nconst id = setInterval(() => n++, 1000);\nonDestroy(() => clearInterval(id));`,
        `<time>{n > 0 ? 'now' : ''}</time>`,
      ),
    },
    unseen: true,
  },
  {
    rule: 'channel-unpaired',
    form: 'an event of the window under another name',
    files: {
      'App.svelte': part(`import Bell from './Bell.svelte';\nimport Ear from './Ear.svelte';`, `<Bell /><Ear />`),
      'Bell.svelte': part(
        `const ring = () => window.dispatchEvent(new CustomEvent('boat:moored'));`,
        `<button onclick={ring}>Ring</button>`,
      ),
      'Ear.svelte': part(`let n = $state(0);`, `<svelte:window ¶onboat:mored={() => n++} /><p>{n}</p>`),
    },
    sound: { 'Ear.svelte': part(`let n = $state(0);`, `<svelte:window onboat:moored={() => n++} /><p>{n}</p>`) },
    acts: ['Ring'],
  },
  {
    rule: 'two-truths',
    form: 'a copy of a store is counted on its own',
    files: {
      'App.svelte': part(`import One from './One.svelte';\nimport Two from './Two.svelte';`, `<One /><Two />`),
      'levels.js': `import { writable } from 'svelte/store';\nexport const high = writable(1);`,
      'One.svelte': part(`import { high } from './levels.js';`, `<button on:click={() => ($high += 1)}>Up {$high}</button>`),
      'Two.svelte': part(
        `import { high } from './levels.js';\nlet own = ¶$high;\nconst lower = () => (own -= 1);`,
        `<button on:click={lower}>Down {own}</button>`,
      ),
    },
    sound: { 'Two.svelte': part(`import { high } from './levels.js';`, `<button on:click={() => ($high -= 1)}>Down {$high}</button>`) },
    acts: ['Up'],
  },
  {
    rule: 'derived-twice',
    form: 'a sum that the owner has made too',
    files: {
      'App.svelte': part(
        `import Foot from './Foot.svelte';\nlet lines = $state([{ price: 2, count: 3 }]);\nconst total = $derived(lines.reduce((all, one) => all + one.price * one.count, 0));`,
        `<h2>{total}</h2><Foot {lines} /><button onclick={() => lines.push({ price: 1, count: 1 })}>Add</button>`,
      ),
      'Foot.svelte': part(
        `let { lines } = $props();\nconst sum = ¶$derived(lines.reduce((before, line) => before + line.price * line.count, 0));`,
        `<footer>{sum}</footer>`,
      ),
    },
    sound: { 'Foot.svelte': part(`let { lines } = $props();`, `<footer>{lines.length}</footer>`) },
    unseen: true,
  },
  {
    rule: 'component-idle',
    form: 'a part that is imported and never used',
    files: {
      'App.svelte': part(`import Lamp from './Lamp.svelte';\nimport Shade from './Shade.svelte';`, `<Lamp />`),
      'Lamp.svelte': part('', `<b>lamp</b>`),
      'Shade.svelte': part('', `¶<i>shade</i>`),
    },
    sound: { 'App.svelte': part(`import Lamp from './Lamp.svelte';\nimport Shade from './Shade.svelte';`, `<Lamp /><Shade />`) },
    unseen: true,
  },
  {
    rule: 'wrapper-thin',
    form: 'a part that only hands its props on',
    files: {
      'App.svelte': part(`import SaveButton from './SaveButton.svelte';`, `<SaveButton label="Save" tone="calm" />`),
      'SaveButton.svelte': part(`import Button from './Button.svelte';\nlet props = $props();`, `¶<Button {...props} />`),
      'Button.svelte': part(`let { label, tone } = $props();`, `<button class={tone}>{label}</button>`),
    },
    sound: {
      'App.svelte': part(`import Button from './Button.svelte';`, `<Button label="Save" tone="calm" />`),
      'SaveButton.svelte': part('', '<p/>'),
    },
    unseen: true,
  },
  {
    rule: 'list-unkeyed',
    form: 'fields in a list that is put in another order',
    files: {
      'App.svelte': part(
        `let rows = $state([{ id: 1, n: 'a' }, { id: 2, n: 'b' }]);`,
        `<button onclick={() => rows.reverse()}>Turn</button>{#each ¶rows as row}<label>{row.n}<input value="" /></label>{/each}`,
      ),
    },
    sound: {
      'App.svelte': part(
        `let rows = $state([{ id: 1, n: 'a' }, { id: 2, n: 'b' }]);`,
        `<button onclick={() => rows.reverse()}>Turn</button>{#each rows as row (row.id)}<label>{row.n}<input value="" /></label>{/each}`,
      ),
    },
    acts: ['a=x', 'Turn'],
  },
  {
    rule: 'stale-reading',
    form: 'a derived value that calls a function with a value of the start',
    files: {
      'App.svelte': part(`import Row from './Row.svelte';\nlet n = $state(1);`, `<button onclick={() => n++}>More</button><Row {n} />`),
      'Row.svelte': part(`const { n } = $props();\nconst label = \`row \${¶n}\`;`, `<p>{label}</p>`),
    },
    sound: { 'Row.svelte': part(`const { n } = $props();\nconst label = $derived(\`row \${n}\`);`, `<p>{label}</p>`) },
    acts: ['More'],
  },
  {
    rule: 'prop-missing',
    form: 'an older required prop at one of two uses',
    files: {
      'App.svelte': part(`import Row from './Row.svelte';`, `<Row at={2} name="a" /><¶Row name="b" />`),
      'Row.svelte': part(`export let name;\nexport let at;`, `<p>{name} {at.toFixed(1)}</p>`),
    },
    sound: { 'App.svelte': part(`import Row from './Row.svelte';`, `<Row at={2} name="a" /><Row at={3} name="b" />`) },
  },
  {
    rule: 'event-never-raised',
    form: 'a callback prop that the part does not take',
    files: {
      'App.svelte': part(
        `import Pick from './Pick.svelte';\nlet at = $state('none');`,
        `<Pick ¶onchosen={(name) => (at = name)} /><p>{at}</p>`,
      ),
      'Pick.svelte': part(`let { onselect } = $props();`, `<button onclick={() => onselect?.('oak')}>oak</button>`),
    },
    sound: {
      'App.svelte': part(
        `import Pick from './Pick.svelte';\nlet at = $state('none');`,
        `<Pick onselect={(name) => (at = name)} /><p>{at}</p>`,
      ),
    },
    or: ['prop-unknown', 'prop-spelt'],
    acts: ['oak'],
  },
  {
    rule: 'two-way-half',
    form: 'bind to a part that keeps the value to itself',
    files: {
      'App.svelte': part(`import Slider from './Slider.svelte';\nlet level = $state(2);`, `<Slider ¶bind:level /><p>{level} m</p>`),
      'Slider.svelte': part(`let { level } = $props();\nlet own = $state(level);`, `<label>Level<input bind:value={own} /></label>`),
    },
    sound: { 'Slider.svelte': part(`let { level = $bindable() } = $props();`, `<label>Level<input bind:value={level} /></label>`) },
    or: ['prop-copied'],
    acts: ['Level=7'],
  },
  {
    rule: 'change-unseen',
    form: 'a derived list is sorted where it is',
    files: {
      'App.svelte': part(
        `let rows = ['b', 'a'];\nfunction sort() {\n  ¶rows.sort();\n}`,
        `<button on:click={sort}>Sort</button><p>{rows.join(' ')}</p>`,
      ),
    },
    sound: {
      'App.svelte': part(
        `let rows = ['b', 'a'];\nfunction sort() {\n  rows = [...rows].sort();\n}`,
        `<button on:click={sort}>Sort</button><p>{rows.join(' ')}</p>`,
      ),
    },
    acts: ['Sort'],
  },
  {
    rule: 'handler-missing',
    form: 'a handler under a name that was changed',
    files: {
      'App.svelte': part(`let n = $state(0);\nfunction increase() {\n  n += 1;\n}`, `<button onclick={¶increment}>More {n}</button>`),
    },
    sound: {
      'App.svelte': part(`let n = $state(0);\nfunction increase() {\n  n += 1;\n}`, `<button onclick={increase}>More {n}</button>`),
    },
    or: ['name-unknown'],
    acts: ['More'],
  },
  {
    rule: 'endless-render',
    form: 'an effect makes a list of the one that it sets',
    files: {
      'App.svelte': part(
        `let log = $state([]);\nlet n = $state(0);\n$effect(() => {\n  ¶log = [...log, 'n is ' + n];\n});`,
        `<button onclick={() => n++}>More</button><p>{log.length > 3 ? 'many' : 'few'}</p>`,
      ),
    },
    sound: {
      'App.svelte': part(
        `import { untrack } from 'svelte';\nlet log = $state([]);\nlet n = $state(0);\n$effect(() => {\n  const line = 'n is ' + n;\n  log = untrack(() => [...log, line]);\n});`,
        `<button onclick={() => n++}>More</button><p>{log.length > 3 ? 'many' : 'few'}</p>`,
      ),
    },
  },
  {
    rule: 'endless-render',
    form: 'an effect lengthens the list that it reads',
    files: {
      'App.svelte': part(
        `let log = $state([]);\nlet n = $state(0);\n$effect(() => {\n  ¶log.push('n is ' + n);\n});`,
        `<button onclick={() => n++}>More</button><p>{log.length > 3 ? 'many' : 'few'}</p>`,
      ),
    },
    sound: {
      'App.svelte': part(
        `import { untrack } from 'svelte';\nlet log = $state([]);\nlet n = $state(0);\n$effect(() => {\n  const line = 'n is ' + n;\n  untrack(() => log.push(line));\n});`,
        `<button onclick={() => n++}>More</button><p>{log.length > 3 ? 'many' : 'few'}</p>`,
      ),
    },
  },
  {
    rule: 'subscription-kept',
    form: 'a listener that onMount puts on the document',
    files: {
      'App.svelte': part(
        `import Menu from './Menu.svelte';\nlet on = true;`,
        `<button on:click={() => (on = !on)}>Menu</button>{#if on}<Menu />{/if}`,
      ),
      'Menu.svelte': part(
        `import { onMount } from 'svelte';\nlet open = true;\nonMount(() => {\n  ¶document.addEventListener('click', () => (open = false));\n});`,
        `{#if open}<nav>menu</nav>{/if}`,
      ),
    },
    sound: {
      'Menu.svelte': part(
        `import { onMount } from 'svelte';\nlet open = true;\nonMount(() => {\n  const shut = () => (open = false);\n  document.addEventListener('click', shut);\n  return () => document.removeEventListener('click', shut);\n});`,
        `{#if open}<nav>menu</nav>{/if}`,
      ),
    },
    unseen: true,
  },

  mended({
    rule: 'prop-written',
    form: 'what is given is sorted in a derived value',
    files: {
      'App.svelte':
        "<script>\n  import List from './List.svelte';\n  let names = $state(['oak', 'elm']);\n</script>\n<p>{names.join(' ')}</p>\n<List {names} />",
      'List.svelte':
        '<script>\n  let { names } = $props();\n  const sorted = $derived(¶names.sort());\n</script>\n{#each sorted as one (one)}<p>{one}</p>{/each}',
    },
    by: [['names.sort()', '[...names].sort()']],
    unseen: true,
  }),
  mended({
    rule: 'change-unseen',
    form: 'a date in state is moved',
    files: {
      'App.svelte':
        '<script>\n  let day = $state(new Date(2026, 0, 1));\n  function next() {\n    ¶day.setDate(day.getDate() + 1);\n  }\n</script>\n<p>{day.toDateString()}</p>\n<button onclick={next}>next</button>',
    },
    by: [['day.setDate(day.getDate() + 1);', 'day = new Date(day.getTime() + 86400000);']],
    acts: ['next'],
  }),
  mended({
    rule: 'list-unkeyed',
    form: 'an id made from the position is the key of rows that keep a state',
    files: {
      'App.svelte':
        "<script>\n  import Row from './Row.svelte';\n  let names = $state(['cod']);\n  const rows = $derived(names.map((name, at) => ({ id: at, name })));\n</script>\n<button onclick={() => (names = ['ling', ...names])}>add</button>\n{#each rows as row (row.id)}\n  ¶<Row name={row.name} />\n{/each}",
      'Row.svelte':
        "<script>\n  let { name } = $props();\n  let open = $state(false);\n</script>\n<button onclick={() => (open = !open)}>{name}{open ? ' more' : ''}</button>",
    },
    by: [['id: at, name', 'id: name, name']],
    acts: ['cod', 'add'],
  }),
  mended({
    rule: 'store-dead',
    form: 'a list of a module is only pushed to',
    files: {
      'App.svelte': "<script>\n  import { note } from './visits.js';\n</script>\n<button onclick={() => note('home')}>home</button>",
      'visits.js': '¶const visits = [];\nexport function note(page) {\n  visits.push(page);\n}',
    },
    by: [],
    unseen: true,
  }),
  mended({
    rule: 'event-never-raised',
    form: 'a callback that is only tested',
    files: {
      'App.svelte':
        "<script>\n  import Row from './Row.svelte';\n  let shut = $state(false);\n</script>\n<p>{shut}</p>\n<Row\n  ¶onclose={() => (shut = true)} />",
      'Row.svelte': '<script>\n  let { onclose } = $props();\n</script>\n{#if onclose}<p>can be shut</p>{/if}',
    },
    or: ['event-unheard', 'prop-unknown'],
    by: [['<p>can be shut</p>', '<button onclick={onclose}>shut</button>']],
    unseen: true,
  }),
  mended({
    rule: 'list-unkeyed',
    form: 'a store of rows that keep a state is given a list that grows at its front',
    files: {
      'App.svelte':
        "<script>\n  import { rows } from './rows.js';\n  import Row from './Row.svelte';\n  const add = () => rows.update((all) => [`z${all.length}`, ...all]);\n</script>\n<button onclick={add}>add</button>\n¶{#each $rows as row}<Row name={row} />{/each}",
      'Row.svelte':
        '<script>\n  let { name } = $props();\n  let open = $state(false);\n</script>\n<button onclick={() => (open = !open)}>{name} {open}</button>',
      'rows.js': "import { writable } from 'svelte/store';\nexport const rows = writable(['a', 'b']);",
    },
    by: [['as row}', 'as row (row)}']],
    acts: ['a false', 'add'],
  }),
];
