import { test } from '@playwright/test';
import { type Act, acts, angularActs, astroActs, lwcActs, type PageName, paths } from '../truth/acts';
import { checkTruth, type Interaction } from '../truth/check';
import { ownerInReact } from '../truth/owner-in-react';

/**
 * Which events of the browser an act brings, by the names that Liana gives them in every framework: what is typed into
 * a field is heard by the one or the other of two.
 */
const eventsOf: Readonly<Record<Act['event'], readonly string[]>> = {
  click: ['click'],
  input: ['input', 'change'],
  submit: ['submit'],
  mouseenter: ['mouseenter'],
};

/** The acts that a framework’s demo has, with the page on which each is done. */
function interactionsIn(framework: string, place: (page: PageName) => Pick<Interaction, 'at' | 'page'>): Interaction[] {
  return acts
    .filter((act) => act.in === undefined || act.in.includes(framework))
    .map(({ event, page, ...act }) => ({ ...act, ...place(page), events: eventsOf[event] }));
}

test.describe('what Liana says happens is what happens in the running application', () => {
  test.setTimeout(180_000);

  test('React', async ({ page }) => {
    await checkTruth(page, {
      framework: 'react',
      interactions: interactionsIn('react', (name) => ({ at: paths[name], page: name })),
      ownerOf: ownerInReact,
    });
  });

  test('Vue', async ({ page }) => {
    await checkTruth(page, {
      framework: 'vue',
      interactions: interactionsIn('vue', (name) => ({ at: paths[name], page: name })),
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

  test('custom elements', async ({ page }) => {
    const files = { TodayPage: 'index.html', LockPage: '', RosterPage: 'roster.html' };
    await checkTruth(page, {
      framework: 'elements',
      interactions: interactionsIn('elements', (name) => ({ at: `/${files[name]}`, page: files[name] })),
      ownerOf: (node, isAttribute) => {
        // An attribute of an element that is a component hands something on, and shows nothing by itself.
        if (isAttribute && (node as Element).localName.includes('-')) return undefined;
        for (let at: Node | null = node; at; at = at.parentNode) {
          // What an element without a root of its own puts between its tags is its own.
          if (at instanceof HTMLElement && at !== node && at.localName.includes('-') && !at.shadowRoot) return at.constructor.name;
          if (at instanceof ShadowRoot) return at.host.constructor.name;
        }
        return undefined;
      },
    });
  });

  test('Angular', async ({ page }) => {
    await checkTruth(page, {
      framework: 'angular',
      interactions: angularActs,
      ownerOf: (node) => {
        type Debugging = { getOwningComponent: (element: Element) => object | null };
        const { ng } = window as unknown as { ng?: Debugging };
        const element = node instanceof Element ? node : node.parentElement;
        const owner = element && ng?.getOwningComponent(element);
        return owner?.constructor.name.replace(/^_/, '');
      },
    });
  });

  test('Astro, with parts of React, Vue and Svelte', async ({ page }) => {
    // All parts that start once they are seen are in view.
    await page.setViewportSize({ width: 1280, height: 2400 });
    await checkTruth(page, {
      framework: 'astro',
      interactions: astroActs,
      ownerOf: (node) => {
        type Fiber = { _debugOwner?: { type?: { name?: string } } };
        type Held = { __vnode?: { ctx?: { type?: { __file?: string } } }; __svelte_meta?: { loc?: { file?: string } } };
        for (let at: Node | null = node; at; at = at.parentNode) {
          const key = Object.keys(at).find((name) => name.startsWith('__reactFiber$'));
          const name = key ? (at as unknown as Record<string, Fiber>)[key]?._debugOwner?.type?.name : undefined;
          if (name) return name;
          const { __vnode: vnode, __svelte_meta: meta } = at as unknown as Held;
          const file = vnode?.ctx?.type?.__file ?? meta?.loc?.file;
          if (file) return file.replace(/^.*\//, '').replace(/\.\w+$/, '');
        }
        return undefined;
      },
    });
  });

  test('Lightning web components', async ({ page }) => {
    await checkTruth(page, {
      framework: 'lwc',
      interactions: lwcActs,
      ownerOf: (node, isAttribute) => {
        // An attribute of a part's own tag shows nothing by itself.
        if (isAttribute && (node as Element).localName.includes('-')) return undefined;
        const root = node.getRootNode();
        const tag = root instanceof ShadowRoot ? root.host.localName : '';
        return tag === '' ? undefined : tag.replace(/^c-/, '').replace(/-(\w)/g, (_, letter: string) => letter.toUpperCase());
      },
    });
  });

  test('Svelte', async ({ page }) => {
    await checkTruth(page, {
      framework: 'svelte',
      // The demo's pages stand under conditions of its one root.
      interactions: interactionsIn('svelte', (name) => ({ at: `/#${paths[name]}`, page: 'App' })),
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
