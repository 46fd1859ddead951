import '@testing-library/jest-dom/vitest';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import type { Editor } from '@tiptap/core';
import { act, cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { useState } from 'react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { CurrentMailbox } from '../../../mailbox';
import type { Step } from '../../model';
import type { Around } from '../../around';
import { StepCard } from './StepCard';

const around: Around = {
  ownAddress: 'visits@ostrel-gardens.example',
  ownAddresses: ['photos@ostrel-gardens.example'],
  ownDomains: ['ostrel-gardens.example'],
  aliases: [],
  senders: [],
  listed: [],
  picked: [7, 6],
  moves: false,
  sample: { from: 'somebody@mailhaven.example', to: '', subject: 'permit', text: '' },
  matches: 42,
};

const seen = (sender: string, differences: { what: string; before: string; now: string }[]) => ({
  shown: { sender, to: '', subject: 's', answers: sender, attachments: [] },
  text: 'hello',
  rich: false,
  differences,
});

let steps: Step[];
let asked: Record<string, unknown>[];
let tests: { id: string; address: string; sentAt: string; fault: string; arrivedAt?: string }[];

const answer = (body: unknown) =>
  new Response(JSON.stringify(body), { headers: { 'Content-Type': 'application/json' } });

beforeEach(() => {
  steps = [];
  asked = [];
  tests = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    const { pathname } = new URL(request.url);
    if (pathname.endsWith('/address-book')) {
      return answer({
        people: [
          {
            id: '1',
            written: {
              name: 'Noor',
              addresses: ['noor@ostrel-gardens.example'],
              organisation: '',
              phone: '',
              note: '',
            },
          },
        ],
        groups: [{ id: '2', written: { name: 'Guides', members: [] }, usedBy: [] }],
        duplicates: [],
        ownDomains: [],
      });
    }
    if (pathname.endsWith('/destinations')) {
      return answer([]);
    }
    if (pathname.endsWith('/hours')) {
      return answer({ hours: [] });
    }
    if (pathname.endsWith('/as-received')) {
      asked.push(await request.json());
      return answer({
        original: seen('Anna', []),
        forwarded: seen('Visits desk', [{ what: 'SENDER', before: 'Anna', now: 'Visits desk' }]),
        redirected: seen('Anna', []),
      });
    }
    if (pathname.endsWith('/alias-tests')) {
      if (request.method === 'POST') {
        const { address } = await request.json();
        tests = [
          { id: '1', address, sentAt: '2026-11-26T10:00:00Z', fault: '', arrivedAt: '2026-11-26T10:00:01Z' },
        ];
        return answer(tests[0]);
      }
      return answer(tests);
    }
    if (request.method === 'PUT') {
      const body = await request.json();
      const id = pathname.split('/').at(-1);
      return answer(
        pathname.includes('/templates/')
          ? { id, version: 1, written: body.written, faults: [], usedBy: [], savedAt: '', savedBy: '' }
          : { id, written: body },
      );
    }
    if (pathname === '/api/session') {
      return answer({
        name: 'Ilse',
        demo: false,
        mailboxes: [
          { id: 'm', address: 'visits@ostrel-gardens.example', name: 'Visits desk' },
          { id: 's', address: 'seeds@ostrel-gardens.example', name: 'Seed exchange' },
        ],
      });
    }
    if (pathname === '/api/mailboxes/s/folders') {
      return answer(['Orders']);
    }
    if (pathname.endsWith('/rule-book')) {
      return answer({ version: 1, document: { rules: [] } });
    }
    return answer(pathname.endsWith('/templates') ? { templates: [], fields: [] } : []);
  });
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function EditedStep({ begin, more }: { begin: Step; more: Partial<Around> }) {
  const [step, setStep] = useState(begin);
  return (
    <StepCard
      step={step}
      around={{ ...around, ...more }}
      onChange={(changed) => {
        steps.push(changed);
        setStep(changed);
      }}
      onRemove={() => undefined}
    />
  );
}

function show(begin: Step, more: Partial<Around> = {}) {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <CurrentMailbox value="m">
          <EditedStep begin={begin} more={more} />
        </CurrentMailbox>
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

const open = (name: RegExp) => fireEvent.keyDown(screen.getByRole('button', { name }), { key: 'Enter' });

async function pick(what: RegExp, role: 'menuitem' | 'menuitemradio', chosen: string) {
  open(what);
  fireEvent.click(await screen.findByRole(role, { name: chosen }));
  await waitFor(() => expect(screen.getByRole('button', { name: what })).toHaveFocus());
}

const choose = (what: RegExp, chosen: string) => pick(what, 'menuitemradio', chosen);

test('a reply goes to each request, quoted, with a copy, to mail for another address, where the rule says so', async () => {
  show({ do: 'reply', subject: '', text: 'Thank you.', oncePerDays: 7 });
  await choose(/^how often/, 'at each request, at most 3 a day');
  fireEvent.click(screen.getByRole('button', { name: /quote, copies/ }));
  fireEvent.click(screen.getByLabelText('quote the original message below'));
  const copy = screen.getByLabelText('add an address for a copy of the reply');
  fireEvent.change(copy, { target: { value: 'noor@ostrel-gardens.example' } });
  fireEvent.keyDown(copy, { key: 'Enter' });
  const alias = screen.getByLabelText('add an address that reaches this mailbox');
  fireEvent.change(alias, { target: { value: 'tours@ostrel.example' } });
  fireEvent.keyDown(alias, { key: 'Enter' });
  expect(steps.at(-1)).toEqual({
    do: 'reply',
    subject: '',
    text: 'Thank you.',
    timesADay: 3,
    quotes: true,
    copies: ['noor@ostrel-gardens.example'],
    aliases: ['tours@ostrel.example'],
  });
});

test('a reply to a form needs the form named, and says why', async () => {
  show({ do: 'reply', subject: '', text: 'Thank you.' });
  await choose(/^where the reply goes/, 'whom a web form names');
  expect(screen.getByText(/only the forms you name here/)).toBeVisible();
  const form = screen.getByLabelText('add the sender of a form');
  fireEvent.change(form, { target: { value: 'form@ostrel-gardens.example' } });
  fireEvent.keyDown(form, { key: 'Enter' });
  expect(steps.at(-1)).toMatchObject({ answersTo: { part: 'text', forms: ['form@ostrel-gardens.example'] } });
  await choose(/^where the reply goes/, 'the address in Reply-To');
  expect(screen.getByText(/Anybody can write any address there/)).toBeVisible();
  await choose(/^where the reply goes/, 'the sending address');
  expect(steps.at(-1)).not.toHaveProperty('answersTo');
});

test('a test of the alias says whether it arrived', async () => {
  show({ do: 'reply', subject: '', text: 'x' }, { aliases: ['schools@ostrel-gardens.example'] });
  fireEvent.click(screen.getByRole('button', { name: 'Send a test' }));
  expect(await screen.findByText(/It arrived,/)).toBeVisible();
});

test('a forward has its own subject and way of answers, and its three lines follow', async () => {
  show({ do: 'forward', to: ['noor@ostrel-gardens.example'] });
  expect(screen.getByText('Fwd: and the original subject')).toBeVisible();
  fireEvent.click(screen.getByRole('button', { name: /subject, form, where replies go/ }));
  await choose(/^the subject/, 'a new subject');
  fireEvent.change(screen.getByLabelText('New subject'), { target: { value: 'For the guides' } });
  await choose(/^replies go/, 'to the sender and to us');
  await choose(/^sent from/, 'photos@ostrel-gardens.example');
  expect(steps.at(-1)).toEqual({
    do: 'forward',
    to: ['noor@ostrel-gardens.example'],
    subject: 'For the guides',
    answersGo: 'to both',
    from: 'photos@ostrel-gardens.example',
  });
  expect(screen.getByText('For the guides')).toBeVisible();
  expect(screen.getByText('the sender and photos@ostrel-gardens.example')).toBeVisible();
});

test('groups and people come from the address book, and outside addresses are warned of', async () => {
  show({ do: 'redirect', to: [] });
  await pick(/from the address book/, 'menuitem', 'the group Guides');
  expect(steps.at(-1)).toEqual({ do: 'redirect', to: [], groups: ['Guides'] });
  await pick(/from the address book/, 'menuitem', 'Noor');
  expect(steps.at(-1)).toEqual({ do: 'redirect', to: ['noor@ostrel-gardens.example'], groups: ['Guides'] });
  const box = screen.getByLabelText('add an address to redirect to');
  fireEvent.change(box, { target: { value: 'tom@elsewhere.example' } });
  fireEvent.keyDown(box, { key: 'Enter' });
  expect(
    screen.getByText(/tom@elsewhere.example is an outside address. When you save, it is asked/),
  ).toBeVisible();
});

test('a message is seen as it will be, message by message, and a redirect may become a forward', async () => {
  show({ do: 'redirect', to: ['noor@ostrel-gardens.example'] });
  fireEvent.click(screen.getByRole('button', { name: /See what recipients see/ }));
  const redirected = await screen.findByRole('region', { name: 'redirected' });
  expect(within(redirected).getByText('Nothing: it is the same message.')).toBeVisible();
  expect(screen.getByRole('region', { name: 'forwarded' })).toHaveTextContent('from: Anna → Visits desk');
  fireEvent.click(screen.getByRole('button', { name: 'Earlier' }));
  await waitFor(() => expect(asked.map((one) => one['message'])).toEqual([7, 6]));
  fireEvent.click(screen.getByRole('button', { name: 'Forward it instead' }));
  expect(steps.at(-1)).toEqual({ do: 'forward', to: ['noor@ostrel-gardens.example'] });
});

test('marks are set or removed, never both', () => {
  show({ do: 'mark', flags: ['\\Seen'] });
  const off = screen.getByRole('group', { name: 'remove marks' });
  fireEvent.click(within(off).getByRole('button', { name: 'read' }));
  expect(steps.at(-1)).toMatchObject({ flags: [], remove: ['\\Seen'] });
  const on = screen.getByRole('group', { name: 'set marks' });
  fireEvent.click(within(on).getByRole('button', { name: 'important' }));
  fireEvent.change(screen.getByLabelText('tags to set'), { target: { value: 'school, look later' } });
  expect(steps.at(-1)).toMatchObject({ tags: ['school', 'look-later', '$Important'], remove: ['\\Seen'] });
});

test.each([
  ['a subfolder for each sender', ['Sorted/anna@school.example', 'Sorted/norrskola.example']],
  ['a subfolder for each phrase or address listed', ['Sorted/guided tour']],
])('%s: the folders there will be are shown', (each, wanted) => {
  show(
    { do: 'file', folder: 'Sorted' },
    { senders: ['anna@school.example', 'norrskola.example'], listed: ['guided tour'] },
  );
  open(/^folders/);
  fireEvent.click(screen.getByRole('menuitemradio', { name: each }));
  const folders = within(screen.getByRole('list', { name: 'Folders' })).getAllByRole('listitem');
  expect(folders.map((one) => one.textContent)).toEqual(wanted);
});

test('a message may be filed in another mailbox of one’s own, and back in this one', async () => {
  show({ do: 'file', folder: '' });
  await screen.findByRole('button', { name: 'mailbox: in this mailbox' });
  open(/^mailbox/);
  fireEvent.click(screen.getByRole('menuitemradio', { name: 'in seeds@ostrel-gardens.example' }));
  expect(steps.at(-1)).toEqual({ do: 'file', folder: 'INBOX', mailbox: 'seeds@ostrel-gardens.example' });
  expect(screen.getByText(/keeps its marks and date/)).toBeVisible();
  open(/^mailbox/);
  fireEvent.click(screen.getByRole('menuitemradio', { name: 'in this mailbox' }));
  expect(steps.at(-1)).toEqual({ do: 'file', folder: '' });
});

test('deleting for good says what it would have cost', () => {
  show({ do: 'delete' });
  expect(screen.getByText(/would have deleted 42 messages/)).toBeVisible();
});

test('a colleague is written down over the evidence and becomes the destination', async () => {
  show({ do: 'redirect', to: [] });
  open(/from the address book/);
  fireEvent.click(await screen.findByRole('menuitem', { name: 'a new colleague …' }));
  fireEvent.change(await screen.findByLabelText(/^Addresses/), {
    target: { value: 'tomas@ostrel-gardens.example' },
  });
  fireEvent.click(screen.getByRole('button', { name: 'Save the person' }));
  await waitFor(() => expect(steps.at(-1)).toEqual({ do: 'redirect', to: ['tomas@ostrel-gardens.example'] }));
  expect(screen.queryByText('A new colleague')).toBeNull();
});

test('a template is written over the evidence, and the rule answers from it', async () => {
  show({ do: 'reply', subject: '', text: '' });
  fireEvent.click(screen.getByRole('button', { name: 'New template …' }));
  fireEvent.change(await screen.findByLabelText('Name of the template'), { target: { value: 'Visits' } });
  const sheet = screen.getByRole('dialog', { name: 'A new template' });
  const text = await within(sheet).findByLabelText('Text');
  act(() => void (text as HTMLElement & { editor: Editor }).editor.commands.insertContent('Dear visitor'));
  fireEvent.click(within(sheet).getByRole('button', { name: 'Save' }));
  await waitFor(() => expect(steps.at(-1)).toMatchObject({ do: 'reply', template: expect.any(String) }));
  expect(steps.at(-1)).not.toHaveProperty('text');
});
