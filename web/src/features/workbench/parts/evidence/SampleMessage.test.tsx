import '@testing-library/jest-dom/vitest';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Schemas } from '../../../../api/client';
import { said } from '../../../../test/said';
import { CurrentMailbox } from '../../../mailbox';
import { ask, newDraft } from '../../model';
import { SampleMessage } from './SampleMessage';

let asked: { sample: Schemas['SampleMessage'] }[];

const VIEW: Schemas['ExplainView'] = {
  rules: [{ rule: 'r', name: 'Permits', picked: true, outcome: said('picked'), hits: ['permit'] }],
  done: [said('replied to')],
  notDone: [],
  staysInInbox: true,
  leaving: [
    {
      kind: 'REPLY',
      to: 'cleo@made.example',
      shown: {
        sender: 'visits@ostrel-gardens.example',
        to: 'cleo@made.example',
        subject: 'Your permit',
        answers: 'visits@ostrel-gardens.example',
        attachments: [],
      },
      text: 'Ten days ahead, please.',
    },
  ],
};

beforeEach(() => {
  asked = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    asked.push(await request.json());
    return new Response(JSON.stringify(VIEW), { headers: { 'Content-Type': 'application/json' } });
  });
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function Trying() {
  const [sample, setSample] = useState<Schemas['SampleMessage']>({
    from: '',
    to: '',
    subject: 'permit',
    text: '',
  });
  return (
    <QueryClientProvider client={new QueryClient()}>
      <CurrentMailbox value="m">
        <SampleMessage
          asked={ask({ ...newDraft('r'), everything: true })}
          order={0}
          sample={sample}
          onChange={setSample}
          onClose={() => {}}
        />
      </CurrentMailbox>
    </QueryClientProvider>
  );
}

test('the decision names the phrase that hit, and the finished reply stands below', async () => {
  render(<Trying />);
  expect(await screen.findByText(/It has “permit”/)).toBeInTheDocument();
  expect(screen.getByText('Ten days ahead, please.')).toBeInTheDocument();
  expect(screen.getByText(/from/, { selector: 'p' })).toHaveTextContent(
    'replies go to visits@ostrel-gardens.example',
  );
});

test('it can be given an attachment and a day, and as it is taken away nothing is said of it', async () => {
  render(<Trying />);
  const name = screen.getByLabelText('attached');
  fireEvent.change(name, { target: { value: 'plan.pdf' } });
  fireEvent.change(screen.getByLabelText('comes in'), { target: { value: '2026-12-03T10:00' } });
  await waitFor(() => expect(asked.at(-1)?.sample.attachment).toBe('plan.pdf'));
  expect(new Date(asked.at(-1)?.sample.received ?? '').getTime()).toBe(
    new Date('2026-12-03T10:00').getTime(),
  );
  fireEvent.change(name, { target: { value: '' } });
  await waitFor(() => expect(asked.at(-1)?.sample).not.toHaveProperty('attachment'));
});
