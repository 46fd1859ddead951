import { describe, expect, it } from 'vitest';
import { releasedWith } from './release';

describe('when something goes out', () => {
  it('is one thing alone: hours take the place of minutes, and a plain release that of hours', () => {
    const later = { do: 'redirect' as const, to: ['noor@ostrel-gardens.example'], afterMinutes: 10 };
    const byHours = releasedWith(later, { hours: 'Ticket desk' });
    expect(byHours).toEqual({ do: 'redirect', to: later.to, release: 'at opening', of: 'Ticket desk' });
    expect(releasedWith(byHours, 'at opening')).toEqual({
      do: 'redirect',
      to: later.to,
      release: 'at opening',
    });
    expect(releasedWith(byHours, 'at once')).toEqual({ do: 'redirect', to: later.to });
  });
});
