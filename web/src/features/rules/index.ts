export { RuleList } from './parts/RuleList';
export { Stream } from './parts/Stream';
export { FIRST, releaseInWords, repliesWait } from './release';
export { happeningOf, stream, switched, withRules, type Rule, type RuleBook } from './model';
export { useSaving } from './acts';
export { NotSaved } from './parts/NotSaved';
export { useCourseFigures, useHistory, useReview, useRuleBook, useSaveRuleBook } from './queries';
