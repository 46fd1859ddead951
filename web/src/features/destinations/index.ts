export { AgreementPage } from './parts/AgreementPage';
export { Destinations } from './parts/Destinations';
export { OutsideNotes } from './parts/OutsideNotes';
export { RuleLinks } from './parts/RuleLinks';
export { WaitsFor } from './parts/WaitsFor';
export { endingSoon, isAt, isHeldFor, saidInWords, waitedFor, waitedForNow } from './model';
export { useDestinations } from './queries';
