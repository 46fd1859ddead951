import { said } from '../../../test/said';
import '@testing-library/jest-dom/vitest';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { CurrentMailbox } from '../../mailbox';
import { StartHere } from './StartHere';

const domain = { part: 'sender', how: 'at domain', values: ['school.example'] };
const words = { part: 'subject', how: 'contains', values: ['guided visit'] };
let kept: { document: { begun: unknown } }[] = [];

beforeEach(() => {
  kept = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    if (request.method === 'PUT') {
      kept.push(await request.json());
      return new Response(null, { status: 204 });
    }
    const body = {
      kept: [{ criterion: domain, clause: said('from anyone at school.example'), matches: 31 }],
      also: [{ criterion: words, clause: said('with “guided visit” in the subject'), matches: 12 }],
      additions: [
        {
          rule: 'r',
          name: 'School visits',
          value: 'class booking',
          changed: { id: 'r' },
          before: 30,
          after: 41,
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

test('what is kept and what is added become the rule, and the message its example', async () => {
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter>
        <CurrentMailbox value="m">
          <StartHere id={7} />
        </CurrentMailbox>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  fireEvent.click(await screen.findByText('with “guided visit” in the subject'));
  expect(screen.getByText(/instead of 30/)).toBeInTheDocument();
  fireEvent.click(screen.getByRole('button', { name: 'Start a rule' }));
  await waitFor(() => expect(kept).toHaveLength(1));
  expect(kept[0]?.document.begun).toEqual({ picksOut: { all: [domain, words] }, example: 7 });
});

test('with nothing kept there is no rule to start', async () => {
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter>
        <CurrentMailbox value="m">
          <StartHere id={7} />
        </CurrentMailbox>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  fireEvent.click(await screen.findByText('from anyone at school.example'));
  expect(screen.getByRole('button', { name: 'Start a rule' })).toBeDisabled();
});
