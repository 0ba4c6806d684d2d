export { leaving, strandsOf, type Strands } from './views/strands';
export { type BodyIndex, indexBody, type Sink } from './graph/sinks';
export { orderColumns } from './views/columns';
export { placeCard, type EventEntry, type PlaceCard, type PlaceRef, type PropEntry, type RenderEntry, type TakeEntry } from './views/card';
export { type Frame } from './graph/frames';
export { type Graph, makeGraph, type Spot, valueNamed, valueOf } from './graph/graph';
export { makeFlowQueries } from './steps/make-queries';
export type { Caller, Run, FlowQueries, Writer } from './steps/queries';
export { type Ending, endings, type StepKind, stepKinds } from './steps/step';
export type { Rung } from './views/ladder';
export { type Question, questions, type Short, type Trace, traceOf } from './views/trace';
export { isListenerId, type Listener, listenerAt, listenerId, listenerOf, listenersOf, listenerSubject } from './views/listener';
export { whatHappens } from './views/happens';
export { type Derivation, derivationOf, type DerivesRow, type DerivesStrand, type RowGroup, rowGroups } from './views/derives';
export { derivationText, groupWords } from './views/derives/text';
export { stepWord } from './views/derives/words';
export type { LinkHow } from './views/derives/links';
export { type Impact, impactOf } from './views/impact';
export { type Answer, type Asked, whoAnswers } from './views/answers';
export {
  bodyOf,
  fileOfSubject,
  isBodyId,
  spotAt,
  spotOf,
  type Subject,
  type SubjectId,
  subjectId,
  type SubjectKind,
  subjectOf,
} from './views/subject';
export { rungText } from './views/rung-text';
export { commonOwner } from './views/owner';
export { ladderLines, type LadderLine, type LaneMarks } from './views/fans';
export { questionWords, subjectWords, traceText } from './views/trace-text';
export { makeToldNames } from './graph/told-names';
export { carrierOf, channelKeys, channelsOf, elementsOf, type Hearer, reaches, type Sender } from './steps/channels';
export { runsOnHearing } from './steps/forward';
export { eventNames, type Naming, uncalled } from './steps/event-names';
export { asTaken, isPutTogether, nameInModule, heldIn } from './graph/stores';
export { contextName } from './views/strands/contexts';
export {
  framesAt,
  isNamed,
  type NamedValue,
  namesIn,
  parseNamedValue,
  placesNamed,
  spotsNamed,
  spotsOfFile,
  namesTaken,
  takesNamed,
} from './views/named';
