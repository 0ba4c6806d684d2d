import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { catalogue } from '../rules';
import { helpMarkdown } from './help';

test('each rule has its help, with a fault and a sound form', () => {
  const text = helpMarkdown();
  for (const id of Object.keys(catalogue)) expect(text).toContain(`\`${id}\` · `);
  expect(text.match(/^The fault:$/gm)?.length).toBeGreaterThanOrEqual(Object.keys(catalogue).length);
});

test('docs/help.md is what the catalogue says; `npm run help` writes it', () => {
  expect(readFileSync(new URL('../../../docs/help.md', import.meta.url), 'utf8')).toBe(helpMarkdown());
});
