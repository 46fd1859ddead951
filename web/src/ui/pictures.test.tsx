import '@testing-library/jest-dom/vitest';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { Bars } from './Bars';
import { Boundary } from './Boundary';
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

test('a part that fails says so in its place, and the rest stays', () => {
  const said = vi.spyOn(console, 'error').mockImplementation(() => undefined);
  let broken = true;
  function Part() {
    if (broken) {
      throw new Error('it broke');
    }
    return <p>the part</p>;
  }
  render(
    <>
      <p>the rest</p>
      <Boundary>
        <Part />
      </Boundary>
    </>,
  );
  expect(screen.getByText('the rest')).toBeVisible();
  expect(screen.getByRole('alert')).toHaveTextContent('This place can’t be shown');
  broken = false;
  fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
  expect(screen.getByText('the part')).toBeVisible();
  said.mockRestore();
});
