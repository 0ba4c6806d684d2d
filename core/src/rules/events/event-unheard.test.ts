import { analyseFiles, findingLines } from '../../../../testing/src/project';
import { table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll, describe, expect, test } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const setup = (script: string): string => `<script setup>${script}</script>`;

const script = (text: string): string => `<script>${text}</script>`;

const vuePill = `${setup("const emit = defineEmits(['clear']);")}<template><button @click="emit('clear')">x</button></template>`;

const sveltePill = `${script('let { onclear } = $props();')}<button onclick={() => onclear?.()}>x</button>`;

const pill = 'function Pill({ onClear }: { onClear?: () => void }) { return <button onClick={() => onClear?.()}/>; }\n';

table(
  'event-unheard',
  'vue',
  [
    [
      'heard at one use alone',
      { App: `${setup('const go = () => 1;')}<template><Pill @clear="go"/><Pill/></template>`, Pill: vuePill },
      'Pill @clear',
    ],
    ['nobody hears it', { App: `${setup('')}<template><main><Pill/></main></template>`, Pill: vuePill }, 'Pill @clear'],
    [
      'raised in markup',
      {
        App: `${setup('')}<template><main><Pill/></main></template>`,
        Pill: `${setup("defineEmits(['clear']);")}<template><button @click="$emit('clear')">x</button></template>`,
      },
      'Pill @clear',
    ],
  ],
  [
    ['heard', { App: `${setup('const go = () => 1;')}<template><Pill @clear="go"/></template>`, Pill: vuePill }],
    [
      'heard by kebab case',
      { App: `${setup('const go = () => 1;')}<template><Pill @clear-all="go"/></template>`, Pill: vuePill.replaceAll('clear', 'clearAll') },
    ],
    ['all listeners of an object', { App: `${setup('const all = load();')}<template><Pill v-on="all"/></template>`, Pill: vuePill }],
    [
      'the update of what is not bound',
      { App: `${setup('')}<template><main><Pill/></main></template>`, Pill: vuePill.replaceAll("'clear'", "'update:modelValue'") },
    ],
    ['given as a prop', { App: `${setup('const go = () => 1;')}<template><Pill :onClear="go"/></template>`, Pill: vuePill }],
  ],
);

table(
  'event-unheard',
  'svelte',
  [
    ['heard at one use alone', { App: `${script('const go = () => 1;')}<Pill onclear={go}/><Pill/>`, Pill: sveltePill }, 'Pill onclear'],
    ['nobody hears it', { App: '<Pill/>', Pill: sveltePill }, 'Pill onclear'],
    [
      'dispatched',
      {
        App: '<Pill/>',
        Pill: `${script("import { createEventDispatcher } from 'svelte'; const dispatch = createEventDispatcher();")}<button on:click={() => dispatch('clear')}>x</button>`,
      },
      'Pill on:clear',
    ],
  ],
  [
    ['heard', { App: `${script('const go = () => 1;')}<Pill onclear={go}/>`, Pill: sveltePill }],
    [
      'forwarded by who uses it',
      {
        App: `${script('const go = () => 1;')}<Frame on:clear={go}/>`,
        Frame: '<Pill on:clear/>',
        Pill: `${script("import { createEventDispatcher } from 'svelte'; const dispatch = createEventDispatcher();")}<button on:click={() => dispatch('clear')}>x</button>`,
      },
    ],
    ['an empty function by default', { App: '<Pill/>', Pill: sveltePill.replace('{ onclear }', '{ onclear = () => {} }') }],
    ['all of an object', { App: `${script('const a = load();')}<Pill {...a}/>`, Pill: sveltePill }],
    [
      'a two-way prop',
      {
        App: '<Pill/>',
        Pill: `${script('let { open = $bindable(false) } = $props();')}<button onclick={() => (open = !open)}>{open}</button>`,
      },
    ],
  ],
);

table(
  'event-unheard',
  'react',
  [
    ['one use listens and one does not', `${pill}export function App() { return <><Pill onClear={() => {}}/><Pill/></>; }`, 'Pill onClear'],
    [
      'most do not listen, and the control is dead there',
      `${pill}export function App() { return <><Pill onClear={() => {}}/><Pill/><Pill/></>; }`,
      'Pill onClear',
    ],
    ['nobody listens', `${pill}export function App() { return <Pill/>; }`, 'Pill onClear'],
    [
      'attached to an element',
      'function Pill({ onClear }: { onClear?: () => void }) { return <button onClick={onClear}/>; }\nexport function App() { return <><Pill onClear={() => {}}/><Pill/></>; }',
      'Pill onClear',
    ],
  ],
  [
    ['all listen', `${pill}export function App() { return <Pill onClear={() => {}}/>; }`],
    [
      'the control does something else too',
      'function Pill({ onClear }: { onClear?: () => void }) { const [n, setN] = useState(0); return <button onClick={() => { setN(n + 1); onClear?.(); }}>{n}</button>; }\nexport function App() { return <><Pill onClear={() => {}}/><Pill/></>; }',
    ],
    [
      'the control is there only if somebody listens',
      'function Pill({ onClear }: { onClear?: () => void }) { return <p>{onClear && <button onClick={() => onClear()}/>}</p>; }\nexport function App() { return <><Pill onClear={() => {}}/><Pill/></>; }',
    ],
    [
      'the control is switched on only if somebody listens',
      'function Pill({ onClear }: { onClear?: () => void }) { return <fieldset disabled={!onClear}><button onClick={() => onClear?.()}/></fieldset>; }\nexport function App() { return <><Pill onClear={() => {}}/><Pill/></>; }',
    ],
    [
      'a link leads on by itself',
      'function Pill({ onClear }: { onClear?: () => void }) { return <a href="/a" onClick={() => onClear?.()}>a</a>; }\nexport function App() { return <><Pill onClear={() => {}}/><Pill/></>; }',
    ],
    [
      'another kind of use raises nothing',
      'function Pill(props: { kind: "a"; href: string } | { kind: "b"; onClear: () => void }) { return props.kind === "a" ? <i>{props.href}</i> : <button onClick={() => props.onClear()}/>; }\nexport function App() { return <><Pill kind="b" onClear={() => {}}/><Pill kind="a" href="/"/></>; }',
    ],
    [
      'an empty function by default, beside the component',
      'class Pill extends Component { static defaultProps = { onClear() {} }; render() { return <button onClick={() => this.props.onClear()}/>; } }\nexport function App() { return <><Pill onClear={() => {}}/><Pill/></>; }',
    ],
    ['a spread may give it', `${pill}export function App(props) { return <><Pill onClear={() => {}}/><Pill {...props.pill}/></>; }`],
    [
      'required: another rule speaks',
      'function Pill({ onClear }: { onClear: () => void }) { return <button onClick={onClear}/>; }\nexport function App() { return <Pill/>; }',
    ],
    [
      'a default',
      'function Pill({ onClear = () => {} }: { onClear?: () => void }) { return <button onClick={onClear}/>; }\nexport function App() { return <><Pill onClear={() => {}}/><Pill/></>; }',
    ],
    [
      'never raised',
      'function Pill({ onClear }: { onClear?: () => void }) { return <Inner onClear={onClear}/>; }\nexport function App() { return <><Pill onClear={() => {}}/><Pill/></>; }',
    ],
    [
      'switched off',
      `function Pill({ onClear, disabled }: { onClear?: () => void; disabled?: boolean }) { return <button disabled={disabled} onClick={onClear}/>; }\nexport function App() { return <><Pill onClear={() => {}}/><Pill disabled/></>; }`,
    ],
  ],
);

describe('event-unheard', () => {
  test('is a risk where others listen and to be tidied where nobody does', () => {
    const severity = (app: string): string | undefined =>
      analyseFiles({
        'src/App.tsx': `${pill}export function App() { return ${app}; }`,
        'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);",
      }).findings[0]?.severity;
    expect(severity('<><Pill onClear={() => {}}/><Pill/></>')).toBe('risk');
    expect(severity('<Pill/>')).toBe('tidy');
  });

  test('leaves a library’s public components alone', () => {
    expect(
      findingLines(
        analyseFiles({ 'src/Pill.tsx': `export ${pill}export function Bar() { return <><Pill onClear={() => {}}/><Pill/></>; }` }).findings,
      ),
    ).toEqual([]);
  });
});
