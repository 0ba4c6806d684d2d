import type { ComponentFacts, MemberFact } from '../../core/src/model/facts';

const kinds: Readonly<Record<MemberFact['kind'], string>> = { value: '', callback: '()', 'two-way': '<>', slot: '{}' };
const required: Readonly<Record<MemberFact['required'], string>> = { yes: '!', no: '', unknown: '?' };

/** A contract on one line: `a!, b=1, @go(), #row{} : native`; `!` is required, `?` not known to be, `<>` goes both ways. */
export function contractLine(facts: ComponentFacts): string {
  const props = facts.members.map(
    (prop) => `${prop.key}${kinds[prop.kind]}${required[prop.required]}${prop.fallback === undefined ? '' : `=${prop.fallback}`}`,
  );
  return `${props.join(', ')} : ${facts.openness}${facts.through.length > 0 ? ` ${facts.through.join(' ')}` : ''}`;
}
