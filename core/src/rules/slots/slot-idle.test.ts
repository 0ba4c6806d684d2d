import { table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const setup = (script: string): string => `<script setup>${script}</script>`;

const app = (markup: string, before = ''): string => `${before}export function App() { return <main>${markup}</main>; }`;

const vueApp = (markup: string, before = ''): string => `${setup(before)}<template><main>${markup}</main></template>`;

table(
  'slot-idle',
  'react',
  [
    ['content', 'function Box({ children }: { children?: ReactNode }) { return <p>{children}</p>; }\n' + app('<Box/>'), 'Box children'],
    [
      'a part that is given',
      'function Box({ footer }: { footer?: ReactNode }) { return <p>{footer}</p>; }\n' + app('<Box/>'),
      'Box footer',
    ],
    [
      'of several uses',
      'function Box({ footer, a }: { footer?: ReactNode; a: string }) { return <p>{a}{footer}</p>; }\n' + app('<Box a="1"/><Box a="2"/>'),
      'Box footer',
    ],
  ],
  [
    ['filled', 'function Box({ children }: { children?: ReactNode }) { return <p>{children}</p>; }\n' + app('<Box>a</Box>')],
    ['filled once', 'function Box({ footer }: { footer?: ReactNode }) { return <p>{footer}</p>; }\n' + app('<Box/><Box footer={<i/>}/>')],
    [
      'something shows in its place',
      'function Box({ footer }: { footer?: ReactNode }) { return <p>{footer ?? <i/>}</p>; }\n' + app('<Box footer="x"/>'),
    ],
    ['spread over', 'function Box({ footer }: { footer?: ReactNode }) { return <p>{footer}</p>; }\n' + app('<Box {...load()}/>')],
    ['any value that is shown', 'function Box({ a }) { return <p>{a}</p>; }\n' + app('<Box/>')],
  ],
);

table(
  'slot-idle',
  'vue',
  [
    ['content', { App: vueApp('<Box/>'), Box: '<template><p><slot/></p></template>' }, 'Box children'],
    ['named', { App: vueApp('<Box>a</Box>'), Box: '<template><p><slot/><slot name="foot"/></p></template>' }, 'Box #foot'],
    ['of several uses', { App: vueApp('<Box/><Box/>'), Box: '<template><p><slot name="foot"/></p></template>' }, 'Box #foot'],
    [
      'handed on to a place that shows nothing instead',
      {
        App: vueApp('<Box/>'),
        Box: '<template><p><Rim><template v-if="$slots.foot" #foot><slot name="foot"/></template></Rim></p></template>',
        Rim: '<template><p><slot name="foot"/></p></template>',
      },
      'Box #foot',
    ],
  ],
  [
    ['filled', { App: vueApp('<Box>a</Box>'), Box: '<template><p><slot/></p></template>' }],
    [
      'handed on to a place that shows something else instead',
      {
        App: vueApp('<Box/>'),
        Box: '<template><p><Rim><template v-if="$slots.foot" #foot><slot name="foot"/></template></Rim></p></template>',
        Rim: '<template><p><slot name="foot">none</slot></p></template>',
      },
    ],
    [
      'named and filled',
      { App: vueApp('<Box><template #foot>a</template></Box>'), Box: '<template><p><slot name="foot"/></p></template>' },
    ],
    ['with something in its place', { App: vueApp('<Box/>'), Box: '<template><p><slot>Nothing.</slot></p></template>' }],
    ['a name known while running', { App: vueApp('<Box/>'), Box: '<template><p><slot :name="pick()"/></p></template>' }],
    [
      'given a name while running',
      {
        App: vueApp('<Box><template #[a]>x</template></Box>', 'const a = load();'),
        Box: '<template><p><slot name="foot"/></p></template>',
      },
    ],
  ],
);

table(
  'slot-idle',
  'svelte',
  [
    ['content', { App: '<Box/>', Box: '<p><slot/></p>' }, 'Box children'],
    ['a snippet', { App: '<Box/>', Box: '<script>let { foot } = $props();</script><p>{@render foot?.()}</p>' }, 'Box foot'],
    ['named', { App: '<Box>a</Box>', Box: '<p><slot/><slot name="foot"/></p>' }, 'Box #foot'],
  ],
  [
    ['filled', { App: '<Box>a</Box>', Box: '<p><slot/></p>' }],
    [
      'a snippet is given',
      { App: '<Box>{#snippet foot()}a{/snippet}</Box>', Box: '<script>let { foot } = $props();</script><p>{@render foot?.()}</p>' },
    ],
    ['named and filled', { App: '<Box><i slot="foot">a</i></Box>', Box: '<p><slot name="foot"/></p>' }],
    ['with something in its place', { App: '<Box/>', Box: '<p><slot>Nothing.</slot></p>' }],
    [
      'all of an object',
      { App: '<script>const a = load();</script><Box {...a}/>', Box: '<script>let { foot } = $props();</script><p>{@render foot?.()}</p>' },
    ],
  ],
);
