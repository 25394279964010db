import type { ReactNode } from 'react';

interface RadioProps {
  /** what all choices of one group share */
  name: string;
  checked: boolean;
  onChoose(): void;
  /** how the label is laid out, where it is more than a word */
  className?: string;
  children: ReactNode;
}

/** One choice of several, with its label. */
export function Radio({ name, checked, onChoose, className = 'items-center text-sm', children }: RadioProps) {
  return (
    <label className={`flex cursor-pointer gap-1.5 ${className}`}>
      <input
        type="radio"
        name={name}
        className="radio radio-xs shrink-0"
        checked={checked}
        onChange={onChoose}
      />
      {children}
    </label>
  );
}
