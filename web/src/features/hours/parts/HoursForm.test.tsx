import '@testing-library/jest-dom/vitest';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { CurrentMailbox } from '../../mailbox';
import { HoursForm } from './HoursForm';

let saved: unknown[] = [];

beforeEach(() => {
  saved = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    const written: unknown = await request.json();
    if (request.method === 'PUT') {
      saved.push(written);
    }
    const effect = {
      rule: 'r',
      name: 'Alarms at night',
      active: true,
      next: '2026-12-07T08:00:00Z',
      wouldBeActive: false,
      wouldChange: '2026-12-05T21:00:00Z',
    };
    const body = request.method === 'PUT' ? {} : [effect];
    return new Response(JSON.stringify(body), { headers: { 'Content-Type': 'application/json' } });
  });
});

afterEach(() => {
  vi.unstubAllGlobals();
  cleanup();
});

function form(usedBy: string[]) {
  const hours = { name: 'Night watch', zone: 'Europe/Stockholm', spans: ['MONDAY 22:00-06:00'], usedBy };
  const onSaved = vi.fn();
  render(
    <QueryClientProvider client={new QueryClient()}>
      <CurrentMailbox value="m">
        <HoursForm hours={hours} onSaved={onSaved} />
      </CurrentMailbox>
    </QueryClientProvider>,
  );
  return onSaved;
}

test('what other hours make of their rules is shown before they are saved, and anew when they are changed again', async () => {
  const onSaved = form(['Alarms at night']);
  fireEvent.change(screen.getByLabelText('Monday'), { target: { value: '22-7' } });
  fireEvent.click(screen.getByText('See what changes …'));
  expect(await screen.findByText(/“Alarms at night” rests until Sat 5 Dec, 22:00/)).toBeVisible();
  expect(saved).toEqual([]);

  fireEvent.change(screen.getByLabelText('Tuesday'), { target: { value: '22-7' } });
  fireEvent.click(screen.getByText('See what changes …'));
  fireEvent.click(await screen.findByText('Save the hours'));
  await vi.waitFor(() => expect(onSaved).toHaveBeenCalledWith('Night watch'));
  expect(saved).toEqual([{ zone: 'Europe/Stockholm', spans: ['MONDAY 22:00-07:00', 'TUESDAY 22:00-07:00'] }]);
});

test('hours that no rule goes by are saved at once, but not with a day that can’t be read', async () => {
  const onSaved = form([]);
  fireEvent.change(screen.getByLabelText('Sunday'), { target: { value: 'all day' } });
  expect(screen.getByText('write it like 9:00–17:00')).toBeVisible();
  expect(screen.getByText('Save the hours')).toBeDisabled();
  fireEvent.change(screen.getByLabelText('Sunday'), { target: { value: '0-24' } });
  fireEvent.click(screen.getByText('Save the hours'));
  await vi.waitFor(() => expect(onSaved).toHaveBeenCalled());
});
