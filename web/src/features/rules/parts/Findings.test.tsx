import '@testing-library/jest-dom/vitest';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, expect, test, vi } from 'vitest';
import { Findings } from './Findings';

afterEach(cleanup);

test('a finding says its cause, links its example, and one click carries out its remedy', () => {
  const onRemedy = vi.fn();
  const remedy = 'Leave out “not cancelled”';
  render(
    <MemoryRouter>
      <Findings
        onRemedy={onRemedy}
        findings={[
          {
            sort: 'NEGATED',
            rule: 'r',
            cause: '3 messages it takes say “not cancelled”.',
            example: {
              id: 7,
              received: '2026-03-20T10:00:00Z',
              sender: 'Anna',
              subject: 'It is not cancelled',
            },
            remedy,
          },
        ]}
      />
    </MemoryRouter>,
  );
  expect(screen.getByText('3 messages it takes say “not cancelled”.')).toBeInTheDocument();
  expect(screen.getByRole('link')).toHaveAttribute('href', '/incoming/7?view=messages');
  fireEvent.click(screen.getByRole('button', { name: 'Leave out “not cancelled”' }));
  expect(onRemedy).toHaveBeenCalledWith(remedy);
});

test('without findings nothing is shown', () => {
  render(
    <MemoryRouter>
      <Findings findings={[]} onRemedy={() => {}} />
    </MemoryRouter>,
  );
  expect(screen.queryByRole('region')).toBeNull();
});
