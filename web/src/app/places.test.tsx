import { said } from '../test/said';
import '@testing-library/jest-dom/vitest';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { CurrentMailbox } from '../features/mailbox';
import { Outside } from '../features/outside';
import { Records } from '../features/records';
import { SignIn } from '../features/session';
import { TopStrip } from './TopStrip';

type Answers = Record<string, unknown>;

let answers: Answers = {};
let asked: { method: string; url: string; body: string }[] = [];

beforeEach(() => {
  asked = [];
  answers = {
    '/api/mailboxes/m': mailbox,
    '/api/mailboxes/m/past-mail': {
      ready: true,
      done: 4212,
      total: 4212,
      messages: 4212,
      cut: false,
    },
    '/api/outside/clock': { offsetSeconds: 0, now: '2026-03-29T10:00:00Z' },
    '/api/mailboxes/m/records/count': { records: 2, more: false },
    '/api/mailboxes/m/rule-book': { version: 1, document: { rules: [] }, readBack: [] },
  };
  vi.stubGlobal('fetch', async (input: Request | string, init?: RequestInit) => {
    const request = typeof input === 'string' ? undefined : input;
    const url = new URL(request?.url ?? String(input), 'http://jubek.example');
    const method = request?.method ?? init?.method ?? 'GET';
    asked.push({
      method,
      url: url.pathname,
      body: request ? await request.clone().text() : String(init?.body ?? ''),
    });
    const answer = answers[`${method} ${url.pathname}`] ?? answers[url.pathname];
    if (answer instanceof Response) {
      return answer.clone();
    }
    return new Response(JSON.stringify(answer ?? {}), {
      status: answer === undefined ? 404 : 200,
      headers: { 'Content-Type': 'application/json' },
    });
  });
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const mailbox = {
  id: 'm',
  address: 'visits@ostrel-gardens.example',
  ownAddresses: [],
  ownDomains: [],
  zone: 'Europe/Stockholm',
  watching: 'WATCHING',
  now: '2026-03-29T10:00:00Z',
};

/** Records as they come, without another page. */
function page(records: unknown[]) {
  return { records, changes: [] };
}

function show(place: ReactNode) {
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter>
        <CurrentMailbox value="m">{place}</CurrentMailbox>
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

function refusal(status: number, detail: string): Response {
  return new Response(JSON.stringify({ status, detail }), {
    status,
    headers: { 'Content-Type': 'application/json' },
  });
}

const record = (id: string, more: Record<string, unknown>) => ({
  step: {
    id,
    message: 7,
    rule: 'seeds',
    ruleVersion: 2,
    ruleName: 'Seed exchange list',
    kind: 'REDIRECT',
    done: said('redirected to tomas@ostrel-gardens.example'),
    recipient: 'tomas@ostrel-gardens.example',
    state: 'SENT',
    attempts: 1,
    plannedAt: '2026-03-29T10:00:00Z',
    acts: [],
    ...more,
  },
  message: {
    id: 7,
    received: '2026-03-29T10:00:00Z',
    sender: 'Anna',
    subject: '[seeds] blue poppy',
    attachments: 0,
    status: 'DECIDED',
    notes: [],
  },
});

test('a record says what was done, by which rule and version, and opens to why a step waits', async () => {
  answers['/api/mailboxes/m/records'] = page([
    record('a', {}),
    record('b', {
      state: 'FAILED',
      because: said('the mail server answered 550 no'),
      acts: ['TRY_AGAIN', 'DISCARD'],
    }),
  ]);
  show(<Records />);
  const rows = await screen.findAllByRole('row');
  expect(rows).toHaveLength(4);
  expect(rows[1]).toHaveTextContent('not redirected to tomas@ostrel-gardens.example — failed');
  expect(rows[1]).toHaveTextContent('redirected to tomas@ostrel-gardens.example — done');
  expect(rows[1]).toHaveTextContent('version 2');
  expect(rows[2]).toHaveTextContent('550 no');
  fireEvent.click(screen.getByRole('button', { name: 'Hide the steps' }));
  expect(screen.getAllByRole('row')).toHaveLength(2);
  expect(screen.getByText('the mail server answered 550 no')).toBeInTheDocument();
});

test('what a person may do with a failed step stands in its row and is carried out', async () => {
  answers['/api/mailboxes/m/records'] = page([
    record('b', { state: 'FAILED', acts: ['TRY_AGAIN', 'DISCARD'] }),
  ]);
  answers['POST /api/mailboxes/m/steps/b/TRY_AGAIN'] = record('b', {}).step;
  show(<Records />);
  fireEvent.click(await screen.findByRole('button', { name: 'Try again' }));
  await waitFor(() => expect(asked.some((a) => a.url.endsWith('/steps/b/TRY_AGAIN'))).toBe(true));
});

test('a refusal of an act is shown in its words', async () => {
  answers['/api/mailboxes/m/records'] = page([record('b', { state: 'HELD', acts: ['DISCARD'] })]);
  answers['POST /api/mailboxes/m/steps/b/DISCARD'] = refusal(
    409,
    'The step is sent by now, so that can’t be done any more.',
  );
  show(<Records />);
  fireEvent.click(await screen.findByRole('button', { name: 'Discard' }));
  expect(await screen.findByRole('alert')).toHaveTextContent('The step is sent by now');
});

test('without records it says when there will be some', async () => {
  answers['/api/mailboxes/m/records'] = page([]);
  show(<Records />);
  expect(await screen.findByText(/Nothing has been done yet/)).toBeInTheDocument();
});

test('records that can’t be fetched say so and offer a way on', async () => {
  answers['/api/mailboxes/m/records'] = refusal(503, 'The database does not answer just now.');
  show(<Records />);
  const trouble = await screen.findByRole('alert');
  expect(trouble).toHaveTextContent('The database does not answer just now.');
  answers['/api/mailboxes/m/records'] = page([]);
  fireEvent.click(within(trouble).getByRole('button', { name: 'Try again' }));
  expect(await screen.findByText(/Nothing has been done yet/)).toBeInTheDocument();
});

test('the strip names the current mailbox, the evidence and the watcher’s state', async () => {
  show(<TopStrip name="Ilse Varga" demo={false} />);
  expect(await screen.findByText('visits@ostrel-gardens.example')).toBeInTheDocument();
  expect(await screen.findByText('last 90 days · 4,212 messages')).toBeInTheDocument();
  expect(screen.getByText('watching')).toBeInTheDocument();
});

test('while a rule is open the strip says which, and the places are behind a button', async () => {
  answers['/api/mailboxes/m/rule-book'] = {
    version: 1,
    document: { rules: [{ id: 'r', name: 'School visits' }] },
    readBack: [],
  };
  show(<TopStrip name="Ilse Varga" demo rule="r" />);
  expect(await screen.findByText(/› School visits/)).toBeInTheDocument();
  expect(screen.queryByRole('link', { name: 'Records' })).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'Places' }));
  const places = within(await screen.findByRole('navigation', { name: 'Places' }));
  expect(places.getAllByRole('link').map((link) => link.textContent)).toEqual([
    'Desk',
    'Incoming',
    'Rules',
    'Templates',
    'Timetable',
    'Trials',
    'Records',
    'Address book',
    'Setup',
    'Outside',
  ]);
});

test('trouble with the mail server stands below the strip, with its cause', async () => {
  answers['/api/mailboxes/m'] = {
    ...mailbox,
    watching: 'SIGN_IN_REFUSED',
    trouble: { cause: said('the mail server refuses the name or the password') },
  };
  show(<TopStrip name="Ilse Varga" demo={false} />);
  expect(await screen.findByRole('alert')).toHaveTextContent('refuses the name or the password');
});

test('a moved clock is said on every place to be the demo’s', async () => {
  answers['/api/outside/clock'] = { offsetSeconds: 3600, now: '2026-03-29T11:00:00Z' };
  show(<TopStrip name="Ilse Varga" demo />);
  expect(await screen.findByText('the demo’s clock is moved')).toBeInTheDocument();
});

test('a wrong password is answered in the server’s words and the name stays typed', async () => {
  answers['POST /api/sign-in'] = refusal(401, 'That name and password do not belong together.');
  show(<SignIn demo={false} />);
  expect(screen.getByRole('button', { name: 'Sign in' })).toBeDisabled();
  fireEvent.change(screen.getByLabelText('Name'), { target: { value: 'ilse' } });
  fireEvent.change(screen.getByLabelText('Password'), { target: { value: 'x' } });
  fireEvent.click(screen.getByRole('button', { name: 'Sign in' }));
  expect(await screen.findByRole('alert')).toHaveTextContent('do not belong together');
  expect(screen.getByLabelText('Name')).toHaveValue('ilse');
  expect(asked.find((a) => a.url === '/api/sign-in')?.body).toBe('username=ilse&password=x');
});

test('only the demo tells how to sign in', () => {
  show(<SignIn demo={false} />);
  expect(screen.queryByText(/greenhouse/)).toBeNull();
  cleanup();
  show(<SignIn demo />);
  expect(screen.getByText('greenhouse')).toBeInTheDocument();
});

const boxes = [
  { address: 'education@ostrel-gardens.example', messages: 1 },
  { address: 'friend@far.example', messages: 0 },
];

test('of several mailboxes the current one is shown, and another one can be chosen', async () => {
  answers['/api/session'] = {
    name: 'Ilse',
    demo: false,
    mailboxes: [
      { id: 'm', address: 'visits@ostrel-gardens.example', name: 'Visits desk' },
      { id: 's', address: 'seeds@ostrel-gardens.example', name: 'Seed exchange' },
    ],
  };
  show(<TopStrip name="Ilse" demo={false} />);
  const chip = await screen.findByRole('button', { name: 'current mailbox: visits@ostrel-gardens.example' });
  fireEvent.keyDown(chip, { key: 'Enter' });
  fireEvent.click(screen.getByRole('menuitemradio', { name: /Seed exchange/ }));
  expect(localStorage.getItem('jubek.mailbox')).toBe('s');
});

test('Outside is marked as a simulation and tells inside and outside mailboxes apart', async () => {
  answers['/api/outside/mailboxes'] = boxes;
  answers['/api/outside/messages'] = [];
  show(<Outside />);
  expect(screen.getByText(/A simulation/)).toBeInTheDocument();
  const nav = screen.getByRole('navigation', { name: 'Simulated mailboxes' });
  expect(await within(nav).findByText('friend@far.example')).toBeInTheDocument();
  expect(await screen.findByText('This mailbox has received nothing.')).toBeInTheDocument();
});

test('one may write as anybody, and a refusal of the post office keeps what was written', async () => {
  answers['/api/outside/mailboxes'] = boxes;
  answers['/api/outside/messages'] = [];
  answers['POST /api/outside/write'] = refusal(
    422,
    'The post office refused: give one address to write from',
  );
  show(<Outside />);
  const form = screen.getByRole('form', { name: 'Write as anybody' });
  fireEvent.change(within(form).getByLabelText('From, any address'), { target: { value: 'two, three' } });
  fireEvent.change(within(form).getByLabelText('Subject'), { target: { value: 'Arrival' } });
  fireEvent.click(within(form).getByRole('button', { name: 'Send it' }));
  expect(await within(form).findByRole('alert')).toHaveTextContent('give one address');
  expect(within(form).getByLabelText('Subject')).toHaveValue('Arrival');
});

test('mail that comes in by itself can be paused', async () => {
  answers['/api/outside/mailboxes'] = boxes;
  answers['/api/outside/messages'] = [];
  answers['/api/outside/traffic'] = { delivered: 0, weekLeft: 0, paused: false, everySeconds: 30 };
  answers['PUT /api/outside/traffic'] = { delivered: 0, weekLeft: 0, paused: true, everySeconds: 30 };
  show(<Outside />);
  expect(await screen.findByText('every 30 to 60 seconds')).toBeInTheDocument();
  fireEvent.click(screen.getByRole('button', { name: 'Pause' }));
  expect(await screen.findByText('no mail comes in by itself')).toBeInTheDocument();
  expect(asked.find((a) => a.method === 'PUT')?.body).toBe('{"paused":true,"everySeconds":30}');
});

test('the demo’s clock moves by what is pressed, from where it stands', async () => {
  answers['/api/outside/mailboxes'] = boxes;
  answers['/api/outside/messages'] = [];
  answers['/api/outside/clock'] = { offsetSeconds: 3600, now: '2026-03-29T11:00:00Z' };
  answers['PUT /api/outside/clock'] = { offsetSeconds: 90_000, now: '2026-03-30T11:00:00Z' };
  show(<Outside />);
  expect(await screen.findByText('(moved by 1 hour)')).toBeInTheDocument();
  fireEvent.click(screen.getByRole('button', { name: '+1 day' }));
  await waitFor(() => expect(asked.find((a) => a.method === 'PUT')?.body).toBe('{"offsetSeconds":90000}'));
});
