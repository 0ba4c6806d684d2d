export { type Reach, reachOf } from './reach';
export { unfold, placesLimit } from './unfold';
export { comesBy, comesByRoot, eventPath, type Heard, heardAt, heardName, isHost, type Passed } from './hosts';
export { ancestors, isBounded, owners, providerFor, type Resolution, resolve, scopesAround, scopesFor } from './scopes';
export { conditionOf } from './condition';
export { type Half, halfOf, scriptsOf } from './half';
export { placePaths } from './path';
export { type Standing, type Standings, standingsOf } from './standings';
