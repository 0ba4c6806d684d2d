export { type Reach, reachOf } from './reach';
export { unfold, placesLimit } from './unfold';
export { comesBy, comesByRoot, eventPath, type Heard, heardAt, heardName, isHost, type Passed } from './hosts';
export { ancestors, providerFor, type Resolution, resolve, scopesAround } from './scopes';
export { conditionOf } from './condition';
export { placePaths } from './path';
export { type Standing, type Standings, standingsOf } from './standings';
