import { sealText } from '@even-lantern/core';
import type { Ledger } from '@even-lantern/contract';
import { CircleCheck, Copy, TriangleAlert } from 'lucide-react';
import { useState, type FormEvent } from 'react';
import { copyText } from '../../parts/copyText.js';
import { problemOf } from '../../review/api/api.js';
import { ledgerApi } from '../../review/api/ledgerApi.js';
import { GuideLink } from '../../parts/GuideLink.js';
import { ProblemNote } from '../../parts/ProblemNote.js';

/** The seal, to be kept elsewhere; and whether the ledger goes on from one that was kept. */
export function VerifyLedger({ reviewId, ledger }: { reviewId: string; ledger: Ledger }) {
  const [kept, setKept] = useState('');
  const [verify, { data: result, error, isLoading }] = ledgerApi.useVerifyLedgerMutation();
  const seal = sealText(ledger.seal);
  const copy = () => {
    copyText(seal, 'Copied the seal.', 'Select the seal and copy it by hand.');
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    void verify({ review: reviewId, seal: kept });
  };
  return (
    <section aria-label="Seal" className="rule bg-base-200 mb-3 flex flex-col gap-2 rounded border p-3">
      <p>
        The seal is the number of entries and the hash of the last. Keep it where nobody can change it, such
        as in a mail: later it shows whether anything was changed, or cut off at the end. Every export
        contains it too. <GuideLink to="ledger#the-seal">More</GuideLink>
      </p>
      <p className="flex items-center gap-2">
        <code className="font-mono text-xs break-all" data-seal>
          {seal}
        </code>
        <button className="btn btn-xs btn-quiet" onClick={copy}>
          <Copy className="h-3.5 w-3.5" aria-hidden="true" /> Copy
        </button>
      </p>
      <form className="flex flex-wrap items-end gap-2" onSubmit={submit}>
        <label className="flex min-w-0 flex-1 flex-col gap-1">
          <span className="small-head">A seal that you kept; leave it empty to verify the chain alone</span>
          <input
            className="input input-sm w-full font-mono text-xs"
            value={kept}
            onChange={({ target }) => setKept(target.value)}
          />
        </label>
        <button className="btn btn-sm btn-primary" disabled={isLoading}>
          Verify all entries
        </button>
      </form>
      {error !== undefined && <ProblemNote problem={problemOf(error)} />}
      {result !== undefined && error === undefined && (
        <p
          role={result.ok ? 'status' : 'alert'}
          className={`flex gap-2 ${result.ok ? 'text-success' : 'problem'}`}
        >
          {result.ok ? (
            <CircleCheck className="mt-0.5 h-4 w-4 shrink-0" aria-hidden="true" />
          ) : (
            <TriangleAlert className="mt-0.5 h-4 w-4 shrink-0" aria-hidden="true" />
          )}
          {result.message}
        </p>
      )}
    </section>
  );
}
