import type { ValueFact } from '../model/facts';
import { counted, listed } from '../rules';
import type { Given } from './given';

/** What a component has of a value that it holds. */
function heldAs(kind: ValueFact['kind']): string {
  switch (kind) {
    case 'state':
      return 'is state of';
    case 'ref':
      return 'is a ref of';
    case 'hook':
      return 'is what a hook gives to';
    case 'fetched':
      return 'is fetched in';
    case 'function':
    case 'setter':
      return 'is a function of';
    case 'prop':
      return 'is a prop of';
    case 'derived':
      return 'is computed in';
    default:
      return 'belongs to';
  }
}

/** What is said of a member that would be given nothing, behind its name: why, and where its value would have to live. */
export function lostWords({ of, lift }: Given['lost'][number]): string {
  if (!lift) return `would not be given${of === '' ? '' : `: ${of} is not known there`}.`;
  const { held, as, kind, lives, through, again } = lift;
  const what = as === of ? of : `${of}, there ${as},`;
  if (kind === 'context' || kind === 'store')
    return `would not be given: ${held} asks for ${as}. Whoever would write it could ask for it as well.`;
  const who = `${what} ${heldAs(kind)} ${held}`;
  if (lives === held)
    return `would not be given: ${who}, which would have to hand it down${through.length > 0 ? ` through ${listed(through)}` : ''}.`;
  const hands = through.length > 0 ? `, and ${listed(through)} would hand it on` : '';
  const more =
    again === undefined ? '' : ` At each change up to ${counted(again, 'place')} more would render, not counting what is wrapped.`;
  return `would not be given: ${who}. It would have to live in ${lives}${hands}.${more}`;
}
