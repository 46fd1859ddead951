import { said } from '../../../test/said';
import '@testing-library/jest-dom/vitest';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { CurrentMailbox } from '../../mailbox';
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
  sample: [5, 7],
  takenBy: [],
  nearly: { rule: 'r', name: 'Notices', messages: 9 },
};
let kinds: object[] = [];
let asked: unknown[] = [];

beforeEach(() => {
  kinds = [kind];
  asked = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    if (request.method === 'POST') {
      asked.push(await request.json());
    }
    const body = request.url.includes('/recurring-mail')
      ? { messages: 100, inKinds: 9, kinds }
      : {
          wanted: 2,
          unwanted: 0,
          suggestions: [
            {
              picksOut: { everything: true },
              clause: said('from notices@tickets.example'),
              takes: 2,
              missed: [],
              wrong: [],
              elsewhere: 7,
              examples: [line],
            },
          ],
        };
    return new Response(JSON.stringify(body), { headers: { 'Content-Type': 'application/json' } });
  });
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function list() {
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter>
        <CurrentMailbox value="m">
          <RecurringList onOpen={() => {}} />
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

test('starting a rule from a kind asks what tells its messages apart', async () => {
  list();
  fireEvent.click(await screen.findByRole('button', { name: 'Start a rule' }));
  expect(await screen.findByText('Mail from notices@tickets.example')).toBeInTheDocument();
  expect(
    screen.getByText(/picks 2 of the 2 examples; also picks 7 others from the last 90 days/),
  ).toBeInTheDocument();
  expect(asked[0]).toMatchObject({ wanted: [5, 7], unwanted: [] });
});

test('while nothing keeps coming it says when something will show', async () => {
  kinds = [];
  list();
  expect(await screen.findByText(/after four similar messages/)).toBeInTheDocument();
});
