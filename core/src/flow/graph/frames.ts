import type { BodyFacts, HookFact, TemplateUse } from '../../model/facts';
import type { ComponentId } from '../../model/ids';
import { useById } from '../../model/lookup';
import type { Component, Model } from '../../model/model';
import type { FilePath } from '../../model/span';
import type { Place, PlaceIndex, Tree } from '../../model/tree';
import { addTo } from '../../model/add-to';
import type { Indexed } from './sinks';
import { makeToldNames } from './told-names';

/** A body at one position: a component at a place, a hook called by one, or a module. */
export type Frame = {
  readonly index: number;
  readonly kind: 'component' | 'hook' | 'module';
  /** The component, the hook, or the module's file. */
  readonly name: string;
  readonly file: FilePath;
  readonly body: Indexed;
  /** The place of the component, or of the one that calls the hook; -1 outside the page. */
  readonly place: PlaceIndex;
  readonly component?: Component;
  /** Of a hook: the frame that calls it, and the value there that stands for the call. */
  readonly caller?: { readonly frame: number; readonly value: number };
};

/** Whether a file is one of those that a frame's body is read from. */
export const isReadFrom = ({ file, component }: Frame, asked: FilePath): boolean =>
  file === asked || (component?.facts.files?.includes(asked) ?? false);

/** The frames of a page, and how one is found from another. */
export type Frames = {
  readonly all: Frame[];
  /** The frame of a hook's call. */
  readonly hookFrame: (frame: number, value: number) => Frame | undefined;
  readonly moduleFrame: (file: FilePath) => Frame | undefined;
  /** The frame that wrote the use by which a place was made. */
  readonly ownerFrame: (place: Place) => Frame | undefined;
  /** Places that a use made, for the frame that wrote it; empty for none. */
  readonly madeBy: (frame: Frame, node: TemplateUse) => readonly Place[];
};

const deepestHook = 12;
const none: readonly never[] = [];

/** Makes the frames of an unfolded page: its places, the hooks each calls, the modules, and the components outside of it that wrote a use or a provider of it. */
export function makeFrames(model: Model, tree: Tree): Frames {
  const frames: Frame[] = [];
  const hooksOf = makeHooksOf(model);
  const told = makeToldNames(model);
  const hookFrames = new Map<string, Frame>();
  const modules = new Map<FilePath, Frame>();
  const roots = new Map<ComponentId, Frame>();
  const made = new Map<string, Place[]>();

  const add = (frame: Omit<Frame, 'index'>): Frame => {
    const whole: Frame = { ...frame, index: frames.length };
    frames.push(whole);
    return whole;
  };

  const addHooks = (from: Frame): void => {
    const stack = [{ frame: from, depth: 0 }];
    for (let at = stack.pop(); at; at = stack.pop()) {
      if (at.depth > deepestHook) continue;
      for (const [value, hook] of hooksOf(at.frame.file, at.frame.body)) {
        const frame = add({
          kind: 'hook',
          name: hook.fact.name === 'default' ? (at.frame.body.values[value]?.name ?? '') : hook.fact.name,
          file: hook.file,
          body: told(hook.file, hook.fact),
          place: from.place,
          ...(from.component ? { component: from.component } : {}),
          caller: { frame: at.frame.index, value },
        });
        hookFrames.set(`${at.frame.index} ${value}`, frame);
        stack.push({ frame, depth: at.depth + 1 });
      }
    }
  };

  const rootOf = (id: ComponentId): Frame | undefined => {
    const known = roots.get(id);
    const component = model.components.get(id);
    if (known || !component) return known;
    const frame = add({
      kind: 'component',
      name: component.name,
      file: component.file,
      body: told(component.file, component.facts),
      place: -1,
      component,
    });
    roots.set(id, frame);
    addHooks(frame);
    return frame;
  };
  for (const place of tree.places) {
    const component = model.components.get(place.component);
    const body = place.cut || !component ? { values: [], actions: [] } : told(component.file, component.facts);
    add({
      kind: 'component',
      name: component?.name ?? '',
      file: component?.file ?? '',
      body,
      place: place.index,
      ...(component ? { component } : {}),
    });
    if (!place.use) continue;
    const key = `${place.owner} ${place.use}`;
    addTo(made, key, place);
  }
  for (let at = 0; at < tree.places.length; at++) addHooks(frames[at] as Frame);
  for (const [file, facts] of model.files) {
    if (facts.module) modules.set(file, add({ kind: 'module', name: file, file, body: told(file, facts.module), place: -1 }));
  }
  for (const { owner, use: id } of [...tree.places, ...tree.providers]) {
    const use = owner < 0 && id ? useById(model, id) : undefined;
    if (use) rootOf(use.owner);
  }

  return {
    all: frames,
    hookFrame: (frame, value) => hookFrames.get(`${frame} ${value}`),
    moduleFrame: (file) => modules.get(file),
    ownerFrame: (place) => {
      if (place.owner >= 0) return frames[place.owner];
      const use = place.use && useById(model, place.use);
      return use ? rootOf(use.owner) : undefined;
    },
    madeBy: (frame, node) => {
      const use = model.useOfNode.get(node);
      return use ? (made.get(`${frame.place} ${use.id}`) ?? none) : none;
    },
  };
}

/** Answers which of a body's values stand for the call of a hook of the project, and for which; once for each body. */
function makeHooksOf(model: Model): (file: FilePath, body: BodyFacts) => ReadonlyMap<number, { file: FilePath; fact: HookFact }> {
  const hooks = new WeakMap<BodyFacts, ReadonlyMap<number, { file: FilePath; fact: HookFact }>>();
  return (file: FilePath, body: BodyFacts): ReadonlyMap<number, { file: FilePath; fact: HookFact }> => {
    const known = hooks.get(body);
    if (known) return known;
    const found = new Map<number, { file: FilePath; fact: HookFact }>();
    body.values.forEach((value, index) => {
      if (value.kind !== 'hook' || value.source === undefined) return;
      const named = model.named(file, value.source);
      if (named.kind === 'hook') found.set(index, named);
    });
    hooks.set(body, found);
    return found;
  };
}
