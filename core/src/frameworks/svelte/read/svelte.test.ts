import { expect, test } from 'vitest';
import { contractLine } from '../../../../../testing/src/contract';
import { outline } from '../../../../../testing/src/project';
import { readFile } from '../../read-file';
import { loadCompilers } from '../../registry';

await loadCompilers(['Part.svelte']);

/** What a file says: its contract, its markup, and what could not be read (`!`). */
function said(text: string): string[] {
  const facts = readFile('src/Part.svelte', text);
  const [component] = facts.components;
  if (!component) return [];
  const markup = outline(component.template).split('\n');
  return [contractLine(component), ...markup.filter((line) => line !== ''), ...facts.problems.map((problem) => `! ${problem.message}`)];
}

const cases: readonly (readonly [name: string, text: string, says: readonly string[]])[] = [
  [
    'older props',
    `<script>export let a; export let b = 1; export let onGo;</script><p>{a}{b}</p>`,
    ['a<>!, b<>=1, onGo()! : closed', 'p', '  text', '  text'],
  ],
  [
    'older props by type',
    `<script lang="ts">export let a: string; export let go: (to: number) => void; export let b: number | undefined = undefined;</script><p>{a}{b}</p>`,
    ['a<>!, go<>!, b<>=undefined : closed', 'p', '  text', '  text'],
  ],
  [
    'older, by another name',
    `<script>let klass = ''; export { klass as class };</script><p class={klass}/>`,
    ['class<>=undefined : closed', 'p'],
  ],
  ['exported functions are no props', `<script>export function focus() {} export const id = 1;</script><p/>`, [' : closed', 'p']],
  [
    'runes',
    `<script>let { a, b = 1, c: d, onGo } = $props();</script><p>{a}{b}{d}</p>`,
    ['a?, b=1, c?, onGo()? : closed', 'p', '  text', '  text', '  text'],
  ],
  [
    'runes by type',
    `<script lang="ts">let { a, b = 1 }: { a: string; b?: number; onbook: () => void } = $props();</script><p>{a}{b}</p>`,
    ['a?, b=1 : closed', 'p', '  text', '  text'],
  ],
  [
    'runes by an interface of the file',
    `<script lang="ts">interface Props { a: string; b?: number } let { a, b }: Props = $props();</script><p>{a}{b}</p>`,
    ['a?, b? : closed', 'p', '  text', '  text'],
  ],
  [
    'bindable',
    `<script>let { value = $bindable(), open = $bindable(false) } = $props();</script><input bind:value>{open}`,
    ['value<>?, open<>=false, model:value() : closed', 'input', 'text'],
  ],
  ['the rest on an element', `<script>let { a, ...rest } = $props();</script><p {...rest}>{a}</p>`, ['a? : platform', 'p', '  text']],
  [
    'the rest on a component',
    `<script>import Inner from './Inner.svelte'; let { a, ...rest } = $props();</script><Inner {...rest}>{a}</Inner>`,
    ['a? : through Inner', 'Inner(…)', '  text'],
  ],
  ['the rest read', `<script>let { a, ...rest } = $props();</script><p>{rest.b}{a}</p>`, ['a?, b? : closed', 'p', '  text', '  text']],
  ['props as a whole', `<script>const props = $props();</script><p>{props.a}</p>`, ['a? : closed', 'p', '  text']],
  ['props as a whole on an element', `<script>const props = $props();</script><p {...props}/>`, [' : platform', 'p']],
  [
    'props taken apart later',
    `<script>const props = $props(); const { a, ...rest } = $derived(props);</script><p {...rest}>{a}</p>`,
    ['a? : platform', 'p', '  text'],
  ],
  ['all that is left, older', `<script>export let a;</script><p {...$$restProps}>{a}</p>`, ['a<>! : platform', 'p', '  text']],
  [
    'beside a style in another language',
    `<script>export let a;</script><p>{a}</p><style lang="scss">// no style of the platform\n$gap: 8px; @mixin wide($by) { &.#{$by} { top: auto; } }</style>`,
    ['a<>! : closed', 'p', '  text'],
  ],
  ['all, older', `<p {...$$props}/>`, [' : platform', 'p']],
  [
    'dispatched',
    `<script>import { createEventDispatcher } from 'svelte'; const dispatch = createEventDispatcher();</script><button on:click={() => dispatch('go', 1)}>x</button>`,
    ['event:go() : closed', 'button'],
  ],
  ['forwarded', `<button on:click on:focus>x</button>`, ['event:click(), event:focus() : closed', 'button']],
  [
    'a callback that is called',
    `<script>let { go } = $props();</script><button onclick={() => go(1)}>x</button>`,
    ['go()? : closed', 'button'],
  ],
  [
    'slots',
    `<script>export let a;</script><slot/><slot name="row" {a}>none</slot>`,
    ['a<>!, slot:default{}, slot:row{} : closed', '{slot:default}', '{slot:row}'],
  ],
  [
    'snippets',
    `<script>let { children, row } = $props();</script>{@render children?.()}{@render row(1)}`,
    ['slot:default{}?, row{}? : closed', '{slot:default}', '{row}'],
  ],
  ['a script that breaks off', `<script>let a = ;</script><p>{a}</p>`, [' : open', '! Unexpected token']],
  [
    'markup that breaks off',
    `<script>let { a } = $props();</script><p>{a}</p>{#if a}<b>`,
    ['a? : closed', 'p', '  text', 'if a', '  b', '! `<b>` was left open'],
  ],
  ['an empty file', ``, [' : closed']],
  [
    'module script',
    `<script module>export const kinds = [1];</script><script>let { a } = $props();</script><p>{a}{kinds[0]}</p>`,
    ['a? : closed', 'p', '  text', '  text'],
  ],
  [
    'conditions',
    `<script>let { a, b } = $props();</script>{#if a}<p/>{:else if b}<b/>{:else}<i/>{/if}`,
    ['a?, b? : closed', 'if a', '  p', 'if not a', '  if b', '    b', '  if not b', '    i'],
  ],
  [
    'a list',
    `<script>import Row from './Row.svelte'; let { rows } = $props();</script>{#each rows as { id, name }, at (id)}<Row {id} {name} {at}/>{:else}<p/>{/each}`,
    ['rows? : closed', 'each { id, name } of rows', '  Row(id, name, at)', 'if not rows', '  p'],
  ],
  [
    'await',
    `<script>let { load } = $props();</script>{#await load()}<p/>{:then rows}<b>{rows}</b>{:catch error}<i>{error}</i>{/await}`,
    ['load? : closed', 'if it is awaited', '  p', 'if it is there', '  b', '    text', 'if it failed', '  i'],
  ],
  [
    'a boundary, what shows while it waits and what when it failed',
    `<script>import { sorry } from './sorry';</script><svelte:boundary failed={sorry}><b/>{#snippet pending()}<i/>{/snippet}</svelte:boundary>{#snippet sorry()}<u/>{/snippet}`,
    [' : closed', '<>', '  b', '  if it is awaited', '    i', '  if it failed', '    u'],
  ],
  [
    'a snippet in place',
    `<script>let { rows } = $props();</script>{#snippet row(one)}<b>{one}</b>{/snippet}{#each rows as one}{@render row(one)}{/each}`,
    ['rows? : closed', 'each one of rows', '  b', '    text'],
  ],
  [
    'a snippet that renders itself ends',
    `{#snippet tree(n)}<b>{n}</b>{@render tree(n - 1)}{/snippet}{@render tree(3)}`,
    [' : closed', 'b'],
  ],
  [
    'content of a use',
    `<script>import Card from './Card.svelte';</script><Card a="1"><h2 slot="head">h</h2><p/>{#snippet foot()}<i/>{/snippet}</Card>`,
    [' : closed', 'Card(a, slot:head, foot)', '  h2', '  i', '  p'],
  ],
  [
    'a fragment in a slot',
    `<script>import Card from './Card.svelte';</script><Card><svelte:fragment slot="head" let:n><b>{n}</b></svelte:fragment></Card>`,
    [' : closed', 'Card(slot:head)', '  b', '    text'],
  ],
  [
    'every kind of binding',
    `<script>import Row from './Row.svelte'; let a = $state({}); const go = () => {};</script><Row a b={a} {n} c="x{a.n}" {...a} bind:t={a.t} bind:this={a.row} on:go={go} on:stop ongo={go} --gap="1"/>`,
    ['event:stop() : closed', 'Row(a, b, n, c, t, model:t, event:go, event:stop, ongo, variable --gap, …)'],
  ],
  [
    'directives of an element',
    `<script>let a = $state(1); const act = () => {};</script><p class:on={a} style:color={a} use:act={a} transition:act|local bind:clientWidth={a} onclick={() => a++}>x</p>`,
    [' : closed', 'p'],
  ],
  [
    'parts of the page',
    `<svelte:window onkeydown={() => {}}/><svelte:body/><svelte:head><title>t</title></svelte:head><svelte:element this={'b'}>x</svelte:element>`,
    [' : closed', 'svelte:window', 'svelte:body', '<>', '  <>', 'svelte:element'],
  ],
  [
    'a component by value',
    `<script>let { part: Part, icon } = $props();</script><Part a={1}/><icon.Small/>`,
    ['part?, icon? : closed', '?(a)', '?()'],
  ],
  ['itself', `<script>let { n } = $props();</script>{#if n}<svelte:self n={n - 1}/>{/if}`, ['n? : closed', 'if n', '  default(n)']],
  [
    'what is provided',
    `<script>import { setContext } from 'svelte'; setContext('a', 1);</script><slot/>`,
    ['slot:default{} : closed', "key:'a'(value)", '  {slot:default}'],
  ],
  ['a member of a namespace', `<script>import * as Form from './form';</script><Form.Input a="1"/>`, [' : closed', 'Form.Input(a)']],
];

test.each(cases)('%s', (_, text, says) => {
  expect(said(text)).toEqual(says);
});
