import '@testing-library/jest-dom/vitest';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { MemoryRouter, Route, Routes } from 'react-router';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { HandedOnPage } from '.';

let now: Schemas['HandedOnView'] | undefined;
let said: unknown[];

beforeEach(() => {
  said = [];
  now = {
    recipient: 'mara@postbox.example',
    from: 'Visits desk',
    fromAddress: 'visits@ostrel-gardens.example',
    at: '2026-11-26T09:00:00Z',
    followUp: 'OPEN',
    mayStop: true,
    stopAsked: false,
  };
  vi.stubGlobal('fetch', async (request: Request) => {
    if (request.method === 'POST' && now) {
      const answer = (await request.json()) as Schemas['HandedOnAnswer'];
      said.push(answer.said);
      now = answer.said === 'STOP' ? { ...now, stopAsked: true } : { ...now, followUp: 'DEALT_WITH' };
    }
    return new Response(JSON.stringify(now ?? { status: 404 }), {
      status: now ? 200 : 404,
      headers: { 'Content-Type': 'application/json' },
    });
  });
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function show() {
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter initialEntries={['/handed-on/t']}>
        <Routes>
          <Route path="/handed-on/:token" element={<HandedOnPage />} />
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

test('whoever got it says that it is dealt with, and stops such mail by a message of its own', async () => {
  show();
  expect(await screen.findByText('Visits desk would like to know what becomes of it.')).toBeVisible();
  fireEvent.click(screen.getByRole('button', { name: 'It is dealt with' }));
  expect(await screen.findByText('It is dealt with. Thank you.')).toBeVisible();
  expect(screen.queryByRole('button', { name: 'It is not for me' })).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'Stop such mail …' }));
  expect(await screen.findByText(/A link in it stops the mail/)).toBeVisible();
  expect(said).toEqual(['DEALT_WITH', 'STOP']);
});

test('a link that is cut off says so', async () => {
  now = undefined;
  show();
  expect(await screen.findByText('This message is not known')).toBeVisible();
});
