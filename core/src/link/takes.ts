import type { BodyFacts, HookFact, ProvideFact, Reading, ValueFact } from '../model/facts';
import { sharedId } from '../model/ids';
import type { HookProvide, Take } from '../model/model';
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

/** A body that may give something to all below by itself. */
type Giving = BodyFacts & { readonly gives?: readonly ProvideFact[] };

type Called = { readonly file: FilePath; readonly hook: HookFact };

/** Answers which contexts a body takes, by itself and through hooks of the project, and which such hooks provide for it. */
export type Takes = {
  readonly of: (file: FilePath, body: BodyFacts) => Take[];
  readonly provided: (file: FilePath, body: Giving) => HookProvide[];
};

export function makeTakes(names: Names): Takes {
  const known = new Map<HookFact, readonly HookTake[]>();

  /** Finds out what a hook takes, and every one that it calls. A loop: hooks call hooks, as deep as the project has them. */
  function settle(first: Called): void {
    const stack = [first];
    const begun = new Set<HookFact>();
    for (let at = stack.at(-1); at; at = stack.at(-1)) {
      const size = stack.length;
      if (!known.has(at.hook) && !begun.has(at.hook)) {
        begun.add(at.hook);
        for (const value of at.hook.values) {
          const below = hookCalled(at.file, value);
          if (below && !known.has(below.hook) && !begun.has(below.hook)) stack.push(below);
        }
      }
      if (stack.length > size) continue;
      stack.pop();
      if (!known.has(at.hook)) known.set(at.hook, takesOf(at.file, at.hook));
    }
  }

  /** The hook of the project that a value comes from. */
  function hookCalled(file: FilePath, value: ValueFact): Called | undefined {
    const meant = value.kind === 'hook' && value.source !== undefined ? names.meant(file, value.source) : undefined;
    return meant?.kind === 'shared' && meant.fact.kind === 'hook' ? { file: meant.file, hook: meant.fact } : undefined;
  }

  /** What a hook takes, where those that it calls are known; one that calls itself adds nothing by that. */
  function takesOf(file: FilePath, hook: HookFact): HookTake[] {
    return hook.values.flatMap((value, index) => {
      const handsOn = hook.returns.some((reading: Reading) => reading.value === index && reading.how === 'same');
      return taken(file, value).map((take) => ({ ...take, handsOn: handsOn && take.handsOn, needed: take.needed, guarded: take.guarded }));
    });
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
    return (known.get(hook) ?? []).map((take) => ({
      context: take.context,
      via: [hook.name, ...take.via],
      handsOn: take.handsOn,
      needed: take.needed || (take.handsOn && own.needed && !take.guarded),
      guarded: take.guarded || (take.handsOn && own.guarded),
    }));
  }

  function of(file: FilePath, body: BodyFacts): Take[] {
    return body.values.flatMap((value, index) => {
      const called = hookCalled(file, value);
      if (called) settle(called);
      return taken(file, value).map((take) => ({
        context: take.context,
        value: index,
        at: locate(file, value.span),
        via: take.via,
        needed: take.needed && !take.guarded,
        ...(value.asks ? { asks: value.asks } : {}),
      }));
    });
  }

  return { of, provided: (file, body) => providedBy(names, file, body) };
}

/** What hooks that a body calls provide, each hook followed once. */
function providedBy(names: Names, file: FilePath, body: Giving): HookProvide[] {
  const found: HookProvide[] = [];
  const seen = new Set<HookFact>();
  const stack: { file: FilePath; body: BodyFacts }[] = [{ file, body }];
  for (const { key, span } of body.gives ?? []) {
    const context = names.meant(span.file ?? file, key);
    if (context.kind !== 'shared' || context.fact.kind !== 'context') continue;
    found.push({ context: sharedId(context.file, context.fact.name), at: locate(file, span) });
  }
  for (let at = stack.pop(); at; at = stack.pop()) {
    for (const value of at.body.values) {
      // One that only provides may be called for that alone, and its result kept under no name.
      const isCalled = value.kind === 'hook' || value.kind === 'module';
      const meant = isCalled && value.source !== undefined ? names.meant(at.file, value.source) : undefined;
      if (meant?.kind !== 'shared' || meant.fact.kind !== 'hook' || seen.has(meant.fact)) continue;
      const hook = meant.fact;
      seen.add(hook);
      stack.push({ file: meant.file, body: hook });
      for (const { key, span } of hook.provides ?? []) {
        const context = names.meant(meant.file, key);
        if (context.kind !== 'shared' || context.fact.kind !== 'context') continue;
        found.push({ context: sharedId(context.file, context.fact.name), at: locate(meant.file, span) });
      }
    }
  }
  return found;
}
