import '@testing-library/jest-dom/vitest';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { CurrentMailbox } from '../../mailbox';
import type { Form } from '../model';
import { usePanel } from '../usePanel';
import { AbsencePanel } from './AbsencePanel';

let saved: () => void;
let planned: Form[];
let absences: unknown[];

const answer = (body: unknown) =>
  new Response(JSON.stringify(body), { status: 200, headers: { 'Content-Type': 'application/json' } });

const LOOK = {
  standing: 'NOT_ASKED',
  findings: [{ code: 'ABSENCE_NO_SUBSTITUTE', arguments: [], words: 'Nobody stands in.' }],
  seen: {
    days: 7,
    messages: 90,
    counts: [
      { fate: 'ANSWERED', count: 61, messages: [] },
      { fate: 'LIST', count: 0, messages: [] },
    ],
  },
};

beforeEach(() => {
  planned = [];
  absences = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    const { pathname } = new URL(request.url);
    if (request.method === 'PUT') {
      await new Promise<void>((done) => (saved = done));
      return answer({});
    }
    if (pathname.endsWith('/absences') && request.method === 'POST') {
      planned.push((await request.json()) as Form);
      return answer({});
    }
    const bodies: Record<string, unknown> = {
      absences: { today: '2026-12-01', absences },
      look: LOOK,
      templates: { templates: [], fields: [] },
      'address-book': { people: [], groups: [] },
      'rule-book': { version: 1, document: { rules: [] }, readBack: [] },
    };
    return answer(bodies[pathname.split('/').at(-1) ?? ''] ?? { address: 'visits@ostrel-gardens.example' });
  });
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function Place() {
  const panel = usePanel();
  return panel.form ? (
    <AbsencePanel absence={panel.open} form={panel.form} onChange={panel.change} onClose={panel.close} />
  ) : null;
}

function show(at: string) {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter initialEntries={[at]}>
        <CurrentMailbox value="m">
          <Place />
        </CurrentMailbox>
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

async function choose(label: RegExp, text: string) {
  fireEvent.keyDown(await screen.findByRole('button', { name: label }), { key: 'Enter' });
  fireEvent.click(await screen.findByRole('menuitemradio', { name: text }));
}

test('what is filled in while an answer is being made stays, and all of it is planned', async () => {
  show('/timetable?away=new');
  expect(await screen.findByRole('button', { name: 'Plan it' })).toBeDisabled();
  await choose(/^add an answer/, 'New answer in English');
  fireEvent.change(screen.getByLabelText('stands in'), { target: { value: 'noor@ostrel-gardens.example' } });
  await waitFor(() => expect(saved).toBeDefined());
  saved();
  expect(await screen.findByText('61 senders')).toBeVisible();
  expect(screen.queryByText(/from lists/)).toBeNull();
  expect(screen.getByText('Nobody stands in.')).toBeVisible();
  fireEvent.click(screen.getByRole('button', { name: 'Plan it' }));
  await waitFor(() => expect(planned).toHaveLength(1));
  expect(planned[0]).toMatchObject({
    audience: 'EVERYONE',
    takingOver: { address: 'noor@ostrel-gardens.example', share: 'NOTHING', daysBefore: 3 },
  });
  expect(planned[0]?.templates).toHaveLength(1);
});

test('a first day after the last one takes the last one along', async () => {
  show('/timetable?away=new');
  fireEvent.change(await screen.findByLabelText('first day'), { target: { value: '2027-03-01' } });
  expect(screen.getByLabelText('last day')).toHaveValue('2027-03-01');
});

test('an absence that lasts is ended, one to come is called off', async () => {
  const form = { first: '2026-11-30', last: '2026-12-04', audience: 'NOBODY', groups: [], templates: [] };
  const one = { id: 'a', form, told: { words: '' }, standing: 'NOT_ASKED', findings: [], over: false };
  absences = [{ ...one, under: true }];
  show('/timetable?away=a');
  expect(await screen.findByRole('button', { name: 'I am back' })).toBeEnabled();
  expect(screen.getByRole('button', { name: 'Save the change' })).toBeDisabled();
  cleanup();
  absences = [{ ...one, under: false }];
  show('/timetable?away=a');
  expect(await screen.findByRole('button', { name: 'Call it off' })).toBeEnabled();
});
