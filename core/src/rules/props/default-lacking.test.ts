import { table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const badge = (body: string, use = '<Badge/>', type = '{ boat?: { name: string; go(): void }; onPick?: () => void }'): string =>
  `function Badge({ boat, onPick }: ${type}) { ${body} }\nexport function App() { return ${use}; }`;

table(
  'default-lacking',
  'react',
  [
    ['a member is read', badge('return <p>{boat.name}</p>;'), 'Badge boat'],
    ['a non-null assertion is no guard', badge('return <p>{boat!.name}</p>;'), 'Badge boat'],
    ['a method is called', badge('return <p onClick={() => boat.go()}/>;'), 'Badge boat'],
    [
      'taken apart',
      'function Badge({ boat: { name } }: { boat?: Boat }) { return <p>{name}</p>; }\nexport function App() { return <Badge/>; }',
      'Badge boat',
    ],
    [
      'from the whole props',
      'function Badge(props: { boat?: { name: string } }) { return <p>{props.boat.name}</p>; }\nexport function App() { return <Badge/>; }',
      'Badge boat',
    ],
    ['a callback is called', badge('return <p onClick={() => onPick()}/>;'), 'Badge onPick'],
    ['left out at one use of two', badge('return <p>{boat.name}</p>;', '<><Badge boat={b}/><Badge/></>'), 'Badge boat'],
  ],
  [
    ['asked for by what it gives', badge("return <p>{boat?.name.startsWith('a') ? boat.name : ''}</p>;")],
    ['optional chaining', badge('return <p>{boat?.name}</p>;')],
    ['a condition', badge('return boat ? <p>{boat.name}</p> : null;')],
    ['and', badge('return <p>{boat && boat.name}</p>;')],
    ['an early return', badge('if (!boat) return null; return <p>{boat.name}</p>;')],
    [
      'a default',
      'function Badge({ boat = none }: { boat?: Boat }) { return <p>{boat.name}</p>; }\nexport function App() { return <Badge/>; }',
    ],
    ['always given', badge('return <p>{boat.name}</p>;', '<Badge boat={b}/>')],
    ['given by what is spread', badge('return <p>{boat.name}</p>;', '<Badge {...all}/>')],
    ['only handed on', badge('return <Out boat={boat}/>;')],
    ['required: another rule', badge('return <p>{boat.name}</p>;', '<Badge/>', '{ boat: Boat }')],
    ['the callback is asked for', badge('return <p onClick={() => onPick?.()}/>;')],
    [
      'it depends on another prop',
      badge(
        'return kind === "a" ? <p>{boat.name}</p> : null;',
        '<Badge kind="b"/>',
        '{ kind: "a"; boat: Boat } | { kind: "b"; boat?: undefined }',
      ),
    ],
    ['nothing declares it optional', 'function Badge({ boat }) { return <p>{boat.name}</p>; }\nexport function App() { return <Badge/>; }'],
  ],
);

table(
  'default-lacking',
  'vue',
  [
    [
      'in the template',
      {
        App: '<template><main><Badge/></main></template>',
        Badge: '<script setup>defineProps({ boat: Object });</script><template><p>{{ boat.name }}</p></template>',
      },
      'Badge boat',
    ],
    [
      'by type',
      {
        App: '<template><main><Badge/></main></template>',
        Badge: '<script setup lang="ts">defineProps<{ boat?: { name: string } }>();</script><template><p :title="boat.name"/></template>',
      },
      'Badge boat',
    ],
    [
      'in the script',
      {
        App: '<template><main><Badge/></main></template>',
        Badge:
          '<script setup>import { computed } from "vue"; const props = defineProps({ boat: Object }); const name = computed(() => props.boat.name);</script><template><p>{{ name }}</p></template>',
      },
      'Badge boat',
    ],
  ],
  [
    [
      'v-if',
      {
        App: '<template><main><Badge/></main></template>',
        Badge: '<script setup>defineProps({ boat: Object });</script><template><p v-if="boat">{{ boat.name }}</p></template>',
      },
    ],
    [
      'optional chaining',
      {
        App: '<template><main><Badge/></main></template>',
        Badge: '<script setup>defineProps({ boat: Object });</script><template><p>{{ boat?.name }}</p></template>',
      },
    ],
    [
      'a default',
      {
        App: '<template><main><Badge/></main></template>',
        Badge:
          '<script setup>defineProps({ boat: { type: Object, default: () => ({}) } });</script><template><p>{{ boat.name }}</p></template>',
      },
    ],
    [
      'given',
      {
        App: '<template><main><Badge :boat="{ name: 1 }"/></main></template>',
        Badge: '<script setup>defineProps({ boat: Object });</script><template><p>{{ boat.name }}</p></template>',
      },
    ],
    [
      'required',
      {
        App: '<template><main><Badge/></main></template>',
        Badge: '<script setup>defineProps({ boat: { type: Object, required: true } });</script><template><p>{{ boat.name }}</p></template>',
      },
    ],
    [
      'what it raises',
      {
        App: '<template><main><Badge/></main></template>',
        Badge: '<script setup>const emit = defineEmits(["pick"]);</script><template><p @click="emit(\'pick\')"/></template>',
      },
    ],
    [
      'a default by withDefaults',
      {
        App: '<template><main><Badge/></main></template>',
        Badge:
          '<script setup lang="ts">withDefaults(defineProps<{ boat?: { name: string } }>(), { boat: () => ({ name: "" }) });</script><template><p>{{ boat.name }}</p></template>',
      },
    ],
  ],
);

table(
  'default-lacking',
  'svelte',
  [
    [
      'in the markup',
      { App: '<Badge/>', Badge: '<script lang="ts">let { boat }: { boat?: { name: string } } = $props();</script><p>{boat.name}</p>' },
      'Badge boat',
    ],
    [
      'a method',
      {
        App: '<Badge/>',
        Badge: '<script lang="ts">let { boat }: { boat?: { go(): void } } = $props();</script><p onclick={() => boat.go()}></p>',
      },
      'Badge boat',
    ],
    [
      'a callback',
      {
        App: '<Badge/>',
        Badge: '<script lang="ts">let { onpick }: { onpick?: () => void } = $props();</script><p onclick={() => onpick()}></p>',
      },
      'Badge onpick',
    ],
  ],
  [
    [
      '{#if}',
      {
        App: '<Badge/>',
        Badge: '<script lang="ts">let { boat }: { boat?: { name: string } } = $props();</script>{#if boat}<p>{boat.name}</p>{/if}',
      },
    ],
    [
      'optional chaining',
      { App: '<Badge/>', Badge: '<script lang="ts">let { boat }: { boat?: { name: string } } = $props();</script><p>{boat?.name}</p>' },
    ],
    [
      'a default',
      {
        App: '<Badge/>',
        Badge: '<script lang="ts">let { boat = { name: "" } }: { boat?: { name: string } } = $props();</script><p>{boat.name}</p>',
      },
    ],
    [
      'given',
      {
        App: '<Badge boat={{ name: "" }}/>',
        Badge: '<script lang="ts">let { boat }: { boat?: { name: string } } = $props();</script><p>{boat.name}</p>',
      },
    ],
    [
      'an empty callback as default',
      {
        App: '<Badge/>',
        Badge: '<script lang="ts">let { onpick = () => {} }: { onpick?: () => void } = $props();</script><p onclick={() => onpick()}></p>',
      },
    ],
    ['the older form with a default', { App: '<Badge/>', Badge: '<script>export let boat = undefined;</script><p>{boat?.name}</p>' }],
  ],
);
