import '@testing-library/jest-dom/vitest';
import { cleanup, fireEvent, render as renderAlone, screen } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { afterEach, expect, test, vi } from 'vitest';
import { Active, openingInBrief } from './Active';

function render(what: ReactNode) {
  return renderAlone(what, { wrapper: MemoryRouter });
}

afterEach(cleanup);

const WEEKDAYS = ['MONDAY', 'TUESDAY', 'FRIDAY'].map((day) => `${day} 09:00-17:00`);
const HERE = { opening: WEEKDAYS, named: ['Ticket desk'], closes: true, today: '2026-11-30' };

test('opening hours that are alike every day are one short line', () => {
  expect(openingInBrief(WEEKDAYS)).toBe('Mon–Fri 9:00–17:00');
  expect(openingInBrief([...WEEKDAYS, 'SATURDAY 10:00-13:00'])).toBe('4 spans a week');
});

test('a rule is active always until days are given, and always again without them', () => {
  const onChange = vi.fn();
  const { rerender } = render(<Active active={undefined} {...HERE} onChange={onChange} />);
  expect(screen.queryByLabelText('from')).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'on certain days …' }));
  fireEvent.change(screen.getByLabelText('from'), { target: { value: '2026-12-01' } });
  expect(onChange).toHaveBeenLastCalledWith({ hours: 'always', first: '2026-12-01' });
  rerender(<Active active={{ hours: 'always', first: '2026-12-01' }} {...HERE} onChange={onChange} />);
  fireEvent.change(screen.getByLabelText('from'), { target: { value: '' } });
  expect(onChange).toHaveBeenLastCalledWith(undefined);
});

test('a first day that has passed is named, once it is set', () => {
  const past = (first: string) => ({ hours: 'always' as const, first });
  const { rerender } = render(<Active active={past('2026-10-01')} {...HERE} onChange={vi.fn()} />);
  expect(screen.queryByText(/lies in the past/)).toBeNull();
  rerender(<Active active={past('2026-11-01')} {...HERE} onChange={vi.fn()} />);
  expect(screen.getByText(/lies in the past/)).toBeVisible();
});

test.each([
  [/^active:/, 'outside “Ticket desk”', { hours: 'outside opening hours', of: 'Ticket desk' }],
  [
    /^days:/,
    'on one weekday of the month',
    { hours: 'always', recurs: { rule: 'FREQ=MONTHLY;BYDAY=1MO', from: '2026-11-30' } },
  ],
  [/^closed days:/, 'not on closed days', { hours: 'always', closedDays: 'not' }],
])(
  'hours with a name, days that recur and closed days are chosen from menus: %s',
  async (label, text, active) => {
    const onChange = vi.fn();
    render(<Active active={undefined} {...HERE} onChange={onChange} />);
    fireEvent.keyDown(screen.getByRole('button', { name: label }), { key: 'Enter' });
    fireEvent.click(await screen.findByRole('menuitemradio', { name: text }));
    expect(onChange).toHaveBeenLastCalledWith(active);
  },
);
