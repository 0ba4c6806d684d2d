import { elementText } from '../../model/tag-text';
import type { Rung } from './ladder';
import type { Question } from './trace';

/** Whether a rung says what follows at a place when the value is another. */
export const isImpact = ({ by }: Rung): boolean => by === 'impact' || by === 'impact works';

/** What happens at a rung, in words; in a trace back, a name leads to the one above it. */
export function rungText(rung: Rung, question: Question = 'goes'): string {
  if (rung.ending === 'decides') return `decided by ${rung.name}`;
  if (rung.by === 'impact works' && rung.ending !== 'painted') return 'renders again, works with it';
  if (isImpact(rung)) return rung.ending === 'painted' ? 'renders again, may show something new' : 'renders again, shows nothing new';
  const before = rung.from < 0;
  const ending = endingOf(rung);
  const happens = before
    ? question === 'happens'
      ? ''
      : 'starts here'
    : ((question === 'comes' ? cameBy(rung) : undefined) ?? happensAt(rung));
  return ending === '' ? happens : happens === '' ? ending : `${happens}, ${ending}`;
}

/** The words that differ where a value is followed back. */
function cameBy(rung: Rung): string | undefined {
  const { name, was, by } = rung;
  const goesOn = rung.ending === undefined || rung.ending === 'again';
  switch (rung.kind) {
    case 'renames':
      return `renamed: ${name} → ${was}`;
    case 'narrows':
      return rung.how === 'item' ? `one item of ${name}` : `a part of ${name}`;
    case 'derives':
      return by === undefined ? `computed from ${name}` : `computed by ${by} from ${name}`;
    case 'passes':
      return by === undefined && goesOn ? `gives ${name}` : undefined;
    case 'starts':
      return goesOn ? `its first value: ${name}` : undefined;
    case 'changes':
      return goesOn ? `put in by a change: ${name}` : undefined;
    case 'raises':
      return goesOn ? `carried by an event: ${name}` : undefined;
    case 'calls':
      return goesOn ? `handed to a call: ${name}` : undefined;
    default:
      return undefined;
  }
}

function happensAt(rung: Rung): string {
  const { name, was, by } = rung;
  const named = name !== was && name !== '' && was !== '' ? `${was} → ${name}` : name;
  switch (rung.kind) {
    case 'owns':
      return rung.ending === undefined ? 'owns it' : '';
    case 'passes':
      if (by !== undefined && rung.ending === undefined) return `given to ${by}`;
      return rung.unread ? 'passes on unread' : rung.ending === undefined ? `given as ${name}` : '';
    case 'renames':
      return rung.unread ? `renamed: ${named}, passes on unread` : `renamed: ${named}`;
    case 'narrows':
      return rung.how === 'item' ? `one item at a time, as ${name}` : `a part of it, as ${name}`;
    case 'derives':
      return by === undefined ? `computed: ${name}` : `computed by ${by}`;
    case 'gives':
      return by === undefined ? `given back as ${name}` : `given by ${by} as ${name}`;
    case 'reads':
      return by === 'follows'
        ? 'starts an effect'
        : by === 'remade'
          ? 'a function is made anew'
          : by === undefined || by === ''
            ? 'read'
            : `read in ${by}`;
    case 'paints':
      return by === 'condition' ? 'decides what shows' : by === undefined ? 'painted' : `painted on ${elementText(by)}`;
    case 'starts':
      return rung.ending === 'platform' || rung.ending === 'leaves' || rung.ending === 'unknown' || rung.ending === 'uncalled'
        ? ''
        : `first value of ${name}`;
    case 'changes':
      return by === undefined || by === '' ? `changes ${name}` : `changes ${name} by ${by}`;
    case 'raises':
      return `raises ${name}`;
    case 'relays':
      return `hands it to ${name}`;
    case 'catches':
      return by === undefined || by === name ? `caught by ${name}` : `caught by ${by} as ${name}`;
    case 'calls':
      return rung.ending === undefined ? `calls ${name}` : '';
    case 'provides':
      return `provides ${name}`;
    case 'takes':
      return by === undefined ? `takes ${name}` : `takes ${by}`;
    case 'publishes':
      return `sends ${name}`;
    case 'hears':
      return by === undefined || rung.ending !== undefined ? `hears ${name}` : `hears ${name} on ${elementText(by)}`;
  }
}

function endingOf(rung: Rung): string {
  const { by, name } = rung;
  if (rung.ending === undefined) return '';
  switch (rung.ending) {
    case 'painted':
    case 'read':
      return '';
    case 'leaves':
      return by === undefined || by === '' ? 'leaves the project' : `leaves the project: ${by}`;
    case 'unheard':
      if (rung.kind !== 'publishes' || by === undefined) return 'nobody listens';
      return by === 'itself' ? 'it does not bubble, and nobody listens on it' : `it ends at the root of ${by}, and nobody before listens`;
    case 'untaken':
      return rung.kind === 'provides' ? 'nobody takes it' : 'not taken there';
    case 'ungiven':
      return rung.kind === 'takes' ? 'nothing above provides it' : 'nothing gives it';
    case 'constant':
      return by === undefined ? 'a constant' : `a constant: ${by}`;
    case 'function':
      return 'a function';
    case 'asked':
      return by === undefined ? 'comes from outside' : `comes from outside: ${by}`;
    case 'platform':
      return rung.kind === 'starts' ? startOf(rung) : `by the platform${by === undefined || by === '' ? '' : `: ${by}`}`;
    case 'default':
      return by === undefined ? 'the default' : `the default: ${by}`;
    case 'page':
      return 'given from above the page';
    case 'unknown':
      return by === undefined || by === '' ? 'cannot be followed further' : `cannot be followed further: ${by}`;
    case 'uncalled':
      return `no call of ${by ?? name} is seen on this page`;
    case 'again':
      return rung.again !== undefined && rung.again > rung.index ? 'told below' : 'seen above';
    case 'decides':
      return '';
  }
}

function startOf(rung: Rung): string {
  const { by, name } = rung;
  if (by === undefined) return `${name} of an element`;
  if (/^(while|by|after|once|when)\b/.test(by)) return `runs ${by}`;
  return `${name} on ${elementText(by)}`;
}
