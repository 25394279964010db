import { render, screen } from '@testing-library/react';
import { Count, CountSource } from './Count.js';

const show = (source: string, hits: number | null) => (
  <CountSource value={source}>
    <p role="note">
      <Count hits={hits} />
    </p>
  </CountSource>
);
const text = () => screen.getByRole('note').textContent.replaceAll('\u2009', ' ');

test('a count that moved says what it was', () => {
  const { rerender } = render(show('a', 1200));
  rerender(show('a', null));
  rerender(show('a', 1300));
  expect(text()).toBe('1 300 was 1 200');
});

test('a count from another database has not moved', () => {
  const { rerender } = render(show('a', 1200));
  rerender(show('b', null));
  rerender(show('b', 900));
  expect(text()).toBe('900');
  rerender(show('a', 1200));
  expect(text()).toBe('1 200');
});
