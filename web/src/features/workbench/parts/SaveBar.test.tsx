import '@testing-library/jest-dom/vitest';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Schemas } from '../../../api/client';
import { Done, CurrentMailbox, type DoneLine } from '../../mailbox';
import { newDraft, type Draft } from '../model';
import { item } from '../../criteria';
import { said } from '../../../test/said';
import { SaveBar } from './SaveBar';

interface Saving {
  baseVersion: number;
  document: { rules: { id: string; name: string; on: boolean }[] };
}

const theirs = {
  format: 'jubek-rule-book',
  formatVersion: 1,
  rules: [
    {
      id: 'x',
      version: 1,
      name: 'Theirs',
      picksOut: { everything: true },
      does: [],
      ending: 'continue',
      on: false,
    },
  ],
};

let saved: Saving[] = [];
let refuse = false;
let line: DoneLine | undefined;
let dropped = 0;

beforeEach(() => {
  saved = [];
  refuse = false;
  dropped = 0;
  line = undefined;
  vi.stubGlobal('fetch', async (request: Request) => {
    if (request.method !== 'PUT') {
      return json({ version: 1, document: { ...theirs, rules: [] }, readBack: [] });
    }
    const saving = (await request.json()) as Saving;
    saved.push(saving);
    return refuse && saving.baseVersion === 1
      ? json({ detail: 'The rules were changed meanwhile by Noor.', version: 2, document: theirs }, 409)
      : json({ version: saving.baseVersion + 1, document: saving.document, readBack: [] });
  });
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function json(body: unknown, status = 200): Response {
  return new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } });
}

let changed: Draft | undefined;

function bar(more: Partial<Draft>, shadows: Schemas['ShadowedView'][] = []) {
  const draft: Draft = {
    ...newDraft('mine'),
    name: 'Mine',
    picksOut: [item({ part: 'subject', how: 'contains', values: ['visit'] })],
    does: [{ do: 'file', folder: 'Seeds' }],
    ...more,
  };
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter>
        <CurrentMailbox value="m">
          <Done value={{ line: undefined, tell: (told) => (line = told) }}>
            <SaveBar
              draft={draft}
              begin={{ ...draft }}
              isNew
              picked={42}
              unfinished={[]}
              shadows={shadows}
              cautions={shadows.map(() => said('mara@ostrel.example would also get 3 of these messages.'))}
              warnings={shadows.map(() => said('“[date]” looks like text to be replaced.'))}
              presetEnding="stop here"
              onChange={(draft) => (changed = draft)}
              onSaved={() => {}}
              onDrop={() => dropped++}
            />
          </Done>
        </CurrentMailbox>
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

test('switching on says that past mail stays untouched', async () => {
  bar({});
  await waitFor(() => expect(screen.getByRole('button', { name: 'Save and switch on' })).toBeEnabled());
  fireEvent.click(screen.getByRole('button', { name: 'Save and switch on' }));
  await waitFor(() =>
    expect(line?.text).toBe('“Mine” is on. New mail only; the 42 past messages are untouched.'),
  );
  expect(saved[0]?.document.rules).toMatchObject([{ id: 'mine', on: true }]);
});

test('rules that would lose messages to this one are named before saving, with what prevents it', async () => {
  bar({}, [{ rule: 'v', name: 'School visits', answers: false, messages: 16, order: 2 }]);
  expect(
    await screen.findByText('16 messages of the last 30 days would no longer reach “School visits”.'),
  ).toBeInTheDocument();
  expect(
    screen.getByText('In the text of this rule: “[date]” looks like text to be replaced.'),
  ).toBeInTheDocument();
  expect(screen.getByText('mara@ostrel.example would also get 3 of these messages.')).toBeInTheDocument();
  fireEvent.click(screen.getByRole('button', { name: 'Place this rule below' }));
  expect(changed?.order).toBe(2);
  fireEvent.click(screen.getByRole('button', { name: 'Let later rules continue' }));
  expect(changed?.ending).toBe('continue');
});

test('a draft is discarded after a yes only', async () => {
  bar({});
  fireEvent.click(await screen.findByRole('button', { name: 'Discard draft' }));
  expect(dropped).toBe(0);
  fireEvent.click(within(screen.getByRole('alertdialog')).getByRole('button', { name: 'Discard draft' }));
  expect(dropped).toBe(1);
});

test('a rule that does nothing yet can be kept paused and not switched on', async () => {
  bar({ does: [] });
  await waitFor(() => expect(screen.getByRole('button', { name: 'Save paused' })).toBeEnabled());
  expect(screen.getByRole('button', { name: 'Save and switch on' })).toBeDisabled();
  expect(screen.getByRole('status')).toHaveTextContent('Choose at least one action to switch this rule on.');
});

test('a book changed meanwhile is refused with both versions, and mine can be put in their version', async () => {
  refuse = true;
  bar({});
  await waitFor(() => expect(screen.getByRole('button', { name: 'Save paused' })).toBeEnabled());
  fireEvent.click(screen.getByRole('button', { name: 'Save paused' }));
  expect(await screen.findByText(/changed meanwhile by Noor/)).toHaveTextContent(
    'This rule is not in their version.',
  );
  fireEvent.click(screen.getByRole('button', { name: 'Put my “Mine” in their version' }));
  await waitFor(() => expect(saved).toHaveLength(2));
  expect(saved[1]?.baseVersion).toBe(2);
  expect(saved[1]?.document.rules.map((r) => r.name)).toEqual(['Mine', 'Theirs']);
});
