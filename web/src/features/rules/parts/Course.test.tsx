import '@testing-library/jest-dom/vitest';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { Done, MailboxInHand, type DoneLine } from '../../mailbox';
import { Course } from './Course';

const rule = (id: string, more = {}) => ({
  id,
  version: 1,
  name: id,
  picksOut: { everything: true },
  does: [{ do: 'file', folder: 'Seeds' }],
  ending: 'goes on',
  on: true,
  ...more,
});

let saved: { baseVersion: number; document: { rules: { id: string; on: boolean }[] } }[] = [];
let line: DoneLine | undefined;
let changed = 0;
let rules: ReturnType<typeof rule>[] = [];

function answer(body: unknown, status = 200) {
  return Promise.resolve(
    new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } }),
  );
}

beforeEach(() => {
  saved = [];
  changed = 0;
  rules = [rule('alarms'), rule('schools', { on: false })];
  vi.stubGlobal('fetch', async (request: Request) => {
    if (request.url.endsWith('/templates')) {
      return answer({ templates: [], fields: [] });
    }
    if (request.url.endsWith('/uses')) {
      return answer([{ rule: 'alarms', messages: 31, last: '2026-03-20T10:00:00Z', overtaken: 0 }]);
    }
    if (request.url.includes('/course')) {
      return answer({ window: 100, rules: [{ rule: 'alarms', picked: 12, spared: 0 }], inInbox: 88 });
    }
    if (request.url.endsWith('/rehearsal')) {
      const message = { id: 7, received: '2026-03-20T10:00:00Z', sender: 'Anna', subject: 'Class booking' };
      const examples = changed > 0 ? [{ message, before: ['alarms'], after: ['schools', 'alarms'] }] : [];
      return answer({ window: 100, changed, examples });
    }
    if (request.method === 'PUT') {
      const saving = await request.json();
      saved.push(saving);
      return answer({ version: saving.baseVersion + 1, document: saving.document, readBack: [] });
    }
    return answer({
      version: 4,
      document: { format: 'jubek-rule-book', formatVersion: 1, rules },
      readBack: rules.map((r) => ({ rule: r.id, sentence: `Mail of ${r.id}.` })),
    });
  });
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function course() {
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter>
        <MailboxInHand value="m">
          <Done value={{ line: undefined, tell: (told) => (line = told) }}>
            <Course />
          </Done>
        </MailboxInHand>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return screen.findByRole('row', { name: /^1, alarms, on/ });
}

test('a row says its order, its name, its sentence, what it takes and whether it is on', async () => {
  const row = await course();
  await waitFor(() => expect(row).toHaveTextContent('12'));
  expect(row).toHaveTextContent('Mail of alarms.');
  expect(screen.getByRole('row', { name: '2, schools, paused' })).toBeInTheDocument();
});

test('Space switches the focused rule and only that one', async () => {
  const row = await course();
  fireEvent.keyDown(row, { key: ' ' });
  await waitFor(() => expect(saved).toHaveLength(1));
  expect(saved[0]?.document.rules.map((r) => r.on)).toEqual([false, false]);
  expect(line?.text).toBe('“alarms” is paused.');
});

test('Alt+Down moves a rule, says so, and can be taken back', async () => {
  const row = await course();
  fireEvent.keyDown(row, { key: 'ArrowDown', altKey: true });
  await waitFor(() => expect(saved[0]?.document.rules.map((r) => r.id)).toEqual(['schools', 'alarms']));
  expect(await screen.findByText('alarms, order 2 of 2')).toBeInTheDocument();
  await waitFor(() => expect(line?.takeBack).toBeDefined());
  line?.takeBack?.();
  await waitFor(() => expect(saved).toHaveLength(2));
  expect(saved[1]).toMatchObject({ baseVersion: 5 });
  expect(saved[1]?.document.rules.map((r) => r.id)).toEqual(['alarms', 'schools']);
});

test('a move that makes mail change hands is shown before it is saved', async () => {
  changed = 12;
  const row = await course();
  fireEvent.keyDown(row, { key: 'ArrowDown', altKey: true });
  expect(
    await screen.findByText(/12 messages of the 100 in the window would change hands/),
  ).toBeInTheDocument();
  expect(screen.getByText('“alarms” → “schools”, then “alarms”')).toBeInTheDocument();
  expect(saved).toHaveLength(0);
  fireEvent.click(screen.getByRole('button', { name: 'Save this order' }));
  await waitFor(() => expect(saved[0]?.document.rules.map((r) => r.id)).toEqual(['schools', 'alarms']));
});

test('removing asks first', async () => {
  await course();
  fireEvent.click(screen.getByRole('button', { name: 'Remove …' }));
  expect(saved).toHaveLength(0);
  fireEvent.click(await screen.findByRole('button', { name: 'Remove it' }));
  await waitFor(() => expect(saved[0]?.document.rules.map((r) => r.id)).toEqual(['schools']));
});

test('without rules it says what to do first', async () => {
  rules = [];
  course().catch(() => undefined);
  expect(await screen.findByText(/start a rule from it/)).toBeInTheDocument();
});
