import '@testing-library/jest-dom/vitest';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { CurrentMailbox } from '../../mailbox';
import type { DocumentView } from '../documents';
import { DocumentList } from './DocumentList';

const document = (id: string, fileName: string, usedBy: string[] = []): DocumentView => ({
  id,
  fileName,
  mediaType: 'application/pdf',
  size: 2_000_000,
  picture: false,
  added: '2026-11-26',
  savedBy: 'Ilse Varga',
  usedBy,
});

let kept: DocumentView[];
let sent: { method: string; path: string }[];
const chosen: string[] = [];
const brought: string[] = [];

const answer = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } });

beforeEach(() => {
  kept = [document('plan', 'Site plan.pdf', ['Visits']), document('old', 'Old prices.pdf')];
  sent = [];
  chosen.length = 0;
  vi.stubGlobal('fetch', (request: Request | string, init?: RequestInit) => {
    const { pathname, search } = new URL(typeof request === 'string' ? request : request.url, 'http://x');
    const method = init?.method ?? (request as Request).method;
    if (method === 'GET') {
      return Promise.resolve(answer(kept));
    }
    sent.push({ method, path: pathname.split('/').slice(5).join('/') + search });
    return Promise.resolve(
      search.includes('huge')
        ? answer({ status: 422, detail: 'the document huge.pdf has 11.0 MB, and 10.0 MB go along' }, 422)
        : answer(document('new', 'x')),
    );
  });
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function Chosen({ begin }: { begin: string[] }) {
  const [now, setNow] = useState(begin);
  return (
    <DocumentList
      label="Attached documents"
      chosen={now}
      onBrought={(id) => brought.push(id)}
      onChange={(next) => {
        chosen.splice(0, chosen.length, ...next);
        setNow(next);
      }}
    />
  );
}

function show(begin: string[]) {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <CurrentMailbox value="m">
        <Chosen begin={begin} />
      </CurrentMailbox>
    </QueryClientProvider>,
  );
}

const upload = (name: string) =>
  fireEvent.change(screen.getByLabelText('file for Attached documents'), {
    target: { files: [new File(['x'], name, { type: 'application/pdf' })] },
  });

test('a new file goes along, and one in its place keeps its name in every template', async () => {
  show(['plan']);
  expect(await screen.findByText(/1.9 MB, added 26 Nov 2026/)).toBeVisible();
  upload('Prices.pdf');
  await waitFor(() => expect(chosen).toHaveLength(2));
  expect(sent[0]?.path).toContain('fileName=Prices.pdf');
  fireEvent.click(screen.getByRole('button', { name: 'Replace …' }));
  upload('Site plan 2027.pdf');
  await waitFor(() => expect(sent[1]?.path).toBe('plan?fileName=Site%20plan%202027.pdf'));
  expect(chosen).toHaveLength(2);
});

test('what is too large is refused with how large it may be', async () => {
  show([]);
  upload('huge.pdf');
  expect(await screen.findByText(/10.0 MB go along/)).toBeVisible();
  expect(chosen).toEqual([]);
});

test('kept documents can be attached; only those that no template has can be removed', async () => {
  show([]);
  fireEvent.click(await screen.findByRole('button', { name: 'Choose a stored document …' }));
  expect(screen.getByText('attached to Visits')).toBeVisible();
  fireEvent.click(screen.getByRole('button', { name: 'remove' }));
  await waitFor(() => expect(sent).toEqual([{ method: 'DELETE', path: 'old' }]));
  fireEvent.click(screen.getAllByRole('button', { name: 'Attach' })[0] as HTMLElement);
  expect(chosen).toEqual(['plan']);
});

test('a document that no longer exists is named as gone and can be removed', async () => {
  show(['lost']);
  expect(await screen.findByText('a document that no longer exists')).toBeVisible();
  fireEvent.click(screen.getByRole('button', { name: 'Take out it' }));
  expect(chosen).toEqual([]);
});
