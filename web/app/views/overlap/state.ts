import type { ComponentId } from '@liana/core';

/** What the overlap view shows, as it stands in the URL. */
export type OverlapState = {
  /** The two that are compared; undefined for the map of all. */
  readonly pair: readonly [ComponentId, ComponentId] | undefined;
  /** From this likeness on components stand together on the map, in percent. */
  readonly from: number;
  /** Names for the props of the merged component, by their keys. */
  readonly names: Readonly<Record<string, string>>;
};

export const likenessSteps = [70, 80, 90] as const;

/** Reads the state out of the URL. Whatever is not understood counts as not said. */
export function parseOverlapState(params: URLSearchParams): OverlapState {
  const [a, b] = [params.get('a'), params.get('b')];
  const from = Number(params.get('from'));
  const names = [...params].flatMap(([name, value]): [string, string][] =>
    name.startsWith('name.') && /^[A-Za-z_$][\w$]*$/.test(value) ? [[name.slice('name.'.length), value]] : [],
  );
  return {
    pair: a && b && a !== b ? [a as ComponentId, b as ComponentId] : undefined,
    from: likenessSteps.find((step) => step === from) ?? 80,
    names: Object.fromEntries(names),
  };
}

/** The link to the comparison of two components. */
export function comparisonLink(projectId: string, a: string, b: string): string {
  return `/projects/${projectId}/overlap?a=${encodeURIComponent(a)}&b=${encodeURIComponent(b)}`;
}
