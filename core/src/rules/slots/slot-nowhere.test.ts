import { table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

table(
  'slot-nowhere',
  'svelte',
  [['a named slot that is not there', { App: '<Box><i slot="foot">a</i></Box>', Box: '<p><slot/></p>' }, 'App #foot']],
  [
    ['a named slot', { App: '<Box><i slot="foot">a</i></Box>', Box: '<p><slot name="foot"/></p>' }],
    ['a misspelt one is another matter', { App: '<Box><i slot="footer">a</i></Box>', Box: '<p><slot name="footre"/></p>' }],
  ],
);

table(
  'slot-nowhere',
  'react',
  [
    [
      'a declared contract without children',
      'function Panel({ a }: { a?: string }) { return <p>{a}</p>; }\nexport function App() { return <Panel><b/></Panel>; }',
      'App children',
    ],
    ['no contract at all', 'function Panel() { return <p/>; }\nexport function App() { return <Panel>text</Panel>; }', 'App children'],
    [
      'a list as content',
      'function Panel({ a }) { return <p>{a}</p>; }\nexport function App({ all }) { return <Panel>{all.map((one) => <b key={one}/>)}</Panel>; }',
      'App children',
    ],
  ],
  [
    ['rendered', 'function Panel({ children }) { return <p>{children}</p>; }\nexport function App() { return <Panel><b/></Panel>; }'],
    ['the props go on', 'function Panel(props) { return <Out {...props}/>; }\nexport function App() { return <Panel><b/></Panel>; }'],
    [
      'the rest goes on',
      'function Panel({ a, ...rest }) { return <p {...rest}/>; }\nexport function App() { return <Panel><b/></Panel>; }',
    ],
    ['nothing between the tags', 'function Panel() { return <p/>; }\nexport function App() { return <Panel>\n  </Panel>; }'],
    ['a wrapper that may use it', 'const Panel = withMore(() => <p/>);\nexport function App() { return <Panel><b/></Panel>; }'],
  ],
);

table(
  'slot-nowhere',
  'vue',
  [
    ['no slot', { App: '<template><Panel>text</Panel></template>', Panel: '<template><p/></template>' }, 'App children'],
    [
      'another name',
      {
        App: '<template><Panel><template #foot>x</template></Panel></template>',
        Panel: '<template><p><slot name="footer"/></p></template>',
      },
      'App #foot',
    ],
    [
      'only named ones',
      { App: '<template><Panel><b/></Panel></template>', Panel: '<template><p><slot name="footer"/></p></template>' },
      'App children',
    ],
  ],
  [
    ['the slot', { App: '<template><Panel>text</Panel></template>', Panel: '<template><p><slot/></p></template>' }],
    [
      'the named slot',
      { App: '<template><Panel><template #foot>x</template></Panel></template>', Panel: '<template><p><slot name="foot"/></p></template>' },
    ],
    [
      'a name that is computed',
      {
        App: '<template><Panel><template #foot>x</template></Panel></template>',
        Panel: '<script setup>defineProps(["n"]);</script><template><p><slot :name="n"/></p></template>',
      },
    ],
    [
      'all are handed on',
      {
        App: '<template><Panel><template #foot>x</template></Panel></template>',
        Panel:
          '<script setup>import Out from "out";</script><template><Out><template v-for="(_, n) in $slots" #[n]><slot :name="n"/></template></Out></template>',
      },
    ],
    [
      'an empty text',
      {
        'App.vue':
          '<script>import { h } from "vue"; import Panel from "./Panel.vue"; export default { render() { return h("main", [h(Panel, { a: 1 }, "")]); } };</script>',
        Panel: '<script setup>defineProps(["a"]);</script><template><p>{{ a }}</p></template>',
      },
    ],
    [
      'a render function',
      {
        App: '<template><Panel>x</Panel></template>',
        'Panel.vue': '<script>import { h } from "vue"; export default { render() { return h("p", this.$slots.default()); } };</script>',
      },
    ],
    [
      'slots in the script',
      {
        App: '<template><Panel>x</Panel></template>',
        Panel:
          '<script setup>import { useSlots, h } from "vue"; const slots = useSlots(); const Inner = () => h("p", slots.default());</script><template><Inner/></template>',
      },
    ],
  ],
);

table(
  'slot-nowhere',
  'svelte',
  [
    ['no place for it', { App: '<Panel>text</Panel>', Panel: '<p></p>' }, 'App children'],
    ['other props only', { App: '<Panel><b></b></Panel>', Panel: '<script>let { a } = $props();</script><p>{a}</p>' }, 'App children'],
    [
      'a snippet that is no prop of it',
      {
        App: '<Panel>{#snippet foot()}a{/snippet}</Panel>',
        Panel: '<script>let { children } = $props();</script><p>{@render children?.()}</p>',
      },
      'App foot',
    ],
    [
      'only a named slot',
      { App: '<Panel><b></b></Panel>', Panel: '<script>export let a = 1;</script><p>{a}<slot name="foot"/></p>' },
      'App children',
    ],
  ],
  [
    ['children', { App: '<Panel>text</Panel>', Panel: '<script>let { children } = $props();</script><p>{@render children()}</p>' }],
    ['a slot', { App: '<Panel>text</Panel>', Panel: '<p><slot/></p>' }],
    [
      'a snippet that it takes, and one that goes on with the rest',
      {
        App: '<Panel>{#snippet foot()}a{/snippet}</Panel><Frame>{#snippet foot()}a{/snippet}</Frame>',
        Panel: '<script>let { foot } = $props();</script><p>{@render foot?.()}</p>',
        Frame: '<script>let { ...rest } = $props();</script><Panel {...rest}/>',
      },
    ],
    ['a snippet as an attribute is a prop', { App: '{#snippet foot()}a{/snippet}<Panel {foot}/>', Panel: '<p></p>' }],
    [
      'the rest goes on',
      { App: '<Panel>text</Panel>', Panel: '<script>import Out from "out"; let { a, ...rest } = $props();</script><Out {a} {...rest}/>' },
    ],
    ['all props go on', { App: '<Panel>text</Panel>', Panel: '<script>import Out from "out";</script><Out {...$$props}/>' }],
    ['a part from outside', { App: '<script>import Out from "out";</script><Out>text</Out>', Panel: '<p></p>' }],
  ],
);

table(
  'slot-nowhere',
  'react',
  [
    [
      'declared, and left out where the props are taken apart',
      'function Sheet({ no }: { no: number; children?: unknown }) { return <p>{no}</p>; }\nexport function App() { return <Sheet no={1}><b/></Sheet>; }',
      'App children',
    ],
  ],
  [
    [
      'it goes on with the rest',
      'function Sheet({ no, ...rest }: { no: number; children?: unknown }) { return <p {...rest}>{no}</p>; }\nexport function App() { return <Sheet no={1}><b/></Sheet>; }',
    ],
    [
      'it is read of the whole',
      'function Sheet(props: { no: number; children?: unknown }) { return <p>{props.no}{props.children}</p>; }\nexport function App() { return <Sheet no={1}><b/></Sheet>; }',
    ],
  ],
);
