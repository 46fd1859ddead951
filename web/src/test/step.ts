import type { Schemas } from '../api/client';
import { said } from './said';

/** A reply that has gone out, for tests. */
export function aStep(more: Partial<Schemas['StepView']> = {}): Schemas['StepView'] {
  return {
    id: 's',
    message: 7,
    rule: 'visits',
    ruleVersion: 1,
    ruleName: 'Visits',
    kind: 'REPLY',
    done: said('replied to'),
    recipient: 'liv@birkhall-school.example',
    state: 'SENT',
    hasMail: true,
    attempts: 1,
    plannedAt: '2026-11-26T10:00:00Z',
    release: said('at once'),
    edited: false,
    mayBeEdited: false,
    mayBeUndone: false,
    acts: [],
    ...more,
  };
}
