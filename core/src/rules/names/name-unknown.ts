import { nearest } from '../../contract';
import type { NameFact } from '../../model/facts';
import { causeOfName } from '../precedence';
import type { Component } from '../../model/model';
import { contains, locate, type Location, type Span } from '../../model/span';
import { walkTemplate } from '../../model/walk';

import type { Found, Rule } from '../rule';

/** The listener that a stretch of markup belongs to; undefined for what is shown or given. */
function listenerAt(component: Component, span: Span): string | undefined {
  let found: string | undefined;
  walkTemplate(component.facts.template, (node) => {
    if (node.kind !== 'element' && node.kind !== 'use') return;
    for (const binding of node.bindings) if (binding.direction === 'out' && contains(binding.span, span)) found = binding.written;
  });
  return found;
}

function undeclaredNames(rule: 'name-unknown' | 'handler-missing'): Rule {
  return {
    inProject: ({ model }) => {
      const asked = [...model.components.values()].filter((one) => one.fileRole === 'source' && one.facts.undeclared);
      if (asked.length === 0) return [];
      return asked.flatMap((component) => {
        const { facts } = component;
        const own = [...new Set(facts.values.map((value) => value.name))];
        return (facts.undeclared ?? []).flatMap(({ name, span }): Found[] => {
          const listener = listenerAt(component, span);
          if ((listener === undefined) !== (rule === 'name-unknown')) return [];
          const at = locate(component.file, span);
          const near = nearest(name, own);
          const meant = facts.values.find((value) => value.name === near);
          return [
            {
              rule,
              component: component.id,
              subject: name,
              causes: [causeOfName({ file: component.file, end: span.end })],
              at,
              words: { component: component.name, name, near: near ?? '', listener: listener ?? '' },
              evidence: [
                { at, text: listener === undefined ? `The markup reads ${name}.` : `${listener} is given ${name}.` },
                ...(meant ? [{ at: locate(component.file, meant.span), text: `${meant.name} is declared here.` }] : []),
              ],
              ...(near === undefined ? {} : { edits: [{ ...at, was: name, text: near }] }),
              touches: component.id,
            },
          ];
        });
      });
    },
  };
}

/** Markup reads a name that nothing declares. */
export const nameUnknown = undeclaredNames('name-unknown');

/** Handlers that are called where they stand, so that what runs later is nothing. */
function calledHandlers(component: Component): Found[] {
  const found: Found[] = [];
  walkTemplate(component.facts.template, (node) => {
    if (node.kind !== 'element' && node.kind !== 'use') return;
    for (const { called, written: listener, span } of node.bindings) {
      if (!called) continue;
      const at = locate(component.file, called.span);
      found.push({
        rule: 'handler-missing',
        component: component.id,
        subject: called.name,
        at,
        words: { component: component.name, name: called.name, near: '', listener, called: 'yes' },
        evidence: [
          { at, text: `${called.name} is called here, while the markup is made.` },
          { at: locate(component.file, span), text: `${listener} is given what it returns: nothing.` },
        ],
        ...(called.span.end > called.span.start ? handedOver(component.file, called) : {}),
        touches: component.id,
      });
    }
  });
  return found;
}

/** The call as a function that makes it: `close()` → `() => close()`. */
function handedOver(file: Location['file'], { span }: NameFact): Pick<Found, 'edits'> {
  return { edits: [{ file, start: span.start, end: span.start, was: '', text: '() => ' }] };
}

const missing = undeclaredNames('handler-missing');

/** Markup names a handler that does not exist, or calls one instead of handing it over. */
export const handlerMissing: Rule = { ...missing, inComponent: calledHandlers };
