import '@testing-library/jest-dom/vitest';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { CurrentMailbox } from '../../mailbox';
import { AtWork } from './AtWork';

let calls: string[];
let firstReading: unknown;
let catchUps: unknown[];
let rehearsals: unknown[];

const answer = (body: unknown) =>
  new Response(JSON.stringify(body), { status: 200, headers: { 'Content-Type': 'application/json' } });

beforeEach(() => {
  calls = [];
  firstReading = { total: 7000, done: 7000, finished: true, paused: false };
  catchUps = [];
  rehearsals = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    const { pathname } = new URL(request.url);
    calls.push(`${request.method} ${pathname}`);
    if (pathname.endsWith('/catch-ups')) {
      return answer(catchUps);
    }
    return pathname.endsWith('/rehearsals') ? answer(rehearsals) : answer({ firstReading });
  });
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function show() {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <CurrentMailbox value="m">
          <AtWork />
        </CurrentMailbox>
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

test('nothing is shown while there is no long work', async () => {
  rehearsals = [{ id: 'r', words: 'draft', state: 'DONE', done: 9, of: 9, days: 90 }];
  show();
  await waitFor(() => expect(calls).toContain('GET /api/mailboxes/m/rehearsals'));
  expect(screen.queryByRole('button')).toBeNull();
});

test('all of it stands in one place, with how far it is, a way to it, and what can be done', async () => {
  firstReading = { total: 7000, done: 1000, finished: false, paused: false };
  catchUps = [
    {
      id: 'c',
      rules: [{ id: 's', name: 'Schools' }],
      state: 'RUNNING',
      messages: 20,
      messagesOf: 80,
      open: 3,
      seconds: 6,
    },
    { id: 'd', rules: [], state: 'WAITING', messages: 1, messagesOf: 1, open: 0 },
  ];
  rehearsals = [{ id: 'r', words: 'draft of “Permits”', state: 'RUNNING', done: 500, of: 3000, days: 90 }];
  show();
  fireEvent.click(await screen.findByRole('button', { name: 'at work: 3' }));
  const sheet = within(screen.getByRole('dialog', { name: 'Long work' }));
  expect(sheet.getByText(/1,000 of 7,000 messages/)).toBeVisible();
  expect(sheet.getByText(/20 of 80 messages/)).toBeVisible();
  expect(sheet.getByRole('link', { name: '“Schools”' })).toHaveAttribute('href', '/records/catch-ups?open=c');
  expect(sheet.getByRole('link', { name: 'draft of “Permits”' })).toHaveAttribute(
    'href',
    '/trials/rehearsal?open=r',
  );
  fireEvent.click(sheet.getAllByRole('button', { name: 'Pause' })[0] as HTMLElement);
  await waitFor(() => expect(calls).toContain('POST /api/mailboxes/m/first-reading/pause'));
  fireEvent.click(sheet.getByRole('button', { name: 'Cancel' }));
  await waitFor(() => expect(calls).toContain('DELETE /api/mailboxes/m/rehearsals/r'));
});

test('paused work is said to be paused, and goes on by a press', async () => {
  firstReading = { total: 7000, done: 1000, finished: false, paused: true };
  show();
  fireEvent.click(await screen.findByRole('button', { name: 'paused work: 1' }));
  fireEvent.click(screen.getByRole('button', { name: 'Go on' }));
  await waitFor(() => expect(calls).toContain('POST /api/mailboxes/m/first-reading/resume'));
});
