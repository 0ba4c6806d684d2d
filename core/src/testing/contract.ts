import type { ComponentFacts, PropFact } from '../model/facts';

const kinds: Readonly<Record<PropFact['kind'], string>> = { value: '', callback: '()', 'two-way': '<>', slot: '{}' };
const required: Readonly<Record<PropFact['required'], string>> = { yes: '!', no: '', unknown: '?' };

/** A contract on one line: `a!, b=1, @go(), #row{} : native`; `!` is required, `?` not known to be, `<>` goes both ways. */
export function contractLine(facts: ComponentFacts): string {
  const props = facts.props.map(
    (prop) => `${prop.name}${kinds[prop.kind]}${required[prop.required]}${prop.fallback === undefined ? '' : `=${prop.fallback}`}`,
  );
  return `${props.join(', ')} : ${facts.openness}${facts.through.length > 0 ? ` ${facts.through.join(' ')}` : ''}`;
}
