export { strandsOf, type Strands } from './strands';
export { type BodyIndex, indexBody, type Sink } from './sinks';
export { orderColumns } from './columns';
export { bodyFlow, followValue, type BodyFlow, type Carried, type ValueFlow } from './body';
export {
  givenNames,
  isGiven,
  isPlain,
  knownUse,
  knownUses,
  type KnownUse,
  missingProps,
  unheardEvents,
  unknownBindings,
  unmetTakes,
} from './loose';
export { placeCard, type EventEntry, type PlaceCard, type PlaceRef, type PropEntry, type RenderEntry, type TakeEntry } from './card';
export { type Frame, type Graph, makeGraph, type Spot, valueNamed, valueOf } from './frames';
export { makeWays } from './ways';
export type { Caller, Run, Ways, Writer } from './way';
export { type Ending, endings, type StepKind, stepKinds } from './step';
export type { Rung } from './ladder';
export { type Question, questions, type Short, type Trace, traceOf } from './trace';
export { type Impact, impactOf } from './impact';
export { type Answer, type Asked, whoAnswers } from './answers';
export { spotAt, spotOf, type Subject, type SubjectId, subjectId, type SubjectKind, subjectOf } from './subject';
export { saysOf } from './says';
export { commonOwner } from './owner';
export { ladderLines, type LadderLine, type LaneMarks } from './fans';
export { questionWords, subjectWords, traceText } from './text';
