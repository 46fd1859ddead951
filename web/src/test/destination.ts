import type { Schemas } from '../api/client';

/** An address outside that was asked and has not answered, for tests; a rule that is on uses it. */
export function asked(rule: string): Schemas['DestinationView'] {
  return {
    id: 'd',
    address: 'mara@postbox.example',
    inside: false,
    state: 'ASKED',
    since: '2026-03-20T10:00:00Z',
    askedAt: '2026-03-20T10:00:01Z',
    askedBy: 'Ilse Varga',
    rules: [{ id: rule, name: 'Alarms', on: true }],
    waiting: 2,
    failures: 0,
    changes: [{ at: '2026-03-20T10:00:00Z', event: 'ASKED', who: 'Ilse Varga' }],
  };
}
