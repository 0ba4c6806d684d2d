import { agreement, type Box, boxesLike, regionsOf } from '@liana/core';
import { expect, test } from '@playwright/test';
import { PNG } from 'pngjs';
import { markedPages } from '../../testing/src/pages';

/** A look such as many pages have: cards with a border or a ground, lists with room between. */
const style = `body { margin: 0; padding: 24px; font: 16px/1.4 sans-serif; color: #222; background: #f1f2ee }
  article, .boat, .tile, .post, .panel, .rounded, .say, .field, figure, .column { margin: 0 0 14px; padding: 14px; background: #fff; border: 1px solid #ddd; border-radius: 6px }
  .board, .grid { display: grid; grid-template-columns: repeat(3, 1fr); gap: 16px } .row { display: grid; grid-template-columns: 1fr 1fr; gap: 20px; margin-bottom: 26px }
  table { border-collapse: collapse; width: 100% } td, th { padding: 9px; border-bottom: 1px solid #ccc; text-align: left } li { padding: 6px 0 } img { width: 90px; height: 60px; background: #9bb }
  nav > a { margin-right: 30px } footer { display: flex; gap: 24px } .stream li { padding: 12px; margin: 8px 0; background: #fff } svg { width: 40px; height: 40px; fill: #487 }`;

/** Groups that a picture can show: the things stand apart, and are no smaller than a line with room around it. */
const shownGroups: Readonly<Record<string, readonly string[]>> = {
  'a table with rows of links': ['toll'],
  'cards with optional parts': ['boat'],
  'parts in different order': ['tile'],
  'adverts between cards': ['post'],
  'a grid of rows of columns': ['panel'],
  'classes of looks only': ['card'],
  'talk that nests': ['say'],
  'a form and prose': ['field'],
  'a gallery and a foot of columns': ['figure', 'column'],
  'two kinds in one list': ['arrival', 'alarm'],
};

test('repeats in pictures of pages, at two scales', async ({ browser }) => {
  test.setTimeout(240_000);
  const totals = { found: 0, right: 0, wanted: 0 };
  const lines: string[] = [];
  for (const scale of [1, 2]) {
    const context = await browser.newContext({ viewport: { width: 900, height: 700 }, deviceScaleFactor: scale });
    const page = await context.newPage();
    for (const [title, groups] of Object.entries(shownGroups)) {
      await page.setContent(`<style>${style}</style>${markedPages[title] ?? ''}`);
      const picture = PNG.sync.read(await page.screenshot({ fullPage: true }));
      const regions = regionsOf(picture);
      for (const group of groups) {
        const wanted = await page.evaluate(
          ([name, share]) =>
            [...document.querySelectorAll(`[data-group=${name}]`)].map((element) => {
              const { left, top, width, height } = element.getBoundingClientRect();
              return {
                x: Math.round(left * share),
                y: Math.round((top + scrollY) * share),
                width: Math.round(width * share),
                height: Math.round(height * share),
              };
            }),
          [group, scale] as const,
        );
        // From each of them as the given one.
        const runs = wanted.map((given: Box) => boxesLike(picture, regions, given));
        const found = runs.flat();
        const right = found.filter((box) => wanted.some((one) => agreement(one, box) > 0.6)).length;
        const all = wanted.length * wanted.length;
        totals.found += found.length;
        totals.wanted += all;
        totals.right += right;
        if (right < all || found.length > right)
          lines.push(`${title}, ${group}, ×${scale}: ${right} of ${all} found, ${found.length - right} wrong`);
      }
    }
    await context.close();
  }
  console.log(
    [...lines, `precision ${(totals.right / totals.found).toFixed(2)}, recall ${(totals.right / totals.wanted).toFixed(2)}`].join('\n'),
  );
  expect(totals.right / totals.found).toBeGreaterThan(0.85);
  expect(totals.right / totals.wanted).toBeGreaterThan(0.75);
});
