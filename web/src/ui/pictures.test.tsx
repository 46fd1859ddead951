import '@testing-library/jest-dom/vitest';
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, expect, test } from 'vitest';
import { Bars } from './Bars';
import { MarkedText } from './MarkedText';

afterEach(cleanup);

test('weeks are a picture with a name, one bar a week, the fullest as tall as there is room', () => {
  render(<Bars values={[0, 5, 10]} label="Picked by week" height={20} />);
  const bars = screen.getByRole('img', { name: 'Picked by week' }).querySelectorAll('rect');
  expect([...bars].map((bar) => Number(bar.getAttribute('height')))).toEqual([1, 10, 20]);
});

test('a week without any mail does not break the picture', () => {
  render(<Bars values={[0, 0]} label="Nothing" />);
  expect(screen.getByRole('img', { name: 'Nothing' })).toBeInTheDocument();
});

test('only the matched words are marked', () => {
  render(<MarkedText text="Two guided visits" marks={[{ start: 4, end: 10 }]} />);
  expect(screen.getByText('guided').tagName).toBe('MARK');
  expect(screen.getByText('Two').tagName).toBe('SPAN');
});
