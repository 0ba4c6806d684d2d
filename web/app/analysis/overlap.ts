import {
  compareCode,
  type Component,
  type ComponentId,
  findTwins,
  type FilePath,
  type MergeNames,
  mergeTwins,
  type Model,
  patchOf,
} from '@liana/core';
import type { AlikeAnswer, AlikeMember, ComparedAnswer } from './answers';

function memberOf(model: Model, component: Component): AlikeMember {
  const { id, name, file, framework, facts } = component;
  const uses = (model.usesOf.get(id) ?? []).filter((use) => model.components.get(use.owner)?.fileRole === 'source').length;
  return { id, name, file, framework, lines: facts.lines ?? 0, uses };
}

/** The components of a project in groups of likeness; the largest groups first. */
export function alikeIn(model: Model, likeness: number): AlikeAnswer {
  const clusters = findTwins(model, { likeness });
  const groups = clusters.map(({ members, pairs, likeness: most }) => ({
    members: members.flatMap((id): AlikeMember[] => {
      const component = model.components.get(id);
      return component ? [memberOf(model, component)] : [];
    }),
    pairs,
    likeness: most,
  }));
  const all = [...model.components.values()].filter((one) => one.role === 'component' && one.fileRole === 'source').length;
  return {
    groups: groups.sort((a, b) => b.members.length - a.members.length || b.likeness - a.likeness),
    others: all - groups.reduce((sum, group) => sum + group.members.length, 0),
  };
}

/** The likest pair of the twins that a component belongs to; undefined for one that is like no other. */
export function likestPair(model: Model, component: ComponentId): readonly [ComponentId, ComponentId] | undefined {
  const cluster = findTwins(model).find(({ members }) => members.includes(component));
  const [best] = [...(cluster?.pairs ?? [])].sort((x, y) => y.likeness - x.likeness);
  return best && [best.a, best.b];
}

/** The files whose texts a comparison of two components needs: their own, and those that use the second. */
export function filesOf(model: Model, [a, b]: readonly [ComponentId, ComponentId]): FilePath[] {
  const own = [a, b].flatMap((id) => model.components.get(id)?.file ?? []);
  return [...new Set([...own, ...(model.usesOf.get(b) ?? []).map((use) => use.file)])];
}

const lineCount = (text: string, start: string): number =>
  text.split('\n').filter((line) => line.startsWith(start) && !line.startsWith(start.repeat(3))).length;

/** Two components beside each other, with the one that could stand in their place. */
export function comparedIn(
  model: Model,
  a: ComponentId,
  b: ComponentId,
  names: MergeNames,
  textOf: (file: FilePath) => string | undefined,
): ComparedAnswer | undefined {
  const [one, other] = [model.components.get(a), model.components.get(b)];
  const comparison = compareCode(model, a, b, textOf);
  if (!one || !other || !comparison) return undefined;
  const merged = mergeTwins(model, a, b, textOf, names);
  const members = { a: memberOf(model, one), b: memberOf(model, other), comparison };
  if ('wrong' in merged) return { ...members, wrong: merged.wrong, patch: '', usesPatch: '', saved: 0 };
  const patch = patchOf(merged.edits, textOf);
  const own = new Set([one.file, other.file]);
  return {
    ...members,
    merged: { name: merged.name, text: merged.text, props: merged.props, uses: merged.uses },
    patch,
    usesPatch: patchOf(
      merged.edits.filter((edit) => !own.has(edit.file) || merged.useEdits.includes(edit)),
      textOf,
    ),
    saved: lineCount(patch, '-') - lineCount(patch, '+'),
  };
}
