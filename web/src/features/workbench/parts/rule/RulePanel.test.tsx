import '@testing-library/jest-dom/vitest';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render as renderAlone, screen, within } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { useState } from 'react';
import { afterEach, expect, test } from 'vitest';
import { ask, newDraft, type Draft } from '../../model';
import { item } from '../../../criteria';
import type { Evidence } from '../../queries';
import { said } from '../../../../test/said';
import { RulePanel } from './RulePanel';

function render(what: ReactNode) {
  return renderAlone(what, { wrapper: MemoryRouter });
}

afterEach(cleanup);

const mailbox = {
  id: 'm',
  address: 'visits@ostrel-gardens.example',
  ownAddresses: [],
  ownDomains: ['ostrel-gardens.example'],
  zone: 'Europe/Stockholm',
  opening: [],
  watching: 'WATCHING' as const,
  watchingDetail: '',
  now: '2026-03-29T10:00:00Z',
};

const evidence: Evidence = {
  messages: 4212,
  counts: { picked: 42, leftOut: 3, stoppedEarlier: 0, laterRulesAct: 28, nearMiss: 7, outsideItsHours: 0 },
  weeks: [1, 2],
  picksOut: [
    { path: [0], matches: 45, effect: 4081, values: [{ matches: 31 }, { matches: 9, coveredBy: 0 }] },
  ],
  leavesOut: [],
  rows: [],
  rowsInAll: 0,
  unfinished: [],
  shadows: [],
  cautions: [],
  warnings: [],
  presetEnding: 'continue',
  readBack: said('Mail with “visit” in the subject is filed in Seeds.'),
};

const queries = new QueryClient();
const changes: Draft[] = [];
const latest = () => changes.at(-1);

interface PanelProps {
  begin: Draft;
  faults?: { path: string; message: string }[];
  more?: Partial<Evidence>;
}

function Panel({ begin, faults = [], more = {} }: PanelProps) {
  const [draft, setDraft] = useState(begin);
  return (
    <QueryClientProvider client={queries}>
      <RulePanel
        draft={draft}
        asked={ask(draft)}
        evidence={{ ...evidence, ...more }}
        faults={faults}
        mailbox={mailbox}
        rules={3}
        sample={{ from: '', to: '', subject: '', text: '' }}
        onChange={(changed) => {
          changes.push(changed);
          setDraft(changed);
        }}
      />
    </QueryClientProvider>
  );
}

function draft(more: Partial<Draft> = {}): Draft {
  const words = item({ part: 'subject', how: 'contains', values: ['visit', 'visits'] });
  return { ...newDraft('r'), name: 'Visits', picksOut: [words], ...more };
}

const open = (part: string) => fireEvent.click(screen.getByRole('button', { name: part }));

test('only the current part is open, the others are one line each', () => {
  render(<Panel begin={draft({ does: [{ do: 'file', folder: 'Seeds' }] })} />);
  expect(screen.getByText('45 messages of 4,212')).toBeInTheDocument();
  expect(screen.getByText('Seeds')).toBeInTheDocument();
  expect(screen.queryByLabelText('Folder')).toBeNull();
  open('Does');
  expect(screen.getByLabelText('Folder')).toHaveValue('Seeds');
  expect(screen.queryByRole('group', { name: 'criterion: words' })).toBeNull();
});

test('a criterion says what it removes and each value what it takes', () => {
  render(<Panel begin={draft()} />);
  const card = screen.getByRole('group', { name: 'criterion: words' });
  expect(card).toHaveTextContent('removes 4,081');
  expect(within(card).getByText('31')).toBeInTheDocument();
  fireEvent.click(within(card).getByText('remove the 1 that other values cover'));
  expect(latest()?.picksOut[0]?.criterion).toMatchObject({ values: ['visit'] });
});

test('the rule is read back in one plain line', () => {
  render(<Panel begin={draft()} />);
  expect(screen.getByText('Mail with “visit” in the subject is filed in Seeds.')).toBeInTheDocument();
});

test('under a forward and a redirect stands what the recipient will see', () => {
  const to = ['duty@ostrel-gardens.example'];
  render(<Panel begin={draft({ does: [{ do: 'redirect', to }] })} />);
  expect(screen.getAllByText('the sender')).toHaveLength(2);
  cleanup();
  render(<Panel begin={draft({ does: [{ do: 'forward', to }] })} />);
  expect(screen.getByText('Fwd: and the original subject')).toBeInTheDocument();
});

test('a rule that does nothing yet offers the usual actions, and all of them by what they are for', async () => {
  render(<Panel begin={draft()} />);
  open('Does');
  const usual = ['forward', 'redirect', 'reply', 'file', 'archive', 'mark'];
  usual.forEach((name) => expect(screen.getByRole('button', { name })).toBeInTheDocument());
  fireEvent.keyDown(screen.getByRole('button', { name: '+ another action' }), { key: 'Enter' });
  expect(await screen.findAllByRole('group')).toHaveLength(6);
  fireEvent.click(screen.getByRole('menuitem', { name: 'remind me' }));
  expect(latest()?.does).toEqual([{ do: 'remind', days: 3 }]);
  expect(screen.queryByRole('button', { name: 'forward' })).toBeNull();
});

test('a destination outside the own domains says that it is asked first', () => {
  render(<Panel begin={draft({ does: [{ do: 'redirect', to: ['a@elsewhere.example'] }] })} />);
  open('Does');
  expect(
    screen.getByText(/a@elsewhere.example is an outside address. When you save, it is asked/),
  ).toBeInTheDocument();
});

test('what the server refuses is shown at the criterion it is about', () => {
  render(
    <Panel
      begin={draft()}
      faults={[{ path: '/picksOut/all/0/values/1', message: 'the phrase has nothing in it' }]}
    />,
  );
  const card = screen.getByRole('group', { name: 'criterion: words' });
  expect(within(card).getByRole('alert')).toHaveTextContent('the phrase has nothing in it');
});

test('a rule for every message needs a yes that states the number', () => {
  render(<Panel begin={draft()} />);
  fireEvent.click(screen.getByRole('button', { name: 'Every message …' }));
  expect(latest()?.everything).not.toBe(true);
  expect(screen.getByRole('alertdialog')).toHaveTextContent('4,212 messages in the last');
  fireEvent.click(screen.getByRole('button', { name: 'Yes, every message' }));
  expect(latest()?.everything).toBe(true);
});

test('an address typed where a domain was expected turns the test into one of addresses', () => {
  const sender = item({ part: 'sender', how: 'at domain or below', values: [] });
  render(<Panel begin={draft({ picksOut: [sender] })} />);
  const field = screen.getByLabelText('add a value to sender');
  fireEvent.change(field, { target: { value: 'office@birkhall-school.example' } });
  fireEvent.keyDown(field, { key: 'Enter' });
  expect(latest()?.picksOut[0]?.criterion).toEqual({
    part: 'sender',
    how: 'is',
    values: ['office@birkhall-school.example'],
  });
});

test('all and any are put in words with two real messages', () => {
  const line = (id: number, subject: string) => ({
    id,
    received: '2026-03-20T10:00:00Z',
    sender: 'Anna',
    subject,
  });
  const found = { all: line(1, 'Guided visit'), one: line(2, 'Term dates'), criterion: 1 };
  const two = [...draft().picksOut, item({ part: 'sender', how: 'at domain', values: ['x.example'] })];
  render(<Panel begin={draft({ picksOut: two })} more={{ allOrAny: found }} />);
  expect(screen.getByText(/only the second, so it is not picked/)).toBeInTheDocument();
});
