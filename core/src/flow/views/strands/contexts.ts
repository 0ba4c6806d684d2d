import type { ComponentId } from '../../../model/ids';
import { useById } from '../../../model/lookup';
import { locate } from '../../../model/span';
import { providerFor } from '../../../tree';
import { startStrand, type StrandDraft, tie } from './draft';
import type { Page } from './values';
import { wayOf } from './way';

/** `KeeperContext` → `keeper`. */
export function contextName(name: string): string {
  const short = name.replace(/(Context|Ctx)$/, '') || name;
  return /^[A-Z](?![A-Z])/.test(short) ? short.charAt(0).toLowerCase() + short.slice(1) : short;
}

/** One strand a provider: the places that it answers, and what they hand on. */
export function contextStrands({ ways, paths }: Page): StrandDraft[] {
  const { graph } = ways;
  const { model, tree } = graph;
  return tree.providers.flatMap((provider): StrandDraft[] => {
    const context = model.contexts.get(provider.context);
    if (!context) return [];
    const name = contextName(context.name);
    const owner = tree.places[provider.owner];
    const use = provider.use && useById(model, provider.use);
    const home = owner?.component ?? (use ? use.owner : ('' as ComponentId));
    const draft = startStrand('context', name, home, `${owner ? (paths[owner.index] ?? '') : ''} ${provider.use ?? provider.context}`);
    const code = use ? [locate(use.file, use.node.nameSpan)] : provider.at ? [provider.at] : [];
    if (owner) tie(draft, { place: owner.index, kind: 'owns', name: context.name, from: -1, code });
    for (const place of tree.places) {
      for (const take of model.components.get(place.component)?.consumes ?? []) {
        if (take.context !== provider.context || providerFor(tree, place, take.context, take.asks) !== provider) continue;
        tie(draft, { place: place.index, kind: 'reads', name, from: provider.owner, code: [take.at] });
        for (const one of wayOf(ways, { frame: place.index, value: take.value, track: [] })) tie(draft, one);
      }
    }
    return [draft];
  });
}
