import { adapters } from '../../frameworks/registry';
import type { SkeletonWriter } from '../../model/skeleton';

export { skeletonOf, type SheetText } from './build';
export type { Pages } from './content';
export type { Markup, Skeleton, SkeletonFile, SkeletonPart, SkeletonProp, SkeletonWriter } from '../../model/skeleton';

/** The frameworks that a skeleton can be written in, the one that reads plain scripts first. */
export const skeletonWriters: readonly SkeletonWriter[] = adapters.flatMap(({ skeleton }) => skeleton ?? []).reverse();
