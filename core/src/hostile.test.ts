import { describe, expect, test } from 'vitest';
import { board } from '../../testing/src/bundles';
import { demoFiles } from '../../testing/src/files';
import { demoPage } from '../../testing/src/carve';
import { allThrough } from '../../testing/src/fuzz/all-through';
import { carveThrough } from '../../testing/src/fuzz/carve-through';
import { hostile } from '../../testing/src/fuzz/hostile';
import { spoilt } from '../../testing/src/fuzz/spoil';
import { analyseFiles } from '../../testing/src/project';
import { seeded } from '../../testing/src/random';
import { loadCompilers } from './frameworks/registry';
import { problemsOf } from './link';
import { check } from './rules';

await loadCompilers(['A.vue', 'A.svelte', 'a.component.html']);

describe('projects of one thing too much of', () => {
  test.each(hostile.map(({ name, files, problems }) => [name, files, problems] as const))('%s', (_, files, problems) => {
    expect(allThrough(files).problems > 0).toBe(problems);
  });
});

describe('one bad file is one problem', () => {
  const sound = {
    'A.tsx': "import { B } from './B';\nexport function A() { return <B />; }",
    'B.tsx': 'export function B({ eta }: { eta: string }) { return <p>{eta}</p>; }',
  };

  test.each(['package.json', 'tsconfig.json'])('a %s nested 50,000 deep is named, and all else is analysed', (file) => {
    const { model, findings } = analyseFiles({ ...sound, [file]: '['.repeat(50_000) });
    expect(problemsOf(model).map((one) => one.file)).toEqual([file]);
    expect(findings.map((one) => one.rule)).toContain('prop-missing');
  });

  test('a source nested too deeply says so in words', () => {
    const { model } = analyseFiles({ ...sound, 'C.tsx': `export const a = ${'('.repeat(50_000)}` });
    expect(problemsOf(model)).toEqual([expect.objectContaining({ file: 'C.tsx', message: 'It is nested too deeply to be read.' })]);
  });

  test('a component at which a rule fails is named, and all others are checked', () => {
    const { model } = analyseFiles({ ...sound, 'C.tsx': 'export function C({ a }: { a: string }) { return <p>{a}</p>; }' });
    const spoiltFacts = [...model.components.values()].find((one) => one.name === 'C');
    if (!spoiltFacts) throw new Error('C is missing');
    const broken = { ...spoiltFacts, facts: { ...spoiltFacts.facts, values: undefined as never } };
    const components = new Map(model.components).set(broken.id, broken);
    const failures: string[] = [];
    const findings = check({ ...model, components }, undefined, { onFailure: ({ file }) => failures.push(file) });
    expect(new Set(failures)).toContain('C.tsx');
    expect(findings.map((one) => one.rule)).toContain('prop-missing');
  });
});

describe('a project of which a file is spoilt', () => {
  test.each(['react', 'vue', 'svelte', 'elements', 'angular', 'astro', 'bundles'])('%s: all of Liana goes through it', (framework) => {
    const files = framework === 'bundles' ? board : demoFiles(`${framework}/worn`);
    const names = Object.keys(files);
    const random = seeded(16);
    for (let round = 0; round < 25; round++) {
      const file = names[Math.floor(random() * names.length)] ?? '';
      const text = spoilt(files[file] ?? '', random);
      expect(() => allThrough({ ...files, [file]: text }), `${file} in round ${round}`).not.toThrow();
    }
  });
});

test('names that plain objects have of their own are names like others', () => {
  for (const name of ['constructor', '__proto__', 'toString', 'valueOf']) {
    expect(() =>
      allThrough({
        ...board,
        'force-app/main/default/lwc/board/board.html': `<template><c-lock-row lock={locks} ${name}="a"></c-lock-row></template>`,
      }),
    ).not.toThrow();
    expect(() => carveThrough(`<main><ul>${`<li ${name}="a" role="${name}"><b>x</b><i>y</i></li>`.repeat(3)}</ul></main>`)).not.toThrow();
  }
});

test('a spoilt page is a page all the same', () => {
  const random = seeded(20);
  for (let round = 0; round < 20; round++) {
    const html = spoilt(demoPage(['today', 'lock', 'roster'][round % 3] ?? ''), random);
    expect(() => carveThrough(html), `round ${round}`).not.toThrow();
  }
});
