import { expect, test } from 'vitest';
import { unspaced } from './spacing';

type Framework = Parameters<typeof unspaced>[0];

const same: readonly (readonly [Framework, string, string])[] = [
  ['react', '<p title="a" {...b}>c</p>', '<p\n  title="a"\n  {...b}\n>c</p>'],
  ['react', '<p>\n  <b>a</b>\n  {b}\n</p>', '<p><b>a</b>{b}</p>'],
  ['react', '<p>{a && (\n  <b   id="x" />\n)}</p>', '<p>{a && (<b id="x"/>)}</p>'],
  [
    'react',
    '<p>{all.map((one) => (\n  <b key={one}>{ one }</b>\n))} after</p>',
    '<p>{all.map((one) => (<b key={one}>{one}</b>))} after</p>',
  ],
  ['react', '<p onClick={() => {\n  go(a,\n b);\n}} />', '<p onClick={() => { go(a, b); }} />'],
  ['react', 'a && <b>c</b>', 'a &&\n  <b>c</b>'],
  ['react', '<p icon={<i  />}>a</p>', '<p icon={ <i /> }>a</p>'],
  ['react', '<p §>a</p>', '<p\n  §\n>a</p>'],
  ['react', '<p {§}§>a</p>', '<p {§}\n  §>a</p>'],
  ['react', '<p a="b" c={d}>e</p>', '<p c={d} a="b">e</p>'],
  ['react', '<p>{a && <b id="c"></b>}</p>', '<p>{a && <b id="c" />}</p>'],
  ['react', '<p>\n  {/* a */}\n  <b />\n</p>', '<p><b /></p>'],
  ['react', '<p a={() => {\n  // b\n  c();\n}} />', '<p a={() => { c(); }} />'],
  ['svelte', '<Box></Box>', '<Box />'],
  ['vue', '<p>\n  <b />\n  <i />\n</p>', '<p><b /><i /></p>'],
  ['vue', '<p> {{ a }} b </p>', '<p>{{ a }} b</p>'],
  ['vue', '<p>a\n  <b /></p>', '<p>a <b /></p>'],
  ['vue', '<p :class="{\n  a: b,\n  c }" />', '<p :class="{ a: b, c }" />'],
  ['vue', '<p><!-- a --><b /></p>', '<p><b /></p>'],
  ['svelte', '{#if a}\n  <b>c</b>\n{:else}\n  d\n{/if}', '{#if a}<b>c</b>{:else}d{/if}'],
  ['svelte', '<b />\n\n<i />', '<b /> <i />'],
  ['svelte', '<p>\n  {a}\n</p>', '<p>{a}</p>'],
  ['svelte', '<input bind:value={ a }\n  on:click />', '<input bind:value={a} on:click/>'],
];

test.each(same)('%s: the same: %j and %j', (framework, one, other) => {
  expect(unspaced(framework, one)).toBe(unspaced(framework, other));
});

const other: readonly (readonly [Framework, string, string])[] = [
  ['react', '<p>a {b}</p>', '<p>a{b}</p>'],
  ['react', "<a href={'http://b'} />", "<a href={'http://c'} />"],
  ['react', '<p> <b /></p>', '<p><b /></p>'],
  ['react', "<p>{'a b'}</p>", "<p>{'a  b'}</p>"],
  ['react', '<p>{typeof a}</p>', '<p>{typeofa}</p>'],
  ['react', '<p>{a + +b}</p>', '<p>{a ++b}</p>'],
  ['react', '<p a b />', '<p ab />'],
  ['react', '<p>{a} {b}</p>', '<p>{a}{b}</p>'],
  ['react', '<p {...a} b="c" />', '<p b="c" {...a} />'],
  ['vue', '<p v-bind="a" :b="c" />', '<p :b="c" v-bind="a" />'],
  ['vue', '<p>a <b /></p>', '<p>a<b /></p>'],
  ['vue', '<p><b /> <i /></p>', '<p><b /><i /></p>'],
  ['vue', '<p>{{ a }} {{ b }}</p>', '<p>{{ a }}{{ b }}</p>'],
  ['vue', '<p @click.stop="a" />', '<p @click="a" />'],
  ['react', '<p /> && a', '<p /> && b'],
  ['svelte', '<b />\n<i />', '<b /><i />'],
  ['svelte', '<p>{a} {b}</p>', '<p>{a}{b}</p>'],
];

test.each(other)('%s: not the same: %j and %j', (framework, one, two) => {
  expect(unspaced(framework, one)).not.toBe(unspaced(framework, two));
});

test('a text that breaks off is written to its end', () => {
  for (const framework of ['react', 'vue', 'svelte'] as const)
    for (const text of ['<p', '<p a="', '<p>{a', '<p>{"', '{', '<', 'a {#if'])
      expect(unspaced(framework, text).replace(/ /g, '')).toBe(text.replace(/ /g, ''));
});
