/** How questions stand within each other, all of one page. */
export type Nesting = {
  /** How many are open. */
  open: number;
  /** How often an answer was cut because it led back to itself. */
  cuts: number;
  /** The outermost question, by number, and how many were answered for it. */
  outermost: number;
  answered: number;
};

export const newNesting = (): Nesting => ({ open: 0, cuts: 0, outermost: 0, answered: 0 });

/** Functions that call each other in all ways would be followed in all orders: after so many answers for one question, each is given once. */
const mostAnswered = 1000;

/**
 * Keeps answers, and gives nothing where a question leads back to itself. An answer given while
 * another was cut may lack something, so it is kept only when no question is open around it; where
 * very many were given for one question, it stands for the rest of that.
 */
export function keptAnswers<K, A extends readonly unknown[]>(
  nesting: Nesting,
  keyOf: (asked: K) => string,
  answer: (asked: K) => A,
  nothing: A,
): (asked: K) => A {
  const known = new Map<string, A>();
  const asking = new Set<string>();
  /** Answers that may lack something, by the outermost question that they were given for. */
  const cut = new Map<string, { readonly of: number; readonly given: A }>();
  return (asked) => {
    const key = keyOf(asked);
    const found = known.get(key);
    if (found) return found;
    const lacking = nesting.answered > mostAnswered ? cut.get(key) : undefined;
    const again = asking.has(key) ? nothing : lacking?.of === nesting.outermost ? lacking.given : undefined;
    if (again) {
      nesting.cuts++;
      return again;
    }
    if (nesting.open === 0) {
      nesting.outermost++;
      nesting.answered = 0;
    }
    asking.add(key);
    nesting.open++;
    const before = nesting.cuts;
    const given = answer(asked);
    nesting.open--;
    nesting.answered++;
    asking.delete(key);
    if (nesting.cuts === before || nesting.open === 0) known.set(key, given);
    else cut.set(key, { of: nesting.outermost, given });
    return given;
  };
}
