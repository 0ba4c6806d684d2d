import type { EventEntry, PlaceCard, PropEntry, TakeEntry } from '@liana/core';

/** Who placed a component and who owns it, how often and when it is there. */
export function placedWords(card: PlaceCard): string {
  const parts: string[] = [];
  if (!card.parent) parts.push(card.owner ? `Owned by ${card.owner.name}.` : 'The page starts here.');
  else if (!card.owner) parts.push(`Placed in ${card.parent.name}; the module itself owns it.`);
  else if (card.owner.place === card.parent.place) parts.push(`Placed by ${card.owner.name}, which also owns it.`);
  else parts.push(`Owned by ${card.owner.name}, which passes its props. Placed in ${card.parent.name}.`);
  if (card.slot)
    parts.push(`It stands in the ${card.slot.name === 'children' ? 'children' : `slot ${card.slot.name}`} of ${card.slot.of}.`);
  if (card.repeats.length > 0) parts.push(`Rendered once for each ${card.repeats.join(' of each ')}.`);
  if (card.branches.length > 0) parts.push(`Only if ${card.branches.join(', and if ')}.`);
  if (card.half) parts.push(halfWords(card.half));
  if (card.module) parts.push(moduleWords(card.module));
  if (card.places > 1) parts.push(`It stands at ${card.places} places on this page.`);
  return parts.join(' ');
}

/** Which module of the framework declares a component, and for whom. */
const moduleWords = ({ name, offers }: NonNullable<PlaceCard['module']>): string =>
  offers ? `Declared in ${name}, which hands it to whatever brings that in.` : `Declared in ${name}, which keeps it to itself.`;

/** Where a component runs, on a page that a server makes. */
function halfWords(half: NonNullable<PlaceCard['half']>): string {
  switch (half.runs) {
    case 'server':
      return half.scripts
        ? 'It is made on the server; what its scripts do, they do in the browser.'
        : 'It is made on the server; nothing of it runs in the browser.';
    case 'unstarted':
      return 'It is made on the server, and nothing starts it in the browser.';
    case 'browser':
      return `It is made in the browser alone (${half.by}).`;
    case 'both':
      return `It is made on the server, and runs in the browser once it is started (${half.by}).`;
  }
}

function hopWords(hops: number): string {
  return hops === 1 ? '1 component up' : `${hops} components up`;
}

/** Where a prop's value comes from at this place. */
export function propWords(prop: PropEntry): string {
  const declared =
    prop.required === 'yes' ? '' : prop.fallback === undefined ? (prop.required === 'no' ? 'optional' : '') : `optional, ${prop.fallback}`;
  if (prop.from)
    return `from ${prop.from.name} of ${prop.from.home}, ${hopWords(prop.from.hops)}${prop.from.renamed ? ', under another name' : ''}`;
  switch (prop.given?.what) {
    case 'constant':
      return 'a constant';
    case 'markup':
    case 'content':
      return 'markup';
    case 'spread':
      return 'may come with a spread';
    case 'value':
      return 'passed';
    default:
      return [declared, prop.required === 'yes' ? 'required, and not passed' : 'not passed here'].filter(Boolean).join('; ');
  }
}

/** Whether an event is raised and heard. */
export function eventWords(event: EventEntry): string {
  const raised = event.raised.length > 0 ? 'raised here' : 'handed on';
  return `${raised}, ${event.heard ? 'heard by its owner' : 'nobody listens'}`;
}

/** Who answers a taken context at this place. */
export function takeWords(take: TakeEntry): string {
  const through = take.via.length > 0 ? `, through ${take.via.join(' and ')}` : '';
  if (take.provider === undefined) return `no provider is above${through}`;
  return take.provider === 'above the page' ? `provided above the page${through}` : `provided by ${take.provider.name}${through}`;
}
