import { needsByReading } from './demands';
import type { Binding, TemplateUse } from '../model/facts';
import { defaultSlot, type MemberKey, memberOf, slotKey } from '../model/member';
import { bindingFor, bindingKey } from '../model/given';
import type { Component, Contract, ContractMember, Model, Take, Use } from '../model/model';
import type { Place, Tree } from '../model/tree';
import { nearest } from './near';
import { providerFor } from '../tree';

/** A use whose component is known, as far as its bindings can be held against the contract. */
export type KnownUse = {
  readonly use: Use;
  readonly owner: Component;
  readonly target: Component;
  /** It stands in the content of something that may add props to it. */
  readonly inContentOfCloner: boolean;
  /** What the framework hands on to it, unwritten, of what its owner is given; absent where that cannot be told, or where it hands on nothing. */
  readonly falls?: ReadonlySet<MemberKey>;
};

/**
 * Uses in the application's own source whose target's contract is not hidden by a wrapper. What
 * `keep` has of an earlier model is the very same object where owner and target are; `keep` is
 * brought up to date.
 */
export function knownUses(model: Model, keep = new WeakMap<Use, KnownUse>()): KnownUse[] {
  const found: KnownUse[] = [];
  for (const uses of model.usesBy.values()) {
    for (const use of uses) {
      const kept = keep.get(use);
      const { falls } = fallen(model, use);
      if (kept && model.components.get(use.owner) === kept.owner && model.components.get(kept.target.id) === kept.target) {
        const known = isSame(falls, kept.falls) ? kept : { ...withoutFalls(kept), ...(falls ? { falls } : {}) };
        keep.set(use, known);
        found.push(known);
        continue;
      }
      const known = knownUse(model, use);
      if (!known) continue;
      keep.set(use, known);
      found.push(known);
    }
  }
  return found;
}

export function knownUse(model: Model, use: Use): KnownUse | undefined {
  if (use.target.kind !== 'component' || use.target.wrapped || use.node.asValue) return undefined;
  const owner = model.components.get(use.owner);
  const target = model.components.get(use.target.id);
  return owner && target && owner.fileRole === 'source' && target.fileRole === 'source'
    ? { use, owner, target, inContentOfCloner: mayGainProps(model, use), ...fallen(model, use) }
    : undefined;
}

function fallen(model: Model, use: Use): Pick<KnownUse, 'falls'> {
  const falls = use.node.spreads.some(({ fallsThrough }) => fallsThrough) ? fallsTo(model, use) : undefined;
  return falls ? { falls } : {};
}

const withoutFalls = ({ falls: _, ...known }: KnownUse): KnownUse => known;

const isSame = (a: ReadonlySet<MemberKey> | undefined, b: ReadonlySet<MemberKey> | undefined): boolean =>
  a === b || (a !== undefined && b?.size === a.size && [...a].every((one) => b.has(one)));

/** Who hands on to whom is followed so far. */
const mostFalls = 6;

/** What falls through to a use: all that the uses of its owner give and the owner does not declare. Undefined where they cannot all be seen. */
function fallsTo(model: Model, { owner: id }: Use, depth = mostFalls): ReadonlySet<MemberKey> | undefined {
  const owner = model.components.get(id);
  const uses = model.usesOf.get(id) ?? [];
  if (!owner || depth === 0 || owner.isPublic || owner.facts.wrappedBy.length > 0) return undefined;
  if (uses.length === 0 && !model.pages.some((page) => page.entry === id && page.above === 'known')) return undefined;
  const found = new Set<MemberKey>();
  for (const use of uses) {
    if (use.node.asValue) return undefined;
    for (const { keys, fallsThrough } of use.node.spreads) {
      const given = keys ?? (fallsThrough ? fallsTo(model, use, depth - 1) : undefined);
      if (!given) return undefined;
      for (const key of given) found.add(key);
    }
    for (const binding of use.node.bindings) {
      const key = bindingKey(binding);
      if (key !== undefined) found.add(key);
    }
  }
  for (const key of owner.contract.members.keys()) found.delete(key);
  return found;
}

/** Content of a component that clones, or of one outside that may. Outside components rarely do: those that wrap a single element in one tag. */
function mayGainProps(model: Model, use: Use): boolean {
  const { span } = use.node;
  return (model.usesBy.get(use.owner) ?? []).some((other) => {
    if (other === use || other.node.span.start > span.start || other.node.span.end < span.end) return false;
    if (other.target.kind === 'component') return model.components.get(other.target.id)?.facts.clones ?? true;
    return other.target.kind === 'outside' || other.target.kind === 'opaque'
      ? !/^(Fragment|StrictMode|Suspense|Profiler)$/.test(other.target.name) && isOnlyChild(other.node, use.node)
      : other.target.kind === 'dynamic' || other.target.kind === 'unresolved';
  });
}

function isOnlyChild(outer: TemplateUse, inner: TemplateUse): boolean {
  return (outer.children.length === 1 && outer.children[0] === inner) || outer.bindings.some((binding) => binding.markup?.includes(inner));
}

/** Tells whether all that a use gives can be seen. */
export function isPlain({ use, falls }: KnownUse): boolean {
  return use.node.spreads.every((spread) => spread.keys !== undefined || (spread.fallsThrough && falls !== undefined));
}

/** Tells whether a use gives a name; cheaper than asking for all names. */
export function isGiven({ use: { node }, falls }: KnownUse, key: MemberKey): boolean {
  if (falls?.has(key)) return true;
  if (key === defaultSlot && node.content !== 'none') return true;
  return node.bindings.some((binding) => bindingKey(binding) === key) || node.spreads.some((spread) => spread.keys?.includes(key));
}

/** The members that a use gives. */
export function givenMembers({ use: { node }, falls }: KnownUse): Set<MemberKey> {
  const given = new Set<MemberKey>(falls);
  for (const binding of node.bindings) {
    const key = bindingKey(binding);
    if (key !== undefined) given.add(key);
  }
  for (const spread of node.spreads) for (const key of spread.keys ?? []) given.add(key);
  if (node.content !== 'none') given.add(defaultSlot);
  return given;
}

/** Required props without a default that a use does not give. Silent where something may give them unseen. */
export function missingProps(known: KnownUse): ContractMember[] {
  if (!isPlain(known) || mayBeCloned(known) || known.target.contract.openness === 'open') return [];
  let missing: ContractMember[] = [];
  for (const prop of membersAt(known).values()) {
    const isNeeded = prop.required === 'yes' || needsByReading(known.target).has(prop.key);
    if (isNeeded && !isGiven(known, prop.key)) missing = [...missing, prop];
  }
  return missing;
}

/** The members of a contract as a use has them: those of the alternative that a constant of its bindings chooses. */
export function membersAt({ use, target }: KnownUse): ReadonlyMap<MemberKey, ContractMember> {
  const { members, variants = [] } = target.contract;
  const [first] = variants;
  const chosen = first && bindingFor(use.node, first.by)?.constant;
  const text = chosen === undefined ? undefined : /^(['"])(.*)\1$/.exec(chosen.trim())?.[2];
  const value = chosen === undefined ? undefined : text === undefined ? chosen.trim() : JSON.stringify(text);
  return variants.find((one) => one.value === value)?.members ?? members;
}

/** A component that clones its content may add props to it: seen where the use stands as content. */
function mayBeCloned(known: KnownUse): boolean {
  return known.owner.facts.clones || known.inContentOfCloner;
}

/** Bindings whose name the component neither declares nor lets through. */
export function unknownBindings(known: KnownUse): Binding[] {
  const { contract, facts } = known.target;
  if (contract.openness !== 'closed') return [];
  return known.use.node.bindings.filter((binding) => {
    const key = bindingKey(binding);
    if (key === undefined || key === defaultSlot || contract.members.has(key)) return false;
    if (facts.putOnRoot?.includes(binding.to.name)) return false;
    // What a router gives is written nowhere; markup under the name of a slot is content for that slot.
    if (binding.nameSpan.end === 0 || (binding.markup && contract.members.has(slotKey(binding.to.name)))) return false;
    return !isOfOthers(contract, binding.to.name);
  });
}

/** Names of another namespace are the platform's, and so are those with hyphens, unless one is clearly meant for a declared name. */
function isOfOthers({ members }: Contract, name: string): boolean {
  if (!name.includes('-') || /:|^(?:data|aria)-|^-/.test(name)) return /[-:]/.test(name);
  const names = [...members.keys()].map(memberOf).flatMap((one) => (one.kind === 'prop' ? [one.name] : []));
  return nearest(name, names) === undefined;
}

/** The callback props that a component raises and a use leaves without a listener. */
export function unheardEvents(known: KnownUse): ContractMember[] {
  if (!isPlain(known)) return [];
  const given = givenMembers(known);
  return known.target.facts.events.flatMap((event) => {
    if (event.raised.length === 0 || given.has(event.key)) return [];
    const prop = known.target.contract.members.get(event.key);
    return prop && prop.required !== 'yes' && prop.fallback === undefined ? [prop] : [];
  });
}

/** Contexts that a place takes and cannot do without, while nothing above it provides them. */
export function unmetTakes(model: Model, tree: Tree, place: Place): Take[] {
  if (place.sheltered) return [];
  const component = model.components.get(place.component);
  return (component?.consumes ?? []).filter(
    (take) => take.needed && model.contexts.get(take.context)?.fallback === 'none' && !providerFor(tree, place, take.context, take.asks),
  );
}
