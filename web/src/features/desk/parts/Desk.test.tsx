import { asked } from '../../../test/destination';
import { said } from '../../../test/said';
import '@testing-library/jest-dom/vitest';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { CurrentMailbox } from '../../mailbox';
import { Desk } from './Desk';

let calls: string[];
let waiting: unknown[];
let destinations: ReturnType<typeof asked>[] = [];
let reminders: unknown[];
let turns: unknown[];
let setAside: unknown[];
let catchUps: unknown[] = [];
let drifts: unknown[] = [];
let unanswered: unknown[];
let broughtBack: unknown[];

const answer = (body: unknown) =>
  new Response(JSON.stringify(body), { status: 200, headers: { 'Content-Type': 'application/json' } });

const FAILED = {
  step: {
    id: 's',
    message: 7,
    rule: 'r',
    ruleVersion: 1,
    ruleName: 'Schools',
    kind: 'REDIRECT',
    done: said('redirected to duty@ostrel-gardens.example'),
    recipient: 'duty@ostrel-gardens.example',
    state: 'FAILED',
    because: said('the address was refused'),
    advice: said('Check the address in the rule.'),
    attempts: 1,
    plannedAt: '2026-03-20T10:00:00Z',
    acts: ['TRY_AGAIN', 'DISCARD'],
  },
  message: {
    id: 7,
    received: '2026-03-20T10:00:00Z',
    sender: 'Anna',
    subject: 'Guided visit',
    attachments: 0,
  },
};

const DAYS = [
  { day: '2026-03-19', came: 9, done: [{ kind: 'REDIRECT', messages: 3 }], inInbox: 6 },
  { day: '2026-03-20', came: 3, done: [], inInbox: 3 },
];

beforeEach(() => {
  calls = [];
  destinations = [];
  unanswered = [];
  broughtBack = [];
  waiting = [];
  reminders = [];
  turns = [];
  setAside = [];
  catchUps = [];
  drifts = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    const { pathname } = new URL(request.url);
    calls.push(`${request.method} ${pathname}`);
    if (pathname.endsWith('/desk')) {
      return answer({
        lastVisit: { at: '2026-03-19T17:00:00Z', came: 2 },
        came: 12,
        done: [{ kind: 'REDIRECT', messages: 3 }],
        days: DAYS,
        reminders,
        turns,
      });
    }
    if (pathname.endsWith('/destinations')) {
      return answer(destinations);
    }
    if (pathname.endsWith('/set-aside')) {
      return answer(setAside);
    }
    if (pathname.endsWith('/review')) {
      return answer({
        findings: [{ id: 'f', sort: 'TOO_BROAD', rule: 'r', cause: said('It picks 80 % of all mail.') }],
      });
    }
    if (pathname.endsWith('/unanswered')) {
      return answer(unanswered);
    }
    if (pathname.endsWith('/brought-back')) {
      return answer(broughtBack);
    }
    if (pathname.endsWith('/records')) {
      return answer({ records: waiting, changes: [] });
    }
    if (pathname.endsWith('/drifts')) {
      return answer(drifts);
    }
    if (pathname.endsWith('/catch-ups')) {
      return answer(catchUps);
    }
    if (pathname.endsWith('/figures')) {
      return answer({ messages: 40, rules: [{ rule: 'r', picked: 9, leftOut: 0 }], inInbox: 31 });
    }
    if (pathname.endsWith('/drafts')) {
      return answer({ drafts: [{ rule: 'r', document: {} }] });
    }
    if (pathname.endsWith('/documents')) {
      return answer([]);
    }
    if (pathname.endsWith('/templates')) {
      return answer({ templates: [], fields: [] });
    }
    const rule = {
      id: 'r',
      version: 1,
      name: 'Schools',
      picksOut: { everything: true },
      does: [],
      ending: 'continue',
      on: true,
    };
    return answer({
      version: 4,
      document: { format: 'jubek-rule-book', formatVersion: 1, rules: [rule] },
      readBack: [],
    });
  });
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function show() {
  return render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <CurrentMailbox value="m">
          <Desk />
        </CurrentMailbox>
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

test('it tells what came in and was done, and where the mail of the week goes', async () => {
  show();
  expect(await screen.findByText('12 messages came in')).toBeInTheDocument();
  expect(screen.getByText(/· 2 since your last visit, 19 Mar/)).toBeInTheDocument();
  expect(screen.getByText('3 redirected')).toBeInTheDocument();
  expect(screen.getByText('9 left in the inbox')).toBeInTheDocument();
  expect(
    screen.getByRole('img', { name: 'Thu: 9 messages, 3 redirected, 6 left in the inbox' }),
  ).toBeInTheDocument();
  expect(await screen.findByText('It picks 80 % of all mail.')).toBeInTheDocument();
  expect(await screen.findByText('31 messages stay in the inbox')).toBeInTheDocument();
});

test('what needs a person stands with its cause, what to do, and the acts', async () => {
  waiting = [FAILED];
  show();
  expect(await screen.findByText('the address was refused')).toBeInTheDocument();
  expect(screen.getByText('Check the address in the rule.')).toBeInTheDocument();
  fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
  await waitFor(() => expect(calls).toContain('POST /api/mailboxes/m/steps/s/TRY_AGAIN'));
  expect(await screen.findByText('has changes that are not saved')).toBeInTheDocument();
});

test('a message that left the inbox without its answer waits with what can be done, the newest of each rule', async () => {
  const record = (id: string) => ({
    step: {
      ...FAILED.step,
      id,
      kind: 'REPLY',
      state: 'WITHHELD',
      because: said('this sender had a reply before'),
      acts: ['ANSWER_ANYWAY', 'BRING_BACK', 'LEAVE'],
    },
    message: { ...FAILED.message, subject: `Permit ${id}` },
  });
  unanswered = [record('a'), record('b'), record('c')];
  show();
  expect(await screen.findByRole('link', { name: 'Permit a' })).toBeInTheDocument();
  expect(screen.queryByRole('link', { name: 'Permit c' })).not.toBeInTheDocument();
  expect(
    screen.getByRole('link', { name: '1 more message of Schools not answered, and out of the inbox' }),
  ).toHaveAttribute('href', '/records?view=unanswered');
  fireEvent.click(screen.getAllByRole('button', { name: 'Answer anyway' })[0] as HTMLElement);
  await waitFor(() => expect(calls).toContain('POST /api/mailboxes/m/steps/a/ANSWER_ANYWAY'));
});

test('a message that came back stands until somebody says that it is dealt with', async () => {
  broughtBack = [
    {
      ...FAILED,
      step: {
        ...FAILED.step,
        kind: 'FOLLOW_UP',
        state: 'SENT',
        because: said('nobody dealt with it in time'),
        acts: ['DEALT_WITH'],
      },
    },
  ];
  show();
  expect(await screen.findByText('Back in the inbox')).toBeVisible();
  expect(screen.getByText('nobody dealt with it in time')).toBeVisible();
  fireEvent.click(screen.getByRole('button', { name: 'It is dealt with' }));
  await waitFor(() => expect(calls).toContain('POST /api/mailboxes/m/steps/s/DEALT_WITH'));
});

test('a message that no rule looked at stands with its cause, and can be closed', async () => {
  setAside = [{ message: FAILED.message, cause: said('it is nested too deep'), mayTryAgain: false }];
  show();
  expect(await screen.findByText('no rule checked it')).toBeInTheDocument();
  expect(screen.getByText('Cause: it is nested too deep.')).toBeInTheDocument();
  expect(screen.queryByRole('button', { name: 'Try again' })).not.toBeInTheDocument();
  fireEvent.click(screen.getByRole('button', { name: 'Close' }));
  await waitFor(() => expect(calls).toContain('POST /api/mailboxes/m/set-aside/7/close'));
});

test('a rule that waits for an address outside is said to send it nothing yet', async () => {
  destinations = [asked('alarms')];
  show();
  const waits = (await screen.findByText('mara@postbox.example')).closest('li');
  expect(waits).toHaveTextContent('has not answered. On, but sends nothing to it yet: Alarms');
  expect(screen.queryByText(/Nothing needs you/)).toBeNull();
});

test('leaving it counts as having looked', async () => {
  const { unmount } = show();
  await screen.findByText('12 messages came in');
  expect(calls).not.toContain('PUT /api/mailboxes/m/desk/visit');
  unmount();
  await waitFor(() => expect(calls).toContain('PUT /api/mailboxes/m/desk/visit'));
});

test('a message that is to be looked at stands on the desk and opens', async () => {
  reminders = [{ message: { ...FAILED.message, subject: 'Frost damage' }, day: '2020-01-06' }];
  show();
  expect(await screen.findByRole('link', { name: 'Frost damage' })).toHaveAttribute('href', '/incoming/7');
  expect(screen.getByRole('link', { name: 'Frost damage' }).parentElement).toHaveTextContent(
    /Frost damagereminder, from Anna$/,
  );
});

test('a rule that begins or ends soon is named', async () => {
  turns = [{ rule: 'easter', name: 'Easter visits', day: '2020-01-07', what: said('begins to act') }];
  show();
  expect(await screen.findByRole('link', { name: 'Easter visits' })).toHaveAttribute('href', '/rules/easter');
  expect(screen.getByText(/begins to act/)).toBeInTheDocument();
});

test('messages to approve stand in one row, and so do those of a flood and those that wait for an address', async () => {
  destinations = [asked('alarms')];
  const held = (id: string, code: string, recipient: string) => ({
    message: FAILED.message,
    step: { ...FAILED.step, id, state: 'HELD', because: said('why', code), recipient, acts: ['DISCARD'] },
  });
  waiting = [
    held('a', 'APPROVAL', 'lucie@postbox.example'),
    held('b', 'COMPOSED', 'anton@postbox.example'),
    held('c', 'OUTSIDE', 'Mara@postbox.example'),
    ...['d', 'e', 'f'].map((id) => held(id, 'RULE_LIMIT', 'duty@ostrel-gardens.example')),
  ];
  show();
  expect(await screen.findByText('2 messages to approve')).toBeVisible();
  expect(screen.getByText('3 messages held, as more are leaving than usual')).toBeVisible();
  expect(await screen.findByText('Look at 2 held steps')).toHaveAttribute('href', '/records?view=waiting');
  await waitFor(() => expect(screen.queryByRole('button', { name: 'Discard' })).toBeNull());
});

test('a catch-up that does not go on is among what comes up, with the reason', async () => {
  const rules = [{ id: 'r', name: 'Schools' }];
  catchUps = [
    { id: 'c', rules, state: 'PAUSED', messages: 8, open: 0, note: said('a rule was changed') },
    { id: 'd', rules, state: 'DONE', messages: 8, open: 0 },
  ];
  show();
  const line = await screen.findByText('a rule was changed');
  expect(line.closest('li')).toHaveTextContent('“Schools” paused after 8 messages');
  expect(screen.getAllByText('catch-up')).toHaveLength(1);
});

test('mail that a rule no longer picks stands with the criterion to add, and is dismissed once', async () => {
  drifts = [
    {
      id: 'd',
      rule: 'r',
      sort: 'NO_LONGER_PICKED',
      cause: said('3 messages like its others were not picked'),
      effect: said('With this criterion it picks these 3.'),
      changed: {},
      messages: [FAILED.message],
    },
  ];
  show();
  const changed = await screen.findByRole('region', { name: 'Mail that changed' });
  expect(changed).toHaveTextContent('3 messages like its others were not picked');
  expect(changed).toHaveTextContent('With this criterion it picks these 3.');
  expect(screen.getByRole('button', { name: 'Add it to the rule' })).toBeEnabled();
  fireEvent.click(screen.getByRole('button', { name: 'Dismiss' }));
  await waitFor(() => expect(calls).toContain('POST /api/mailboxes/m/drifts/d/dismiss'));
});
