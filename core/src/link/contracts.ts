import type { LinkConventions } from '../frameworks/adapter';
import { adapterOf } from '../frameworks/registry';
import type { ComponentFacts, FileFacts, MemberFact } from '../model/facts';
import { type MemberKey, memberName } from '../model/member';
import type { Contract, ContractMember, ContractVariant } from '../model/model';
import { type FilePath, locate } from '../model/span';
import type { TypeExpr } from '../model/types';
import type { Writable } from '../model/writable';
import { kindsOf } from './kinds';
import type { Names } from './names';
import { type Shape, shapeOf } from './shapes';

/** Answers the contract of each component; contracts that need others' ask for them in turn. */
export type Contracts = { readonly of: (file: FilePath, facts: ComponentFacts) => Contract };

/** Makes the answers. A contract that depends on itself is open. */
export function makeContracts(files: ReadonlyMap<FilePath, Pick<FileFacts, 'framework'>>, names: Names): Contracts {
  const known = new Map<ComponentFacts, Contract>();
  const linkOf = (file: FilePath): LinkConventions => adapterOf(files.get(file)?.framework ?? 'script').link;
  const open: Contract = { members: new Map(), openness: 'open' };

  function of(file: FilePath, facts: ComponentFacts): Contract {
    const found = known.get(facts);
    if (found) return found;
    known.set(facts, open);
    const contract = compute(file, facts);
    known.set(facts, contract);
    return contract;
  }

  function ofName(file: FilePath, name: string): Contract | undefined {
    const meant = names.meant(file, name);
    if (meant.kind !== 'component') return undefined;
    return meant.wrapped ? { ...of(meant.file, meant.facts), openness: 'open' } : of(meant.file, meant.facts);
  }

  function shapeOfComponent(file: FilePath, name: string): Shape | undefined {
    const contract = ofName(file, name);
    if (!contract) return undefined;
    const members = [...contract.members.values()].map((prop) => ({
      name: prop.name,
      optional: prop.required !== 'yes',
      type: { kind: 'unknown' } as TypeExpr,
      file: prop.declared.file,
      span: prop.declared,
    }));
    return { members: new Map(members.map((member) => [member.name, member])), openness: contract.openness };
  }

  function compute(file: FilePath, facts: ComponentFacts): Contract {
    const taken = new Map(facts.members.map((prop): [MemberKey, ContractMember] => [prop.key, takenProp(names, file, prop)]));
    const { memberOfEvent } = linkOf(file);
    const events = facts.eventsType && shapeOf(names, shapeOfComponent, file, facts.eventsType);
    for (const { name, file: there, span } of events?.members.values() ?? []) {
      const key = memberOfEvent(name);
      if (taken.has(key)) continue;
      taken.set(key, { key, name: memberName(key), kind: 'callback', required: 'no', declared: locate(there, span), taken: false });
    }
    const contract = withDeclared(file, facts, taken);
    // What the type may declare beside these cannot be told.
    return events && events.openness !== 'closed' ? { ...contract, openness: 'open' } : contract;
  }

  /** What a component takes, with what the type of its props declares. */
  function withDeclared(file: FilePath, facts: ComponentFacts, taken: Map<MemberKey, ContractMember>): Contract {
    // Without a declared type the body alone tells; a rest spread on others takes what they take.
    if (!facts.propsType) return withRest(file, facts, taken, 'closed');
    const link = linkOf(file);
    const at: Declaring = { names, link, file, facts };
    const shape = shapeOf(names, shapeOfComponent, file, facts.propsType);
    const props = declaredMembers(at, taken, shape);
    const variants = shape.variants?.map(({ by, value, shape: one }): ContractVariant => ({
      by: link.memberOfProp(by),
      value,
      members: declaredMembers(at, new Map(), one),
    }));
    const contract = withShape(file, facts, props, shape);
    return variants ? { ...contract, variants } : contract;
  }

  function withShape(file: FilePath, facts: ComponentFacts, props: Map<MemberKey, ContractMember>, shape: Shape): Contract {
    if (facts.form === 'file') return withRest(file, facts, props, shape.openness);
    // A wrapper may take more, and so may what a class inherits from, or hands all of its props on to.
    const mayAdd = facts.wrappedBy.length > 0 || (facts.form === 'class' && facts.openness === 'open');
    return { members: props, openness: mayAdd ? 'open' : shape.openness };
  }

  /** What is not declared goes on to others, which may take it. */
  function withRest(
    file: FilePath,
    facts: ComponentFacts,
    taken: Map<MemberKey, ContractMember>,
    declared: Contract['openness'],
  ): Contract {
    if (declared === 'open') return { members: taken, openness: 'open' };
    if (facts.openness === 'closed') return { members: taken, openness: declared };
    if (facts.openness !== 'through') return { members: taken, openness: facts.openness };
    const props = new Map(taken);
    let openness: Contract['openness'] = 'closed';
    for (const name of facts.through) {
      const target = ofName(file, name);
      if (!target || target.openness === 'open') return { members: taken, openness: 'open' };
      if (target.openness === 'platform') openness = 'platform';
      for (const [prop, declared] of target.members)
        if (!props.has(prop)) props.set(prop, { ...declared, taken: false, required: 'unknown' });
    }
    return { members: props, openness };
  }

  return { of };
}

/** A component that declares what it takes, and the conventions of its framework. */
type Declaring = { readonly names: Names; readonly link: LinkConventions; readonly file: FilePath; readonly facts: ComponentFacts };

/** What is taken, with the members of a shape. */
function declaredMembers(
  { names, link, file, facts }: Declaring,
  taken: ReadonlyMap<MemberKey, ContractMember>,
  shape: Shape,
): Map<MemberKey, ContractMember> {
  const { memberOfProp, kindOfProp } = link;
  const props = new Map(taken);
  for (const member of shape.members.values()) {
    if (member.called || member.name === 'key' || member.name === 'ref') continue;
    const key = memberOfProp(member.name);
    const own = taken.get(key);
    const prop: Writable<ContractMember> = {
      key,
      name: own?.name ?? member.name,
      kind: own && own.kind !== 'value' ? own.kind : kindOfProp(member.name, member.type),
      required: member.optional || own?.fallback !== undefined ? 'no' : 'yes',
      declared: member.span.end > 0 ? locate(member.file, member.span) : (own?.declared ?? locate(file, facts.nameSpan)),
      taken: own !== undefined,
    };
    if (own?.fallback !== undefined) prop.fallback = own.fallback;
    if (member.mixed || member.some) prop.mixed = true;
    const kinds = member.mixed || member.bound ? undefined : kindsOf(names, member.type, { file: member.file });
    if (kinds) prop.kinds = kinds;
    props.set(key, prop);
  }
  return props;
}

function takenProp(names: Names, file: FilePath, fact: MemberFact): ContractMember {
  const prop: Writable<ContractMember> = {
    key: fact.key,
    name: fact.name,
    kind: fact.kind,
    required: fact.required,
    declared: locate(file, fact.span),
    taken: true,
  };
  if (fact.fallback !== undefined) prop.fallback = fact.fallback;
  const kinds = fact.type && kindsOf(names, fact.type, { file });
  if (kinds) prop.kinds = kinds;
  return prop;
}
