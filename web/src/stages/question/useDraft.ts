import { useState } from 'react';

/** What somebody is writing survives a reload; it belongs to nobody else until it becomes lanes. */
export function useDraft(reviewId: string): [string, (draft: string) => void] {
  const key = `even-lantern-draft-${reviewId}`;
  const [draft, setDraft] = useState(() => localStorage.getItem(key) ?? '');
  return [
    draft,
    (text) => {
      setDraft(text);
      if (text === '') localStorage.removeItem(key);
      else localStorage.setItem(key, text);
    },
  ];
}
