import {
  makeLineOf,
  makeTraceWriter,
  type Model,
  nearest,
  type Page,
  parseMove,
  patchOf,
  proposeMoves,
  standOf,
  treeEntry,
  treesOf,
  treeText,
  type WhatIf,
  whatIfAll,
  whatIfText,
} from '@liana/core';
import type { Folder } from './folder';
import type { Report } from './report';

/** What was asked for beside the findings. */
export type Asked = {
  /** Pages by name, path or file. */
  readonly tree: readonly string[];
  /** All pages. */
  readonly trees: boolean;
  /** Questions: `ASK:Component.name`, `ASK:file#name`. */
  readonly trace: readonly string[];
  /** Moves: `Component@Parent>Target#slot`. */
  readonly whatIf: readonly string[];
};

/** The answers, as parts of a report and in words. */
export type AskedFor = {
  readonly report: Pick<Report, 'trees' | 'traces' | 'whatIf'>;
  readonly text: string;
  /** What is not there, each in a sentence with near names. */
  readonly missing: readonly string[];
};

export const isAsked = ({ tree, trees, trace, whatIf }: Asked): boolean =>
  trees || tree.length > 0 || trace.length > 0 || whatIf.length > 0;

const isPage = (page: Page, asked: string): boolean =>
  [page.name, page.path, page.file, page.id].some((one) => one !== '' && one === asked);

/** The trees and traces that were asked for, and what of them is not there. */
export function answerAsked(folder: Folder, model: Model, { tree, trees, trace, whatIf }: Asked): AskedFor {
  const texts = new Map(folder.sources.map(({ file, text }) => [file, text]));
  const textOf = (file: string): string | undefined => texts.get(file);
  const lineOf = makeLineOf(textOf);
  const missing: string[] = [];
  const pages: Page[] = trees ? [...model.pages] : [];
  for (const asked of tree) {
    const found = model.pages.filter((page) => isPage(page, asked));
    if (found.length === 0) missing.push(noPage(model, asked));
    pages.push(...found.filter((page) => !pages.includes(page)));
  }
  const writer = makeTraceWriter(model, textOf, lineOf);
  const traces = [];
  for (const question of trace) {
    const answered = writer.ask(question);
    if ('wrong' in answered) missing.push(answered.wrong);
    else traces.push(answered);
  }
  const moves: AnsweredMove[] = [];
  for (const move of whatIf) {
    const answered = answerMove(model, move, textOf);
    if ('wrong' in answered) missing.push(answered.wrong);
    else moves.push(answered);
  }
  const entries = pages.map((page) => treeEntry(model, page, lineOf));
  return {
    report: {
      ...(trees || tree.length > 0 ? { trees: entries } : {}),
      ...(trace.length > 0 ? { traces: traces.map(({ entry }) => entry) } : {}),
      ...(whatIf.length > 0 ? { whatIf: moves } : {}),
    },
    text: [...entries.map(treeText), ...traces.map(({ text }) => text), ...moves.map(moveText)].join('\n'),
    missing,
  };
}

/** What would become of a move, with the patch that makes it, or why that is not written. */
export type AnsweredMove = WhatIf & ({ readonly patch: string } | { readonly notWritten: string });

function answerMove(model: Model, text: string, textOf: (file: string) => string | undefined): AnsweredMove | { readonly wrong: string } {
  const move = parseMove(text);
  const found = 'wrong' in move ? move : standOf(model, move);
  if ('wrong' in found) return found;
  const [answered] = whatIfAll(model, found.tree, [found.stand], treesOf(model));
  if (!answered) return { wrong: `${text} is a part that would stand in itself.` };
  const proposal = proposeMoves(model, found.tree, [found.stand], [answered], textOf);
  return { ...answered, ...('edits' in proposal ? { patch: patchOf(proposal.edits, textOf) } : { notWritten: proposal.wrong }) };
}

const moveText = (move: AnsweredMove): string =>
  `${whatIfText(move)}${'patch' in move ? move.patch : `  The edits for it are not written: ${move.notWritten}\n`}`;

function noPage(model: Model, asked: string): string {
  const names = [...new Set(model.pages.map((page) => page.name))];
  const meant = nearest(asked, names);
  const shown = meant === undefined ? names.slice(0, 8) : [meant];
  const more = meant === undefined && names.length > 8 ? ` and ${names.length - 8} more` : '';
  if (names.length === 0) return `There is no page ${asked}: no page was found in the folder.`;
  return `There is no page ${asked}. ${meant === undefined ? 'The pages are' : 'Near to it:'} ${shown.join(', ')}${more}.`;
}
