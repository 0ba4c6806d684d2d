import type { Binding } from '../../model/facts';
import type { Component } from '../../model/model';
import { walkTemplate } from '../../model/walk';

/** A function of the component's own, which cannot be sent to the browser; one that is marked for the server can. */
export function ownFunction({ facts }: Component, binding: Binding): boolean {
  const isOwn = (action: number | undefined): boolean => action !== undefined && facts.actions[action]?.onServer !== true;
  if (binding.markup) return false;
  if (binding.action !== undefined) return isOwn(binding.action);
  const [only, ...more] = binding.readings;
  const value = only && facts.values[only.value];
  return more.length === 0 && only?.how === 'same' && only.path.length === 0 && value?.kind === 'function' && isOwn(value.action);
}

/** Whether a component does anything when people do something. */
export const isInteractive = ({ facts }: Component): boolean => {
  let found = false;
  walkTemplate(facts.template, (node) => {
    if (node.kind !== 'element') return;
    for (const { to, action, readings } of node.bindings)
      if (to.kind === 'listener' && (action !== undefined || readings.length > 0)) found = true;
  });
  return found;
};
