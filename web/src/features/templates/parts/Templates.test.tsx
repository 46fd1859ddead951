import { said } from '../../../test/said';
import '@testing-library/jest-dom/vitest';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import type { Editor } from '@tiptap/core';
import { act, cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Schemas } from '../../../api/client';
import { CurrentMailbox } from '../../mailbox';
import { Templates } from './Templates';

const FIELDS = [
  { key: 'sender.firstName', name: said('the sender’s first name'), canBeMissing: true },
  { key: 'received.date', name: said('the day it came in'), canBeMissing: false },
];
const MESSAGES = ['Guided visit', 'Class booking'].map((subject, id) => ({
  message: { id, received: '2026-03-20T10:00:00Z', sender: 'Anna', subject, attachments: 0, notes: [] },
  steps: [],
}));

let templates: Schemas['TemplateView'][];
let saved: unknown[];
let removed: string[];
let asked: { message: number; written: { text: string } }[];

function template(more: Partial<Schemas['TemplateView']>): Schemas['TemplateView'] {
  return {
    id: 'visits',
    version: 3,
    written: {
      name: 'Visits',
      language: 'en-GB',
      subject: '',
      text: 'Dear visitor',
      rich: '',
      signature: '',
      documents: [],
      fallbacks: {},
    },
    faults: [],
    usedBy: [],
    savedAt: '2026-03-20T10:00:00Z',
    savedBy: 'Ilse Varga',
    ...more,
  };
}

const answer = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } });

beforeEach(() => {
  templates = [];
  saved = [];
  asked = [];
  removed = [];
  vi.stubGlobal('fetch', async (request: Request | string) => {
    if (typeof request === 'string') {
      return answer({ id: 'x', fileName: 'plan.pdf', usedBy: [] });
    }
    const { pathname } = new URL(request.url);
    if (request.method === 'DELETE' && pathname.includes('/documents/')) {
      removed.push(pathname.split('/').at(-1) ?? '');
      return new Response(null, { status: 200 });
    }
    if (pathname.endsWith('/messages/search')) {
      return answer({ messages: 2, found: 2, lines: MESSAGES });
    }
    if (pathname.endsWith('/template-preview')) {
      const question = await request.json();
      asked.push(question);
      return answer({
        subject: 'Auto: x',
        text: `for ${question.message}: ${question.written.text}`,
        html: '',
        documents: [],
        to: 'anna@norrskola.example',
        faults: [{ sort: 'DATE_PAST', what: said('The date “24 March 2026” has passed.') }],
      });
    }
    if (pathname.endsWith('/documents')) {
      return answer([]);
    }
    if (request.method === 'PUT') {
      const saving = await request.json();
      saved.push(saving);
      return answer(template({ version: saving.baseVersion + 1, written: saving.written }));
    }
    if (request.method === 'DELETE') {
      return answer(
        { status: 409, detail: 'It is used by Photo permits: give them another template first.' },
        409,
      );
    }
    return answer({ templates, fields: FIELDS });
  });
});

afterEach(() => {
  cleanup();
  localStorage.clear();
  vi.unstubAllGlobals();
});

function show() {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <CurrentMailbox value="m">
          <Templates />
        </CurrentMailbox>
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

/** Types in an editor, as no other way in reaches it here. */
function type(box: HTMLElement, text: string) {
  act(() => void (box as HTMLElement & { editor: Editor }).editor.commands.insertContent(text));
}

test('without templates the first one is offered, and nothing can be saved before it has a name and a text', async () => {
  show();
  fireEvent.click(await screen.findByRole('button', { name: 'Write the first template' }));
  expect(screen.getByRole('button', { name: 'Save' })).toBeDisabled();
  fireEvent.change(screen.getByLabelText('Name of the template'), { target: { value: 'Visits' } });
  const text = await screen.findByLabelText('Text');
  type(text, 'Dear {{sender.firstName}},');
  expect(text).toHaveTextContent('Dear the sender’s first name,');
  fireEvent.click(screen.getByRole('button', { name: 'Save' }));
  await waitFor(() =>
    expect(saved).toMatchObject([
      { baseVersion: 0, written: { name: 'Visits', text: 'Dear {{sender.firstName}},' } },
    ]),
  );
  await waitFor(() => expect(screen.queryByText('draft, not saved yet')).toBeNull());
});

test('a field is put in, and asks what stands in for it only where it may be missing', async () => {
  templates = [template({})];
  show();
  const text = await screen.findByLabelText('Text');
  fireEvent.click(screen.getByRole('button', { name: 'the day it came in' }));
  expect(text).toHaveTextContent('the day it came in');
  expect(screen.queryByText('Where it is not known')).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'the sender’s first name' }));
  fireEvent.change(screen.getByLabelText('instead of the sender’s first name'), {
    target: { value: 'visitor' },
  });
  fireEvent.click(screen.getByRole('button', { name: 'Save' }));
  await waitFor(() =>
    expect(saved).toMatchObject([
      { baseVersion: 3, written: { fallbacks: { 'sender.firstName': 'visitor' } } },
    ]),
  );
});

test('it is seen on real messages one after the other, with what is worth a look', async () => {
  templates = [template({})];
  show();
  const seen = within(await screen.findByRole('region', { name: 'Preview' }));
  expect(await seen.findByText('for 0: Dear visitor')).toBeInTheDocument();
  expect(seen.getByText('The date “24 March 2026” has passed.')).toBeInTheDocument();
  fireEvent.click(seen.getByRole('button', { name: 'Earlier' }));
  expect(await seen.findByText('for 1: Dear visitor')).toBeInTheDocument();
  expect(seen.getByRole('button', { name: 'Earlier' })).toBeDisabled();
});

test('removing one that is in use is refused with who uses it', async () => {
  templates = [template({ usedBy: ['Photo permits'] })];
  show();
  expect(await screen.findByText('Used by “Photo permits”.')).toBeInTheDocument();
  fireEvent.click(screen.getByRole('button', { name: 'Remove …' }));
  fireEvent.click(await screen.findByRole('button', { name: 'Remove it' }));
  expect(await screen.findByText(/It is used by Photo permits/)).toBeInTheDocument();
});

test('what is written and not saved is kept as a draft, said so, and discarded only when asked', async () => {
  templates = [template({})];
  show();
  fireEvent.change(await screen.findByLabelText('Name of the template'), {
    target: { value: 'Visits, new' },
  });
  expect(screen.getByText('Not saved yet. Your draft is kept.')).toBeInTheDocument();
  expect(screen.getByText(/· draft/)).toBeInTheDocument();
  cleanup();
  show();
  expect(await screen.findByLabelText('Name of the template')).toHaveValue('Visits, new');
  expect(screen.getByText('This is your draft of before, not saved yet.')).toBeInTheDocument();
  fireEvent.click(screen.getByRole('button', { name: 'Discard draft' }));
  expect(screen.getByLabelText('Name of the template')).toHaveValue('Visits');
  expect(screen.getByText('No unsaved changes.')).toBeInTheDocument();
});

test('a file put in while a template is written goes with the draft that is discarded, and stays when it is saved', async () => {
  templates = [template({})];
  show();
  const put = async () => {
    fireEvent.change(await screen.findByLabelText('file for Attached documents'), {
      target: { files: [new File(['x'], 'plan.pdf', { type: 'application/pdf' })] },
    });
    await screen.findByText('Not saved yet. Your draft is kept.');
  };
  await put();
  fireEvent.click(screen.getByRole('button', { name: 'Discard draft' }));
  await waitFor(() => expect(removed).toHaveLength(1));
  await put();
  fireEvent.click(screen.getByRole('button', { name: 'Save' }));
  await waitFor(() => expect(saved).toHaveLength(1));
  expect(removed).toHaveLength(1);
});

test('rich text alone is enough: the plain text follows it by itself', async () => {
  show();
  fireEvent.click(await screen.findByRole('button', { name: 'Write the first template' }));
  fireEvent.change(screen.getByLabelText('Name of the template'), { target: { value: 'Visits' } });
  expect(screen.getByText('Write a text to save it.')).toBeInTheDocument();
  fireEvent.click(screen.getByRole('button', { name: 'Rich text: none' }));
  type(await screen.findByLabelText('Rich text'), 'Come and see us.');
  expect(screen.getByText('the plain text follows it by itself')).toBeInTheDocument();
  fireEvent.click(screen.getByRole('button', { name: 'Save' }));
  await waitFor(() =>
    expect(saved).toMatchObject([{ written: { text: 'Come and see us.', rich: '<p>Come and see us.</p>' } }]),
  );
});

test('a draft of a template that was saved meanwhile is dropped', async () => {
  const written = { ...template({}).written, name: 'Left behind' };
  localStorage.setItem('jubek.template.m.new', JSON.stringify({ id: 'visits', baseVersion: 0, written }));
  templates = [template({})];
  show();
  expect(await screen.findByLabelText('Name of the template')).toHaveValue('Visits');
  expect(screen.queryByText('Left behind')).toBeNull();
  await waitFor(() => expect(localStorage.length).toBe(0));
});
