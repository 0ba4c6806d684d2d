import { type Sources, table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const list = (body: string): string => `function List({ children, row }: { children?: any; row?: any }) { ${body} }\n`;

const uses = (use: string): string => `export function App() { return ${use}; }`;

const vue = (Row: string, App: string): Sources => ({ App: `<template><main>${App}</main></template>`, Row });

const svelte = (Row: string, App: string): Sources => ({ App, Row });

table(
  'slot-shape',
  'react',
  [
    ['markup for a function', `${list('return <ul>{rows.map((one) => children(one))}</ul>;')}${uses('<List><b/></List>')}`, 'App children'],
    ['a function for markup', `${list('return <ul>{children}</ul>;')}${uses('<List>{(one) => <b/>}</List>')}`, 'App children'],
    ['markup for a named function', `${list('return <ul>{rows.map((one) => row(one))}</ul>;')}${uses('<List row={<b/>}/>')}`, 'App row'],
    ['a named function for markup', `${list('return <ul>{row}</ul>;')}${uses('<List row={(one) => <b>{one}</b>}/>')}`, 'App row'],
    [
      'a member that is not handed out',
      `${list('return <ul>{rows.map((one) => row({ item: one, at: 1 }))}</ul>;')}${uses('<List row={({ boat }) => <b>{boat.name}</b>}/>')}`,
      'App row',
    ],
    [
      'a parameter too many',
      `${list('return <ul>{rows.map((one) => row(one))}</ul>;')}${uses('<List row={(one, at) => <b>{at}</b>}/>')}`,
      'App row',
    ],
    ['several for one', `${list('return <ul>{Children.only(children)}</ul>;')}${uses('<List><b/><i/></List>')}`, 'App children'],
  ],
  [
    ['a function for a function', `${list('return <ul>{rows.map((one) => children(one))}</ul>;')}${uses('<List>{(one) => <b/>}</List>')}`],
    [
      'members that are handed out',
      `${list('return <ul>{rows.map((one) => row({ item: one, at: 1 }))}</ul>;')}${uses('<List row={({ item }) => <b>{item.name}</b>}/>')}`,
    ],
    [
      'members of what is spread',
      `${list('return <ul>{rows.map((one) => row({ ...one, at: 1 }))}</ul>;')}${uses('<List row={({ item }) => <b>{item}</b>}/>')}`,
    ],
    ['members of a value', `${list('return <ul>{rows.map((one) => row(one))}</ul>;')}${uses('<List row={({ item }) => <b>{item}</b>}/>')}`],
    [
      'a parameter that one of two places hands out',
      `${list('return <ul>{row(1)}{row(1, 2)}</ul>;')}${uses('<List row={(one, at) => <b>{at}</b>}/>')}`,
    ],
    ['markup for markup', `${list('return <ul>{children}</ul>;')}${uses('<List><b/></List>')}`],
    ['either will do', `${list('return <ul>{typeof children === "function" ? children(1) : children}</ul>;')}${uses('<List><b/></List>')}`],
    ['handed on', `${list('return <Out a={children}>{children}</Out>;')}${uses('<List>{(one) => <b/>}</List>')}`],
    ['a value that cannot be seen', `${list('return <ul>{rows.map((one) => children(one))}</ul>;')}${uses('<List>{shown}</List>')}`],
    ['one for one', `${list('return <ul>{Children.only(children)}</ul>;')}${uses('<List><b/></List>')}`],
    ['one of two under conditions', `${list('return <ul>{Children.only(children)}</ul>;')}${uses('<List>{a ? <b/> : <i/>}</List>')}`],
  ],
);

table(
  'slot-shape',
  'vue',
  [
    [
      'a name that is not handed out',
      vue(
        '<template><p><slot name="row" :boat="1"/></p></template>',
        '<Row><template #row="{ boat, eta }">{{ boat }}{{ eta }}</template></Row>',
      ),
      'App eta',
    ],
    ['of the default slot', vue('<template><p><slot :boat="1"/></p></template>', '<Row v-slot="{ eta }">{{ eta }}</Row>'), 'App eta'],
    [
      'from the whole',
      vue('<template><p><slot name="row" :boat="1"/></p></template>', '<Row><template #row="one">{{ one.eta }}</template></Row>'),
      'App eta',
    ],
    [
      'nothing is handed out',
      vue('<template><p><slot name="row"/></p></template>', '<Row><template #row="{ eta }">{{ eta }}</template></Row>'),
      'App eta',
    ],
  ],
  [
    [
      'handed out',
      vue('<template><p><slot name="row" :boat="1"/></p></template>', '<Row><template #row="{ boat }">{{ boat }}</template></Row>'),
    ],
    [
      'a constant',
      vue('<template><p><slot name="row" kind="calm"/></p></template>', '<Row><template #row="{ kind }">{{ kind }}</template></Row>'),
    ],
    [
      'with a hyphen',
      vue(
        '<template><p><slot name="row" :max-level="1"/></p></template>',
        '<Row><template #row="{ maxLevel }">{{ maxLevel }}</template></Row>',
      ),
    ],
    [
      'named as a listener would be',
      vue(
        '<script setup>const go = () => 1;</script><template><p><slot name="row" :on-click="go"/></p></template>',
        '<Row><template #row="one"><b @click="one.onClick"/></template></Row>',
      ),
    ],
    [
      'a whole object',
      vue(
        '<script setup>const all = {};</script><template><p><slot name="row" v-bind="all"/></p></template>',
        '<Row><template #row="{ eta }">{{ eta }}</template></Row>',
      ),
    ],
    [
      'by another of two places',
      vue(
        '<template><p><slot name="row" :boat="1"/><slot name="row" :eta="1"/></p></template>',
        '<Row><template #row="{ eta }">{{ eta }}</template></Row>',
      ),
    ],
    [
      'taken and not read',
      vue('<template><p><slot name="row" :boat="1"/></p></template>', '<Row><template #row="{ eta }"><b/></template></Row>'),
    ],
    [
      'a slot by a name that is computed',
      vue(
        '<template><p><slot :name="n"/></p></template><script setup>const n = "row";</script>',
        '<Row><template #row="{ eta }">{{ eta }}</template></Row>',
      ),
    ],
  ],
);

table(
  'slot-shape',
  'svelte',
  [
    [
      'a parameter too many',
      svelte('<script>let { row } = $props();</script>{@render row(1)}', '<Row>{#snippet row(boat, eta)}{boat}{eta}{/snippet}</Row>'),
      'App eta',
    ],
    [
      'of its content',
      svelte('<script>let { children } = $props();</script>{@render children()}', '<Row>{#snippet children(eta)}{eta}{/snippet}</Row>'),
      'App eta',
    ],
    ['the older way', svelte('<p><slot boat={1}/></p>', '<Row let:eta>{eta}</Row>'), 'App eta'],
    ['a named slot, the older way', svelte('<p><slot name="row" boat={1}/></p>', '<Row><b slot="row" let:eta>{eta}</b></Row>'), 'App eta'],
  ],
  [
    [
      'handed out',
      svelte('<script>let { row } = $props();</script>{@render row(1, 2)}', '<Row>{#snippet row(boat, eta)}{boat}{eta}{/snippet}</Row>'),
    ],
    [
      'a parameter that is not read',
      svelte('<script>let { row } = $props();</script>{@render row(1)}', '<Row>{#snippet row(boat, eta)}{boat}{/snippet}</Row>'),
    ],
    [
      'by another of two places',
      svelte(
        '<script>let { row } = $props();</script>{@render row(1)}{@render row(1, 2)}',
        '<Row>{#snippet row(boat, eta)}{eta}{/snippet}</Row>',
      ),
    ],
    ['the older way', svelte('<p><slot boat={1}/></p>', '<Row let:boat>{boat}</Row>')],
    ['a whole object', svelte('<script>const all = {};</script><p><slot {...all}/></p>', '<Row let:eta>{eta}</Row>')],
    [
      'handed on',
      svelte(
        '<script>import Out from "out"; let { row } = $props();</script><Out {row}/>',
        '<Row>{#snippet row(boat, eta)}{eta}{/snippet}</Row>',
      ),
    ],
  ],
);

table(
  'slot-shape',
  'react',
  [
    [
      'two children where one is taken, by a name',
      "import { Children, cloneElement } from 'react';\nfunction Hint({ children }) { const only = Children.only(children); return cloneElement(only, { title: 'a' }); }\nexport function App() { return <Hint><b/><i/></Hint>; }",
      'App children',
    ],
    [
      'a constant where content is called',
      'function Rows({ row }: { row: (one: number) => unknown }) { return <ul>{row(1)}</ul>; }\nexport function App() { return <Rows row="a"/>; }',
      'App row',
    ],
  ],
  [
    [
      'one child',
      "import { Children, cloneElement } from 'react';\nfunction Hint({ children }) { const only = Children.only(children); return cloneElement(only, { title: 'a' }); }\nexport function App() { return <Hint><b/></Hint>; }",
    ],
  ],
);

const card = '<script>let { header, children } = $props();</script><section>{@render header()}{@render children()}</section>';

table(
  'slot-shape',
  'svelte',
  [['a text where a snippet is called', { App: '<Card header="a">b</Card>', Card: card }, 'App header']],
  [
    ['a snippet', { App: '<Card>{#snippet header()}a{/snippet}b</Card>', Card: card }],
    ['a text that is shown', { App: '<Card header="a">b</Card>', Card: card.replace('{@render header()}', '{header}') }],
  ],
);
