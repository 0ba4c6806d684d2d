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
