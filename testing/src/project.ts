import { type Analysis, analyse } from '../../core/src/analyse';
import type { FileFacts, TemplateNode } from '../../core/src/model/facts';
import type { Finding } from '../../core/src/model/finding';
import type { Component, Model, Page } from '../../core/src/model/model';
import type { Strand } from '../../core/src/model/strand';
import type { Tree } from '../../core/src/model/tree';
import { readFile } from '../../core/src/frameworks/read-file';
import { makeFlowQueries, strandsOf } from '../../core/src/flow';
import { bindingKey } from '../../core/src/model/given';
import { check } from '../../core/src/rules';
import { unfold } from '../../core/src/tree';

/** Small projects as file names with their texts. `package.json` and the like count as configuration. */
export type Files = Readonly<Record<string, string>>;

export function analyseFiles(files: Files): Analysis {
  const entries = Object.entries(files).map(([file, text]) => ({ file, text }));
  return analyse(
    entries,
    entries.filter(({ file }) => file.endsWith('.json')),
  );
}

/** A component by its name; throws when there is none, so that a test fails with the name. */
export function componentNamed(model: Model, name: string): Component {
  const found = [...model.components.values()].find((component) => component.name === name);
  if (!found) throw new Error(`No component ${name}; there are ${[...model.components.values()].map((one) => one.name).join(', ')}`);
  return found;
}

/** The facts of one file's text. */
export function factsOf(text: string, file = 'src/Part.tsx'): FileFacts {
  return readFile(file, text);
}

export function pageNamed(model: Model, name: string): Page {
  const found = model.pages.find((page) => page.name === name);
  if (!found) throw new Error(`No page ${name}; there are ${model.pages.map((one) => one.name).join(', ')}`);
  return found;
}

/** A template on a few lines: `ul > [each item] Row(boat, onPick)`. */
export function outline(nodes: readonly TemplateNode[], depth = 0): string {
  const lines = nodes.flatMap((node): string[] => {
    const pad = '  '.repeat(depth);
    const below = (children: readonly TemplateNode[]): string[] => (children.length > 0 ? [outline(children, depth + 1)] : []);
    switch (node.kind) {
      case 'element':
        return [`${pad}${node.tag || '<>'}`, ...below(node.children)];
      case 'use': {
        const given = [
          ...node.bindings.map((one) => bindingKey(one) ?? `${one.to.kind} ${one.to.name}`),
          ...node.spreads.map(() => '…'),
        ].join(', ');
        const markup = node.bindings.flatMap((one) => one.markup ?? []);
        return [`${pad}${node.tag || '?'}(${given})`, ...below([...markup, ...node.children])];
      }
      case 'outlet':
        return [`${pad}{${node.slot}}`];
      case 'text':
        return [`${pad}text`];
      case 'repeat':
        return [`${pad}each ${node.item || 'one'} of ${node.over}`, ...below(node.children)];
      case 'branch':
        return [`${pad}if ${node.negated ? 'not ' : ''}${node.when}`, ...below(node.children)];
    }
  });
  return lines.join('\n');
}

/** A page as indented rows: name, then what places it. */
export function rows(model: Model, tree: Tree): string {
  return tree.places
    .map((place) => {
      const name = model.components.get(place.component)?.name ?? '';
      const owner =
        place.owner !== place.parent && place.owner >= 0
          ? ` of ${model.components.get(tree.places[place.owner]?.component ?? place.component)?.name}`
          : '';
      const slot = place.slot ? ` in ${place.slot.key}` : '';
      const repeat = place.repeats.map((one) => ` each ${one.item}`).join('');
      const branch = place.branches.map((one) => ` if ${one.negated ? 'not ' : ''}${one.when}`).join('');
      return `${'  '.repeat(place.depth)}${name}${slot}${owner}${repeat}${branch}${place.cut ? ` cut: ${place.cut}` : ''}`;
    })
    .join('\n');
}

export function treeOf(model: Model, page: string): Tree {
  return unfold(model, pageNamed(model, page));
}

/** The strands of a page, one line each: `state passages: TodayPage owns changes > LockList passes`. */
export function strandLines(model: Model, page: string): string[] {
  const tree = treeOf(model, page);
  return strandsOf(makeFlowQueries(model, tree), check(model)).strands.map((strand) => strandLine(model, tree, strand));
}

function strandLine(model: Model, tree: Tree, strand: Strand): string {
  const knots = strand.knots.map((knot) => {
    const name = model.components.get(tree.places[knot.place]?.component as Component['id'])?.name ?? 'above';
    return `${name} ${knot.kinds.join('+')}${knot.twoWay ? ' two-way' : ''}`;
  });
  return `${strand.loose === undefined ? '' : 'loose '}${strand.kind} ${strand.name}: ${knots.join(' > ')}`;
}

/** Findings as `rule component subject`, sorted. */
export function findingLines(findings: readonly Finding[]): string[] {
  return findings.map((finding) => `${finding.rule} ${finding.component.split('#').at(-1)} ${finding.subject}`).sort();
}
