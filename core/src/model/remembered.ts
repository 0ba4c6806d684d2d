/**
 * A function whose answers are kept for as long as what it was asked about lives. For what follows
 * from one component, one use or one list of facts alone: these are replaced, never changed. `given`
 * is where the answer is looked up, if it needs that; it must say the same each time.
 */
export function remembered<Of extends object, Answer, Given = void>(
  make: (of: Of, given: Given) => Answer,
): (of: Of, given: Given) => Answer {
  const kept = new WeakMap<Of, { readonly answer: Answer }>();
  return (of, given) => {
    const known = kept.get(of);
    if (known) return known.answer;
    const answer = make(of, given);
    kept.set(of, { answer });
    return answer;
  };
}
