export { type Accepted, acceptedInSource } from './source-comments';
export { isMarkState, type TriageMark, type MarkState, markStates, type RuleSetting, type RuleSettings, withSettings } from './marks';
