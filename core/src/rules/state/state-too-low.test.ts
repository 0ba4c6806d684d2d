import { type Sources, table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const setup = (script: string): string =>
  `<script setup>import { computed, inject, provide, ref, watch, watchEffect } from 'vue'; ${script}</script>`;

const contextScript = (text: string): string => `<script>import { getContext, setContext } from 'svelte'; ${text}</script>`;

const vueApp = (markup: string, inside = ''): string => `${setup(inside)}<template><main>${markup}</main></template>`;

const vueCopy = (sync = 'watch(() => props.day, () => { own.value = props.day; });', change = 'own = 1'): string =>
  `${setup(`const props = defineProps({ day: String }); const own = ref(props.day); ${sync}`)}<template><i @click="${change}">{{ own }}</i></template>`;

const vueDays = (markup: string, parts: Readonly<Record<string, string>>): Sources => ({
  App: vueApp(
    `${markup}<b @click="day = 'y'"/>`,
    "const day = ref('x'); const night = ref('z'); const wake = () => { night.value = 'n'; };",
  ),
  ...parts,
});

const svelteCopy = (sync = '$effect(() => { own = day; });', change = 'own = 1'): string =>
  `${contextScript(`let { day } = $props(); let own = $state(day); ${sync}`)}<i onclick={() => { ${change}; }}>{own}</i>`;

const svelteDays = (markup: string, parts: Readonly<Record<string, string>>): Sources => ({
  App: `${contextScript("let day = $state('x'); let night = $state('z');")}${markup}<b onclick={() => { day = 'y'; night = 'n'; }}></b>`,
  ...parts,
});

// A project of twenty small components, and one that holds far more than any of them.

const app = (markup: string, inside = '', before = ''): string =>
  `${before}export function App() { ${inside} return <main>${markup}</main>; }`;

const copy = (name: string, effect = 'useEffect(() => setOwn(day), [day]);'): string =>
  `function ${name}({ day }) { const [own, setOwn] = useState(day); ${effect} return <i onClick={() => setOwn('x')}>{own}</i>; }\n`;

table(
  'state-too-low',
  'vue',
  [
    ['two siblings', vueDays('<A :day="day"/><B :day="day"/>', { A: vueCopy(), B: vueCopy() }), 'B own'],
    [
      'by what is watched',
      vueDays('<A :day="day"/><B :day="day"/>', { A: vueCopy('watch(() => props.day, (next) => { own.value = next; });'), B: vueCopy() }),
      'B own',
    ],
    [
      'by an effect',
      vueDays('<A :day="day"/><B :day="day"/>', { A: vueCopy('watchEffect(() => { own.value = props.day; });'), B: vueCopy() }),
      'B own',
    ],
  ],
  [
    ['one alone', vueDays('<A :day="day"/>', { A: vueCopy() })],
    [
      'the other shows what it is given',
      vueDays('<A :day="day"/><B :day="day"/>', {
        A: vueCopy(),
        B: `${setup('defineProps({ day: String });')}<template><p>{{ day }}</p></template>`,
      }),
    ],
    ['of other values', vueDays('<A :day="day"/><B :day="night" @click="wake"/>', { A: vueCopy(), B: vueCopy() })],
    [
      'never changed by hand',
      vueDays('<A :day="day"/><B :day="day"/>', { A: vueCopy(undefined, 'print(own)'), B: vueCopy(undefined, 'print(own)') }),
    ],
    ['never taken over again', vueDays('<A :day="day"/><B :day="day"/>', { A: vueCopy(''), B: vueCopy('') })],
  ],
);

table(
  'state-too-low',
  'svelte',
  [
    ['two siblings', svelteDays('<A {day}/><B {day}/>', { A: svelteCopy(), B: svelteCopy() }), 'B own'],
    ['three', svelteDays('<A {day}/><B {day}/><C {day}/>', { A: svelteCopy(), B: svelteCopy(), C: svelteCopy() }), 'B own'],
    [
      'the older way',
      svelteDays('<A {day}/><B {day}/>', {
        A: `${contextScript('export let day; let own = day; $: own = day;')}<i on:click={() => (own = 1)}>{own}</i>`,
        B: `${contextScript('export let day; let own = day; $: own = day;')}<i on:click={() => (own = 1)}>{own}</i>`,
      }),
      'B own',
    ],
  ],
  [
    ['one alone', svelteDays('<A {day}/>', { A: svelteCopy() })],
    [
      'the other shows what it is given',
      svelteDays('<A {day}/><B {day}/>', { A: svelteCopy(), B: `${contextScript('let { day } = $props();')}<p>{day}</p>` }),
    ],
    ['of other values', svelteDays('<A {day}/><B day={night}/>', { A: svelteCopy(), B: svelteCopy() })],
    [
      'never changed by hand',
      svelteDays('<A {day}/><B {day}/>', { A: svelteCopy(undefined, 'print(own)'), B: svelteCopy(undefined, 'print(own)') }),
    ],
    ['never taken over again', svelteDays('<A {day}/><B {day}/>', { A: svelteCopy(''), B: svelteCopy('') })],
  ],
);

table(
  'state-too-low',
  'react',
  [
    [
      'two siblings',
      app('<A day={day}/><B day={day}/><b onClick={() => setDay("y")}/>', 'const [day, setDay] = useState("x");', copy('A') + copy('B')),
      'B own',
    ],
    [
      'three siblings',
      app(
        '<A day={day}/><B day={day}/><C day={day}/><b onClick={() => setDay("y")}/>',
        'const [day, setDay] = useState("x");',
        copy('A') + copy('B') + copy('C'),
      ),
      'B own',
    ],
    [
      'by a block',
      app(
        '<A day={day}/><B day={day}/><b onClick={() => setDay("y")}/>',
        'const [day, setDay] = useState("x");',
        copy('A', 'useEffect(() => { setOwn(day); }, [day]);') + copy('B'),
      ),
      'B own',
    ],
  ],
  [
    ['one alone', app('<A day={day}/><b onClick={() => setDay("y")}/>', 'const [day, setDay] = useState("x");', copy('A'))],
    [
      'the other shows what it is given',
      app(
        '<A day={day}/><B day={day}/><b onClick={() => setDay("y")}/>',
        'const [day, setDay] = useState("x");',
        `${copy('A')}function B({ day }) { return <p>{day}</p>; }\n`,
      ),
    ],
    [
      'of other values',
      app(
        '<A day={day}/><B day={night}/><b onClick={() => { setDay("y"); setNight("z"); }}/>',
        'const [day, setDay] = useState("x"); const [night, setNight] = useState("x");',
        copy('A') + copy('B'),
      ),
    ],
    [
      'never changed by hand',
      app(
        '<A day={day}/><B day={day}/><b onClick={() => setDay("y")}/>',
        'const [day, setDay] = useState("x");',
        `${copy('A')}function B({ day }) { const [own, setOwn] = useState(day); useEffect(() => setOwn(day), [day]); return <i>{own}</i>; }\n`,
      ),
    ],
    [
      'the same component twice',
      app('<A day={day}/><A day={day}/><b onClick={() => setDay("y")}/>', 'const [day, setDay] = useState("x");', copy('A')),
    ],
  ],
);

const vueTold = (method = 'const follow = (to) => { own.value = to; };'): string =>
  `${setup(`const emit = defineEmits(['changed']); const own = ref(0); const more = () => { own.value++; emit('changed', own.value); }; ${method} defineExpose({ follow });`)}<template><i @click="more">{{ own }}</i></template>`;

const svelteTold = (method = 'own = to;'): string =>
  `<script>let { onchanged } = $props(); let own = $state(0); export function follow(to) { ${method} }</script><i onclick={() => { own++; onchanged(own); }}>{own}</i>`;

const told = (name: string, method = 'setOwn(to)'): string =>
  `const ${name} = forwardRef(function ${name}({ onChanged }, ref) { const [own, setOwn] = useState(0); useImperativeHandle(ref, () => ({ follow(to) { ${method}; } })); return <i onClick={() => { setOwn(own + 1); onChanged(own + 1); }}>{own}</i>; });\n`;

table(
  'state-too-low',
  'vue',
  [
    [
      'two places of one part, told of each other',
      {
        App: vueApp(
          '<A ref="a" @changed="(n) => b.follow(n)"/><A ref="b" @changed="(n) => a.follow(n)"/>',
          'const a = ref(); const b = ref();',
        ),
        A: vueTold(),
      },
      'A own',
    ],
  ],
  [
    [
      'one told of the other alone',
      {
        App: vueApp('<A ref="a" @changed="(n) => b.follow(n)"/><A ref="b" @changed="(n) => n"/>', 'const a = ref(); const b = ref();'),
        A: vueTold(),
      },
    ],
    [
      'a function that keeps nothing of it',
      {
        App: vueApp(
          '<A ref="a" @changed="(n) => b.follow(n)"/><A ref="b" @changed="(n) => a.follow(n)"/>',
          'const a = ref(); const b = ref();',
        ),
        A: vueTold('const follow = (to) => { console.log(to); };'),
      },
    ],
  ],
);

table(
  'state-too-low',
  'svelte',
  [
    [
      'two parts, told of each other',
      {
        App: '<script>let a; let b;</script><A bind:this={a} onchanged={(n) => b.follow(n)}/><B bind:this={b} onchanged={(n) => a.follow(n)}/>',
        A: svelteTold(),
        B: svelteTold(),
      },
      'B own',
    ],
  ],
  [
    [
      'a function that puts something else there',
      {
        App: '<script>let a; let b;</script><A bind:this={a} onchanged={(n) => b.follow(n)}/><B bind:this={b} onchanged={(n) => a.follow(n)}/>',
        A: svelteTold('own = 0;'),
        B: svelteTold('own = 0;'),
      },
    ],
  ],
);

table(
  'state-too-low',
  'react',
  [
    [
      'two parts, told of each other by their handles',
      `${told('A')}${told('B')}${app('<A ref={a} onChanged={(n) => b.current.follow(n)}/><B ref={b} onChanged={(n) => a.current.follow(n)}/>', 'const a = useRef(null); const b = useRef(null);')}`,
      'B own',
    ],
  ],
  [
    [
      'handles that only focus',
      `${told('A', 'focus(to)')}${told('B', 'focus(to)')}${app('<A ref={a} onChanged={(n) => b.current.follow(n)}/><B ref={b} onChanged={(n) => a.current.follow(n)}/>', 'const a = useRef(null); const b = useRef(null);')}`,
    ],
  ],
);
