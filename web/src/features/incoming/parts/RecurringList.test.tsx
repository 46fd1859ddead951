import { said } from '../../../test/said';
import '@testing-library/jest-dom/vitest';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { useState } from 'react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { CurrentMailbox } from '../../mailbox';
import { KindSheet } from './KindSheet';
import { RecurringList } from './RecurringList';

const line = { id: 7, received: '2026-03-20T10:00:00Z', sender: 'Ticket desk', subject: 'Day total 28 Mar' };
const kind = {
  key: 'k',
  who: { kind: 'ADDRESS', names: ['Ticket desk', 'notices@tickets.example'], senders: 1 },
  patterns: [
    {
      pieces: [
        { words: 'Day total', slot: false },
        { words: 'number', slot: true },
      ],
      messages: 9,
    },
  ],
  morePatterns: 2,
  messages: 9,
  weeks: [4, 5],
  example: line,
  takenBy: [],
  nearly: { rule: 'r', name: 'Notices', messages: 9 },
};
const opened = {
  kind,
  patterns: kind.patterns,
  senders: [{ address: 'notices@tickets.example', messages: 9 }],
  allSenders: 3,
  messages: [line],
  suggestions: [
    {
      picksOut: { everything: true },
      clause: said('from notices@tickets.example'),
      takes: 9,
      missed: [],
      wrong: [],
      elsewhere: 3,
      examples: [{ ...line, id: 8, subject: 'Refund 7' }],
    },
  ],
};
let kinds: object[] = [];
let asked: URL[] = [];

beforeEach(() => {
  kinds = [kind];
  asked = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    const url = new URL(request.url);
    asked.push(url);
    const body = url.pathname.endsWith('/kind') ? opened : { messages: 100, inKinds: 9, kinds };
    return new Response(JSON.stringify(body), { headers: { 'Content-Type': 'application/json' } });
  });
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const messages: number[] = [];

/** The list and the kind that is opened from it, as Incoming holds them. */
function Both() {
  const [kind, setKind] = useState<string | null>(null);
  return (
    <>
      <RecurringList onOpen={(id) => messages.push(id)} onKind={setKind} />
      <KindSheet kind={kind} onOpen={(id) => messages.push(id)} onClose={() => setKind(null)} />
    </>
  );
}

function list() {
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter>
        <CurrentMailbox value="m">
          <Both />
        </CurrentMailbox>
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

test('a kind says who writes it, its pattern with slots, and that no rule takes it', async () => {
  list();
  expect(await screen.findByText('Ticket desk')).toBeInTheDocument();
  expect(screen.getByText('notices@tickets.example')).toBeInTheDocument();
  expect(screen.getByText('number')).toHaveClass('border-dashed');
  expect(screen.getByText('and 2 other patterns')).toBeInTheDocument();
  expect(screen.getByText('add to “Notices”')).toBeInTheDocument();
});

test('a kind opens with what would pick it, and its patterns, senders and messages', async () => {
  list();
  fireEvent.click(await screen.findByRole('button', { name: 'Start a rule' }));
  const sheet = within(await screen.findByRole('dialog'));
  expect(await sheet.findByText('Mail from notices@tickets.example')).toBeInTheDocument();
  expect(sheet.getByText('picks all 9 of this kind and 3 others')).toBeInTheDocument();
  expect(sheet.getByText(/Refund 7/)).toBeInTheDocument();
  expect(sheet.getByText('No rule does.')).toBeInTheDocument();
  expect(sheet.getByText('and 2 other patterns')).toBeInTheDocument();
  expect(sheet.getByText('and 2 other senders')).toBeInTheDocument();
  expect(asked.find((url) => url.pathname.endsWith('/kind'))?.searchParams.get('key')).toBe('k');
  fireEvent.click(sheet.getByRole('button', { name: /Day total 28 Mar/ }));
  expect(messages).toEqual([7]);
});

test('while nothing keeps coming it says when something will show', async () => {
  kinds = [];
  list();
  expect(await screen.findByText(/after four similar messages/)).toBeInTheDocument();
});
