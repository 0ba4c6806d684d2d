import type { BodyFacts, HookFact, Reading, ValueFact } from '../model/facts';
import { sharedId } from '../model/ids';
import type { Take } from '../model/model';
import { type FilePath, locate } from '../model/span';
import type { Names } from './names';

/** What a hook takes from above, and whether finding nothing throws within it. */
type HookTake = {
  readonly context: Take['context'];
  readonly via: readonly string[];
  readonly needed: boolean;
  readonly guarded: boolean;
  readonly handsOn: boolean;
};

/** Answers which contexts a body takes, by itself and through hooks of the project. */
export type Takes = { readonly of: (file: FilePath, body: BodyFacts) => Take[] };

export function makeTakes(names: Names): Takes {
  const known = new Map<HookFact, readonly HookTake[]>();

  function ofHook(file: FilePath, hook: HookFact): readonly HookTake[] {
    const found = known.get(hook);
    if (found) return found;
    known.set(hook, []);
    const takes = hook.values.flatMap((value, index) => {
      const handsOn = hook.returns.some((reading: Reading) => reading.value === index && reading.how === 'same');
      return taken(file, value).map((take) => ({ ...take, handsOn: handsOn && take.handsOn, needed: take.needed, guarded: take.guarded }));
    });
    known.set(hook, takes);
    return takes;
  }

  /** What one value of a body takes. */
  function taken(file: FilePath, value: ValueFact): HookTake[] {
    if (value.source === undefined || (value.kind !== 'context' && value.kind !== 'hook')) return [];
    const meant = names.meant(file, value.source);
    if (meant.kind !== 'shared') return [];
    const own = { needed: value.needed ?? false, guarded: value.guarded ?? false };
    if (value.kind === 'context') {
      return meant.fact.kind === 'context' ? [{ context: sharedId(meant.file, meant.fact.name), via: [], handsOn: true, ...own }] : [];
    }
    if (meant.fact.kind !== 'hook') return [];
    const hook = meant.fact;
    return ofHook(meant.file, hook).map((take) => ({
      context: take.context,
      via: [hook.name, ...take.via],
      handsOn: take.handsOn,
      needed: take.needed || (take.handsOn && own.needed && !take.guarded),
      guarded: take.guarded || (take.handsOn && own.guarded),
    }));
  }

  function of(file: FilePath, body: BodyFacts): Take[] {
    return body.values.flatMap((value, index) =>
      taken(file, value).map((take) => ({
        context: take.context,
        value: index,
        at: locate(file, value.span),
        via: take.via,
        needed: take.needed && !take.guarded,
      })),
    );
  }

  return { of };
}
