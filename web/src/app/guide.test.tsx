import '@testing-library/jest-dom/vitest';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, expect, test } from 'vitest';
import { Guide } from './Guide';
import { PLACES, OUTSIDE } from './places';
import { SECTIONS, sectionOf } from './guide';

afterEach(cleanup);

function at(path: string) {
  render(
    <MemoryRouter initialEntries={[path]}>
      <input aria-label="anything" />
      <Guide />
    </MemoryRouter>,
  );
}

test('every place has its section in the guide, and the workbench has its own', () => {
  const headings = SECTIONS.map((section) => section.heading);
  for (const { path } of [...PLACES.flat(), OUTSIDE]) {
    expect(headings).toContain(sectionOf(path));
  }
  expect(headings).toContain(sectionOf('/rules/school-visits'));
  expect(sectionOf('/rules/school-visits')).not.toBe(sectionOf('/rules'));
});

test('the key opens the section of the place, with its pictures, and leads to the others', () => {
  at('/templates');
  fireEvent.keyDown(document.body, { key: '?' });
  expect(screen.getByRole('dialog')).toHaveAccessibleName('Answer with a template');
  expect(screen.getByRole('img')).toHaveAttribute('src', expect.stringContaining('templates'));
  fireEvent.click(screen.getByRole('button', { name: 'Keys' }));
  expect(screen.getByText('Ctrl+K')).toBeVisible();
});

test('a question mark that somebody writes is only that', () => {
  at('/desk');
  fireEvent.keyDown(screen.getByLabelText('anything'), { key: '?' });
  expect(screen.queryByRole('dialog')).toBeNull();
});
