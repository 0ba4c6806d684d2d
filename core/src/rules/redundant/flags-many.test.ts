import { table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const contextScript = (text: string): string => `<script>import { getContext, setContext } from 'svelte'; ${text}</script>`;

const svelteLegend = `${contextScript('let { colour = false, times = false, help = false } = $props();')}<p>{#if colour}<i></i>{/if}{#if times}<b></b>{/if}{#if help}<u></u>{/if}</p>`;

const setup = (script: string): string => `<script setup>${script}</script>`;

const app = (markup: string, inside = '', before = ''): string =>
  `${before}export function App() { ${inside} return <main>${markup}</main>; }`;

const vueApp = (markup: string, inside = ''): string => `${setup(inside)}<template><main>${markup}</main></template>`;

const legend =
  'function Legend({ word, colour = false, times = false, help = false }: { word: string; colour?: boolean; times?: boolean; help?: boolean }) { return <p>{word}{colour && <i/>}{times && <b/>}{help && <u/>}</p>; }\n';

const vueLegend = `${setup('defineProps({ colour: Boolean, times: Boolean, help: Boolean });')}<template><p><i v-if="colour"/><b v-if="times"/><u v-if="help"/></p></template>`;

table(
  'flags-many',
  'svelte',
  [
    ['one form', { App: '<Legend colour/><Legend colour/><Legend colour/>', Legend: svelteLegend }, 'Legend Legend'],
    ['two forms', { App: '<Legend colour times/><Legend colour times/><Legend help/>', Legend: svelteLegend }, 'Legend Legend'],
    [
      'the older way',
      {
        App: '<Legend colour={true}/><Legend colour={true}/><Legend/>',
        Legend: `${contextScript('export let colour = false; export let times = false; export let help = false;')}<p>{#if colour}<i></i>{/if}{#if times}<b></b>{/if}{#if help}<u></u>{/if}</p>`,
      },
      'Legend Legend',
    ],
  ],
  [
    ['five forms', { App: '<Legend/><Legend colour/><Legend times/><Legend help/><Legend colour help/>', Legend: svelteLegend }],
    [
      'known while running',
      { App: `${contextScript('let a = $state(true);')}<Legend colour={a}/><Legend/><Legend help/>`, Legend: svelteLegend },
    ],
    ['two uses', { App: '<Legend colour/><Legend times/>', Legend: svelteLegend }],
    ['an object is given', { App: `${contextScript('const a = load();')}<Legend {...a}/><Legend/><Legend help/>`, Legend: svelteLegend }],
    [
      'texts',
      {
        App: '<Legend tone="a"/><Legend tone="b"/><Legend tone="a"/>',
        Legend: `${contextScript("let { tone = '' } = $props();")}<p>{#if tone}<i></i>{/if}</p>`,
      },
    ],
  ],
);

table(
  'flags-many',
  'react',
  [
    ['one form', app('<Legend word="a" colour/><Legend word="b" colour/><Legend word="c" colour/>', '', legend), 'Legend Legend'],
    [
      'two of eight',
      app('<Legend word="a" colour times/><Legend word="b" colour times/><Legend word="c" help/>', '', legend),
      'Legend Legend',
    ],
    [
      'said in full',
      app('<Legend word="a" colour={true} help={false}/><Legend word="b" colour/><Legend word="c"/>', '', legend),
      'Legend Legend',
    ],
  ],
  [
    [
      'five of eight',
      app(
        '<Legend word="a"/><Legend word="b" colour/><Legend word="c" times/><Legend word="d" help/><Legend word="e" colour help/>',
        '',
        legend,
      ),
    ],
    [
      'known while running',
      app('<Legend word="a" colour={pick()}/><Legend word="b"/><Legend word="c" help/>', 'const pick = () => true;', legend)
        .replace('{pick()}', '{a}')
        .replace('const pick = () => true;', 'const [a] = useState(true);'),
    ],
    ['two uses', app('<Legend word="a" colour/><Legend word="b" times/>', '', legend)],
    ['two flags', app('<L a/><L b/><L a/>', '', 'function L({ a = false, b = false }) { return <p>{a && <i/>}{b && <b/>}</p>; }\n')],
    [
      'read for more',
      app(
        '<Legend word="a" colour/><Legend word="b" colour/><Legend word="c" colour/>',
        '',
        legend.replace('{help && <u/>}', '{help && <u/>}<Out help={help}/>'),
      ),
    ],
    ['spread over', app('<Legend {...load()}/><Legend word="b"/><Legend word="c" help/>', '', legend)],
  ],
);

table(
  'flags-many',
  'vue',
  [
    ['one form', { App: vueApp('<Legend colour/><Legend colour/><Legend colour/>'), Legend: vueLegend }, 'Legend Legend'],
    ['two forms', { App: vueApp('<Legend colour times/><Legend colour times/><Legend help/>'), Legend: vueLegend }, 'Legend Legend'],
    [
      'bound to constants',
      { App: vueApp('<Legend :colour="true"/><Legend :colour="true"/><Legend/>'), Legend: vueLegend },
      'Legend Legend',
    ],
  ],
  [
    ['five forms', { App: vueApp('<Legend/><Legend colour/><Legend times/><Legend help/><Legend colour help/>'), Legend: vueLegend }],
    ['known while running', { App: vueApp('<Legend :colour="a"/><Legend/><Legend help/>', 'const a = ref(true);'), Legend: vueLegend }],
    ['two uses', { App: vueApp('<Legend colour/><Legend times/>'), Legend: vueLegend }],
    ['an object is given', { App: vueApp('<Legend v-bind="a"/><Legend/><Legend help/>', 'const a = load();'), Legend: vueLegend }],
    [
      'texts',
      {
        App: vueApp('<Legend tone="a"/><Legend tone="b"/><Legend tone="a"/>'),
        Legend: `${setup('defineProps({ tone: String });')}<template><p><i v-if="tone"/></p></template>`,
      },
    ],
  ],
);
