import { beforeAll, describe, expect, test } from 'vitest';
import { loadCompilers } from '../frameworks/registry';
import { analyseFiles, type Files } from '../../../testing/src/project';
import { compareProjects, type ProjectComparison } from './compare';
import type { Side } from './side';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte', 'a.astro', 'app.component.html']));

function side(files: Files): Side {
  const { model, findings } = analyseFiles(files);
  return { model, findings, textOf: (file) => files[file] };
}

type Framework = 'react' | 'vue' | 'svelte' | 'angular' | 'elements' | 'lwc' | 'astro';

/** A card in each framework, and a page that shows it. `of` is the card's text; Lightning's card has its markup behind `---`. */
const projects: Readonly<Record<Framework, (of: string, use: string) => Files>> = {
  react: (of, use) => ({
    'src/Card.tsx': of,
    'src/App.tsx': `import { Card } from './Card'; export function App({ heard }: { heard: () => void }) { return <main>${use}</main>; }`,
  }),
  vue: (of, use) => ({
    'src/Card.vue': of,
    'src/App.vue': `<script setup>import { ref } from 'vue'; import Card from './Card.vue'; const held = ref('a'); const heard = () => {};</script><template>${use}</template>`,
  }),
  svelte: (of, use) => ({
    'src/Card.svelte': of,
    'src/App.svelte': `<script>import Card from './Card.svelte'; let held = 'a'; function heard() {}</script>${use}`,
  }),
  angular: (of, use) => ({
    'src/card.ts': `import { Component, EventEmitter, Input, input, model, Output, output } from '@angular/core';\n@Component({ selector: 'app-card', ${of} }`,
    'src/app.ts': `import { Component } from '@angular/core'; import { Card } from './card';\n@Component({ selector: 'app-root', imports: [Card], template: \`${use}\` }) export class App { held = 'a'; heard() {} }`,
  }),
  elements: (of, use) => ({
    'src/x-card.ts': `import { LitElement, html } from 'lit';\nexport class XCard extends LitElement { ${of} }\ncustomElements.define('x-card', XCard);`,
    'src/x-app.ts': `import { LitElement, html } from 'lit'; import './x-card';\nexport class XApp extends LitElement { heard() {} render() { return html\`${use}\`; } }\ncustomElements.define('x-app', XApp);`,
  }),
  lwc: (of, use) => {
    const [script = '', markup = ''] = of.split('---');
    const file = 'force-app/main/default/lwc';
    return {
      [`${file}/card/card.js`]: `import { LightningElement, api } from 'lwc'; export default class Card extends LightningElement { ${script} }`,
      [`${file}/card/card.html`]: `<template>${markup}</template>`,
      [`${file}/app/app.js`]: "import { LightningElement } from 'lwc'; export default class App extends LightningElement { heard() {} }",
      [`${file}/app/app.html`]: `<template>${use}</template>`,
    };
  },
  astro: (of, use) => ({
    'src/components/Card.astro': of,
    'src/pages/index.astro': `---\nimport Card from '../components/Card.astro';\n---\n${use}`,
  }),
};
const cardNames: Readonly<Record<string, true>> = { Card: true, XCard: true, card: true, 'x-card': true };

const compared = (
  framework: Framework,
  before: readonly [string, string],
  after: readonly [string, string],
  later = framework,
): ProjectComparison => compareProjects(side(projects[framework](...before)), side(projects[later](...after)));

/** What changed of the card's contract; `!` first where it no longer holds. */
function told({ components }: ProjectComparison): string[] {
  const card = components.find(({ before, after }) => (after ?? before) && cardNames[(after ?? before)?.name ?? '']);
  if (!card) throw new Error(`No card among ${components.map(({ after }) => after?.name).join(', ')}`);
  return card.contract.map(({ member, name, change, to }) => [member, name, change, to].filter(Boolean).join(' '));
}
const broken = ({ breaks }: ProjectComparison): string[] => breaks.map(({ rule, subject }) => `${rule} ${subject}`);
const failing = ({ components }: ProjectComparison): string[] =>
  components.flatMap(({ before, after, holds }) => (holds === false ? [(after ?? before)?.name ?? ''] : []));

describe('a change of a contract, with its use changed too: told, and nothing breaks', () => {
  test.each<[Framework, string, [string, string], [string, string], string[]]>([
    // React
    [
      'react',
      'a prop more',
      ['export const Card = () => <b/>;', '<Card/>'],
      ['export const Card = ({ tone }: { tone?: string }) => <b>{tone}</b>;', '<Card tone="a"/>'],
      ['prop tone new'],
    ],
    [
      'react',
      'a prop less',
      ['export const Card = ({ tone, size }: { tone: string; size: number }) => <b id={tone}>{size}</b>;', '<Card tone="a" size={1}/>'],
      ['export const Card = ({ size }: { size: number }) => <b>{size}</b>;', '<Card size={1}/>'],
      ['prop tone gone'],
    ],
    [
      'react',
      'a text becomes what stands between the tags',
      ['export const Card = ({ label }: { label: string }) => <b>{label}</b>;', '<Card label="a"/>'],
      ['export const Card = ({ children }: { children: React.ReactNode }) => <b>{children}</b>;', '<Card>a</Card>'],
      ['prop label gone', 'slot children new'],
    ],
    [
      'react',
      'a callback more',
      ['export const Card = () => <b/>;', '<Card/>'],
      ['export const Card = ({ onPick }: { onPick?: () => void }) => <b onClick={onPick}/>;', '<Card onPick={heard}/>'],
      ['event onPick new'],
    ],
    [
      'react',
      'a callback under another name',
      ['export const Card = ({ onPick }: { onPick: () => void }) => <b onClick={() => onPick()}/>;', '<Card onPick={heard}/>'],
      ['export const Card = ({ onChoose }: { onChoose: () => void }) => <b onClick={() => onChoose()}/>;', '<Card onChoose={heard}/>'],
      ['event onPick renamed onChoose'],
    ],
    [
      'react',
      'another name in a type, and all is passed on',
      ['type Props = { tone: string; size: number };\nexport const Card = (props: Props) => <b {...props}/>;', '<Card tone="a" size={1}/>'],
      [
        'type Props = { level: string; size: number };\nexport const Card = (props: Props) => <b {...props}/>;',
        '<Card level="a" size={1}/>',
      ],
      ['prop tone renamed level'],
    ],
    [
      'react',
      'a default that names what has another name',
      [
        'export const Card = ({ tone, pick = () => tone }: { tone: string; pick?: () => string }) => <b title={tone}>{pick()}</b>;',
        '<Card tone="a"/>',
      ],
      [
        'export const Card = ({ level, pick = () => level }: { level: string; pick?: () => string }) => <b title={level}>{pick()}</b>;',
        '<Card level="a"/>',
      ],
      ['prop tone renamed level'],
    ],
    [
      'react',
      'one of few words more',
      ["export const Card = ({ tone }: { tone: 'a' | 'b' }) => <b>{tone}</b>;", '<Card tone="a"/>'],
      ["export const Card = ({ tone }: { tone: 'a' | 'b' | 'c' }) => <b>{tone}</b>;", '<Card tone="a"/>'],
      [],
    ],
    [
      'react',
      'one of few words less',
      ["export const Card = ({ tone }: { tone: 'a' | 'b' }) => <b>{tone}</b>;", '<Card tone="a"/>'],
      ["export const Card = ({ tone }: { tone: 'a' }) => <b>{tone}</b>;", '<Card tone="a"/>'],
      ['prop tone kind "a"'],
    ],
    [
      'react',
      'no default any more',
      ["export const Card = ({ tone = 'a' }: { tone?: string }) => <b>{tone}</b>;", '<Card tone="b"/>'],
      ['export const Card = ({ tone }: { tone?: string }) => <b>{tone}</b>;', '<Card tone="b"/>'],
      ['prop tone default'],
    ],
    // Vue
    [
      'vue',
      'a prop more',
      ['<template><b/></template>', '<Card/>'],
      ["<script setup>defineProps(['tone']);</script><template><b>{{ tone }}</b></template>", '<Card tone="a"/>'],
      ['prop tone new'],
    ],
    [
      'vue',
      'a prop less',
      [
        "<script setup>defineProps(['tone', 'size']);</script><template><b :id=\"tone\">{{ size }}</b></template>",
        '<Card tone="a" :size="1"/>',
      ],
      ["<script setup>defineProps(['size']);</script><template><b>{{ size }}</b></template>", '<Card :size="1"/>'],
      ['prop tone gone'],
    ],
    [
      'vue',
      'a prop under another name',
      ['<script setup>defineProps([\'tone\']);</script><template><b :class="tone">{{ tone }}</b></template>', '<Card tone="a"/>'],
      ['<script setup>defineProps([\'level\']);</script><template><b :class="level">{{ level }}</b></template>', '<Card level="a"/>'],
      ['prop tone renamed level'],
    ],
    [
      'vue',
      'required',
      ['<script setup>defineProps({ tone: String });</script><template>{{ tone }}</template>', '<Card tone="a"/>'],
      [
        '<script setup>defineProps({ tone: { type: String, required: true } });</script><template>{{ tone }}</template>',
        '<Card tone="a"/>',
      ],
      ['prop tone required'],
    ],
    [
      'vue',
      'no longer required',
      ['<script setup lang="ts">defineProps<{ tone: string }>();</script><template>{{ tone }}</template>', '<Card tone="a"/>'],
      ['<script setup lang="ts">defineProps<{ tone?: string }>();</script><template>{{ tone }}</template>', '<Card tone="a"/>'],
      ['prop tone optional'],
    ],
    [
      'vue',
      'a default',
      ["<script setup>defineProps({ tone: { type: String, default: 'a' } });</script><template>{{ tone }}</template>", '<Card tone="b"/>'],
      ["<script setup>defineProps({ tone: { type: String, default: 'c' } });</script><template>{{ tone }}</template>", '<Card tone="b"/>'],
      ["prop tone default 'c'"],
    ],
    [
      'vue',
      'a kind',
      ['<script setup>defineProps({ tone: String });</script><template>{{ tone }}</template>', '<Card tone="a"/>'],
      ['<script setup>defineProps({ tone: Number });</script><template>{{ tone }}</template>', '<Card :tone="1"/>'],
      ['prop tone kind number'],
    ],
    [
      'vue',
      'an event more',
      ['<template><b/></template>', '<Card/>'],
      [
        "<script setup>const emit = defineEmits(['pick']);</script><template><b @click=\"emit('pick')\"/></template>",
        '<Card @pick="heard"/>',
      ],
      ['event pick new'],
    ],
    [
      'vue',
      'an event under another name',
      [
        "<script setup>const emit = defineEmits(['pick']);</script><template><b @click=\"emit('pick')\"/></template>",
        '<Card @pick="heard"/>',
      ],
      [
        "<script setup>const emit = defineEmits(['choose']);</script><template><b @click=\"emit('choose')\"/></template>",
        '<Card @choose="heard"/>',
      ],
      ['event pick renamed choose'],
    ],
    [
      'vue',
      'a slot more',
      ['<template><b/></template>', '<Card/>'],
      ['<template><b/><slot name="foot"/></template>', '<Card><template #foot>a</template></Card>'],
      ['slot foot new'],
    ],
    [
      'vue',
      'a slot under another name',
      ['<template><footer class="f"><slot name="foot"/></footer></template>', '<Card><template #foot>a</template></Card>'],
      ['<template><footer class="f"><slot name="end"/></footer></template>', '<Card><template #end>a</template></Card>'],
      ['slot foot renamed end'],
    ],
    [
      'vue',
      'a model more',
      ['<template><b/></template>', '<Card/>'],
      ['<script setup>const at = defineModel();</script><template><input v-model="at"/></template>', '<Card v-model="held"/>'],
      ['model modelValue new'],
    ],
    [
      'vue',
      'a model under another name',
      ['<script setup>const at = defineModel(\'at\');</script><template><input v-model="at"/></template>', '<Card v-model:at="held"/>'],
      [
        '<script setup>const place = defineModel(\'place\');</script><template><input v-model="place"/></template>',
        '<Card v-model:place="held"/>',
      ],
      ['model at renamed place'],
    ],
    // Svelte
    [
      'svelte',
      'a prop more',
      ['<b/>', '<Card/>'],
      ['<script>let { tone } = $props();</script><b>{tone}</b>', '<Card tone="a"/>'],
      ['prop tone new'],
    ],
    [
      'svelte',
      'a prop less',
      ['<script>export let tone; export let size;</script><b id={tone}>{size}</b>', '<Card tone="a" size={1}/>'],
      ['<script>export let size;</script><b>{size}</b>', '<Card size={1}/>'],
      ['prop tone gone'],
    ],
    [
      'svelte',
      'a prop under another name',
      ['<script>export let tone;</script><b class={tone}>{tone}</b>', '<Card tone="a"/>'],
      ['<script>export let level;</script><b class={level}>{level}</b>', '<Card level="a"/>'],
      ['prop tone renamed level'],
    ],
    [
      'svelte',
      'a default',
      ["<script>export let tone = 'a';</script>{tone}", '<Card tone="b"/>'],
      ["<script>export let tone = 'c';</script>{tone}", '<Card tone="b"/>'],
      ["prop tone default 'c'"],
    ],
    [
      'svelte',
      'a kind',
      ['<script lang="ts">let { tone }: { tone: string } = $props();</script>{tone}', '<Card tone="a"/>'],
      ['<script lang="ts">let { tone }: { tone: number } = $props();</script>{tone}', '<Card tone={1}/>'],
      ['prop tone kind number'],
    ],
    [
      'svelte',
      'an event under another name',
      [
        "<script>import { createEventDispatcher } from 'svelte'; const send = createEventDispatcher();</script><b on:click={() => send('pick')}/>",
        '<Card on:pick={heard}/>',
      ],
      [
        "<script>import { createEventDispatcher } from 'svelte'; const send = createEventDispatcher();</script><b on:click={() => send('choose')}/>",
        '<Card on:choose={heard}/>',
      ],
      ['event pick renamed choose'],
    ],
    [
      'svelte',
      'a snippet more',
      ['<b/>', '<Card/>'],
      ['<script>let { foot } = $props();</script><b/>{@render foot()}', '<Card>{#snippet foot()}a{/snippet}</Card>'],
      ['slot foot new'],
    ],
    ['svelte', 'a slot less', ['<slot name="foot"/>', '<Card><i slot="foot">a</i></Card>'], ['<b/>', '<Card/>'], ['slot foot gone']],
    [
      'svelte',
      'a prop may be bound',
      ['<script>let { at } = $props();</script><input value={at}/>', '<Card at={held}/>'],
      ['<script>let { at = $bindable() } = $props();</script><input bind:value={at}/>', '<Card bind:at={held}/>'],
      ['model at new'],
    ],
    // Angular
    [
      'angular',
      'an input more',
      ["template: '<b></b>' }) export class Card {", '<app-card/>'],
      ["template: '<b>{{ tone() }}</b>' }) export class Card { tone = input('a');", '<app-card tone="b"/>'],
      ['prop tone new'],
    ],
    [
      'angular',
      'an input less',
      [
        "template: '<b [id]=\"tone\">{{ size }}</b>' }) export class Card { @Input() tone = ''; @Input() size = 1;",
        '<app-card tone="a" [size]="1"/>',
      ],
      ["template: '<b>{{ size }}</b>' }) export class Card { @Input() size = 1;", '<app-card [size]="1"/>'],
      ['prop tone gone'],
    ],
    [
      'angular',
      'an input under another name',
      ["template: '<b [id]=\"tone()\">{{ tone() }}</b>' }) export class Card { tone = input('');", '<app-card tone="a"/>'],
      ["template: '<b [id]=\"level()\">{{ level() }}</b>' }) export class Card { level = input('');", '<app-card level="a"/>'],
      ['prop tone renamed level'],
    ],
    [
      'angular',
      'required',
      ["template: '{{ tone() }}' }) export class Card { tone = input<string>();", '<app-card tone="a"/>'],
      ["template: '{{ tone() }}' }) export class Card { tone = input.required<string>();", '<app-card tone="a"/>'],
      ['prop tone required'],
    ],
    [
      'angular',
      'an output less',
      ['template: \'<b (click)="pick.emit()"></b>\' }) export class Card { pick = output();', '<app-card (pick)="heard()"/>'],
      ["template: '<b></b>' }) export class Card {", '<app-card/>'],
      ['event pick gone'],
    ],
    [
      'angular',
      'an output under another name',
      ['template: \'<b (click)="pick.emit()"></b>\' }) export class Card { pick = output();', '<app-card (pick)="heard()"/>'],
      ['template: \'<b (click)="choose.emit()"></b>\' }) export class Card { choose = output();', '<app-card (choose)="heard()"/>'],
      ['event pick renamed choose'],
    ],
    [
      'angular',
      'a place for content more',
      ["template: '<b></b>' }) export class Card {", '<app-card/>'],
      ["template: '<b><ng-content/></b>' }) export class Card {", '<app-card>a</app-card>'],
      ['slot default new'],
    ],
    [
      'angular',
      'a model more',
      ["template: '<b></b>' }) export class Card {", '<app-card/>'],
      ['template: \'<b (click)="at.set(1)">{{ at() }}</b>\' }) export class Card { at = model(0);', '<app-card [(at)]="held"/>'],
      ['model at new'],
    ],
    // Custom elements
    [
      'elements',
      'a property more',
      ['render() { return html`<b></b>`; }', '<x-card></x-card>'],
      ['static properties = { tone: {} }; render() { return html`<b>${this.tone}</b>`; }', '<x-card tone="a"></x-card>'],
      ['prop tone new'],
    ],
    [
      'elements',
      'a property less',
      [
        'static properties = { tone: {}, size: {} }; render() { return html`<b id=${this.tone}>${this.size}</b>`; }',
        '<x-card tone="a" .size=${1}></x-card>',
      ],
      ['static properties = { size: {} }; render() { return html`<b>${this.size}</b>`; }', '<x-card .size=${1}></x-card>'],
      ['prop tone gone'],
    ],
    [
      'elements',
      'a property under another name',
      ['static properties = { tone: {} }; render() { return html`<b id=${this.tone}>${this.tone}</b>`; }', '<x-card tone="a"></x-card>'],
      [
        'static properties = { level: {} }; render() { return html`<b id=${this.level}>${this.level}</b>`; }',
        '<x-card level="a"></x-card>',
      ],
      ['prop tone renamed level'],
    ],
    [
      'elements',
      'an event less',
      [
        "pick() { this.dispatchEvent(new CustomEvent('pick')); } render() { return html`<b @click=${this.pick}></b>`; }",
        '<x-card @pick=${this.heard}></x-card>',
      ],
      ['render() { return html`<b></b>`; }', '<x-card></x-card>'],
      ['event pick gone'],
    ],
    [
      'elements',
      'an event under another name',
      [
        "send() { this.dispatchEvent(new CustomEvent('pick')); } render() { return html`<b @click=${this.send}></b>`; }",
        '<x-card @pick=${this.heard}></x-card>',
      ],
      [
        "send() { this.dispatchEvent(new CustomEvent('choose')); } render() { return html`<b @click=${this.send}></b>`; }",
        '<x-card @choose=${this.heard}></x-card>',
      ],
      ['event pick renamed choose'],
    ],
    [
      'elements',
      'a slot more',
      ['render() { return html`<b></b>`; }', '<x-card></x-card>'],
      ['render() { return html`<b><slot name="foot"></slot></b>`; }', '<x-card><i slot="foot">a</i></x-card>'],
      ['slot foot new'],
    ],
    // Lightning web components
    [
      'lwc',
      'a property more',
      ['---<b></b>', '<c-card></c-card>'],
      ['@api tone;---<b>{tone}</b>', '<c-card tone="a"></c-card>'],
      ['prop tone new'],
    ],
    [
      'lwc',
      'a property less',
      ['@api tone; @api size;---<b title={tone}>{size}</b>', '<c-card tone="a" size="1"></c-card>'],
      ['@api size;---<b>{size}</b>', '<c-card size="1"></c-card>'],
      ['prop tone gone'],
    ],
    [
      'lwc',
      'a property under another name',
      ['@api tone;---<b title={tone}>{tone}</b>', '<c-card tone="a"></c-card>'],
      ['@api level;---<b title={level}>{level}</b>', '<c-card level="a"></c-card>'],
      ['prop tone renamed level'],
    ],
    [
      'lwc',
      'an event less',
      ["send() { this.dispatchEvent(new CustomEvent('pick')); }---<b onclick={send}></b>", '<c-card onpick={heard}></c-card>'],
      ['---<b></b>', '<c-card></c-card>'],
      ['event pick gone'],
    ],
    [
      'lwc',
      'an event under another name',
      ["send() { this.dispatchEvent(new CustomEvent('pick')); }---<b onclick={send}></b>", '<c-card onpick={heard}></c-card>'],
      ["send() { this.dispatchEvent(new CustomEvent('choose')); }---<b onclick={send}></b>", '<c-card onchoose={heard}></c-card>'],
      ['event pick renamed choose'],
    ],
    ['lwc', 'a slot more', ['---<b></b>', '<c-card></c-card>'], ['---<b></b><slot></slot>', '<c-card>a</c-card>'], ['slot default new']],
    // Astro
    [
      'astro',
      'a prop more',
      ['<b></b>', '<Card/>'],
      ['---\nconst { tone } = Astro.props;\n---\n<b>{tone}</b>', '<Card tone="a"/>'],
      ['prop tone new'],
    ],
    [
      'astro',
      'a prop less',
      ['---\nconst { tone, size } = Astro.props;\n---\n<b id={tone}>{size}</b>', '<Card tone="a" size={1}/>'],
      ['---\nconst { size } = Astro.props;\n---\n<b>{size}</b>', '<Card size={1}/>'],
      ['prop tone gone'],
    ],
    [
      'astro',
      'a prop under another name',
      ['---\nconst { tone } = Astro.props;\n---\n<b class={tone}>{tone}</b>', '<Card tone="a"/>'],
      ['---\nconst { level } = Astro.props;\n---\n<b class={level}>{level}</b>', '<Card level="a"/>'],
      ['prop tone renamed level'],
    ],
    [
      'astro',
      'required',
      ['---\ninterface Props { tone?: string }\nconst { tone } = Astro.props;\n---\n<b>{tone}</b>', '<Card tone="a"/>'],
      ['---\ninterface Props { tone: string }\nconst { tone } = Astro.props;\n---\n<b>{tone}</b>', '<Card tone="a"/>'],
      ['prop tone required'],
    ],
    [
      'astro',
      'a default',
      ["---\nconst { tone = 'a' } = Astro.props;\n---\n<b>{tone}</b>", '<Card tone="b"/>'],
      ["---\nconst { tone = 'c' } = Astro.props;\n---\n<b>{tone}</b>", '<Card tone="b"/>'],
      ["prop tone default 'c'"],
    ],
    ['astro', 'a slot less', ['<slot name="foot"/>', '<Card><i slot="foot">a</i></Card>'], ['<b></b>', '<Card/>'], ['slot foot gone']],
  ])('%s: %s', (framework, _, before, after, changes) => {
    const comparison = compared(framework, before, after);
    expect([told(comparison), broken(comparison), failing(comparison)]).toEqual([changes, [], []]);
  });
});

describe('a sound rewrite: the contract is what it was, all hold, and nothing breaks', () => {
  test.each<[string, Framework, [string, string], [string, string], Framework?]>([
    // React
    [
      'a function becomes an arrow',
      'react',
      ['export function Card({ tone }: { tone: string }) { return <b>{tone}</b>; }', '<Card tone="a"/>'],
      ['export const Card = ({ tone }: { tone: string }) => <b>{tone}</b>;', '<Card tone="a"/>'],
    ],
    [
      'a class becomes a function',
      'react',
      [
        "import { Component } from 'react'; export class Card extends Component<{ tone: string; onPick: () => void }> { render() { const { tone, onPick } = this.props; return <b onClick={onPick}>{tone}</b>; } }",
        '<Card tone="a" onPick={heard}/>',
      ],
      [
        'export function Card({ tone, onPick }: { tone: string; onPick: () => void }) { return <b onClick={onPick}>{tone}</b>; }',
        '<Card tone="a" onPick={heard}/>',
      ],
    ],
    [
      'state of a class becomes a hook',
      'react',
      [
        "import { Component } from 'react'; export class Card extends Component { state = { open: false }; render() { return <b onClick={() => this.setState({ open: true })}>{this.state.open ? 'a' : 'b'}</b>; } }",
        '<Card/>',
      ],
      [
        "import { useState } from 'react'; export function Card() { const [open, setOpen] = useState(false); return <b onClick={() => setOpen(true)}>{open ? 'a' : 'b'}</b>; }",
        '<Card/>',
      ],
    ],
    [
      'it is wrapped in memo',
      'react',
      ['export function Card({ tone }: { tone: string }) { return <b>{tone}</b>; }', '<Card tone="a"/>'],
      [
        "import { memo } from 'react'; export const Card = memo(function Card({ tone }: { tone: string }) { return <b>{tone}</b>; });",
        '<Card tone="a"/>',
      ],
    ],
    [
      'props are taken whole',
      'react',
      ['export function Card({ tone }: { tone: string }) { return <b>{tone}</b>; }', '<Card tone="a"/>'],
      ['export function Card(props: { tone: string }) { return <b>{props.tone}</b>; }', '<Card tone="a"/>'],
    ],
    [
      'props get a named type',
      'react',
      ['export function Card({ tone }: { tone: string }) { return <b>{tone}</b>; }', '<Card tone="a"/>'],
      ['type Props = { tone: string }; export function Card({ tone }: Props) { return <b>{tone}</b>; }', '<Card tone="a"/>'],
    ],
    [
      'a condition is written another way',
      'react',
      ['export function Card({ tone }: { tone?: string }) { return tone ? <b>{tone}</b> : null; }', '<Card tone="a"/>'],
      ['export function Card({ tone }: { tone?: string }) { if (!tone) return null; return <b>{tone}</b>; }', '<Card tone="a"/>'],
    ],
    [
      'a spread becomes names',
      'react',
      ['export function Card({ tone }: { tone: string }) { return <b>{tone}</b>; }', "<Card {...{ tone: 'a' }}/>"],
      ['export function Card({ tone }: { tone: string }) { return <b>{tone}</b>; }', '<Card tone="a"/>'],
    ],
    [
      'a state becomes a reducer',
      'react',
      [
        "import { useState } from 'react'; export function Card() { const [n, setN] = useState(0); return <b onClick={() => setN(n + 1)}>{n}</b>; }",
        '<Card/>',
      ],
      [
        "import { useReducer } from 'react'; export function Card() { const [n, more] = useReducer((was: number) => was + 1, 0); return <b onClick={() => more()}>{n}</b>; }",
        '<Card/>',
      ],
    ],
    [
      'what is computed is kept',
      'react',
      ['export function Card({ list }: { list: string[] }) { const many = list.length; return <b>{many}</b>; }', "<Card list={['a']}/>"],
      [
        "import { useMemo } from 'react'; export function Card({ list }: { list: string[] }) { const many = useMemo(() => list.length, [list]); return <b>{many}</b>; }",
        "<Card list={['a']}/>",
      ],
    ],
    [
      'a part of it stands for itself',
      'react',
      ['export function Card({ tone }: { tone: string }) { return <b><i>{tone}</i></b>; }', '<Card tone="a"/>'],
      [
        'function Tone({ tone }: { tone: string }) { return <i>{tone}</i>; } export function Card({ tone }: { tone: string }) { return <b><Tone tone={tone}/></b>; }',
        '<Card tone="a"/>',
      ],
    ],
    [
      'a default moves from the class to the function',
      'react',
      [
        "import { Component } from 'react'; export class Card extends Component<{ tone: string }> { static defaultProps = { tone: 'a' }; render() { return <b>{this.props.tone}</b>; } }",
        '<Card tone="b"/>',
      ],
      ["export function Card({ tone = 'a' }: { tone?: string }) { return <b>{tone}</b>; }", '<Card tone="b"/>'],
    ],
    // Vue
    [
      'options become setup',
      'vue',
      [
        "<script>export default { props: ['tone'], emits: ['pick'], methods: { go() { this.$emit('pick'); } } };</script><template><b @click=\"go\">{{ tone }}</b></template>",
        '<Card tone="a" @pick="heard"/>',
      ],
      [
        "<script setup>defineProps(['tone']); const emit = defineEmits(['pick']); const go = () => emit('pick');</script><template><b @click=\"go\">{{ tone }}</b></template>",
        '<Card tone="a" @pick="heard"/>',
      ],
    ],
    [
      'data become refs',
      'vue',
      [
        '<script>export default { data() { return { open: false }; } };</script><template><b @click="open = true">{{ open }}</b></template>',
        '<Card/>',
      ],
      [
        '<script setup>import { ref } from \'vue\'; const open = ref(false);</script><template><b @click="open = true">{{ open }}</b></template>',
        '<Card/>',
      ],
    ],
    [
      'what is computed moves to setup',
      'vue',
      [
        "<script>export default { props: ['list'], computed: { many() { return this.list.length; } } };</script><template>{{ many }}</template>",
        '<Card :list="[1]"/>',
      ],
      [
        "<script setup>import { computed } from 'vue'; const props = defineProps(['list']); const many = computed(() => props.list.length);</script><template>{{ many }}</template>",
        '<Card :list="[1]"/>',
      ],
    ],
    [
      'props as an object become types',
      'vue',
      [
        '<script setup>defineProps({ tone: { type: String, required: true } });</script><template>{{ tone }}</template>',
        '<Card tone="a"/>',
      ],
      ['<script setup lang="ts">defineProps<{ tone: string }>();</script><template>{{ tone }}</template>', '<Card tone="a"/>'],
    ],
    [
      'a model of two halves becomes one',
      'vue',
      [
        "<script setup>defineProps(['modelValue']); const emit = defineEmits(['update:modelValue']);</script><template><input :value=\"modelValue\" @input=\"emit('update:modelValue', $event.target.value)\"></template>",
        '<Card v-model="held"/>',
      ],
      ['<script setup>const model = defineModel();</script><template><input v-model="model"></template>', '<Card v-model="held"/>'],
    ],
    [
      'names in kebab case become camel case',
      'vue',
      ["<script setup>defineProps(['lockName']);</script><template>{{ lockName }}</template>", '<Card lock-name="a"/>'],
      ["<script setup>defineProps(['lockName']);</script><template>{{ lockName }}</template>", '<Card lockName="a"/>'],
    ],
    [
      'a default by withDefaults becomes one of a pattern',
      'vue',
      [
        '<script setup lang="ts">withDefaults(defineProps<{ tone?: string }>(), { tone: \'a\' });</script><template>{{ tone }}</template>',
        '<Card tone="b"/>',
      ],
      [
        '<script setup lang="ts">const { tone = \'a\' } = defineProps<{ tone?: string }>();</script><template>{{ tone }}</template>',
        '<Card tone="b"/>',
      ],
    ],
    [
      'a template becomes a render function',
      'vue',
      ["<script>export default { props: ['tone'] };</script><template><b>{{ tone }}</b></template>", '<Card tone="a"/>'],
      [
        "<script>import { h } from 'vue'; export default { props: ['tone'], render() { return h('b', this.tone); } };</script>",
        '<Card tone="a"/>',
      ],
    ],
    // Svelte
    [
      'exports become runes',
      'svelte',
      ["<script>export let tone = 'a'; export let size;</script><b id={size}>{tone}</b>", '<Card tone="b" size={1}/>'],
      ["<script>let { tone = 'a', size } = $props();</script><b id={size}>{tone}</b>", '<Card tone="b" size={1}/>'],
    ],
    [
      'reactive statements become runes',
      'svelte',
      ['<script>export let list; $: many = list.length;</script>{many}', '<Card list={[1]}/>'],
      ['<script>let { list } = $props(); const many = $derived(list.length);</script>{many}', '<Card list={[1]}/>'],
    ],
    [
      'variables become state',
      'svelte',
      ['<script>let open = false;</script><b on:click={() => (open = true)}>{open}</b>', '<Card/>'],
      ['<script>let open = $state(false);</script><b onclick={() => (open = true)}>{open}</b>', '<Card/>'],
    ],
    [
      'a slot becomes children',
      'svelte',
      ['<b><slot/></b>', '<Card>a</Card>'],
      ['<script>let { children } = $props();</script><b>{@render children?.()}</b>', '<Card>a</Card>'],
    ],
    [
      'an event becomes a callback, with who listens',
      'svelte',
      [
        "<script>import { createEventDispatcher } from 'svelte'; const send = createEventDispatcher();</script><b on:click={() => send('pick')}/>",
        '<Card on:pick={heard}/>',
      ],
      ['<script>let { onpick } = $props();</script><b onclick={() => onpick()}/>', '<Card onpick={heard}/>'],
    ],
    [
      'what is bound stays bound',
      'svelte',
      ['<script>export let at;</script><input bind:value={at}>', '<Card bind:at={held}/>'],
      ['<script>let { at = $bindable() } = $props();</script><input bind:value={at}>', '<Card bind:at={held}/>'],
    ],
    // Angular
    [
      'decorators become signals',
      'angular',
      [
        "template: '<b (click)=\"pick.emit()\">{{ tone }}</b>' }) export class Card { @Input() tone = ''; @Output() pick = new EventEmitter();",
        '<app-card tone="a" (pick)="heard()"/>',
      ],
      [
        "template: '<b (click)=\"pick.emit()\">{{ tone() }}</b>' }) export class Card { tone = input(''); pick = output();",
        '<app-card tone="a" (pick)="heard()"/>',
      ],
    ],
    [
      'input and output become a model',
      'angular',
      [
        'template: \'<b (click)="atChange.emit(1)">{{ at }}</b>\' }) export class Card { @Input() at = 0; @Output() atChange = new EventEmitter();',
        '<app-card [(at)]="held"/>',
      ],
      ['template: \'<b (click)="at.set(1)">{{ at() }}</b>\' }) export class Card { at = model(0);', '<app-card [(at)]="held"/>'],
    ],
    [
      'a directive becomes a block',
      'angular',
      ["template: '<b *ngIf=\"tone\">{{ tone }}</b>' }) export class Card { @Input() tone = '';", '<app-card tone="a"/>'],
      ["template: '@if (tone) {<b>{{ tone }}</b>}' }) export class Card { @Input() tone = '';", '<app-card tone="a"/>'],
    ],
    [
      'required, in both forms',
      'angular',
      ["template: '{{ tone }}' }) export class Card { @Input({ required: true }) tone!: string;", '<app-card tone="a"/>'],
      ["template: '{{ tone() }}' }) export class Card { tone = input.required<string>();", '<app-card tone="a"/>'],
    ],
    // Custom elements
    [
      'properties become decorators',
      'elements',
      ['static properties = { tone: {} }; render() { return html`<b>${this.tone}</b>`; }', '<x-card tone="a"></x-card>'],
      ['@property() tone; render() { return html`<b>${this.tone}</b>`; }', '<x-card tone="a"></x-card>'],
    ],
    [
      'an attribute becomes a property',
      'elements',
      ['static properties = { tone: {} }; render() { return html`<b>${this.tone}</b>`; }', '<x-card tone="a"></x-card>'],
      ['static properties = { tone: {} }; render() { return html`<b>${this.tone}</b>`; }', "<x-card .tone=${'a'}></x-card>"],
    ],
    [
      'a method becomes an arrow',
      'elements',
      [
        "send() { this.dispatchEvent(new CustomEvent('pick')); } render() { return html`<b @click=${this.send}></b>`; }",
        '<x-card @pick=${this.heard}></x-card>',
      ],
      [
        "send = () => this.dispatchEvent(new CustomEvent('pick')); render() { return html`<b @click=${this.send}></b>`; }",
        '<x-card @pick=${this.heard}></x-card>',
      ],
    ],
    // Lightning web components
    [
      'a condition in its newer form',
      'lwc',
      ['@api tone;---<template if:true={tone}><b>{tone}</b></template>', '<c-card tone="a"></c-card>'],
      ['@api tone;---<template lwc:if={tone}><b>{tone}</b></template>', '<c-card tone="a"></c-card>'],
    ],
    [
      'a field becomes a pair of accessors',
      'lwc',
      ['@api tone;---<b>{tone}</b>', '<c-card tone="a"></c-card>'],
      ['held; @api get tone() { return this.held; } set tone(given) { this.held = given; }---<b>{held}</b>', '<c-card tone="a"></c-card>'],
    ],
    // Astro
    [
      'props are taken whole',
      'astro',
      ['---\nconst { tone } = Astro.props;\n---\n<b>{tone}</b>', '<Card tone="a"/>'],
      ['<b>{Astro.props.tone}</b>', '<Card tone="a"/>'],
    ],
    [
      'props get a type',
      'astro',
      ['---\nconst { tone } = Astro.props;\n---\n<b>{tone}</b>', '<Card tone="a"/>'],
      ['---\ninterface Props { tone: string }\nconst { tone } = Astro.props;\n---\n<b>{tone}</b>', '<Card tone="a"/>'],
    ],
    // Across frameworks
    [
      'React becomes Vue',
      'react',
      [
        'export function Card({ tone, onPick }: { tone: string; onPick?: () => void }) { return <b onClick={() => onPick?.()}>{tone}</b>; }',
        '<Card tone="a" onPick={heard}/>',
      ],
      [
        '<script setup lang="ts">defineProps<{ tone: string }>(); const emit = defineEmits(["pick"]);</script><template><b @click="emit(\'pick\')">{{ tone }}</b></template>',
        '<Card tone="a" @pick="heard"/>',
      ],
      'vue',
    ],
    [
      'React becomes Svelte',
      'react',
      [
        'export function Card({ tone, children }: { tone: string; children?: React.ReactNode }) { return <b id={tone}>{children}</b>; }',
        '<Card tone="a">b</Card>',
      ],
      [
        '<script lang="ts">let { tone, children }: { tone: string; children?: () => void } = $props();</script><b id={tone}>{@render children?.()}</b>',
        '<Card tone="a">b</Card>',
      ],
      'svelte',
    ],
    [
      'Vue becomes Svelte',
      'vue',
      [
        "<script setup>defineProps(['tone']); const emit = defineEmits(['pick']);</script><template><b @click=\"emit('pick')\">{{ tone }}<slot/></b></template>",
        '<Card tone="a" @pick="heard">b</Card>',
      ],
      [
        '<script>let { tone, onpick, children } = $props();</script><b onclick={() => onpick?.()}>{tone}{@render children?.()}</b>',
        '<Card tone="a" onpick={heard}>b</Card>',
      ],
      'svelte',
    ],
    [
      'Vue becomes React',
      'vue',
      ["<script setup>defineProps(['tone']);</script><template><b>{{ tone }}<slot/></b></template>", '<Card tone="a">b</Card>'],
      [
        'export function Card({ tone, children }: { tone?: string; children?: React.ReactNode }) { return <b>{tone}{children}</b>; }',
        '<Card tone="a">b</Card>',
      ],
      'react',
    ],
    [
      'Angular becomes React',
      'angular',
      ["template: '<b>{{ tone }}</b>' }) export class Card { @Input() tone = '';", '<app-card tone="a"/>'],
      ["export function Card({ tone = '' }: { tone?: string }) { return <b>{tone}</b>; }", '<Card tone="a"/>'],
      'react',
    ],
  ])('%s (%s)', (_, framework, before, after, later) => {
    const comparison = compared(framework, before, after, later);
    expect([told(comparison), broken(comparison), failing(comparison)]).toEqual([[], [], []]);
  });
});

describe('a change that is left behind at its use breaks there, and the card no longer holds', () => {
  test.each<[Framework, string, string, string, string, string[]]>([
    [
      'react',
      'a prop under another name',
      'export const Card = ({ tone }: { tone?: string }) => <b className={tone}/>;',
      'export const Card = ({ level }: { level?: string }) => <b className={level}/>;',
      '<Card tone="a"/>',
      ['prop-unknown tone'],
    ],
    [
      'react',
      'a prop is required now',
      'export const Card = ({ tone }: { tone?: string }) => <b>{tone}</b>;',
      'export const Card = ({ tone }: { tone: string }) => <b>{tone.length}</b>;',
      '<Card/>',
      ['prop-missing tone'],
    ],
    [
      'vue',
      'a prop under another name',
      '<script setup>defineProps([\'tone\']);</script><template><b :class="tone">x</b><i/></template>',
      '<script setup>defineProps([\'level\']);</script><template><b :class="level">x</b><i/></template>',
      '<Card tone="a"/>',
      ['prop-unknown tone'],
    ],
    [
      'vue',
      'an event under another name',
      "<script setup>const emit = defineEmits(['pick']);</script><template><b @click=\"emit('pick')\"/><i/></template>",
      "<script setup>const emit = defineEmits(['choose']);</script><template><b @click=\"emit('choose')\"/><i/></template>",
      '<Card @pick="heard"/>',
      ['event-never-raised @pick'],
    ],
    [
      'vue',
      'a prop is required now',
      '<script setup>defineProps({ tone: String });</script><template>{{ tone }}</template>',
      '<script setup>defineProps({ tone: { type: String, required: true } });</script><template>{{ tone }}</template>',
      '<p><Card/></p>',
      ['prop-missing tone'],
    ],
    [
      'svelte',
      'a prop under another name',
      '<script>let { tone } = $props();</script><b class={tone}>x</b>',
      '<script>let { level } = $props();</script><b class={level}>x</b>',
      '<Card tone="a"/>',
      ['prop-unknown tone'],
    ],
    ['svelte', 'a slot less', '<b><slot name="foot"/></b>', '<b/>', '<Card><i slot="foot">a</i></Card>', ['slot-nowhere #foot']],
    [
      'angular',
      'an input under another name',
      "template: '<b [id]=\"tone()\"></b>' }) export class Card { tone = input('');",
      "template: '<b [id]=\"level()\"></b>' }) export class Card { level = input('');",
      '<app-card [tone]="held"/>',
      ['prop-unknown tone'],
    ],
    [
      'angular',
      'an output under another name',
      'template: \'<b (click)="pick.emit()"></b>\' }) export class Card { pick = output();',
      'template: \'<b (click)="choose.emit()"></b>\' }) export class Card { choose = output();',
      '<app-card (pick)="heard()"/>',
      ['event-never-raised (pick)'],
    ],
    [
      'angular',
      'an input is required now',
      "template: '{{ tone() }}' }) export class Card { tone = input<string>();",
      "template: '{{ tone() }}' }) export class Card { tone = input.required<string>();",
      '<app-card/>',
      ['prop-missing tone'],
    ],
    [
      'elements',
      'an event under another name',
      "send() { this.dispatchEvent(new CustomEvent('pick')); } render() { return html`<b @click=${this.send}></b>`; }",
      "send() { this.dispatchEvent(new CustomEvent('choose')); } render() { return html`<b @click=${this.send}></b>`; }",
      '<x-card @pick=${this.heard}></x-card>',
      ['event-never-raised @pick'],
    ],
    [
      'lwc',
      'a property under another name',
      '@api tone;---<b title={tone}>x</b>',
      '@api level;---<b title={level}>x</b>',
      '<c-card tone="a"></c-card>',
      ['prop-unknown tone'],
    ],
    ['astro', 'a slot less', '<b><slot name="foot"/></b>', '<b></b>', '<Card><i slot="foot">a</i></Card>', ['slot-nowhere foot']],
  ])('%s: %s', (framework, _, before, after, use, breaks) => {
    const comparison = compared(framework, [before, use], [after, use]);
    expect(broken(comparison)).toEqual(breaks);
    expect(failing(comparison).some((name) => cardNames[name])).toBe(true);
  });
});
