import type { Finding } from '../model/finding';
import type { Component } from '../model/model';
import { covers, locate, type Location } from '../model/span';
import type { ProjectComparison } from './compare';
import type { Side } from './side';

/** A use of a component in the later version. */
export type ComparedUser = {
  readonly owner: string;
  readonly at: Location;
  /** Who uses it was touched too; else it stands as it stood. */
  readonly touched: boolean;
  /** What is broken at it. */
  readonly broken?: Finding;
};

/** Who uses a component now, those that no longer meet it first. Empty for one that nobody uses. */
export function usersOf({ model }: Side, component: Component, { components, breaks }: ProjectComparison): ComparedUser[] {
  const statuses = new Map(components.flatMap(({ after, status }) => (after ? [[after.id, status] as const] : [])));
  const users = (model.usesOf.get(component.id) ?? []).map(({ owner, file, node }): ComparedUser => {
    const broken = breaks.find(({ at }) => covers(file, node.span, at));
    return {
      owner: model.components.get(owner)?.name ?? '',
      at: locate(file, node.span),
      touched: (statuses.get(owner) ?? 'same') !== 'same',
      ...(broken ? { broken } : {}),
    };
  });
  return users.sort((a, b) => Number(b.broken !== undefined) - Number(a.broken !== undefined));
}
