export { parsePlan, type PlanDocument, planDocument } from './plan-document';
export { nodeWords, planDot, planMarkdown, planMermaid } from './plan-text';
