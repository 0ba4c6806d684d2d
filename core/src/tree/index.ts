export { unfold, placesLimit } from './unfold';
export { providerFor, ancestors } from './ancestry';
export { conditionOf } from './condition';
export { placePaths } from './path';
