import '@testing-library/jest-dom/vitest';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { MailboxInHand } from '../../mailbox';
import { Desk } from './Desk';

let calls: string[];
let waiting: unknown[];
let lookBy: unknown[];
let setAside: unknown[];

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
    words: 'redirected to duty@ostrel-gardens.example',
    recipient: 'duty@ostrel-gardens.example',
    state: 'FAILED',
    note: 'the address was refused',
    advice: 'check the address in the rule',
    attempts: 1,
    plannedAt: '2026-03-20T10:00:00Z',
    acts: ['TRY_AGAIN', 'DROP'],
  },
  message: {
    id: 7,
    received: '2026-03-20T10:00:00Z',
    sender: 'Anna',
    subject: 'Guided visit',
    attachments: 0,
  },
};

beforeEach(() => {
  calls = [];
  waiting = [];
  lookBy = [];
  setAside = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    const { pathname } = new URL(request.url);
    calls.push(`${request.method} ${pathname}`);
    if (pathname.endsWith('/desk')) {
      return answer({
        since: '2026-03-19T17:00:00Z',
        came: 12,
        done: [{ kind: 'REDIRECT', messages: 3 }],
        lookBy,
      });
    }
    if (pathname.endsWith('/set-aside')) {
      return answer(setAside);
    }
    if (pathname.endsWith('/records')) {
      return answer(waiting);
    }
    if (pathname.endsWith('/course')) {
      return answer({ window: 40, rules: [{ rule: 'r', picked: 9, spared: 0 }], inInbox: 31 });
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
      ending: 'goes on',
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
        <MailboxInHand value="m">
          <Desk />
        </MailboxInHand>
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

test('it tells what came in and was done, and where the mail of the week goes', async () => {
  show();
  expect(await screen.findByText('12 messages came in')).toBeInTheDocument();
  expect(screen.getByText('3 redirected')).toBeInTheDocument();
  expect(await screen.findByText('31 messages stay in the inbox')).toBeInTheDocument();
});

test('what needs a person stands with its cause, what to do, and the acts', async () => {
  waiting = [FAILED];
  show();
  expect(await screen.findByText('the address was refused')).toBeInTheDocument();
  expect(screen.getByText('check the address in the rule')).toBeInTheDocument();
  fireEvent.click(screen.getByRole('button', { name: 'try again' }));
  await waitFor(() => expect(calls).toContain('POST /api/mailboxes/m/steps/s/TRY_AGAIN'));
  expect(await screen.findByText('has changes that are not saved')).toBeInTheDocument();
});

test('a message that no rule looked at stands with its cause, and can be closed', async () => {
  setAside = [{ message: FAILED.message, cause: 'it is nested too deep', mayTryAgain: false }];
  show();
  expect(await screen.findByText('no rule looked at it')).toBeInTheDocument();
  expect(screen.getByText('The cause: it is nested too deep.')).toBeInTheDocument();
  expect(screen.queryByRole('button', { name: 'try again' })).not.toBeInTheDocument();
  fireEvent.click(screen.getByRole('button', { name: 'close' }));
  await waitFor(() => expect(calls).toContain('POST /api/mailboxes/m/set-aside/7/close'));
});

test('leaving it counts as having looked', async () => {
  const { unmount } = show();
  await screen.findByText('12 messages came in');
  expect(calls).not.toContain('PUT /api/mailboxes/m/desk/look');
  unmount();
  await waitFor(() => expect(calls).toContain('PUT /api/mailboxes/m/desk/look'));
});

test('a message that is to be looked at stands on the desk and opens', async () => {
  lookBy = [{ message: { ...FAILED.message, subject: 'Frost damage' }, day: '2020-01-06' }];
  show();
  expect(await screen.findByRole('link', { name: 'Frost damage' })).toHaveAttribute('href', '/incoming/7');
  expect(screen.getByText('to be looked at since 6 Jan 2020')).toBeVisible();
});
