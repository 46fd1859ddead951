import '@testing-library/jest-dom/vitest';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { said } from '../../../../test/said';
import { aStep } from '../../../../test/step';
import { CurrentMailbox } from '../../../mailbox';
import { Waiting } from './Waiting';

let asked: { call: string; body: string }[];
let waiting: unknown[];

const answer = (body: unknown) =>
  new Response(JSON.stringify(body), { status: 200, headers: { 'Content-Type': 'application/json' } });

function held(id: string, subject: string) {
  return {
    step: aStep({
      id,
      state: 'HELD',
      because: said('it waits until a person approves it', 'APPROVAL'),
      release: said('on approval', 'RELEASE_ON_APPROVAL'),
      mayBeEdited: true,
      acts: ['SEND_NOW', 'DISCARD'],
    }),
    message: { id: 7, received: '2026-11-30T10:00:00Z', sender: 'Lucie', subject, attachments: 0, notes: [] },
    approved: 0,
  };
}

beforeEach(() => {
  asked = [];
  waiting = [held('a', 'Wedding pictures'), held('b', 'A fashion shoot')];
  vi.stubGlobal('fetch', async (request: Request) => {
    const { pathname } = new URL(request.url);
    const call = `${request.method} ${pathname.slice('/api/mailboxes/m/'.length)}`;
    asked.push({ call, body: await request.clone().text() });
    if (call === 'GET waiting') {
      return answer(waiting);
    }
    if (call === 'GET composing') {
      return answer({ host: 'composing.example' });
    }
    if (pathname.endsWith('/limits')) {
      return answer({ days: 90, leaving: 0, limits: [] });
    }
    if (pathname.endsWith('/sent')) {
      const shown = { sender: 'Visits desk', to: 'l@postbox.example', subject: 'Your pictures', answers: '' };
      return answer({ shown, texts: ['Dear Lucie'], page: '', attachments: [], raw: '', size: 0 });
    }
    return answer({ from: [], to: [], cc: [], texts: ['May we?'], attachments: [], done: 2, left: 0 });
  });
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const called = (call: string) => asked.filter((one) => one.call === call);

async function show() {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <CurrentMailbox value="m">
          <Waiting />
        </CurrentMailbox>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  expect((await screen.findAllByText('Dear Lucie'))[0]).toBeVisible();
}

test('the original stands beside what would go out, and the keys go through and send', async () => {
  await show();
  expect(await screen.findByText('May we?')).toBeVisible();
  fireEvent.keyDown(screen.getByRole('button', { name: /Wedding pictures/ }), { key: 'ArrowDown' });
  expect(screen.getByRole('button', { name: /A fashion shoot/ })).toHaveAttribute('aria-current', 'true');
  fireEvent.keyDown(window, { key: 'Enter', ctrlKey: true });
  await waitFor(() => expect(called('POST steps/b/SEND_NOW')).toHaveLength(1));
});

test('other words are kept before they are sent', async () => {
  await show();
  fireEvent.click(screen.getByRole('button', { name: 'Edit' }));
  fireEvent.change(screen.getByLabelText('Text'), { target: { value: 'Dear Lucie, gladly' } });
  fireEvent.keyDown(window, { key: 'Enter', ctrlKey: true });
  await waitFor(() => expect(called('POST steps/a/SEND_NOW')).toHaveLength(1));
  expect(called('PUT steps/a/words')[0]?.body).toBe(
    JSON.stringify({ subject: 'Your pictures', text: 'Dear Lucie, gladly' }),
  );
});

test('several alike are sent in one act, after a question', async () => {
  await show();
  fireEvent.click(screen.getByRole('button', { name: 'Send all 2 …' }));
  expect(called('POST waiting/SEND_NOW')).toHaveLength(0);
  fireEvent.click(screen.getByRole('button', { name: 'Send them' }));
  await waitFor(() => expect(called('POST waiting/SEND_NOW')[0]?.body).toBe('["a","b"]'));
});

function composed(found: object) {
  const one = held('a', 'Wedding pictures');
  waiting = [
    {
      ...one,
      step: { ...one.step, because: said('it is composed', 'COMPOSED') },
      composed: { sentences: [], ...found },
    },
  ];
}

test('what was composed is shown with its marks, and the rule’s own reply is one click away', async () => {
  composed({
    progress: 'COMPOSED',
    sentences: [{ text: 'Dear Lucie', begins: 'AFTER_SPACE', from: 'REPLY', quote: 'Dear Lucie' }],
  });
  await show();
  expect(await screen.findByText(/Composed from the message by composing.example/)).toBeVisible();
  fireEvent.click(screen.getByRole('button', { name: 'Use the rule’s own reply' }));
  await waitFor(() => expect(called('DELETE steps/a/composed')).toHaveLength(1));
});

test('where nothing was composed it says why, and asks again', async () => {
  composed({ progress: 'NOT_COMPOSED', because: said('the composing service wrote nothing', 'C') });
  await show();
  expect(
    await screen.findByText(/Nothing was composed: the composing service wrote nothing\./),
  ).toBeVisible();
  fireEvent.click(screen.getByRole('button', { name: 'Compose again' }));
  await waitFor(() => expect(called('POST steps/a/composed')).toHaveLength(1));
});
