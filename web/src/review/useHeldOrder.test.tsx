import { renderHook } from '@testing-library/react';
import { useHeldOrder } from './useHeldOrder.js';

const keyOf = (item: string) => item.toLowerCase();
const held = (of: string, ...fresh: string[]) => ({ of, fresh });
const start = (first: ReturnType<typeof held>) =>
  renderHook(({ of, fresh }) => useHeldOrder(fresh, keyOf, of), {
    initialProps: first,
  });

test('what was shown stays where it is, and what comes later stands behind it', () => {
  const { result, rerender } = start(held('dementia', 'words'));
  rerender(held('dementia', 'heading', 'words', 'other'));
  expect(result.current).toEqual(['words', 'heading', 'other']);
  rerender(held('dementia', 'other'));
  expect(result.current).toEqual(['words', 'heading', 'other']);
  rerender(held('dementia', 'HEADING'));
  expect(result.current).toEqual(['words', 'HEADING', 'other']);
});

test('another text begins anew', () => {
  const { result, rerender } = start(held('dem', 'words'));
  rerender(held('dement', 'heading', 'words'));
  expect(result.current).toEqual(['heading', 'words']);
});
