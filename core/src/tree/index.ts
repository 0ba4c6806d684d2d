export { type Reach, reachOf } from './reach';
export { unfold, placesLimit } from './unfold';
export { providerFor, ancestors } from './ancestry';
export { conditionOf } from './condition';
export { placePaths } from './path';
export { type Standing, type Standings, standingsOf } from './standings';
