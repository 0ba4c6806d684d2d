export { applyEdits, patchOf } from './patch';
export { isProposed, type Proposal, propose } from './propose';
