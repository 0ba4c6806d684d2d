export {
  type ComparedAnswer,
  type ComparedComponent,
  type ComparedWay,
  compareProjects,
  type ProjectComparison,
  type Status,
} from './compare';
export { type ContractChange, contractChanges, type MemberWord } from './contract';
export { matchComponents, type Pair, wordsShared } from './match';
export { comparedIn, componentAt, type Side, sourceOf } from './side';
export type { Standing } from './ways';
export { askedMove, type Move, parseMove, type WhatIf, whatIf } from './what-if';
