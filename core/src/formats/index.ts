export {
  type ComparisonEntry,
  comparedWords,
  comparisonEntry,
  comparisonMarkdown,
  comparisonSarif,
  comparisonSummary,
  comparisonText,
  contractWords,
  whatIfText,
} from './comparison';
export { helpMarkdown } from './help';
export { type Decisions, decisionsDocument, type DecisionsDocument, parseDecisions } from './decisions';
export { parsePlan, type PlanDocument, planDocument } from './plan-document';
export { nodeWords, planDot, planMarkdown, planMermaid } from './plan-text';
export { type FindingEntry, findingEntries, findingsCsv, findingsJson, findingsMarkdown, findingsSarif, ruleTitle } from './findings';
export {
  type FailOn,
  failOns,
  type FindingFormat,
  findingFormats,
  parseBaseline,
  parseSettings,
  type Settings,
  settingsFile,
} from './settings';
export { type LineOf, makeLineOf } from './lines';
export { type PlaceEntry, type TreeEntry, treeEntry, treeText } from './trees';
export {
  type Answered,
  type Ask,
  asks,
  makeTraceWriter,
  parseQuestion,
  type RungEntry,
  type TraceEntry,
  type TraceWriter,
  type Unasked,
} from './traces';
