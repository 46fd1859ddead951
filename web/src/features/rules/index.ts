export { Course } from './parts/Course';
export { withRules, type Rule, type RuleBook } from './model';
export { useRuleBook, useSaveRuleBook } from './queries';
