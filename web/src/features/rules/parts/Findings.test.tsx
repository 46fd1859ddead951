import '@testing-library/jest-dom/vitest';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, expect, test, vi } from 'vitest';
import { said } from '../../../test/said';
import { CurrentMailbox } from '../../mailbox';
import { Findings } from './Findings';

afterEach(cleanup);

test('a finding says its cause, links its example, and one click carries out its remedy', () => {
  const onRemedy = vi.fn();
  const finding = {
    id: 'f',
    sort: 'NEGATED' as const,
    rule: 'r',
    cause: said('3 messages it picks say “not cancelled”.'),
    example: {
      id: 7,
      received: '2026-03-20T10:00:00Z',
      sender: 'Anna',
      subject: 'It is not cancelled',
    },
    remedy: said('Leave out “not cancelled”'),
  };
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { enabled: false } } })}>
      <MemoryRouter>
        <CurrentMailbox value="m">
          <Findings onRemedy={onRemedy} findings={[finding]} />
        </CurrentMailbox>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  expect(screen.getByText('3 messages it picks say “not cancelled”.')).toBeInTheDocument();
  expect(screen.getByRole('link')).toHaveAttribute('href', '/incoming/7?view=messages');
  fireEvent.click(screen.getByRole('button', { name: 'Leave out “not cancelled”' }));
  expect(onRemedy).toHaveBeenCalledWith(finding);
});

test('without findings nothing is shown', () => {
  render(
    <MemoryRouter>
      <Findings findings={[]} onRemedy={() => {}} />
    </MemoryRouter>,
  );
  expect(screen.queryByRole('region')).toBeNull();
});
