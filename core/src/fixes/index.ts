export { type Merged, type MergedProp, type MergeNames, mergeTwins } from './merge';
export { applyEdits, patchOf } from './patch';
export { proposeMoves } from './move';
export { isProposed, type Proposal, propose } from './propose';
