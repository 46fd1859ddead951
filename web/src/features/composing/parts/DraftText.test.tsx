import '@testing-library/jest-dom/vitest';
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, expect, test } from 'vitest';
import type { Sentence } from '../queries';
import { DraftText } from './DraftText';

afterEach(cleanup);

const DRAFT: Sentence[] = [
  { text: 'Dear Anna,', begins: 'AFTER_SPACE', from: 'REPLY', quote: 'Dear Anna,' },
  { text: 'You ask for Friday.', begins: 'PARAGRAPH', from: 'MESSAGE', quote: 'is Friday free?' },
  { text: 'Friday is free.', begins: 'AFTER_SPACE' },
];

test('what nothing bears out is marked, in words too', () => {
  const { container } = render(<DraftText sentences={DRAFT} />);
  expect([...container.querySelectorAll('mark')].map((mark) => mark.textContent)).toEqual([
    'no source: Friday is free.',
  ]);
  expect(screen.getByText(/1 sentence with a wavy line has no source/)).toHaveTextContent('Check it before');
  expect(container.querySelectorAll('p.mb-2')).toHaveLength(2);
});

test('where each sentence comes from can be looked up', () => {
  render(<DraftText sentences={DRAFT} />);
  expect(screen.getAllByRole('listitem').map((item) => item.textContent)).toEqual([
    'Dear Anna, — from the rule’s reply: “Dear Anna,”',
    'You ask for Friday. — from the message: “is Friday free?”',
    'Friday is free. — no source',
  ]);
});

test('of a draft with nothing to check nothing is said', () => {
  render(<DraftText sentences={DRAFT.slice(0, 2)} />);
  expect(screen.queryByText(/wavy line/)).toBeNull();
});
