import '@testing-library/jest-dom/vitest';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { MemoryRouter, useLocation } from 'react-router';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Schemas } from '../../../api/client';
import { CurrentMailbox } from '../../mailbox';
import { MessageRow } from './MessageRow';

const criterion = { part: 'subject', how: 'contains', values: ['Are you open on'] };
let kept: { begun?: unknown }[] = [];

beforeEach(() => {
  kept = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    if (request.method === 'PUT') {
      kept.push(((await request.json()) as { document: { begun?: unknown } }).document);
    }
    const body = request.url.includes('/start') ? { kept: [{ criterion }], also: [], additions: [] } : {};
    return new Response(JSON.stringify(body), { headers: { 'Content-Type': 'application/json' } });
  });
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function Place() {
  return <p data-testid="place">{useLocation().pathname}</p>;
}

test('a right-click on a row starts a rule from it, with what its kind has in common', async () => {
  const message = {
    id: 7,
    received: '2026-03-20T10:00:00Z',
    sender: 'Ivo',
    subject: 'Are you open?',
    notes: [],
  };
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <CurrentMailbox value="m">
          <MessageRow line={{ message, steps: [] } as unknown as Schemas['IncomingLine']} onOpen={() => {}} />
          <Place />
        </CurrentMailbox>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  fireEvent.contextMenu(screen.getByText('Are you open?'));
  fireEvent.click(await screen.findByRole('menuitem', { name: 'Start a rule from it' }));
  await waitFor(() => expect(screen.getByTestId('place').textContent).toMatch(/^\/rules\/.{36}$/));
  expect(kept).toEqual([{ begun: { picksOut: { all: [criterion] }, example: 7 } }]);
});
