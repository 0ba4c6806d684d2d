import type { Channel } from '../../model/facts';
import type { Component, Model } from '../../model/model';
import { type FilePath, locate, type Location } from '../../model/span';

/** One end of a way beside the props; undefined owner where no component of its file stands for it. */
export type End = { readonly channel: Channel; readonly at: Location; readonly owner: Component | undefined };
export type Sent = End & { readonly bubbles: boolean };
export type Heard = End & { readonly captures: boolean };
type Ends = { readonly sends: readonly Sent[]; readonly hears: readonly Heard[] };

const known = new WeakMap<Model, Ends>();

/** All that sends and hears something, in components, hooks and modules. */
export function channelEnds(model: Model): Ends {
  const ends = known.get(model) ?? collect(model);
  known.set(model, ends);
  return ends;
}

function collect(model: Model): Ends {
  const sends: Sent[] = [];
  const hears: Heard[] = [];
  const inFile = new Map<FilePath, Component[]>();
  for (const component of model.components.values()) {
    const others = inFile.get(component.file);
    if (others) others.push(component);
    else inFile.set(component.file, [component]);
  }
  for (const facts of model.files.values()) {
    const owned = inFile.get(facts.file) ?? [];
    const [first] = owned;
    const bodies = [
      ...owned.map((component) => ({ actions: component.facts.actions, owner: component as Component | undefined })),
      ...facts.shared.flatMap((one) => (one.kind === 'hook' ? [{ actions: one.actions, owner: first }] : [])),
      { actions: facts.module?.actions ?? [], owner: first },
    ];
    for (const { actions, owner } of bodies)
      for (const action of actions) {
        for (const send of action.sends)
          sends.push({ channel: send.channel, at: locate(facts.file, send.span), owner, bubbles: send.bubbles });
        for (const hear of action.hears)
          hears.push({ channel: hear.channel, at: locate(facts.file, hear.span), owner, captures: hear.captures ?? false });
      }
  }
  return { sends, hears };
}
