import { asked } from '../../../test/destination';
import { said } from '../../../test/said';
import '@testing-library/jest-dom/vitest';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { Done, CurrentMailbox, type DoneLine } from '../../mailbox';
import { RuleList } from './RuleList';

const rule = (id: string, more = {}) => ({
  id,
  version: 1,
  name: id,
  picksOut: { everything: true },
  does: [{ do: 'file', folder: 'Seeds' }],
  ending: 'continue',
  on: true,
  ...more,
});

let saved: { baseVersion: number; document: { rules: { id: string; on: boolean }[] } }[] = [];
let line: DoneLine | undefined;
let refused = false;
let held = false;
let destinations: unknown[] = [];
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
  destinations = [];
  refused = false;
  held = false;
  rules = [rule('alarms'), rule('schools', { on: false })];
  vi.stubGlobal('fetch', async (request: Request) => {
    if (request.url.endsWith('/templates')) {
      return answer({ templates: [], fields: [] });
    }
    if (request.url.endsWith('/destinations')) {
      return answer(destinations);
    }
    if (request.url.endsWith('/rule-times')) {
      return answer([]);
    }
    if (request.url.includes('/trials')) {
      return answer({ ranAt: '2026-03-20T10:00:00Z', kept: 0, differing: 0, rules: [], others: [] });
    }
    if (request.url.endsWith('/uses')) {
      return answer([{ rule: 'alarms', messages: 31, last: '2026-03-20T10:00:00Z', superseded: 0 }]);
    }
    if (request.url.includes('/figures')) {
      return answer({ messages: 100, rules: [{ rule: 'alarms', picked: 12, leftOut: 0 }], inInbox: 88 });
    }
    if (request.url.endsWith('/changed-hands')) {
      const message = { id: 7, received: '2026-03-20T10:00:00Z', sender: 'Anna', subject: 'Class booking' };
      const examples = changed > 0 ? [{ message, before: ['alarms'], after: ['schools', 'alarms'] }] : [];
      return answer({ messages: 100, changed, examples });
    }
    if (request.method === 'PUT' && held) {
      const saving = await request.json();
      if (!saving.despiteTrials) {
        return answer({ detail: 'A trial differs: “Frost”.', trials: [{ id: 't', name: 'Frost' }] }, 422);
      }
      saved.push(saving);
      return answer({ version: saving.baseVersion + 1, document: saving.document, readBack: [] });
    }
    if (request.method === 'PUT' && refused) {
      return answer({ detail: 'The rules were changed meanwhile by Bo.' }, 409);
    }
    if (request.method === 'PUT') {
      const saving = await request.json();
      saved.push(saving);
      return answer({ version: saving.baseVersion + 1, document: saving.document, readBack: [] });
    }
    return answer({
      version: 4,
      document: { format: 'jubek-rule-book', formatVersion: 1, rules },
      readBack: rules.map((r) => ({ rule: r.id, sentence: said(`Mail of ${r.id}.`) })),
    });
  });
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function ruleList() {
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter>
        <CurrentMailbox value="m">
          <Done value={{ line: undefined, tell: (told) => (line = told) }}>
            <RuleList />
          </Done>
        </CurrentMailbox>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return screen.findByRole('row', { name: /^1, alarms, on/ });
}

test('a row says its order, its name, its sentence, what it takes and whether it is on', async () => {
  const row = await ruleList();
  await waitFor(() => expect(row).toHaveTextContent('12'));
  expect(row).toHaveTextContent('Mail of alarms.');
  expect(screen.getByRole('row', { name: '2, schools, paused' })).toBeInTheDocument();
});

test('a row says whom its mail waits for', async () => {
  destinations = [asked('alarms')];
  await ruleList();
  expect(await screen.findByText(/sends nothing yet: waiting for mara@postbox.example/)).toBeInTheDocument();
});

test('Space switches the focused rule and only that one', async () => {
  const row = await ruleList();
  fireEvent.keyDown(row, { key: ' ' });
  await waitFor(() => expect(saved).toHaveLength(1));
  expect(saved[0]?.document.rules.map((r) => r.on)).toEqual([false, false]);
  expect(line?.text).toBe('“alarms” is paused.');
});

test('Alt+Down moves a rule, says so, and can be taken back', async () => {
  const row = await ruleList();
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
  const row = await ruleList();
  fireEvent.keyDown(row, { key: 'ArrowDown', altKey: true });
  expect(await screen.findByText(/would be handled by other rules/)).toBeInTheDocument();
  expect(screen.getByText('“alarms” → “schools”, then “alarms”')).toBeInTheDocument();
  expect(saved).toHaveLength(0);
  fireEvent.click(screen.getByRole('button', { name: 'Save this order' }));
  await waitFor(() => expect(saved[0]?.document.rules.map((r) => r.id)).toEqual(['schools', 'alarms']));
});

test('removing asks first', async () => {
  await ruleList();
  fireEvent.click(screen.getByRole('button', { name: 'Remove …' }));
  expect(saved).toHaveLength(0);
  fireEvent.click(await screen.findByRole('button', { name: 'Remove it' }));
  await waitFor(() => expect(saved[0]?.document.rules.map((r) => r.id)).toEqual(['schools']));
});

test('without rules it says what to do first', async () => {
  rules = [];
  ruleList().catch(() => undefined);
  expect(await screen.findByText(/start a rule from it/)).toBeInTheDocument();
});

test('a switch that is refused, as the rules were changed meanwhile, says so', async () => {
  refused = true;
  fireEvent.keyDown(await ruleList(), { key: ' ' });

  expect(await screen.findByText('The rules were changed meanwhile by Bo.')).toBeInTheDocument();
});

test('a switch that trials hold back names them, and is made all the same when a person says so', async () => {
  held = true;
  fireEvent.keyDown(await ruleList(), { key: ' ' });
  expect(await screen.findByRole('link', { name: 'Frost' })).toHaveAttribute('href', '/trials?trial=t');
  expect(saved).toEqual([]);
  fireEvent.click(screen.getByRole('button', { name: 'Switch on all the same' }));
  await waitFor(() => expect(saved).toHaveLength(1));
  expect(saved[0]).toMatchObject({ baseVersion: 4, despiteTrials: true });
  await waitFor(() => expect(screen.queryByRole('link', { name: 'Frost' })).toBeNull());
});

test('with a filter on, a rule that was moved keeps the focus', async () => {
  rules = ['a1', 'b1', 'a2', 'b2', 'a3', 'b3', 'a4', 'b4', 'a5'].map((id) => rule(id));
  ruleList().catch(() => undefined);
  fireEvent.change(await screen.findByLabelText('Filter the rules'), { target: { value: 'b' } });
  fireEvent.keyDown(await screen.findByRole('row', { name: /b3/ }), { key: 'ArrowUp', altKey: true });
  await waitFor(() => expect(document.activeElement).toHaveAccessibleName(/b3/));
});
