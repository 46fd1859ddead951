import '@testing-library/jest-dom/vitest';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Schemas } from '../../../api/client';
import { said } from '../../../test/said';
import { CurrentMailbox } from '../../mailbox';
import { MessageSheet } from './MessageSheet';

const message: Schemas['MessageDetails'] = {
  line: {
    id: 7,
    received: '2026-11-26T10:00:00Z',
    sender: 'Liv',
    subject: 'A visit',
    attachments: 0,
    notes: [],
    status: 'PAST',
  },
  from: [{ name: 'Liv', address: 'liv@birkhall-school.example' }],
  to: [],
  cc: [],
  sentBy: [said('not marked as automatic')],
  texts: [],
  hasHtml: false,
  attachments: [],
  steps: [],
};
const explained: Schemas['ExplainView'] = {
  rules: [{ rule: 'r', name: 'Visits', picked: true, outcome: said('picked'), hits: [] }],
  done: [said('marked read')],
  notDone: [
    { step: said('replied to'), held: false, reason: said('it comes from a list'), ofAMachine: false },
  ],
  staysInInbox: true,
  leaving: [],
};

beforeEach(() => {
  vi.stubGlobal('fetch', (request: Request) => {
    const { pathname } = new URL(request.url);
    const body = pathname.endsWith('/explain') ? explained : pathname.endsWith('/7') ? message : undefined;
    return Promise.resolve(
      new Response(JSON.stringify(body ?? {}), {
        status: body ? 200 : 404,
        headers: { 'Content-Type': 'application/json' },
      }),
    );
  });
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

test('a past message says what today’s rules would do with it, and what not', async () => {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <CurrentMailbox value="m">
          <MessageSheet id={7} onClose={() => undefined} />
        </CurrentMailbox>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  const would = await screen.findByText(/It would be marked read/);
  expect(would).toHaveTextContent(
    'It would be marked read. It would not be replied to – withheld: it comes from a list. It would stay in the inbox.',
  );
  expect(screen.getByText(/not marked as automatic/)).toBeInTheDocument();
});
