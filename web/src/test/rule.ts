import type { Schemas } from '../api/client';

/** A rule for tests that is on and takes every message, in its time. */
export function ruleIn(
  active: Schemas['Rule']['active'],
  more: Partial<Schemas['Rule']> = {},
): Schemas['Rule'] {
  return {
    id: 'r',
    version: 1,
    name: 'Winter hours',
    picksOut: { everything: true },
    does: [],
    ending: 'continue',
    on: true,
    ...(active ? { active } : {}),
    ...more,
  };
}
