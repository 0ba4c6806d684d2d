import { readdirSync, readFileSync } from 'node:fs';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, type Page, test } from '@playwright/test';
import { build } from 'vite';
import { analyse, makeWays, unfold, type Ways } from '@liana/core';
import { type Outcome, outcomeOf } from '../../core/src/testing/outcome';
import { instrument, type Mark } from '../instrument';

const root = fileURLToPath(new URL('../../demo/react/sound', import.meta.url));
// An address that counts as safe, so that the page has all that a page over TLS has; nothing listens there.
const host = 'http://localhost:4399';

type Interaction = {
  readonly name: string;
  readonly page: 'TodayPage' | 'LockPage' | 'RosterPage';
  /** The element’s component and the event that the platform raises on it. */
  readonly component: string;
  readonly event: string;
  readonly before?: (page: Page) => Promise<void>;
  readonly act: (page: Page) => Promise<void>;
};

const paths = { TodayPage: '/', LockPage: '/locks/aldermoor', RosterPage: '/roster' };
const select = (page: Page): Promise<void> => page.getByRole('button', { name: 'Quarry Rise', exact: true }).first().click();

const interactions: readonly Interaction[] = [
  {
    name: 'a notice is dismissed',
    page: 'TodayPage',
    component: 'NoticeStrip',
    event: 'onClick',
    act: (page) => page.getByRole('button', { name: 'Dismiss' }).click(),
  },
  { name: 'a lock is selected', page: 'TodayPage', component: 'LockCard', event: 'onClick', act: select },
  {
    name: 'a lock is filled',
    page: 'TodayPage',
    component: 'GateSwitch',
    event: 'onClick',
    act: (page) => page.getByRole('button', { name: 'Fill' }).first().click(),
  },
  {
    name: 'a lock is drained',
    page: 'TodayPage',
    component: 'GateSwitch',
    event: 'onClick',
    act: (page) => page.getByRole('button', { name: 'Drain' }).last().click(),
  },
  {
    name: 'a boat’s name is typed',
    page: 'TodayPage',
    component: 'PassageForm',
    event: 'onChange',
    act: (page) => page.getByLabel('Boat').fill('Grey Wagtail'),
  },
  {
    name: 'another lock is chosen in the form',
    page: 'TodayPage',
    component: 'PassageForm',
    event: 'onChange',
    act: async (page) => void (await page.getByRole('combobox').selectOption('quarry')),
  },
  {
    name: 'the time is changed',
    page: 'TodayPage',
    component: 'DateField',
    event: 'onChange',
    act: (page) => page.getByLabel('Arrives').fill('13:30'),
  },
  {
    name: 'a passage is booked',
    page: 'TodayPage',
    component: 'PassageForm',
    event: 'onSubmit',
    before: (page) => page.getByLabel('Boat').fill('Grey Wagtail'),
    act: (page) => page.getByRole('button', { name: 'Book' }).click(),
  },
  {
    name: 'a passage is cleared',
    page: 'TodayPage',
    component: 'StatusPill',
    event: 'onClick',
    act: (page) => page.getByRole('button', { name: 'Clear' }).first().click(),
  },
  {
    name: 'the keeper signs off',
    page: 'TodayPage',
    component: 'KeeperMenu',
    event: 'onClick',
    act: (page) => page.getByRole('button', { name: 'Sign off' }).click(),
  },
  {
    name: 'a lock is chosen on the map',
    page: 'TodayPage',
    component: 'CanalMap',
    event: 'onClick',
    before: select,
    act: (page) => page.getByRole('button', { name: 'Saltings Gate' }).last().click(),
  },
  {
    name: 'the alarm is raised',
    page: 'TodayPage',
    component: 'AlarmButton',
    event: 'onClick',
    before: select,
    act: (page) => page.getByRole('button', { name: 'Raise the alarm' }).click(),
  },
  {
    name: 'a hint is pointed at',
    page: 'TodayPage',
    component: 'HintBubble',
    event: 'onMouseEnter',
    before: select,
    act: (page) => page.getByText(/^\d+ waiting$/).hover(),
  },
  {
    name: 'the lock of the page is filled',
    page: 'LockPage',
    component: 'GateSwitch',
    event: 'onClick',
    act: (page) => page.getByRole('button', { name: 'Fill' }).click(),
  },
  {
    name: 'a passage of the lock is cleared by the reducer',
    page: 'LockPage',
    component: 'StatusPill',
    event: 'onClick',
    act: (page) => page.getByRole('button', { name: 'Clear' }).first().click(),
  },
  {
    name: 'a shift is swapped',
    page: 'RosterPage',
    component: 'ShiftCell',
    event: 'onClick',
    act: (page) => page.getByRole('button', { name: 'Swap' }).first().click(),
  },
  {
    name: 'a note is written into the class',
    page: 'RosterPage',
    component: 'NoteField',
    event: 'onChange',
    act: (page) => page.getByLabel('Note').first().fill('late'),
  },
];

const types: Readonly<Record<string, string>> = { '.html': 'text/html', '.js': 'text/javascript', '.css': 'text/css' };

/** Builds the demo with its marks, in React’s development form; the folder it is in. */
async function buildMarked(): Promise<string> {
  const outDir = mkdtempSync(path.join(tmpdir(), 'towpath-marked-'));
  await build({
    root,
    configFile: path.join(root, 'vite.config.ts'),
    mode: 'development',
    logLevel: 'error',
    define: { 'process.env.NODE_ENV': '"development"' },
    plugins: [instrument(root)],
    build: { outDir, emptyOutDir: true, minify: false },
  });
  return outDir;
}

/** Serves a built application under an address that only this page knows. */
async function serve(page: Page, folder: string): Promise<void> {
  await page.route(`${host}/**`, (route) => {
    const asked = new URL(route.request().url()).pathname;
    const file = asked.startsWith('/assets/') ? asked : '/index.html';
    return route.fulfill({ body: readFileSync(path.join(folder, file)), contentType: types[path.extname(file)] ?? 'text/plain' });
  });
  await page.addInitScript(() => {
    const marks: unknown[] = [];
    const painted = new Set<string>();
    const told = { marks, painted };
    type Fiber = { type?: unknown; return?: Fiber; _debugOwner?: Fiber };
    const ownerOf = (node: Node | null): string => {
      for (let at: Node | null = node; at; at = at.parentNode) {
        const key = Object.keys(at).find((name) => name.startsWith('__reactFiber$'));
        const fiber = key ? (at as unknown as Record<string, Fiber>)[key] : undefined;
        const owner = fiber?._debugOwner?.type as { name?: string } | undefined;
        if (owner?.name) return owner.name;
      }
      return '';
    };
    Object.assign(window, { __mark: (mark: unknown) => marks.push(mark), __told: told });
    document.addEventListener('DOMContentLoaded', () => {
      new MutationObserver((records) => {
        const written = new Map<Node, Set<string>>();
        for (const record of records) {
          // Only what stood there before all of these counts: a framework may write and take back.
          const names = written.get(record.target) ?? new Set();
          const name = record.type === 'childList' ? '' : (record.attributeName ?? '#text');
          if (name !== '' && names.has(name)) continue;
          written.set(record.target, names.add(name));
          if (record.type === 'childList')
            for (const node of record.addedNodes) painted.add(ownerOf(node.nodeType === 1 ? node : record.target));
          else {
            // A framework may write what stood there before; that shows nothing new.
            const now =
              record.type === 'attributes' ? (record.target as Element).getAttribute(record.attributeName ?? '') : record.target.nodeValue;
            if (now !== record.oldValue) painted.add(ownerOf(record.target));
          }
        }
      }).observe(document.body, {
        subtree: true,
        childList: true,
        attributes: true,
        attributeOldValue: true,
        characterData: true,
        characterDataOldValue: true,
      });
    });
  });
}

function filesOf(folder: string, prefix = ''): { file: string; text: string }[] {
  return readdirSync(path.join(folder, prefix), { withFileTypes: true }).flatMap((entry) => {
    const file = path.posix.join(prefix, entry.name);
    if (entry.isDirectory()) return entry.name === 'node_modules' ? [] : filesOf(folder, file);
    return /\.(tsx?|json)$/.test(file) ? [{ file, text: readFileSync(path.join(folder, file), 'utf8') }] : [];
  });
}

function waysTo(name: string): Ways {
  const files = filesOf(root);
  const { model } = analyse(
    files,
    files.filter((one) => one.file.endsWith('.json')),
  );
  const page = model.pages.find((one) => one.name === name);
  if (!page) throw new Error(`No page ${name}`);
  return makeWays(model, unfold(model, page));
}

type Told = {
  readonly runs: Set<string>;
  readonly sets: Set<string>;
  readonly raises: Set<string>;
  readonly renders: Set<string>;
  readonly shows: Set<string>;
};

async function toldBy(page: Page): Promise<Told> {
  const { marks, painted } = await page.evaluate(() => {
    const told = (window as unknown as { __told: { marks: Mark[]; painted: Set<string> } }).__told;
    return { marks: told.marks, painted: [...told.painted] };
  });
  const of = (kind: Mark['kind']): Set<string> => new Set(marks.filter((mark) => mark.kind === kind).map((mark) => mark.what));
  return {
    runs: of('run'),
    sets: of('set'),
    raises: of('raise'),
    renders: of('render'),
    shows: new Set(painted.filter((name) => name !== '')),
  };
}

const aspects = ['runs', 'sets', 'raises', 'renders', 'shows'] as const satisfies readonly (keyof Outcome)[];

test('what Liana says happens is what happens in the running application', async ({ page }) => {
  test.setTimeout(180_000);
  page.setDefaultTimeout(5_000);
  const folder = await buildMarked();
  await serve(page, folder);
  const sums = Object.fromEntries(aspects.map((aspect) => [aspect, { said: 0, seen: 0, both: 0 }]));
  for (const one of interactions) {
    const said = outcomeOf(waysTo(one.page), one.component, one.event);
    await page.mouse.move(0, 0);
    await page.goto(`${host}${paths[one.page]}`);
    await expect(page.getByText('Towpath')).toBeVisible();
    await one.before?.(page);
    await page.waitForTimeout(50);
    await page.evaluate(() => {
      const told = (window as unknown as { __told: { marks: unknown[]; painted: Set<string> } }).__told;
      told.marks.length = 0;
      told.painted.clear();
    });
    await one.act(page);
    await page.waitForTimeout(80);
    const seen = await toldBy(page);
    expect(seen.runs.size, `${one.name}: something ran`).toBeGreaterThan(0);
    for (const aspect of aspects) {
      const both = [...seen[aspect]].filter((what) => said[aspect].has(what));
      const missed = [...seen[aspect]].filter((what) => !said[aspect].has(what));
      expect(missed, `${one.name}: ${aspect} that were not foretold; foretold were ${[...said[aspect]].join(', ')}`).toEqual([]);
      const sum = sums[aspect];
      if (sum) Object.assign(sum, { said: sum.said + said[aspect].size, seen: sum.seen + seen[aspect].size, both: sum.both + both.length });
    }
  }
  for (const [aspect, { said, seen, both }] of Object.entries(sums)) {
    console.log(
      `${aspect}: precision ${(both / said).toFixed(2)}, recall ${(both / seen).toFixed(2)} (${both} of ${said} foretold, ${seen} seen)`,
    );
  }
});
