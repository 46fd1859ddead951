import '@testing-library/jest-dom/vitest';
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, expect, test } from 'vitest';
import type { Sentence } from '../queries';
import { ComposedText } from './ComposedText';

afterEach(cleanup);

const REPLY_TO_ANNA: Sentence[] = [
  { text: 'Dear Anna,', begins: 'AFTER_SPACE', from: 'REPLY', quote: 'Dear Anna,' },
  { text: 'You ask for Friday.', begins: 'PARAGRAPH', from: 'MESSAGE', quote: 'is Friday free?' },
  { text: 'Friday is free.', begins: 'AFTER_SPACE' },
];

test('what nothing bears out is marked, in words too', () => {
  const { container } = render(<ComposedText sentences={REPLY_TO_ANNA} />);
  expect([...container.querySelectorAll('mark')].map((mark) => mark.textContent)).toEqual([
    'no source: Friday is free.',
  ]);
  expect(screen.getByText(/1 sentence with a wavy line has no source/)).toHaveTextContent('Check it before');
  expect(container.querySelectorAll('p.mb-2')).toHaveLength(2);
});

test('where each sentence comes from can be looked up', () => {
  render(<ComposedText sentences={REPLY_TO_ANNA} />);
  expect(screen.getAllByRole('listitem').map((item) => item.textContent)).toEqual([
    'Dear Anna, — from the rule’s reply: “Dear Anna,”',
    'You ask for Friday. — from the message: “is Friday free?”',
    'Friday is free. — no source',
  ]);
});

test('of a reply with nothing to check nothing is said', () => {
  render(<ComposedText sentences={REPLY_TO_ANNA.slice(0, 2)} />);
  expect(screen.queryByText(/wavy line/)).toBeNull();
});
