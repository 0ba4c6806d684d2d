import { reactWriter } from './react';
import type { SkeletonWriter } from './skeleton';
import { svelteWriter } from './svelte';
import { vueWriter } from './vue';

export { skeletonOf, type SheetText } from './build';
export type { Pages } from './content';
export { callbackName } from './values';
export type { Markup, Skeleton, SkeletonFile, SkeletonPart, SkeletonProp, SkeletonWriter } from './skeleton';

/** The frameworks that a skeleton can be written in. */
export const skeletonWriters: readonly SkeletonWriter[] = [reactWriter, vueWriter, svelteWriter];
