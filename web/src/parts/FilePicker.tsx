import { useRef, type ReactNode } from 'react';

/** A button that asks for a file. The same file can be picked again, as after it was mended. */
export function FilePicker({
  label,
  accept,
  className,
  disabled = false,
  onPick,
  children,
}: {
  /** names the field for those who do not see the button */
  label: string;
  accept: string;
  className: string;
  disabled?: boolean;
  onPick: (file: File) => void;
  children: ReactNode;
}) {
  const field = useRef<HTMLInputElement>(null);
  return (
    <>
      <button type="button" className={className} disabled={disabled} onClick={() => field.current?.click()}>
        {children}
      </button>
      <input
        ref={field}
        type="file"
        accept={accept}
        className="sr-only"
        aria-label={label}
        tabIndex={-1}
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file !== undefined) onPick(file);
          event.target.value = '';
        }}
      />
    </>
  );
}
