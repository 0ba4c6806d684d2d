import { describe, expect, test } from 'vitest';
import type { BodyFacts, FileFacts, Reading, TemplateNode } from '../model/facts';
import { walkTemplate } from '../model/walk';
import { demoFiles } from '../../../testing/src/files';
import { alike } from '../../../testing/src/traces/alike';
import { svelteOwn } from '../../../testing/src/traces/svelte';
import { vueOwn } from '../../../testing/src/traces/vue';
import { readFile } from './read-file';
import { loadCompilers } from './registry';
import { seeded } from '../../../testing/src/random';

const sources = Object.entries(demoFiles('react')).map(([file, text]) => ({ file, text }));

await loadCompilers(['App.vue', 'App.svelte']);

const elements = Object.entries(demoFiles('elements/worn')).filter(([file]) => /\.(?:js|html)$/.test(file));
const others = [
  ...elements,
  ...[...alike.flatMap(({ sources: each }) => [each.vue, each.svelte]), ...[...vueOwn, ...svelteOwn].map((one) => one.files)]
    .flatMap((files) => Object.entries(files))
    .filter(([file]) => /\.(vue|svelte)$|\.svelte\.js$/.test(file)),
];
const all = [...sources, ...others.map(([file, text]) => ({ file, text }))];

/** Everything that is wrong with facts as data: values that are not there, spans outside the text. */
function flaws(facts: FileFacts, text: string): string[] {
  const found: string[] = [];
  const span = (what: string, { start, end }: { start: number; end: number }): void => {
    if (!(start >= 0 && start <= end && end <= text.length)) found.push(`${what}: ${start}-${end} of ${text.length}`);
  };
  const readings = (what: string, list: readonly Reading[], body: BodyFacts): void => {
    for (const reading of list) {
      if (!body.values[reading.value]) found.push(`${what} reads value ${reading.value} of ${body.values.length}`);
      span(what, reading.span);
    }
  };
  const template = (nodes: readonly TemplateNode[], body: BodyFacts): void =>
    walkTemplate(nodes, (node) => {
      span(node.kind, node.span);
      if (node.kind === 'text' || node.kind === 'branch' || node.kind === 'repeat') readings(node.kind, node.readings, body);
      if (node.kind === 'repeat' && node.value !== undefined && !body.values[node.value]) found.push('a repeat without its item');
      if (node.kind !== 'element' && node.kind !== 'use') return;
      for (const binding of node.bindings) {
        readings(binding.written, binding.readings, body);
        span(binding.written, binding.nameSpan);
        if (binding.action !== undefined && !body.actions[binding.action]) found.push(`${binding.written} has no action ${binding.action}`);
      }
    });
  const tables = (body: BodyFacts): void => {
    for (const value of body.values) {
      readings(value.name, value.from, body);
      span(value.name, value.span);
      if (value.action !== undefined && !body.actions[value.action]) found.push(`${value.name} has no action`);
      if (value.partner !== undefined && !body.values[value.partner]) found.push(`${value.name} has no partner`);
    }
    for (const action of body.actions) {
      readings(action.name, action.reads, body);
      for (const change of action.changes) if (!body.values[change.value]) found.push(`${action.name} changes what is not there`);
      for (const call of action.calls) if (!body.actions[call]) found.push(`${action.name} calls what is not there`);
    }
  };
  for (const component of facts.components) {
    tables(component);
    template(component.template, component);
    span(component.name, component.span);
    for (const prop of component.members) span(prop.name, prop.span);
  }
  for (const root of [...facts.roots, ...facts.routes]) {
    tables(root);
    template(root.template, root);
  }
  for (const shared of facts.shared) if (shared.kind === 'hook') tables(shared);
  for (const problem of facts.problems) span('problem', problem);
  return found;
}

describe('facts as data', () => {
  test('of small files in the other frameworks: every index leads somewhere, every span lies in the text', () => {
    for (const [file, text] of others) expect({ file, text, flaws: flaws(readFile(file, text), text) }).toEqual({ file, text, flaws: [] });
  });

  test.each(sources.map(({ file, text }) => [file, text]))('%s: every index leads somewhere, every span lies in the text', (file, text) => {
    expect(flaws(readFile(file, text), text)).toEqual([]);
  });

  test('survive a copy as JSON', () => {
    for (const { file, text } of all) {
      const facts = readFile(file, text);
      expect(JSON.parse(JSON.stringify(facts))).toEqual(JSON.parse(JSON.stringify(structuredClone(facts))));
    }
  });

  test('a name’s span holds the name', () => {
    for (const { file, text } of sources) {
      for (const component of readFile(file, text).components) {
        expect(text.slice(component.nameSpan.start, component.nameSpan.end)).toBe(component.name);
        for (const value of component.values) {
          if (value.kind === 'state' || value.kind === 'setter') expect(text.slice(value.span.start, value.span.end)).toBe(value.name);
        }
      }
    }
  });
});

describe('source that somebody is in the middle of editing', () => {
  const cuts = ['{', '}', '(', ')', '<', '/>', '=>', 'const ', '...', '"', '`', '\n', '?', '&&', 'return '];
  const spoil = (text: string, random: () => number): string => {
    const at = Math.floor(random() * text.length);
    const kind = random();
    if (kind < 0.4) return text.slice(0, at) + text.slice(at + Math.floor(random() * 40));
    if (kind < 0.8) return text.slice(0, at) + (cuts[Math.floor(random() * cuts.length)] ?? '') + text.slice(at);
    return text.slice(0, at);
  };

  test.each([1, 2, 3, 4])('never throws, and gives sound facts or problems (seed %i)', (seed) => {
    const random = seeded(seed);
    for (let round = 0; round < 150; round++) {
      const { file, text } = all[Math.floor(random() * all.length)] ?? { file: 'a.tsx', text: '' };
      let spoilt = text;
      for (let times = 0; times < 1 + Math.floor(random() * 3); times++) spoilt = spoil(spoilt, random);
      const facts = readFile(file, spoilt);
      expect({ file, flaws: flaws(facts, spoilt) }).toEqual({ file, flaws: [] });
      expect(facts.problems.some((problem) => problem.message.startsWith('Liana could not read'))).toBe(false);
    }
  });
});
