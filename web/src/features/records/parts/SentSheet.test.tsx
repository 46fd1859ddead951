import '@testing-library/jest-dom/vitest';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { said } from '../../../test/said';
import { aStep } from '../../../test/step';
import { CurrentMailbox } from '../../mailbox';
import { SentSheet } from './SentSheet';

const step = aStep({ done: said('answered'), settledAt: '2026-11-26T10:00:01Z' });
const line = {
  id: 7,
  received: '2026-11-26T10:00:00Z',
  sender: 'Liv',
  subject: 'A visit',
  attachments: 0,
  notes: [],
};

let gone: boolean;

const answer = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } });

beforeEach(() => {
  gone = false;
  vi.stubGlobal('fetch', (request: Request) => {
    const { pathname } = new URL(request.url);
    if (gone) {
      return Promise.resolve(answer({ status: 404, detail: 'There is no such thing.' }, 404));
    }
    return Promise.resolve(
      pathname.endsWith('/answers')
        ? answer([
            {
              step: {
                ...step,
                id: 't',
                state: 'WITHHELD',
                because: {
                  code: 'LIST',
                  arguments: [],
                  words: 'it goes to each request, at most 3 times a day',
                },
              },
              message: line,
            },
            { step, message: line },
          ])
        : answer({
            shown: {
              sender: 'Visits desk',
              to: 'liv@birkhall-school.example',
              subject: 'Your visit',
              answers: 'Visits desk',
              attachments: [],
            },
            texts: ['Dear Liv'],
            page: '',
            attachments: [{ name: 'plan.pdf', mediaType: 'application/pdf', bytes: 9 }],
            raw: 'Auto-Submitted: auto-replied',
            size: 28,
          }),
    );
  });
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function show() {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <CurrentMailbox value="m">
          <SentSheet step={step} onClose={() => undefined} />
        </CurrentMailbox>
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

test('a reply is shown as it went out, readable and raw, with the whole story of its writer', async () => {
  show();
  expect(await screen.findByText('Dear Liv')).toBeVisible();
  expect(screen.getByText('with plan.pdf')).toBeVisible();
  fireEvent.click(screen.getByRole('button', { name: 'Show the source' }));
  expect(screen.getByText('Auto-Submitted: auto-replied')).toBeVisible();
  const story = screen.getByRole('region', { name: 'Replies to liv@birkhall-school.example' });
  const told = (await within(story).findAllByRole('listitem')).map((one) => one.textContent);
  expect(told[0]).toContain('not answered by “Visits”, withheld');
  expect(told[0]).toContain('at most 3 times a day');
  expect(told[1]).toContain('answered by “Visits”, done');
});

test('what was cleared away is said to be gone', async () => {
  gone = true;
  show();
  expect(await screen.findByText('There is no such thing.')).toBeVisible();
});
