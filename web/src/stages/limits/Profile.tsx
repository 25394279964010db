import { formatCount, limitKind, type Limit } from '@even-lantern/core';
import type { LimitProfile } from '@even-lantern/contract';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Count } from '../../parts/Count.js';
import { focusNeighbour } from '../../parts/keys/focusNeighbour.js';
import { SortableList, SortableRow } from '../../parts/Sortable.js';
import { useReview } from '../../review/useReview.js';
import type { LimitInHand } from './limitInHand.js';
import { LimitRow } from './LimitRow.js';
import type { LimitsInHand } from './useLimitsInHand.js';

interface ProfileProps {
  inHand: LimitsInHand;
  /** undefined until it is counted first */
  profile: LimitProfile | undefined;
  stale: boolean;
}

/** From all that the concepts find to what remains: what each limit takes, in their order. */
export function Profile({ inHand, profile, stale }: ProfileProps) {
  const { review } = useReview();
  const { limits } = inHand;
  return (
    <>
      <div className="rule flex items-baseline gap-3 border-b py-1 pr-2 pl-4">
        <p className="min-w-0 flex-1">
          <b>All concepts</b> <span className="quiet">before any limit</span>
        </p>
        <span className="w-24 text-right text-[0.9375rem] font-bold">
          <Count hits={profile?.before.hits ?? null} error={profile?.before.error ?? null} />
        </span>
        <span className="w-8" />
      </div>
      {profile !== undefined && profile.before.hits === null && profile.before.error === null && (
        <p className="quiet">
          There is nothing to search yet, so nothing can be counted. Limits you set now apply as soon as{' '}
          <Link className="link" to="../concepts" relative="path">
            a lane has a term
          </Link>
          .
        </p>
      )}
      <SortableList ids={review.limits.map(({ id }) => id)} onMove={inHand.moveBefore}>
        <div>
          {limits.map((one, i) => (
            <Step key={one.limit.id} one={one} at={i} inHand={inHand} profile={profile} stale={stale} />
          ))}
        </div>
      </SortableList>
      {limits.length === 0 && (
        <p className="quiet max-w-[46rem] py-2">
          There are no limits. A limit can throw away what you want, so each one shows what it takes and why
          it is there. Try one: nothing is kept until you say so.
        </p>
      )}
      <div className="flex items-baseline gap-3 py-1 pr-2 pl-4">
        <p className="min-w-0 flex-1">
          <b>What remains</b>{' '}
          <span className="quiet">
            {profile?.before.hits != null && `of ${formatCount(profile.before.hits)}`}
            {reasonsText(review.limits)}
          </span>
        </p>
        <b
          className={`w-24 text-right text-[1.1875rem] ${stale ? 'quiet' : ''}`}
          aria-live="polite"
          aria-busy={stale}
          data-testid="remains"
        >
          <Count hits={profile?.remains.hits ?? null} error={profile?.remains.error ?? null} />
        </b>
        <span className="w-8" />
      </div>
    </>
  );
}

/** One limit; those of the review can be dragged, one that is tried stands at the end. */
function Step({ one, at, inHand, profile, stale }: ProfileProps & { one: LimitInHand; at: number }) {
  const { review, database } = useReview();
  const { limit, tried } = one;
  const row = (grip: ReactNode) => (
    <LimitRow
      inHand={one}
      step={profile?.steps.find(({ limitId }) => limitId === limit.id)}
      before={profile?.before.hits ?? null}
      stale={stale}
      selected={inHand.selected?.limit.id === limit.id}
      finding={inHand.findings.find(({ limitId }) => limitId === limit.id)?.message}
      grip={grip}
      canMove={{ up: !tried && at > 0, down: !tried && at < review.limits.length - 1 }}
      onSelect={() => inHand.select(limit.id)}
      onSwitch={() => void inHand.change(one, { on: !limit.on })}
      onWordsToo={() =>
        database !== null && void inHand.change(one, { ways: { ...limit.ways, [database.id]: 'either' } })
      }
      onMove={(by) => inHand.move(one, by)}
      onRemove={() => inHand.remove(one)}
    />
  );
  return (
    <div onKeyDown={focusNeighbour}>
      {tried ? (
        row(null)
      ) : (
        <SortableRow id={limit.id} name={limitKind(limit.kind).name}>
          {row}
        </SortableRow>
      )}
    </div>
  );
}

function reasonsText(limits: readonly Limit[]): string {
  const on = limits.filter((limit) => limit.on);
  if (on.length === 0) return '';
  const without = on.filter(({ reason }) => reason === '').length;
  const number = on.length === 1 ? '1 limit' : `${on.length} limits`;
  return without === 0
    ? `; ${number}, ${on.length === 1 ? 'with its reason' : 'each with its reason'}`
    : `; ${number}, ${without} without a reason`;
}
