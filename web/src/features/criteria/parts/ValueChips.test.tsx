import '@testing-library/jest-dom/vitest';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { ValueChips } from './ValueChips';

afterEach(cleanup);

function chips(more: Partial<Parameters<typeof ValueChips>[0]>) {
  const acts = { onTyping: vi.fn(), onAdd: vi.fn(), onRemove: vi.fn() };
  render(
    <ValueChips
      label="add"
      values={['guided visit', 'visit']}
      typing=""
      isWords
      hint=""
      {...acts}
      {...more}
    />,
  );
  return acts;
}

test('a value shows what it takes, and one that another covers says so and can be dropped', () => {
  const { onRemove } = chips({ figures: [{ matches: 31, coveredBy: 1 }, { matches: 45 }] });
  expect(screen.getByText('covered')).toBeVisible();
  expect(screen.getByText('45')).toBeVisible();
  fireEvent.click(screen.getByText('remove the 1 that other values cover'));
  expect(onRemove).toHaveBeenCalledWith([0]);
});

test('Enter makes a value, Backspace in an empty field takes the last one', () => {
  const { onAdd } = chips({ typing: ' tour ' });
  fireEvent.keyDown(screen.getByLabelText('add'), { key: 'Enter' });
  expect(onAdd).toHaveBeenCalledWith(['tour'], '');
  cleanup();
  const { onRemove } = chips({});
  fireEvent.keyDown(screen.getByLabelText('add'), { key: 'Backspace' });
  expect(onRemove).toHaveBeenCalledWith([1]);
});

test('several typed at once become several values, and what is none stays in the field and says what would be', () => {
  const fault = (value: string) => (value.includes('@') ? undefined : `“${value}” is not a whole address`);
  const { onAdd } = chips({
    isWords: false,
    typing: 'gate@birkhall.example, gate; liv@birkhall.example',
    fault,
  });
  fireEvent.keyDown(screen.getByLabelText('add'), { key: 'Enter' });
  expect(onAdd).toHaveBeenCalledWith(['gate@birkhall.example', 'liv@birkhall.example'], 'gate');
  expect(screen.getByRole('alert')).toHaveTextContent('“gate” is not a whole address');
});
