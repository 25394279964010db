import { useState } from 'react';

interface Following {
  text: string;
  setText: (text: string) => void;
  /** to be told what is sent off, so that what is typed on meanwhile stands when it comes back */
  send: (value: string) => void;
}

/**
 * The text of a field that follows a value which others may change too. The field stays the same one, so that it keeps
 * the focus when its own value comes back.
 */
export function useFollowing(value: string): Following {
  const [text, setText] = useState(value);
  const [followed, setFollowed] = useState(value);
  const [sent, setSent] = useState<string | null>(null);
  if (followed !== value) {
    setFollowed(value);
    setSent(null);
    if (value !== sent) setText(value);
  }
  return { text, setText, send: setSent };
}
