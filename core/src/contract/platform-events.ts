import type { Traits } from '../frameworks/traits';
import type { Travel } from '../model/facts';

/** Events that the platform raises for one element alone. */
const still: ReadonlySet<string> = new Set(
  (
    'abort beforetoggle blur cancel canplay canplaythrough close cuechange durationchange emptied ended error focus invalid load loadeddata ' +
    'loadedmetadata loadstart mouseenter mouseleave pause play playing pointerenter pointerleave progress ratechange resize scroll scrollend seeked ' +
    'seeking stalled suspend timeupdate toggle volumechange waiting'
  ).split(' '),
);

const ofFocus: ReadonlySet<string> = new Set(['focus', 'blur']);

/** How far an event goes that the platform raises on an element, as the listeners of a framework hear it. */
export function platformTravel(event: string, { focusBubbles }: Traits): Travel {
  return { bubbles: !still.has(event) || (focusBubbles && ofFocus.has(event)), composed: true };
}
