import '@testing-library/jest-dom/vitest';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, expect, test, vi } from 'vitest';
import { said } from '../../../../test/said';
import { ask, newDraft, type Step } from '../../model';
import type { Evidence } from '../../queries';
import { EvidencePanel } from './EvidencePanel';

// Without a layout nothing is in sight; here everything is.
vi.mock('@tanstack/react-virtual', () => ({
  useVirtualizer: ({ count }: { count: number }) => ({
    getTotalSize: () => 0,
    measure: () => {},
    getVirtualItems: () => Array.from({ length: count }, (_, index) => ({ index, start: 0 })),
  }),
}));
afterEach(cleanup);

const evidence: Evidence = {
  messages: 4212,
  counts: { picked: 42, leftOut: 3, stoppedEarlier: 0, laterRulesAct: 28, nearMiss: 7, outsideItsHours: 0 },
  weeks: [4, 6, 5],
  picksOut: [],
  leavesOut: [],
  rows: [
    {
      id: 7,
      received: '2026-03-20T10:00:00Z',
      sender: { text: 'Anna', marks: [] },
      subject: { text: 'Two guided visits', marks: [{ start: 4, end: 16 }] },
      counters: ['PICKED'],
      fate: [
        {
          rule: 'Schools',
          own: true,
          kind: 'REDIRECT',
          done: said('redirected to education@ostrel-gardens.example'),
        },
        { rule: 'Schools', own: true, kind: 'MARK', done: said('marked read') },
        { rule: 'Tropics', own: false, kind: 'FILE', done: said('filed in Tropics') },
      ],
    },
  ],
  rowsInAll: 42,
  unfinished: [],
  shadows: [],
  cautions: [],
  warnings: [],
  presetEnding: 'continue',
  readBack: said(''),
};

const asked = ask({ ...newDraft('r'), everything: true });

function panel(more: Partial<Parameters<typeof EvidencePanel>[0]>) {
  const acts = {
    onCounter: vi.fn(),
    onRetry: vi.fn(),
    onMore: vi.fn(),
    onLeaveOut: vi.fn(),
    onSample: vi.fn(),
    onTrustForm: vi.fn(),
  };
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <EvidencePanel
          evidence={evidence}
          asked={asked}
          order={0}
          error={null}
          isBehind={false}
          counter="PICKED"
          sample={{ from: '', to: '', subject: '', text: '' }}
          {...acts}
          {...more}
        />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return acts;
}

test('every counter has its number and filters the messages', () => {
  const { onCounter } = panel({});
  expect(screen.getByRole('button', { name: /^Picked\s*42$/ })).toHaveAttribute('aria-pressed', 'true');
  fireEvent.click(screen.getByRole('button', { name: /^Near miss\s*7$/ }));
  expect(onCounter).toHaveBeenCalledWith('NEAR_MISS');
});

test('a row marks the words and tells the whole fate, naming other rules', () => {
  panel({});
  expect(screen.getByText('guided visit').tagName).toBe('MARK');
  expect(screen.getByText('redirected, marked read, filed in Tropics (Tropics)')).toBeInTheDocument();
  expect(screen.getByRole('listitem')).toHaveAttribute('aria-setsize', '42');
});

test('of a rule that replies it is said how many messages would be answered', () => {
  panel({ evidence: { ...evidence, answered: 31 } });
  expect(screen.getByText(/Of 42 picked messages/)).toHaveTextContent(/31 would be answered\.$/);
  cleanup();
  const reply: Step = { do: 'reply', text: 'Gladly.', release: 'first on approval' };
  panel({
    evidence: { ...evidence, answered: 31 },
    asked: ask({ ...newDraft('r'), everything: true, does: [reply] }),
  });
  expect(screen.getByText(/Of 42 picked messages/)).toHaveTextContent(/The first five wait for approval\.$/);
});

test('the message one started from stays pinned, with how it stands to the rule', () => {
  const message = { id: 7, received: '2026-03-20T10:00:00Z', sender: 'Anna', subject: 'Class booking' };
  panel({ evidence: { ...evidence, example: { message, counters: ['NEAR_MISS'] } } });
  expect(screen.getByText('nearly picked')).toBeInTheDocument();
  expect(screen.getByText('Class booking')).toBeInTheDocument();
});

test('only a picked message can be left out', () => {
  panel({});
  expect(screen.getByText('leave out …')).toBeInTheDocument();
  cleanup();
  const row = { ...evidence.rows[0]!, counters: ['NEAR_MISS' as const] };
  panel({ evidence: { ...evidence, rows: [row] } });
  expect(screen.queryByText('leave out …')).toBeNull();
});

test('before anything is picked out it says how to begin', () => {
  panel({ asked: undefined });
  expect(screen.getByText(/Start on the left/)).toBeInTheDocument();
  expect(screen.queryByText('42')).toBeNull();
});

test('a refusal is shown with a way on while the last answer stays', () => {
  const { onRetry } = panel({ error: new Error('The database does not answer just now.') });
  expect(screen.getByRole('alert')).toHaveTextContent('does not answer');
  fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
  expect(onRetry).toHaveBeenCalled();
  expect(screen.getByText('guided visit')).toBeInTheDocument();
});

test('an empty counter says what that means', () => {
  panel({ evidence: { ...evidence, rows: [], rowsInAll: 0 }, counter: 'STOPPED_EARLIER' });
  expect(screen.getByText('No earlier rule stops this mail.')).toBeInTheDocument();
});
