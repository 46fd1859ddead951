import '@testing-library/jest-dom/vitest';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { CurrentMailbox } from '../../../mailbox';
import { DailyMail } from './DailyMail';

afterEach(cleanup);

test('who wants it is told by mail what waits, until they end it; outside addresses are refused in words', async () => {
  let kept: string | undefined;
  vi.stubGlobal('fetch', async (request: Request) => {
    if (request.method === 'PUT') {
      const { address } = (await request.json()) as { address: string };
      if (!address.endsWith('@ostrel-gardens.example')) {
        return new Response(JSON.stringify({ detail: 'inside only' }), { status: 422 });
      }
      kept = address;
    }
    if (request.method === 'DELETE') {
      kept = undefined;
    }
    return new Response(JSON.stringify({ address: kept }));
  });
  render(
    <QueryClientProvider client={new QueryClient()}>
      <CurrentMailbox value="visits">
        <DailyMail />
      </CurrentMailbox>
    </QueryClientProvider>,
  );
  const field = await screen.findByLabelText('Your address');
  fireEvent.change(field, { target: { value: 'ilse@postbox.example' } });
  fireEvent.click(screen.getByText('Tell me'));
  expect(await screen.findByText('inside only')).toBeInTheDocument();

  fireEvent.change(field, { target: { value: 'ilse@ostrel-gardens.example' } });
  fireEvent.click(screen.getByText('Tell me'));
  expect(await screen.findByText(/ilse@ostrel-gardens.example is told so by mail/)).toBeInTheDocument();
  fireEvent.click(screen.getByText('End that'));
  expect(await screen.findByLabelText('Your address')).toBeInTheDocument();
});
