import type { Figures, Standings, Strand, Tree, FlowQueries } from '@liana/core';
import { LRUCache } from 'lru-cache';
import type { AlikeAnswer, FindingView } from './answers';

/** A file's text, and the offsets at which its lines start. */
export type Text = { readonly text: string; readonly starts: readonly number[] };

/** What is kept, by the kind of what was asked. */
export type Kept = {
  /** By the file. */
  readonly text: Promise<Text>;
  /** By the page. */
  readonly ways: { readonly tree: Tree; readonly ways: FlowQueries; readonly paths: readonly string[] };
  /** By the page, in the order of their columns. */
  readonly strands: { readonly strands: readonly Strand[]; readonly local: number };
  /** By the likeness from which on. */
  readonly alike: AlikeAnswer;
  readonly findings: Promise<readonly FindingView[]>;
  readonly figures: Figures;
  readonly standings: Standings;
};

/** About how much of the table an answer takes, in texts of files. */
const weights: Readonly<Record<keyof Kept, number>> = { text: 1, ways: 20, strands: 5, alike: 5, findings: 5, figures: 1, standings: 5 };

/** Six large pages, and the texts that belong to them. */
const capacity = 250;

/**
 * The answers about one reading of a project, by what was asked and about what. Those that were not asked
 * for longest are forgotten first; an answer that failed is not kept. Nothing is taken from one reading to the next.
 */
export class AnswerTable {
  private readonly kept = new LRUCache<string, { readonly kind: keyof Kept; readonly answer: unknown }>({
    maxSize: capacity,
    sizeCalculation: ({ kind }) => weights[kind],
  });

  has(kind: keyof Kept, about = ''): boolean {
    return this.kept.has(`${kind} ${about}`);
  }

  /** The answer that is kept, or else the one that is made, which is kept then. */
  get<Kind extends keyof Kept>(kind: Kind, about: string, make: () => Kept[Kind]): Kept[Kind] {
    const key = `${kind} ${about}`;
    const known = this.kept.get(key);
    if (known) return known.answer as Kept[Kind];
    const answer = make();
    const held = { kind, answer };
    this.kept.set(key, held);
    if (answer instanceof Promise)
      answer.catch(() => {
        if (this.kept.peek(key) === held) this.kept.delete(key);
      });
    return answer;
  }
}
