import { useId, type ReactNode } from 'react';

/** What ties a field to what is wrong with it. */
export interface FieldAttributes {
  'aria-invalid': boolean;
  'aria-describedby': string | undefined;
}

interface FieldProps {
  label: string;
  /** what is wrong with what was entered, and how to mend it */
  error?: string | undefined;
  wide?: boolean;
  children: (attributes: FieldAttributes) => ReactNode;
}

/** A field of a form with its label, and below it what is wrong with it. */
export function Field({ label, error, wide = false, children }: FieldProps) {
  const id = useId();
  return (
    <div className={wide ? 'md:col-span-2' : ''}>
      <label className="flex flex-col gap-1">
        <span className="small-head">{label}</span>
        {children({
          'aria-invalid': error !== undefined,
          'aria-describedby': error === undefined ? undefined : id,
        })}
      </label>
      {error !== undefined && (
        <p id={id} className="problem text-xs">
          {error}
        </p>
      )}
    </div>
  );
}
