export { strandsOf, type Strands } from './strands';
export { orderColumns } from './columns';
export { bodyFlow, followValue, type BodyFlow, type Carried, type ValueFlow } from './body';
export {
  givenNames,
  isGiven,
  isPlain,
  knownUse,
  knownUses,
  type KnownUse,
  missingProps,
  unheardEvents,
  unknownBindings,
  unmetTakes,
} from './loose';
export { placeCard, type EventEntry, type PlaceCard, type PlaceRef, type PropEntry, type RenderEntry, type TakeEntry } from './card';
