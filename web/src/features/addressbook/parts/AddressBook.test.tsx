import '@testing-library/jest-dom/vitest';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { CurrentMailbox } from '../../mailbox';
import type { Book } from '../model';
import { AddressBook } from './AddressBook';

const person = (id: string, name: string, ...addresses: string[]) => ({
  id,
  written: { name, addresses, organisation: '', phone: '', note: '' },
});

let book: Book;
let sent: { method: string; path: string; body: unknown }[];
let refusal: string | undefined;

const answer = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } });

beforeEach(() => {
  book = { people: [], groups: [], duplicates: [], ownDomains: ['ostrel-gardens.example'] };
  sent = [];
  refusal = undefined;
  vi.stubGlobal('fetch', async (request: Request) => {
    if (request.method === 'GET') {
      return answer(request.url.endsWith('/destinations') ? [] : book);
    }
    const text = await request.text();
    const body: unknown = text === '' ? undefined : JSON.parse(text);
    sent.push({
      method: request.method,
      path: new URL(request.url).pathname.split('/').slice(4).join('/'),
      body,
    });
    return refusal === undefined
      ? answer({ id: 'x', written: body, usedBy: [], added: 1, completed: 0, groups: 0, notTaken: [] })
      : answer({ status: 409, detail: refusal }, 409);
  });
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function show() {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <CurrentMailbox value="m">
          <AddressBook />
        </CurrentMailbox>
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

test('an empty book says what people in it are good for, and the first one is written down', async () => {
  show();
  expect(await screen.findByText(/count as known\. Rules can name them/)).toBeVisible();
  fireEvent.click(screen.getByRole('button', { name: 'New person' }));
  expect(screen.getByRole('button', { name: 'Save the person' })).toBeDisabled();
  fireEvent.change(screen.getByLabelText('Name'), { target: { value: 'Noor Adel' } });
  fireEvent.change(screen.getByLabelText(/^Addresses/), {
    target: { value: 'noor@ostrel-gardens.example\nnoor@home.example' },
  });
  fireEvent.click(screen.getByRole('button', { name: 'Save the person' }));
  await waitFor(() =>
    expect(sent).toMatchObject([
      {
        method: 'PUT',
        body: { name: 'Noor Adel', addresses: ['noor@ostrel-gardens.example', 'noor@home.example'] },
      },
    ]),
  );
});

test('entries of one person are offered to be made one', async () => {
  book.people = [person('1', 'Liv', 'liv@a.example'), person('2', 'Liv', 'liv@b.example')];
  book.duplicates = [['1', '2']];
  show();
  fireEvent.click(await screen.findByRole('button', { name: 'Merge them' }));
  await waitFor(() =>
    expect(sent).toEqual([{ method: 'POST', path: 'people/merge', body: { people: ['1', '2'] } }]),
  );
});

test('a group is put together from people and typed addresses', async () => {
  book.people = [person('1', 'Noor', 'noor@ostrel-gardens.example')];
  show();
  fireEvent.click(await screen.findByRole('button', { name: 'New group' }));
  fireEvent.change(screen.getByLabelText('Name of the group'), { target: { value: 'Guides' } });
  fireEvent.click(screen.getByLabelText(/Noor/));
  fireEvent.change(screen.getByLabelText(/^Other addresses/), { target: { value: 'tom@x.example' } });
  fireEvent.click(screen.getByRole('button', { name: 'Save the group' }));
  await waitFor(() =>
    expect(sent[0]?.body).toEqual({
      name: 'Guides',
      members: ['noor@ostrel-gardens.example', 'tom@x.example'],
    }),
  );
});

test('a group that a rule asks for stays, and the page says which rule', async () => {
  book.groups = [{ id: 'g', written: { name: 'Guides', members: [] }, usedBy: ['Tours'] }];
  refusal = 'The group can’t be removed while Tours asks for it by its name.';
  show();
  fireEvent.click(await screen.findByRole('button', { name: 'Remove …' }));
  fireEvent.click(await screen.findByRole('button', { name: 'Remove it' }));
  expect(await screen.findByText(refusal)).toBeVisible();
});

test('cards are read from a file', async () => {
  show();
  const file = new File(['BEGIN:VCARD'], 'people.vcf', { type: 'text/vcard' });
  fireEvent.change(await screen.findByLabelText('vCard file'), { target: { files: [file] } });
  await waitFor(() =>
    expect(sent).toEqual([{ method: 'POST', path: 'cards', body: { cards: 'BEGIN:VCARD' } }]),
  );
});
