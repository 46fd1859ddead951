export { CriterionCard } from './parts/CriterionCard';
export { ValueChips } from './parts/ValueChips';
export {
  emptyTest,
  inBrief,
  isTest,
  item,
  meant,
  type Criterion,
  type Item,
  type Test,
  withValues,
} from './model';
