import { type ActionFact, type HearFact, timerEvent } from '../../model/facts';
import type { Component, Model } from '../../model/model';
import { locate } from '../../model/span';
import { endingEdit, withEdits } from '../shared/edits';
import type { Found, Rule } from '../rule';

/** Names under which frameworks run what a component does at the end of its life. */
const ending =
  /^(onUnmounted|onBeforeUnmount|onScopeDispose|onDeactivated|onDestroy|beforeUnmount|unmounted|beforeDestroy|destroyed|componentWillUnmount|onWatcherCleanup|onCleanup)$/;

/** What a subscription listens to, in words. */
function heardOf({ channel }: HearFact): string {
  if (channel.event === timerEvent) return 'a timer';
  const event = channel.event ? `${channel.event} ` : '';
  return channel.on === 'channel' ? `${event}of ${channel.name ?? 'a channel'}` : `${event}of the ${channel.on}`;
}

/** Subscriptions that outlive the component; what it hears on its own elements dies with these. */
function keptBy(component: Component, action: ActionFact): HearFact[] {
  if ((action.kind !== 'effect' && action.kind !== 'lifecycle') || action.cleansUp || ending.test(action.name)) return [];
  const undoesElsewhere = component.facts.actions.some((one) => one !== action && (ending.test(one.name) || one.cleansUp));
  if (undoesElsewhere) return [];
  const ended = new Set(component.facts.endings);
  if (ended.has('')) return [];
  return action.hears.filter(
    (hear) =>
      !hear.ends && !ended.has(hear.channel.event ?? '') && hear.channel.on !== 'element' && !hear.channel.name?.startsWith('this.'),
  );
}

/** Subscribed at the start of a component's life and not undone at its end. */
export const subscriptionKept: Rule = {
  inProject: ({ model }) =>
    [...model.components.values()].flatMap((component) => {
      if (component.fileRole !== 'source' || isLifelong(model, component)) return [];
      return component.facts.actions.flatMap((action) =>
        keptBy(component, action).map((hear): Found => {
          const at = locate(component.file, hear.span);
          const what = heardOf(hear);
          return {
            rule: 'subscription-kept',
            component: component.id,
            subject: what,
            at,
            words: { component: component.name, what },
            evidence: [
              { at, text: `${component.name} begins to hear ${what} here.` },
              { at: locate(component.file, action.span), text: `Nothing ends it when ${component.name} goes.` },
            ],
            ...withEdits(endingEdit(component, action, hear)),
            touches: component.id,
          };
        }),
      );
    }),
};

/** What stands at the top of the application lives as long as it. */
function isLifelong(model: Model, component: Component): boolean {
  const uses = model.usesOf.get(component.id) ?? [];
  return component.role === 'root' || (uses.length > 0 && uses.every((use) => model.components.get(use.owner)?.role === 'root'));
}
