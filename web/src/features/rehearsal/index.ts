export { Rehearse } from './parts/Rehearse';
export { useEndRehearsal, useOpenRehearsals, type OpenRehearsal } from './queries';
