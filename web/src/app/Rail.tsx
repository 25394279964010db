import { counted, elementShape, formatCount } from '@even-lantern/core';
import { lanesOfReview } from '../review/lanes.js';
import {
  BookOpen,
  type LucideIcon,
  MessageCircleQuestion,
  PanelLeftClose,
  PanelLeftOpen,
  Layers,
  SlidersHorizontal,
  ListOrdered,
} from 'lucide-react';
import { useState } from 'react';
import { NavLink, useLocation, useSearchParams } from 'react-router';
import { strategyApi } from '../review/api/strategyApi.js';
import { recordApi } from '../review/api/recordApi.js';
import type { ReviewContext } from '../review/useReview.js';
import { limitsNumber } from './Header.js';

const NARROW_KEY = 'even-lantern-rail';

export function Rail({ context: { review, database } }: { context: ReviewContext }) {
  const [narrow, setNarrow] = useState(localStorage.getItem(NARROW_KEY) === 'narrow');
  const switchWidth = () => {
    localStorage.setItem(NARROW_KEY, narrow ? 'wide' : 'narrow');
    setNarrow(!narrow);
  };
  const lanes = lanesOfReview(review);
  const { search } = useLocation();
  const [params] = useSearchParams();
  const { data: counts } = recordApi.useRecordCountsQuery(review.id);
  const rehearsal = strategyApi.useRehearsalQuery(
    { review: review.id, database: database?.id ?? '' },
    { skip: database === null },
  );
  const written = review.elements
    .filter(({ text }) => text.trim() !== '')
    .map(({ key }) => elementShape(key).letter);
  const lines = rehearsal.data?.lines.length;
  const unread = counts?.undecided ?? 0;
  const keep = params.get('ledger') === 'open' ? search : '';
  const stages: { to: string; label: string; number: string; icon: LucideIcon }[] = [
    { to: 'question', label: 'Question', number: written.join(' ') || 'empty', icon: MessageCircleQuestion },
    {
      to: 'concepts',
      label: 'Concepts',
      number: counted(lanes.length, 'lane'),
      icon: Layers,
    },
    {
      to: 'searches',
      label: 'Searches',
      number: lines === undefined ? '' : `${lines} lines`,
      icon: ListOrdered,
    },
    {
      to: 'limits',
      label: 'Limits',
      number: limitsNumber(review.limits.filter(({ on }) => on).length),
      icon: SlidersHorizontal,
    },
    { to: 'records', label: 'Records', number: `${formatCount(unread)} unread`, icon: BookOpen },
  ];
  return (
    <nav
      aria-label="Stages"
      className={`rule bg-base-300 flex shrink-0 flex-col border-r py-2 max-md:flex-row max-md:border-r-0 max-md:border-b max-md:py-0 ${narrow ? 'md:w-12' : 'md:w-[10.75rem]'}`}
    >
      {stages.map(({ to, label, number, icon: Icon }) => (
        <NavLink
          key={to}
          to={{ pathname: `/reviews/${review.id}/${to}`, search: keep }}
          title={`${label}: ${number}`}
          className={({ isActive }) =>
            `flex items-center justify-between gap-2 px-4 py-2 max-md:flex-1 max-md:justify-center max-md:px-1 md:border-l-[3px] ${
              isActive ? 'bg-base-200 border-base-content font-bold' : 'border-transparent'
            } ${narrow ? 'md:px-3' : ''}`
          }
        >
          <span className="flex items-center gap-2">
            <Icon className="h-4 w-4 shrink-0 max-md:hidden" aria-hidden="true" />
            <span className={narrow ? 'md:sr-only' : ''}>{label}</span>
          </span>
          {!narrow && (
            <span className="quiet count text-xs font-normal whitespace-nowrap max-md:hidden">{number}</span>
          )}
        </NavLink>
      ))}
      <button
        className="quiet mt-auto cursor-pointer self-start px-4 py-2 max-md:hidden"
        onClick={switchWidth}
        aria-label={narrow ? 'Widen the stage rail' : 'Narrow the stage rail to icons'}
        title={narrow ? 'Widen' : 'Narrow to icons'}
      >
        {narrow ? <PanelLeftOpen className="h-4 w-4" /> : <PanelLeftClose className="h-4 w-4" />}
      </button>
    </nav>
  );
}
