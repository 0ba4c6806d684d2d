import { reactWriter } from '../../frameworks/react/write/skeleton';
import type { SkeletonWriter } from '../../model/skeleton';
import { svelteWriter } from '../../frameworks/svelte/write/skeleton';
import { vueWriter } from '../../frameworks/vue/write/skeleton';

export { skeletonOf, type SheetText } from './build';
export type { Pages } from './content';
export type { Markup, Skeleton, SkeletonFile, SkeletonPart, SkeletonProp, SkeletonWriter } from '../../model/skeleton';

/** The frameworks that a skeleton can be written in. */
export const skeletonWriters: readonly SkeletonWriter[] = [reactWriter, vueWriter, svelteWriter];
