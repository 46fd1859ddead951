import '@testing-library/jest-dom/vitest';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, expect, test, vi } from 'vitest';
import { Notices } from './Notices';
import { TONES } from './sounds';

const notice = (id: number, subject: string) => ({
  id,
  rule: 'Glasshouse alarms',
  sound: 'bell',
  message: {
    id: 70 + id,
    subject,
    sender: 'Sensors',
    received: '2026-11-26T10:00:00Z',
    attachments: 0,
    notes: [],
  },
});

const MAILBOXES = [
  { id: 'm', address: 'visits@ostrel-gardens.example', name: 'Visits desk' },
  { id: 's', address: 'seeds@ostrel-gardens.example', name: 'Seed exchange' },
];

const answer = (body: unknown) =>
  new Response(JSON.stringify(body), { headers: { 'Content-Type': 'application/json' } });

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

test('nothing old is told when the page opens; what comes then is told once and can be closed', async () => {
  const asked: (string | null)[] = [];
  vi.stubGlobal('fetch', (request: Request) => {
    const { pathname, searchParams } = new URL(request.url);
    if (pathname === '/api/session') {
      return Promise.resolve(answer({ name: 'Ilse', demo: false, mailboxes: MAILBOXES }));
    }
    if (pathname.startsWith('/api/mailboxes/s/')) {
      return Promise.resolve(answer({ notices: [], last: 0 }));
    }
    const after = searchParams.get('after');
    asked.push(after);
    const fresh = after === null ? [] : after === '4' ? [notice(5, 'Frost in house 2')] : [];
    const last = after === null ? 4 : 5;
    return Promise.resolve(answer({ notices: fresh, last }));
  });
  const queries = new QueryClient();
  render(
    <QueryClientProvider client={queries}>
      <MemoryRouter>
        <Notices />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  await waitFor(() => expect(asked).toEqual([null]));
  await act(() => queries.refetchQueries());
  expect(await screen.findByRole('link', { name: 'Frost in house 2' })).toHaveAttribute(
    'href',
    '/incoming/75',
  );
  await act(() => queries.refetchQueries());
  expect(screen.getAllByRole('link')).toHaveLength(1);
  expect(screen.getByText(/to visits@ostrel-gardens.example/)).toBeVisible();
  fireEvent.click(screen.getByRole('link'));
  expect(localStorage.getItem('jubek.mailbox')).toBe('m');
  fireEvent.click(screen.getByRole('button', { name: 'Close' }));
  expect(screen.queryByRole('link')).toBeNull();
  expect(asked).toEqual([null, '4', '5']);
});

test('every sound but none has tones that people can hear', () => {
  for (const [name, tones] of Object.entries(TONES)) {
    expect(tones.length > 0, name).toBe(name !== 'none');
    expect(
      tones.every(({ pitch, long }) => pitch > 100 && pitch < 4000 && long <= 1),
      name,
    ).toBe(true);
  }
});
