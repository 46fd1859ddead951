import '@testing-library/jest-dom/vitest';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { CurrentMailbox } from '../mailbox';
import { AskToStop, StopStrip } from '.';

let stopped: { since: string; who: string } | undefined;
let asked: string[] = [];

beforeEach(() => {
  stopped = undefined;
  asked = [];
  vi.stubGlobal('fetch', (request: Request) => {
    const { pathname, search } = new URL(request.url);
    if (!pathname.endsWith('/stop')) {
      return Promise.resolve(new Response(JSON.stringify({ address: 'visits@ostrel-gardens.example' })));
    }
    if (request.method !== 'GET') {
      asked.push(`${request.method} ${search}`);
      stopped = request.method === 'PUT' ? { since: '2026-11-26T14:02:00Z', who: 'Ilse Varga' } : undefined;
    }
    return Promise.resolve(new Response(JSON.stringify(stopped ?? {})));
  });
});

afterEach(cleanup);

function show(others: number) {
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <CurrentMailbox value="visits">
        <StopStrip />
        <AskToStop open others={others} onClose={() => undefined} />
      </CurrentMailbox>
    </QueryClientProvider>,
  );
}

test('what leaves all mailboxes is stopped by one act, said, and let go on', async () => {
  show(1);
  expect(screen.queryByRole('alert')).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'Stop it' }));
  expect(await screen.findByText(/Ilse Varga stopped it on/, { exact: false })).toBeInTheDocument();
  expect(asked).toEqual(['PUT ?all=true']);
  fireEvent.click(screen.getByText('Let mail leave again'));
  await waitFor(() => expect(screen.queryByText('Let mail leave again')).toBeNull());
  expect(asked).toEqual(['PUT ?all=true', 'DELETE ']);
});

test('the other mailboxes can be left alone', async () => {
  show(2);
  fireEvent.click(screen.getByRole('checkbox', { name: 'also stop my 2 other mailboxes' }));
  fireEvent.click(screen.getByRole('button', { name: 'Stop it' }));
  await waitFor(() => expect(asked).toEqual(['PUT ?all=false']));
});
