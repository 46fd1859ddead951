import '@testing-library/jest-dom/vitest';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { MemoryRouter, Route, Routes } from 'react-router';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { asked } from '../../test/destination';
import { CurrentMailbox } from '../mailbox';
import { beforeSaving, endingSoon, waitedFor, type Destination } from './model';
import { AgreementPage, Destinations } from '.';

const MARA = asked('r');
const GIVEN: Destination = { ...MARA, state: 'CONFIRMED', endsAt: '2027-11-26T09:00:00Z', waiting: 0 };

let now: Destination;
let sent: { path: string; body: unknown }[];
let refusal: string | undefined;
let open = false;

beforeEach(() => {
  now = MARA;
  sent = [];
  refusal = undefined;
  open = false;
  vi.stubGlobal('fetch', async (request: Request) => {
    const { pathname } = new URL(request.url);
    if (request.method === 'POST') {
      const text = await request.text();
      sent.push({ path: pathname.split('/').at(-1) ?? '', body: text === '' ? undefined : JSON.parse(text) });
      if (refusal !== undefined) {
        return new Response(JSON.stringify({ status: 422, detail: refusal }), { status: 422 });
      }
      now = GIVEN;
    }
    const page = {
      ...now,
      who: 'Ilse Varga',
      from: 'Visits desk',
      fromAddress: 'visits@ostrel-gardens.example',
      mail: [{ code: 'ALL_MAIL', arguments: [], words: 'All mail' }],
      open: open || now.state === 'ASKED',
      until: '2026-12-03T09:00:00Z',
    };
    return new Response(JSON.stringify(pathname.includes('/agreement/') ? page : [now]));
  });
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function show(path: string) {
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter initialEntries={[path]}>
        <CurrentMailbox value="visits">
          <Routes>
            <Route path="/address-book" element={<Destinations />} />
            <Route path="/agree/:token" element={<AgreementPage />} />
          </Routes>
        </CurrentMailbox>
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

test('an address that was asked says so, with what waits, and its code agrees', async () => {
  show('/address-book');
  expect(await screen.findByText(/has not answered/)).toBeInTheDocument();
  expect(screen.getByText('2 steps held for it')).toBeInTheDocument();
  fireEvent.click(screen.getByText('Enter its code …'));
  fireEvent.change(screen.getByLabelText(/Code of/), { target: { value: 'ABCD-EFGH' } });
  fireEvent.click(screen.getByText('Enter'));
  expect(await screen.findByText(/it is asked again two weeks before/)).toBeInTheDocument();
  expect(sent).toEqual([{ path: 'code', body: { code: 'ABCD-EFGH' } }]);
  expect(screen.queryByText('Vouch for it …')).toBeNull();
});

test('what was refused is said, and the typed code stays', async () => {
  refusal = 'That is not the code of the last request.';
  show('/address-book');
  fireEvent.click(await screen.findByText('Enter its code …'));
  fireEvent.change(screen.getByLabelText(/Code of/), { target: { value: 'WRONG' } });
  fireEvent.click(screen.getByText('Enter'));
  expect(await screen.findByRole('alert')).toHaveTextContent('That is not the code');
  expect(screen.getByLabelText(/Code of/)).toHaveValue('WRONG');
});

test('a person vouches only after a question', async () => {
  show('/address-book');
  fireEvent.click(await screen.findByText('Vouch for it …'));
  expect(sent).toEqual([]);
  fireEvent.click(screen.getByText('I vouch for it'));
  await waitFor(() => expect(sent.map((one) => one.path)).toEqual(['vouch']));
});

test('the page of a request changes nothing until a button is pressed, and then offers to stop', async () => {
  show('/agree/secret');
  expect(await screen.findByText('Nothing comes before you agree.')).toBeInTheDocument();
  expect(screen.getByText('All mail')).toBeInTheDocument();
  expect(sent).toEqual([]);
  fireEvent.click(screen.getByText('I agree'));
  expect(await screen.findByText('Stop this mail')).toBeInTheDocument();
  expect(sent).toEqual([{ path: 'secret', body: { agrees: true } }]);
  expect(screen.queryByText('I agree')).toBeNull();
});

test('a rule that is on waits for who has not agreed; one that is paused waits for nobody', () => {
  expect(waitedFor({ id: 'r', on: true }, [MARA])).toEqual([MARA]);
  expect(waitedFor({ id: 'r', on: true }, [GIVEN])).toEqual([]);
  expect(waitedFor({ id: 'r', on: false }, [MARA])).toEqual([]);
  expect(waitedFor({ id: 'other', on: true }, [MARA])).toEqual([]);
});

test('before saving it is said what happens with an outside address', () => {
  expect(beforeSaving('new@postbox.example', [MARA])).toContain('When you save, it is asked');
  expect(beforeSaving('Mara@postbox.example', [MARA])).toContain('Mail to it waits.');
  expect(beforeSaving('mara@postbox.example', [GIVEN])).toContain('agreed on');
});

test('before an agreement ends its page offers another 12 months, and the Desk tells of it', async () => {
  now = GIVEN;
  open = true;
  show('/agree/secret');
  fireEvent.click(await screen.findByText('I agree for another 12 months'));
  await waitFor(() => expect(sent).toEqual([{ path: 'secret', body: { agrees: true } }]));
  expect(endingSoon([GIVEN], new Date('2027-11-01T09:00:00Z'))).toEqual([GIVEN]);
  expect(endingSoon([GIVEN], new Date('2027-10-01T09:00:00Z'))).toEqual([]);
});
