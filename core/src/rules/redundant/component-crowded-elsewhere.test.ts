import { type Sources, table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

const setup = (script: string): string =>
  `<script setup>import { computed, inject, provide, ref, watch, watchEffect } from 'vue'; ${script}</script>`;

const contextScript = (text: string): string => `<script>import { getContext, setContext } from 'svelte'; ${text}</script>`;

const vueApp = (markup: string, inside = ''): string => `${setup(inside)}<template><main>${markup}</main></template>`;

// A project of twenty small components, and one that holds far more than any of them.
const small = Array.from({ length: 21 }, (_, at) => `Part${at}`);

const names = (from: string, count: number): string[] => Array.from({ length: count }, (_, at) => `${from}${at}`);

const parts = small.map((name) => `<${name}/>`).join('');

type Crowd = { readonly groups: readonly string[]; readonly tied?: boolean };

const crowdOf = (framework: 'vue' | 'svelte', { groups, tied = false }: Crowd, others = small): Sources => {
  const states = groups.flatMap((group) => names(group.toLowerCase(), 5));
  const next = tied ? (framework === 'vue' ? `${states[0] ?? ''}.value + 1` : `${states[0] ?? ''} + 1`) : '0';
  const held = states.map((one) =>
    framework === 'vue'
      ? `const ${one} = ref(1); const clear${one} = () => { ${one}.value = ${next}; };`
      : `let ${one} = $state(1); const clear${one} = () => { ${one} = ${next}; };`,
  );
  const [open, close, on] =
    framework === 'vue'
      ? (['{{', '}}', (name: string) => `@click="${name}"`] as const)
      : (['{', '}', (name: string) => `onclick={${name}}`] as const);
  const shown = groups.map((group) => {
    const own = names(group.toLowerCase(), 5);
    return `<p>${own.map((one) => `<b ${on(`clear${one}`)}>${open}${one}${close}</b>`).join('')}${open}${own.join(' + ')}${close}</p>`;
  });
  const all = `<Desk/>${others.map((name) => `<${name}/>`).join('')}`;
  const markup = shown.join('');
  return {
    App: framework === 'vue' ? vueApp(all) : all,
    Desk:
      framework === 'vue'
        ? `${setup(held.join(' '))}<template><main>${markup}</main></template>`
        : `${contextScript(held.join(' '))}<main>${markup}</main>`,
    ...Object.fromEntries(others.map((name) => [name, framework === 'vue' ? '<template><i>a</i></template>' : '<i>a</i>'])),
  };
};

// The rules of the second table in the frameworks where their first cases do not stand.

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

for (const framework of ['vue', 'svelte'] as const)
  table(
    'component-crowded',
    framework,
    [
      ['two groups', crowdOf(framework, { groups: ['Boat', 'Lock'] }), 'Desk Desk'],
      ['three groups', crowdOf(framework, { groups: ['Boat', 'Lock', 'Keeper'] }), 'Desk Desk'],
      ['four groups', crowdOf(framework, { groups: ['Boat', 'Lock', 'Keeper', 'Toll'] }), 'Desk Desk'],
    ],
    [
      ['one group', crowdOf(framework, { groups: ['Boat'] })],
      ['groups that touch', crowdOf(framework, { groups: ['Boat', 'Lock'], tied: true })],
      ['groups that touch, of three', crowdOf(framework, { groups: ['Boat', 'Lock', 'Toll'], tied: true })],
      ['in a small project', crowdOf(framework, { groups: ['Boat', 'Lock'] }, small.slice(0, 5))],
      [
        'nothing but parts',
        {
          App: framework === 'vue' ? vueApp(parts) : parts,
          ...Object.fromEntries(small.map((name) => [name, framework === 'vue' ? '<template><i>a</i></template>' : '<i>a</i>'])),
        },
      ],
    ],
  );
