import { unmetTakes } from '../../../contract';
import type { Finding } from '../../../model/finding';
import type { ComponentId, UseId } from '../../../model/ids';
import { useById } from '../../../model/lookup';
import { locate } from '../../../model/span';
import type { Place } from '../../../model/tree';

import { startStrand, type StrandDraft, tie } from './draft';
import type { Page } from './values';

/** The ends that should be tied and are not, as findings tell them: at each place of the page that one of them speaks of. */
export function looseStrands({ ways }: Page, findings: readonly Finding[]): StrandDraft[] {
  const { model, tree } = ways.graph;
  const byUse = new Map<UseId, Place[]>();
  const byComponent = new Map<ComponentId, Place[]>();
  for (const place of tree.places) {
    if (place.use) byUse.set(place.use, [...(byUse.get(place.use) ?? []), place]);
    byComponent.set(place.component, [...(byComponent.get(place.component) ?? []), place]);
  }
  return findings.flatMap((finding): StrandDraft[] => {
    const { loose } = finding;
    if (!loose) return [];
    const draft = startStrand(loose.kind, loose.name, finding.touches.component, `loose ${finding.key}`);
    draft.loose = finding.message;
    for (const id of loose.uses) {
      const use = useById(model, id);
      const ground = use ? [locate(use.file, use.node.nameSpan)] : [];
      for (const { index, owner } of byUse.get(id) ?? []) {
        tie(draft, { place: owner, kind: 'ground', name: loose.name, from: -1, code: ground });
        tie(draft, { place: index, kind: 'loose', name: loose.name, from: owner, code: [loose.at] });
        if (loose.raised) tie(draft, { place: index, kind: 'raises', name: loose.name, from: owner, code: [loose.at] });
      }
    }
    if (loose.context !== undefined)
      for (const place of byComponent.get(finding.component) ?? [])
        for (const take of unmetTakes(model, tree, place))
          if (take.context === loose.context)
            tie(draft, { place: place.index, kind: 'loose', name: loose.name, from: -1, code: [take.at] });
    return draft.knots.size > 0 ? [draft] : [];
  });
}
