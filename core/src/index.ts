export { nameOfKey } from './model/context-key';
export * from './model/facts';
export * from './model/framework';
export * from './model/finding';
export * from './model/ids';
export * from './model/lines';
export * from './model/member';
export { bindingFor, bindingKey, isListener, memberKeyOf } from './model/given';
export { messageOf } from './model/message-of';
export * from './model/model';
export * from './model/span';
export * from './model/strand';
export * from './model/tree';
export * from './model/types';
export type { ConfigFile } from './model/model';
export { walkTemplate, usesIn } from './model/walk';
export * from './triage';
export { type KnownUse, knownUses, nearest } from './contract';
export * from './fixes';
export { adapterOf, adapters, filesBeside, isReadable, loadCompilers, parseBare } from './frameworks/registry';
export { byFolder, readFile, readFiles } from './frameworks/read-file';
export { fileRole, isConfig, link, type Linked, problemsOf, relink } from './link';
export {
  ancestors,
  conditionOf,
  placePaths,
  placesLimit,
  providerFor,
  type Reach,
  reachOf,
  type Standing,
  type Standings,
  standingsOf,
  unfold,
} from './tree';
export {
  type Answer,
  type Asked,
  asTaken,
  bodyOf,
  type Derivation,
  derivationOf,
  derivationText,
  type DerivesRow,
  type DerivesStrand,
  type EventEntry,
  type Graph,
  groupWords,
  type Impact,
  isBodyId,
  isPutTogether,
  ladderLines,
  type LadderLine,
  type LaneMarks,
  type LinkHow,
  makeFlowQueries,
  nameInModule,
  orderColumns,
  placeCard,
  type PlaceCard,
  type PlaceRef,
  type PropEntry,
  type Question,
  questions,
  questionWords,
  type RenderEntry,
  type Rung,
  rowGroups,
  type RowGroup,
  rungText,
  stepWord,
  type Short,
  type Spot,
  spotAt,
  isListenerId,
  type Listener,
  listenerAt,
  listenerOf,
  listenersOf,
  listenerSubject,
  spotOf,
  whatHappens,
  fileOfSubject,
  type StepKind,
  strandsOf,
  type Strands,
  type Subject,
  type SubjectId,
  heldIn,
  subjectId,
  type SubjectKind,
  subjectOf,
  subjectWords,
  type TakeEntry,
  type Trace,
  traceOf,
  traceText,
  valueOf,
  type FlowQueries,
  whoAnswers,
} from './flow';
export * from './carve';
export { callbackName, camelCase, freeName, pascalCase, plural, singular } from './write/case';
export * from './compare';
export {
  askedMove,
  holderOf,
  type Lift,
  livesAt,
  type LivesElsewhere,
  lostWords,
  isWithin as standsIn,
  type Move,
  type OtherTrees,
  parseMove,
  providedAt,
  type ProvidedElsewhere,
  type Stand,
  standOf,
  treesOf,
  type WhatIf,
  whatIf,
  whatIfAll,
} from './what-if';
export * from './formats';
export { type Figures, figuresCsv, figuresOf, type PageFigure, perHundred, type ReuseFigure } from './figures';
export {
  comparable,
  compareCode,
  type ComparedRow,
  type Comparison,
  elementChildren,
  elementCount,
  findRepeats,
  findTwins,
  type Hole,
  type HoleKind,
  isElement,
  likeness,
  likenessOf,
  type Repeated,
  shapeOf,
  surveyOverlap,
  type TwinCluster,
  twinDefaults,
  type TwinOptions,
} from './overlap';
export { findNames, type NameHit } from './find';
export {
  catalogue,
  familyOf,
  ruleFamilies,
  type RuleFamily,
  check,
  type CheckKeep,
  type CheckOptions,
  counted,
  entryOf,
  type Entry,
  listed,
  newCheckKeep,
  pagesOfComponents,
  placesOnPage,
  type RuleId,
} from './rules';
export * from './intake';
export { type Analysis, analyse, type SourceFile } from './analyse';
