import { test } from '@playwright/test';
import { type Act, acts, type PageName, paths } from '../truth/acts';
import { checkTruth, type Interaction } from '../truth/check';

/** The acts as a framework’s templates spell their events. */
function interactionsIn(
  framework: string,
  spelt: Readonly<Record<Act['event'], readonly string[]>>,
  place: (page: PageName) => Pick<Interaction, 'at' | 'page'>,
): Interaction[] {
  return acts
    .filter((act) => act.in === undefined || act.in.includes(framework))
    .map(({ event, page, ...act }) => ({ ...act, ...place(page), events: spelt[event] }));
}

test.describe('what Liana says happens is what happens in the running application', () => {
  test.setTimeout(180_000);

  test('React', async ({ page }) => {
    await checkTruth(page, {
      framework: 'react',
      interactions: interactionsIn(
        'react',
        { click: ['onClick'], input: ['onChange'], submit: ['onSubmit'], mouseenter: ['onMouseEnter'] },
        (name) => ({ at: paths[name], page: name }),
      ),
      ownerOf: (node) => {
        type Fiber = { _debugOwner?: { type?: { name?: string } } };
        for (let at: Node | null = node; at; at = at.parentNode) {
          const key = Object.keys(at).find((name) => name.startsWith('__reactFiber$'));
          const name = key ? (at as unknown as Record<string, Fiber>)[key]?._debugOwner?.type?.name : undefined;
          if (name) return name;
        }
        return undefined;
      },
    });
  });

  test('Vue', async ({ page }) => {
    await checkTruth(page, {
      framework: 'vue',
      interactions: interactionsIn(
        'vue',
        { click: ['@click'], input: ['@input', '@change'], submit: ['@submit'], mouseenter: ['@mouseenter'] },
        (name) => ({ at: paths[name], page: name }),
      ),
      ownerOf: (node) => {
        type Held = { __vnode?: { ctx?: { type?: { __file?: string } } } };
        for (let at: Node | null = node; at; at = at.parentNode) {
          const file = (at as unknown as Held).__vnode?.ctx?.type?.__file;
          if (file) return file.replace(/^.*\//, '').replace(/\.vue$/, '');
        }
        return undefined;
      },
    });
  });

  test('Svelte', async ({ page }) => {
    await checkTruth(page, {
      framework: 'svelte',
      // The demo's pages stand under conditions of its one root.
      interactions: interactionsIn(
        'svelte',
        { click: ['onclick', 'on:click'], input: ['oninput', 'onchange', 'on:input'], submit: ['onsubmit'], mouseenter: ['onmouseenter'] },
        (name) => ({ at: `/#${paths[name]}`, page: 'App' }),
      ),
      ownerOf: (node) => {
        type Held = { __svelte_meta?: { loc?: { file?: string } } };
        for (let at: Node | null = node; at; at = at.parentNode) {
          const file = (at as unknown as Held).__svelte_meta?.loc?.file;
          if (file) return file.replace(/^.*\//, '').replace(/\.svelte$/, '');
        }
        return undefined;
      },
    });
  });
});
