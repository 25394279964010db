import type { DatabaseProfile } from '@even-lantern/contract';
import { toast } from 'sonner';
import { problemOf } from '../../review/api/api.js';
import { databaseApi } from '../../review/api/databaseApi.js';
import { releaseText } from '../../parts/release.js';

export function Release({ database: { id, name, release, nextRelease } }: { database: DatabaseProfile }) {
  const [advance, { isLoading }] = databaseApi.useAdvanceDatabaseMutation();
  const goOn = () => {
    advance(id)
      .unwrap()
      .then((profile) => toast(`${name} is now in release ${profile.release}.`))
      .catch((error: unknown) => toast.error(problemOf(error).title));
  };
  return (
    <p className="flex flex-wrap items-center justify-between gap-2 text-sm">
      <span className="quiet first-letter:uppercase">{releaseText(release)}</span>
      {nextRelease !== null && (
        <button
          className="btn btn-quiet btn-xs"
          onClick={goOn}
          disabled={isLoading}
          title="This database is simulated, and this lets time pass: records arrive, gain headings, are corrected or withdrawn."
        >
          Go on to {nextRelease}
        </button>
      )}
    </p>
  );
}
