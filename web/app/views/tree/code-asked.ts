import type { Location } from '@liana/core';
import type { CardAnswer, TreeAnswer } from '../../analysis/answers';
import { knotWords } from '../../theme/Glyph';
import type { TreeState } from './state';

export type CodeAsked = { readonly caption: string; readonly loose: boolean; readonly marks: readonly Location[] };

/** Places close to each other in one file make one excerpt. */
function grouped(marks: readonly Location[]): Location[][] {
  const groups: Location[][] = [];
  for (const mark of marks) {
    const near = groups.find((group) => group[0]?.file === mark.file && Math.abs(group[0].start - mark.start) < 400);
    if (near) near.push(mark);
    else groups.push([mark]);
  }
  return groups.map((group) => group.sort((a, b) => a.start - b.start));
}

/**
 * The code that belongs to what is chosen: of a knot, what happens there; of a place, where it is
 * used and where it is declared; of a search hit, the hit.
 */
export function askForCode(state: TreeState, tree: TreeAnswer, answer: CardAnswer | undefined): CodeAsked[] {
  if (state.code) return [{ caption: 'Found here', loose: false, marks: [state.code] }];
  const strand = tree.strands.find((one) => one.id === state.strand);
  const knots = strand?.knots.filter((knot) => !answer || knot.place === answer.card.place) ?? [];
  const shown = knots.length > 0 ? knots : (strand?.knots ?? []);
  if (strand && shown.length > 0) {
    const code = shown.slice(0, 4).flatMap((knot) => knot.code);
    return grouped(code.map((one) => one.at))
      .slice(0, 6)
      .map((marks) => {
        const does = code.find((one) => one.at === marks[0])?.does ?? 'reads';
        return { caption: `${strand.name}: ${knotWords[does]}`, loose: strand.loose !== undefined, marks };
      });
  }
  if (!answer) return [];
  const { card, findings } = answer;
  const evidence = findings
    .slice(0, 2)
    .flatMap((finding) => finding.evidence.slice(0, 2).map((rung) => ({ caption: rung.text, loose: true, marks: [rung.at] })));
  const used = card.use ? [{ caption: `Used in ${card.owner?.name ?? 'the page'}`, loose: false, marks: [card.use] }] : [];
  return [...evidence, ...used, { caption: 'Declared', loose: false, marks: [card.declared] }];
}
