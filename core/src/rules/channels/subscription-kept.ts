import { type ActionFact, type BodyFacts, heldEnding, type HearFact, timerEvent } from '../../model/facts';
import { adapters, traitsOf } from '../../frameworks/registry';
import type { Component, Model } from '../../model/model';
import { type FilePath, locate } from '../../model/span';
import { hookCallers } from '../shared/hook-callers';
import { endingEdit, withEdits } from '../shared/edits';
import type { Found, Rule } from '../rule';

/** Whether an action runs at the end of a life; functions that components share may be called in any framework. */
const isEnding = ({ name }: ActionFact): boolean => adapters.some(({ traits }) => traits.endOfLife.test(name));

/** What a subscription listens to, in words. */
function heardOf({ channel }: HearFact): string {
  if (channel.event === timerEvent) return 'a timer';
  const event = channel.event ? `${channel.event} ` : '';
  return channel.on === 'channel'
    ? `${event}of ${channel.name?.replace(/^from:[^#]*#/, '') ?? 'a channel'}`
    : `${event}of the ${channel.on}`;
}

/** Subscriptions that outlive the component; what it hears on its own elements dies with these. */
function keptBy({ actions, endings = [], vainEndings = [] }: BodyFacts, action: ActionFact): HearFact[] {
  if ((action.kind !== 'effect' && action.kind !== 'lifecycle') || isEnding(action)) return [];
  const ended = new Set(endings);
  // What an end of life calls may end anything; by itself it ends what it names.
  const endsOthers = (one: ActionFact, hear: HearFact): boolean =>
    one.invokes.length + one.calls.length > 0 ||
    (ended.size > 0
      ? one.changes.length > 0
      : // What it is handed, or reads, may be what ends something.
        one.reads.length > 0 || one.changes.some(({ value }) => mayAskFor(actions, hear, value)));
  const isUndoneElsewhere = (hear: HearFact): boolean =>
    actions.some((one) => one !== action && (one.cleansUp || (isEnding(one) && endsOthers(one, hear))));
  return action.hears.filter((hear) => {
    const { ends, unnamed, channel } = hear;
    if (ends || channel.on === 'element' || channel.name?.startsWith('this.')) return false;
    // What comes in a promise is never called, whatever it would end.
    if (action.endsInPromise && !actions.some((one) => isEnding(one))) return true;
    if (ended.has('') || (channel.on === 'channel' && ended.has(heldEnding))) return false;
    if (unnamed && channel.on !== 'channel') return true;
    // What takes another function away ends nothing.
    if (vainEndings.includes(channel.event ?? '') && !ended.has(channel.event ?? '')) return true;
    // An observer is ended by its own name, and by no other effect that ends others by theirs.
    const isOther = /Observer$/.test(channel.event ?? '') && ended.size > 0;
    return !action.cleansUp && (isOther || !isUndoneElsewhere(hear)) && !ended.has(channel.event ?? '');
  });
}

/** Whether what is heard is handled by a function that may ask for a value: one that cannot be seen may ask for any. */
function mayAskFor(actions: readonly ActionFact[], { action }: HearFact, value: number): boolean {
  const run = action === undefined ? undefined : actions[action];
  return !run || run.calls.length > 0 || run.reads.some((one) => one.value === value);
}

/** Subscribed at the start of a component's life and not undone at its end. */
export const subscriptionKept: Rule = {
  inProject: ({ model }) => [
    ...[...model.components.values()].flatMap((component) =>
      component.fileRole !== 'source' || isLifelong(model, component)
        ? []
        : component.facts.actions.flatMap((action) =>
            keptBy(component.facts, action).map((hear) => ({
              ...toFound(component, component.name, component.file, action, hear),
              ...withEdits(endingEdit(component, action, hear)),
            })),
          ),
    ),
    ...inHooks(model),
  ],
};

/** Subscriptions of hooks, told once for each: they outlive whoever calls the hook and comes and goes. */
function inHooks(model: Model): Found[] {
  const callers = hookCallers(model);
  return [...model.files.values()].flatMap(({ file, shared }) =>
    shared.flatMap((hook): Found[] => {
      const users = hook.kind === 'hook' ? (callers.get(`${file}#${hook.name}`) ?? []) : [];
      const user = users.find((one) => one.fileRole === 'source' && !isLifelong(model, one));
      if (hook.kind !== 'hook' || !user) return [];
      return hook.actions.flatMap((action) => keptBy(hook, action).map((hear) => toFound(user, hook.name, file, action, hear)));
    }),
  );
}

function toFound(component: Component, by: string, file: FilePath, action: ActionFact, hear: HearFact): Found {
  const at = locate(file, hear.span);
  const what = heardOf(hear);
  const how = action.endsInPromise ? 'promise' : hear.unnamed ? 'unnamed' : '';
  return {
    rule: 'subscription-kept',
    component: component.id,
    subject: what,
    at,
    words: { component: by, owner: component.name, what, how },
    evidence: [
      { at, text: `${by} begins to hear ${what} here.` },
      {
        at: locate(file, action.span),
        text:
          how === 'promise'
            ? 'What would end it comes in a promise, and nothing calls it.'
            : how === 'unnamed'
              ? 'The function is made in place: no other one takes it away.'
              : `Nothing ends it when ${component.name} goes.`,
      },
    ],
    touches: component.id,
  };
}

/** What stands at the top of the application lives as long as it; an element that the platform places comes and goes with its page. */
function isLifelong(model: Model, component: Component): boolean {
  if (component.facts.element) return false;
  // Scripts of a page of the server run once, for as long as the page is open.
  if (traitsOf(component).madeOnce) return true;
  const uses = model.usesOf.get(component.id) ?? [];
  return component.role === 'root' || (uses.length > 0 && uses.every((use) => model.components.get(use.owner)?.role === 'root'));
}
