import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, type Page as Tab, test } from '@playwright/test';
import { asTaken, makeFlowQueries, type Model, type Page, unfold, whoAnswers } from '@liana/core';
import { readFolder } from '../../cli/src/folder';
import { analyseFolder } from '../../cli/src/report';
import { angularScript, besidePackages } from '../ngc';

/**
 * An application that asks for what is injected at more than thirty places: what each is answered in the browser is
 * what Liana says of it.
 */
const root = fileURLToPath(new URL('../injection', import.meta.url));
const host = 'http://localhost:4397';

/** What each part was answered, with the tags around it. */
async function answersIn(tab: Tab, script: string, address: string): Promise<string[]> {
  await tab.route(`${host}/**`, (route) =>
    new URL(route.request().url()).pathname === '/main.js'
      ? route.fulfill({ body: script, contentType: 'text/javascript' })
      : route.fulfill({
          body: '<!doctype html><base href="/"><x-app></x-app><script type="module" src="/main.js"></script>',
          contentType: 'text/html',
        }),
  );
  await tab.goto(`${host}${address}`);
  await expect(tab.locator(address === '/' ? 'x-routed x-bare' : 'x-inner x-bare')).toHaveCount(1);
  return tab.evaluate(() => {
    type Asked = { readonly who: string; readonly answers: Readonly<Record<string, unknown>> };
    const found: string[] = [];
    for (const element of document.querySelectorAll('*')) {
      const around: string[] = [];
      for (let at = element.parentElement; at; at = at.parentElement) if (at.localName.startsWith('x-')) around.unshift(at.localName);
      for (const { who, answers } of (element as Element & { asked?: readonly Asked[] }).asked ?? [])
        for (const [name, answer] of Object.entries(answers)) found.push(`${around.join(' ')}: ${who}.${name} = ${String(answer)}`);
    }
    return found;
  });
}

/** What Liana says that each part is answered, in the same words. */
function foretold(model: Model, page: Page, texts: ReadonlyMap<string, string>): string[] {
  const tree = unfold(model, page);
  const { graph } = makeFlowQueries(model, tree);
  const tagOf = (name: string): string => `x-${name.toLowerCase()}`;
  return graph.frames.flatMap((frame) => {
    if (frame.kind !== 'component' || !frame.component) return [];
    const around: string[] = [];
    for (let at = tree.places[tree.places[frame.place]?.parent ?? -1]; at; at = tree.places[at.parent]) {
      const component = model.components.get(at.component);
      if (component?.facts.selected?.kind === 'component') around.unshift(tagOf(component.name));
    }
    return frame.body.values.flatMap((value, index) => {
      if (value.kind !== 'context' || asTaken(frame.body, index) !== index || value.source === undefined) return [];
      const meant = graph.named(frame, value.source);
      const answer = meant.kind === 'context' ? whoAnswers(model, tree, frame.place, meant.id, value.asks) : undefined;
      if (!answer) return [];
      const by = answer.chain.find((one) => one.provides === 'answers');
      const provision = by?.at ? (texts.get(by.at.file) ?? '').slice(by.at.start, by.at.end) : '';
      const said =
        /useValue: '(\w+)'/.exec(provision)?.[1] ??
        (by ? by.name : answer.fallback !== 'given' ? 'null' : answer.context === 'HUE' ? 'default' : 'application');
      return [`${around.join(' ')}: ${frame.name}.${value.name} = ${said}`];
    });
  });
}

test('who answers where something is injected is who answers in the running application', async ({ page: tab }) => {
  test.setTimeout(180_000);
  const script = await angularScript(path.join(root, 'tsconfig.json'), besidePackages('injection'));
  const folder = await readFolder(root);
  const { model } = analyseFolder(folder);
  const texts = new Map(folder.sources.map(({ file, text }): [string, string] => [file, text]));
  let places = 0;
  for (const [address, name] of [
    ['/', 'Routed'],
    ['/inner', 'Inner'],
  ] as const) {
    const page = model.pages.find((one) => one.name === name);
    if (!page) throw new Error(`There is no page ${name}: ${model.pages.map((one) => one.name).join(', ')}.`);
    const run = await answersIn(tab, script, address);
    expect(foretold(model, page, texts).sort()).toEqual(run.sort());
    places += run.length;
  }
  expect(places).toBeGreaterThan(60);
});
