import { parse, type DefaultTreeAdapterTypes as dom } from 'parse5';
import { describe, expect, test } from 'vitest';
import { filesOf, planOf } from '../../../../testing/src/carve';
import { elsewhere, hostilePages } from '../../../../testing/src/fuzz/hostile-pages';
import { skeletonOf, skeletonWriters } from '../skeleton';
import { readPage } from './read';
import { safeHtml } from './safe';

/** Elements, attributes and styles of a page, as a browser would see them. */
function partsOf(html: string): { readonly tags: string[]; readonly attributes: (readonly [string, string])[]; readonly styles: string } {
  const tags: string[] = [];
  const attributes: (readonly [string, string])[] = [];
  let styles = '';
  const stack: dom.Node[] = [parse(html)];
  for (let node = stack.pop(); node; node = stack.pop()) {
    if ('tagName' in node) {
      tags.push(node.tagName);
      attributes.push(...node.attrs.map(({ name, value }) => [name, value] as const));
      if (node.tagName === 'style') styles += node.childNodes.map((one) => ('value' in one ? one.value : '')).join('');
      if ('content' in node) stack.push(node.content);
    }
    if ('childNodes' in node) stack.push(...node.childNodes);
  }
  return { tags, attributes, styles };
}

const acting = /^(?:script|iframe|frame|object|embed|applet|portal|base|link|noscript|template)$/;

describe('nothing of a hostile page acts', () => {
  test('there are enough of them', () => expect(hostilePages.length).toBeGreaterThanOrEqual(60));

  test.each(hostilePages)('%s', (_, html) => {
    const written = safeHtml(
      readPage(html),
      () => undefined,
      () => undefined,
    );
    const { tags, attributes, styles } = partsOf(written);
    expect(tags.filter((tag) => acting.test(tag))).toEqual([]);
    expect(attributes.filter(([name]) => /^on/i.test(name))).toEqual([]);
    const animated = attributes.some(([name, value]) => name.toLowerCase() === 'attributename' && /href$/.test(value));
    expect(animated).toBe(false);
    // What an animation would set is no address where it does not say so.
    const given = attributes.filter(([name]) => name !== 'to').map(([, value]) => value.replace(/[\t\n]/g, '').toLowerCase());
    expect(given.filter((value) => /^\s*(?:javascript|data):/.test(value))).toEqual([]);
    expect(given.filter((value) => value.includes('elsewhere') || value.includes('refresh'))).toEqual([]);
    expect(styles.toLowerCase()).not.toMatch(/elsewhere|import/);
  });

  test.each(hostilePages)('nor in the skeletons made of it: %s', (_, html) => {
    const page = `<main><h1>Locks</h1><section class="locks">${`<article class="lock"><h3>Aldermoor</h3>${html}</article>`.repeat(3)}</section></main>`;
    const { plan, pages } = planOf({ TodayPage: page });
    expect(skeletonOf(plan, pages).style).not.toContain(elsewhere);
    for (const { framework } of skeletonWriters) {
      const code = filesOf(plan, pages, framework).map(({ text }) => text);
      expect(code.join('\n'), framework).not.toMatch(/hurt|javascript:|data:text/i);
      expect(code.join('\n'), framework).not.toContain(elsewhere);
    }
  });
});
