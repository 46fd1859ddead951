export { CriterionCard } from './parts/CriterionCard';
export { Items } from './parts/Items';
export { ValueChips } from './parts/ValueChips';
export {
  emptyGroup,
  emptyTest,
  inBrief,
  isAddress,
  isTest,
  isWords,
  item,
  meant,
  type Criterion,
  type Item,
  type Test,
  addressFault,
  withValues,
} from './model';
