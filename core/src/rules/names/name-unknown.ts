import { isGiven, nearest } from '../../contract';
import type { Binding, GivenCall, NameFact } from '../../model/facts';
import { causeOfName } from '../precedence';
import type { Component, Model } from '../../model/model';
import { contains, type FilePath, locate, type Location, type Span } from '../../model/span';
import { walkTemplate } from '../../model/walk';

import { type MemberKey, propKey } from '../../model/member';
import { bindingKey } from '../../model/given';
import type { Check, Found, Rule } from '../rule';
import { allUses } from '../shared/all-uses';
import { lostLookUps } from './look-ups';

/** Between the name of a listener and what is written for it stand at most these: `)="`, and behind it `"`, `}`. */
const [between, behind] = [4, 2];

/** A name is all that is written for a listener, between its marks. */
const isWhole = ({ span: all, nameSpan }: Binding, { start, end }: Span): boolean =>
  start - nameSpan.end <= between && all.end - end <= behind;

/** The listener for which a name is called, or is all that is written; undefined for what is shown, given or only used there. */
function listenerAt(component: Component, { span, ofCall }: Pick<NameFact, 'span' | 'ofCall'>): string | undefined {
  let found: string | undefined;
  walkTemplate(component.facts.template, (node) => {
    if (node.kind !== 'element' && node.kind !== 'use') return;
    for (const binding of node.bindings)
      if (binding.direction === 'out' && !binding.isUp && contains(binding.span, span) && (ofCall || isWhole(binding, span)))
        found = binding.written;
  });
  return found;
}

/** Names that are mixed into what stands in a file; undefined where not all that is mixed in can be seen. */
function mixedIn(model: Model, file: FilePath, mixins: readonly string[], depth = 4): ReadonlySet<string> | undefined {
  const names = new Set<string>();
  for (const one of mixins) {
    const meant = model.named(file, one);
    const mixin = meant.kind === 'component' ? model.components.get(meant.id) : undefined;
    const mixable =
      meant.kind === 'value' || meant.kind === 'hook'
        ? model.files.get(meant.file)?.mixables?.find(({ name }) => name === (meant.kind === 'hook' ? meant.fact.name : meant.name))
        : undefined;
    const within = mixin?.file ?? (meant.kind === 'value' || meant.kind === 'hook' ? meant.file : undefined);
    // What is open though nothing is mixed into it has members that its text does not tell.
    const isSeen =
      mixable !== undefined || (mixin !== undefined && (mixin.contract.openness !== 'open' || mixin.facts.mixins !== undefined));
    const further =
      isSeen && within !== undefined && depth > 0 ? mixedIn(model, within, (mixable ?? mixin?.facts)?.mixins ?? [], depth - 1) : undefined;
    if (!further) return undefined;
    for (const name of mixable?.members ?? []) names.add(name);
    for (const { name } of mixin?.facts.values ?? []) names.add(name);
    for (const { name } of mixin?.contract.members.values() ?? []) names.add(name);
    for (const name of further) names.add(name);
  }
  return names;
}

/** Some use gives a component what it has not by itself, or may: not all uses are known. */
function isGivenSomewhere(check: Check, component: Component, name: string): boolean {
  const uses = allUses(check, component);
  return !uses || uses.some((known) => isGiven(known, propKey(name)));
}

/** So many names that nothing declares are no slip: something that cannot be seen gives them. */
const mostSlips = 5;

/** Whether more of the names that a component reads are declared nowhere than are declared, and these are many. */
function comesFromElsewhere({ facts }: Component): boolean {
  const unknown = new Set((facts.undeclared ?? []).filter(({ asks }) => asks === undefined).map(({ name }) => name));
  return unknown.size > mostSlips && unknown.size > facts.values.length;
}

function undeclaredNames(rule: 'name-unknown' | 'handler-missing'): Rule {
  return {
    inProject: (check) => {
      const { model } = check;
      const asked = [...model.components.values()].filter((one) => one.fileRole === 'source' && one.facts.undeclared);
      if (asked.length === 0) return [];
      const everywhere = new Set([...model.files.values()].flatMap(({ globalNames = [] }) => globalNames));
      return asked.flatMap((component) => {
        const { facts } = component;
        const own = [...new Set(facts.values.map((value) => value.name))];
        const mixed = mixedIn(model, component.file, facts.mixins ?? []);
        if (comesFromElsewhere(component)) return [];
        const found = (facts.undeclared ?? []).flatMap(
          ({ name, span, ofMember, ofCall, ofSelf, mayBeGiven, listener: added, hidden, asks }): Found[] => {
            if (mayBeGiven && (rule === 'name-unknown' || isGivenSomewhere(check, component, name))) return [];
            if (mixed === undefined || mixed.has(name) || everywhere.has(name)) return [];
            const listener = ofMember ? undefined : (added ?? listenerAt(component, { span, ...(ofCall ? { ofCall } : {}) }));
            if ((listener === undefined) !== (rule === 'name-unknown')) return [];
            const at = locate(component.file, span);
            const near = hidden === 'module' ? undefined : nearest(name, own);
            const meant = facts.values.find((value) => value.name === near);
            return [
              {
                rule,
                component: component.id,
                subject: name,
                causes: [causeOfName({ file: component.file, end: span.end })],
                at,
                words: {
                  component: component.name,
                  name,
                  near: near ?? '',
                  listener: listener ?? '',
                  silent: ofSelf ? 'yes' : '',
                  throws: ofMember ? 'reading from it' : ofCall ? 'calling it' : '',
                  hidden: hidden ?? '',
                  ...(asks === undefined ? {} : { how: 'asked-with', asks }),
                },
                evidence: [
                  {
                    at,
                    text:
                      asks !== undefined
                        ? `${asks} is asked with ${name}.`
                        : listener === undefined
                          ? `The markup reads ${name}.`
                          : `${listener} is given ${name}.`,
                  },
                  ...(meant ? [{ at: locate(component.file, meant.span), text: `${meant.name} is declared here.` }] : []),
                ],
                ...(near === undefined ? {} : { edits: [{ ...at, was: name, text: near }] }),
                touches: component.id,
              },
            ];
          },
        );
        return oneForEachName(found);
      });
    },
  };
}

/** So many places of one name are shown. */
const mostShown = 10;

/** A name that is read at several places is one thing to mend: told once, of the place where it does most harm first. */
function oneForEachName(found: readonly Found[]): Found[] {
  const byName = new Map<string, Found[]>();
  for (const one of found) byName.set(one.subject, [...(byName.get(one.subject) ?? []), one]);
  return [...byName.values()].flatMap((all): Found[] => {
    const worst = all.find(({ words }) => words['throws'] !== '') ?? all[0];
    if (!worst) return [];
    const [read, ...declared] = worst.evidence;
    const others = all.flatMap((one) => (one === worst ? [] : one.evidence.slice(0, 1))).slice(0, mostShown - 1);
    return [
      {
        ...worst,
        causes: all.flatMap(({ causes = [] }) => causes),
        evidence: [...(read ? [read] : []), ...others, ...declared],
        ...(worst.edits ? { edits: all.flatMap(({ edits = [] }) => edits) } : {}),
      },
    ];
  });
}

/** Markup reads a name that nothing declares. */
const unknown = undeclaredNames('name-unknown');

/** Markup reads a name that nothing declares, or a script asks the page for an element that it has not. */
export const nameUnknown: Rule = { inProject: (check) => [...(unknown.inProject?.(check) ?? []), ...lostLookUps(check)] };

/** Handlers that are called where they stand, so that what runs later is nothing. */
function calledHandlers(component: Component): Found[] {
  const found: Found[] = [];
  walkTemplate(component.facts.template, (node) => {
    if (node.kind !== 'element' && node.kind !== 'use') return;
    for (const { called, written: listener, span } of node.bindings) {
      if (called) found.push(calledAt(component, called, listener, span));
    }
    for (const { uncalled, written: listener, span } of node.bindings)
      if (uncalled) found.push(uncalledAt(component, uncalled, listener, span));
  });
  return found;
}

/** A listener names a function that it should call. */
function uncalledAt(component: Component, uncalled: NameFact, listener: string, given: Span): Found {
  const at = locate(component.file, uncalled.span);
  return {
    rule: 'handler-missing',
    component: component.id,
    subject: uncalled.name,
    at,
    words: { component: component.name, name: uncalled.name, near: '', listener, uncalled: 'yes' },
    evidence: [
      { at, text: `${uncalled.name} is named here, and not called.` },
      { at: locate(component.file, given), text: `${listener} runs what is written for it, which does nothing.` },
    ],
    edits: [{ ...at, start: at.end, was: '', text: '()' }],
    touches: component.id,
  };
}

function calledAt(component: Component, called: NameFact, listener: string, given: Span): Found {
  const at = locate(component.file, called.span);
  return {
    rule: 'handler-missing',
    component: component.id,
    subject: called.name,
    at,
    words: { component: component.name, name: called.name, near: '', listener, called: 'yes' },
    evidence: [
      { at, text: `${called.name} is called here, while the markup is made.` },
      { at: locate(component.file, given), text: `${listener} is given what it returns, which is no function.` },
    ],
    ...(called.span.end > called.span.start ? handedOver(component.file, called) : {}),
    touches: component.id,
  };
}

/** Whether what a call gives is nothing, as the file tells in which the function stands. */
function isForNothing(model: Model, { facts, file }: Component, { value, path }: GivenCall): boolean {
  const held = facts.values[value];
  if (held?.kind === 'function') return path.length === 0 && facts.actions[held.action ?? -1]?.givesNothing === true;
  const meant =
    held?.source === undefined ? undefined : model.named(file, held.kind === 'hook' ? held.source : [held.source, ...path].join('.'));
  // A member of a function is another one: `rate.bind`.
  if (meant?.kind === 'value' && held?.kind === 'module' && path.length > 0 && meant.name === held.source) return false;
  if (meant?.kind === 'value') return model.files.get(meant.file)?.voids?.includes(meant.name) ?? false;
  if (meant?.kind !== 'hook' || path.length !== 1) return false;
  const { values, actions, returns } = meant.fact;
  const given = returns.filter((one) => one.held?.at[0] === path[0]);
  return given.length > 0 && given.every((one) => actions[values[one.value]?.action ?? -1]?.givesNothing);
}

/** A member takes a function and nothing else. */
function takesFunction({ contract }: Component, key: MemberKey): boolean {
  const member = contract.members.get(key);
  return member?.kind === 'callback' || (member?.kinds?.size === 1 && member.kinds.has('function'));
}

/** Functions of other files that are called where a function should be given, while they give nothing. */
function calledElsewhere({ model }: Check): Found[] {
  return [...model.components.values()].flatMap((component) => {
    if (component.fileRole !== 'source') return [];
    const found: Found[] = [];
    walkTemplate(component.facts.template, (node) => {
      if (node.kind !== 'element' && node.kind !== 'use') return;
      const target = node.kind === 'use' ? model.useOfNode.get(node)?.target : undefined;
      const used = target?.kind === 'component' ? model.components.get(target.id) : undefined;
      for (const binding of node.bindings) {
        const { call, called, to, written: listener, span } = binding;
        const key = bindingKey(binding);
        const wantsFunction = to.kind === 'listener' || (key !== undefined && used !== undefined && takesFunction(used, key));
        if (!call || called || !wantsFunction || !isForNothing(model, component, call)) continue;
        found.push(calledAt(component, call, listener, span));
      }
    });
    return found;
  });
}

/** The call as a function that makes it: `close()` → `() => close()`. */
function handedOver(file: Location['file'], { span }: NameFact): Pick<Found, 'edits'> {
  return { edits: [{ file, start: span.start, end: span.start, was: '', text: '() => ' }] };
}

const missing = undeclaredNames('handler-missing');

/** Markup names a handler that does not exist, or calls one instead of handing it over. */
export const handlerMissing: Rule = {
  inComponent: calledHandlers,
  inProject: (check) => [...(missing.inProject?.(check) ?? []), ...calledElsewhere(check)],
};
