import type { BodyFacts, FileFacts, TemplateNode, TemplateUse } from '../model/facts';
import { directoryOf } from '../model/paths';
import type { FilePath, Span } from '../model/span';

const nowhere: Span = { start: 0, end: 0 };

/** Where one file stands as another one writes it: `../parts/Row.vue`. */
export function pathFrom(from: FilePath, to: FilePath): string {
  const above = directoryOf(from) === '' ? [] : directoryOf(from).split('/');
  const below = to.split('/');
  let same = 0;
  while (same < above.length && same < below.length - 1 && above[same] === below[same]) same++;
  return `${'../'.repeat(above.length - same) || './'}${below.slice(same).join('/')}`;
}

/** A use that nobody wrote, of what a file gives as its default, within markup of another. */
export function useOfFile(
  from: FilePath,
  file: FilePath,
  inside: readonly TemplateNode[],
  bindings: TemplateUse['bindings'] = [],
): TemplateUse {
  return useOfTag(`import:${pathFrom(from, file)}#default`, inside, bindings);
}

/** A use that nobody wrote, of a tag. */
export function useOfTag(tag: string, inside: readonly TemplateNode[] = [], bindings: TemplateUse['bindings'] = []): TemplateUse {
  return {
    kind: 'use',
    tag,
    span: nowhere,
    nameSpan: nowhere,
    bindings,
    spreads: [{ span: nowhere, readings: [] }],
    children: inside,
    key: { kind: 'none' },
    content: inside.length > 0 ? 'markup' : 'none',
  };
}

/** Markup as a body without values. */
export const bodyOf = (template: readonly TemplateNode[]): BodyFacts & { readonly template: readonly TemplateNode[] } => ({
  values: [],
  actions: [],
  template,
});

/** The name in its own module of what a file gives as its default; undefined for none. */
export const defaultOf = (facts: FileFacts | undefined): string | undefined =>
  facts?.exports.find((one) => one.exported === 'default' && one.from === undefined)?.local;
