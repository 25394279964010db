/** Stands where a part of the interface comes as soon as it has been loaded. */
export function Opening({ what }: { what: string }) {
  return (
    <p role="status" className="quiet p-8">
      Opening {what} …
    </p>
  );
}
