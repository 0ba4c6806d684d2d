export {
  givenMembers,
  isGiven,
  isPlain,
  knownUse,
  knownUses,
  type KnownUse,
  membersAt,
  missingProps,
  unknownBindings,
  unmetTakes,
} from './known-uses';
export { type Demand, demandsOf } from './demands';
export { nameGiven, type Spelt, speltBindings } from './misspelt';
export { nearest } from './near';
export { spelling } from './spelling';
