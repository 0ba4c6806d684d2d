export {
  type ComparedAnswer,
  type ComparedComponent,
  type ComparedWay,
  compareProjects,
  type ProjectComparison,
  type Status,
} from './compare';
export { type ContractChange, contractChanges, type ContractRow, contractRows, type MemberWord } from './contract';
export { type CodeRow, codeRows } from './code';
export { type ComparedUser, usersOf } from './users';
export { matchComponents, type Pair, wordsShared } from './match';
export { type CodePart, codeOf, comparedIn, componentAt, type Side } from './side';
export type { Standing } from './ways';
