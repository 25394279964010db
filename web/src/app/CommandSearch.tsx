import { Command } from 'cmdk';
import { useEffect, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { reviewApi } from '../review/api/reviewApi.js';
import type { GuidePage } from '../parts/guide/guidePages.js';
import { switchTheme } from './theme.js';
import { useUndo } from '../review/undo.js';
import type { DatabaseChoice } from '../review/useDatabaseChoice.js';

/** A page whose sections are no places that anybody looks for. */
const LISTS = 'columns';

/** Pages and sections of the guide, which come when they are first wanted. */
function GuideItems({
  open,
  className,
  headingClass,
  onChoose,
}: {
  open: boolean;
  className: string;
  headingClass: string;
  onChoose: (to: string) => void;
}) {
  const [pages, setPages] = useState<GuidePage[]>([]);
  useEffect(() => {
    if (open && pages.length === 0)
      void import('../parts/guide/pages.js').then(({ GUIDE }) => setPages(GUIDE));
  }, [open, pages.length]);
  return (
    <Command.Group heading="Guide" className={headingClass}>
      {pages.flatMap(({ id, title, sections }) =>
        [{ id: '', title }, ...(id === LISTS ? [] : sections)].map((section) => (
          <Command.Item
            key={`${id}#${section.id}`}
            value={`Guide ${title} ${section.title} ${section.id}`}
            className={className}
            onSelect={() => onChoose(`/guide/${id}${section.id === '' ? '' : `#${section.id}`}`)}
          >
            {section.id === '' ? title : `${title}: ${section.title}`}
          </Command.Item>
        )),
      )}
    </Command.Group>
  );
}

/** Everything that can be done from anywhere, found by typing. */
export function CommandSearch({
  open,
  onOpenChange,
  reviewId,
  choice: { database, databases, choose },
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  reviewId: string;
  choice: DatabaseChoice;
}) {
  const navigate = useNavigate();
  const { undoLast, redoLast } = useUndo();
  const [params, setParams] = useSearchParams();
  const { data: reviews = [] } = reviewApi.useReviewsQuery();
  const act = (action: () => void) => () => {
    onOpenChange(false);
    action();
  };
  const stage = (name: string) => act(() => void navigate(`/reviews/${reviewId}/${name}`));
  const item = 'data-[selected=true]:bg-base-300 cursor-pointer rounded px-3 py-2';
  const heading =
    '[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:text-xs [&_[cmdk-group-heading]]:font-semibold [&_[cmdk-group-heading]]:text-[var(--quiet)]';
  return (
    <Command.Dialog
      open={open}
      onOpenChange={onOpenChange}
      label="Go to or do"
      overlayClassName="fixed inset-0 bg-black/30 z-40"
      contentClassName="fixed left-1/2 top-24 z-50 w-[min(34rem,92vw)] -translate-x-1/2"
      className="rule bg-base-100 rounded-box border shadow-lg"
    >
      <Command.Input
        placeholder="Where to go, or what to do"
        className="rule w-full border-b bg-transparent px-4 py-3 outline-none"
      />
      <Command.List className="max-h-80 overflow-auto p-2">
        <Command.Empty className="quiet px-3 py-2">Nothing of that name.</Command.Empty>
        <Command.Group heading="Stages" className={heading}>
          {(['Question', 'Concepts', 'Searches', 'Limits', 'Records'] as const).map((name) => (
            <Command.Item key={name} className={item} onSelect={stage(name.toLowerCase())}>
              {name}
            </Command.Item>
          ))}
        </Command.Group>
        <Command.Group heading="Databases" className={heading}>
          <Command.Item className={item} onSelect={stage('databases')}>
            Where to search
          </Command.Item>
          <Command.Item className={item} onSelect={stage('databases/add')}>
            Add a database
          </Command.Item>
        </Command.Group>
        <Command.Group heading="Count in" className={heading}>
          {databases
            .filter(({ id }) => id !== database?.id)
            .map(({ id, name }) => (
              <Command.Item
                key={id}
                value={`Count in ${name}`}
                className={item}
                onSelect={act(() => choose(id))}
              >
                {name}
              </Command.Item>
            ))}
        </Command.Group>
        <Command.Group heading="Learn about" className={heading}>
          {databases.map(({ id, name }) => (
            <Command.Item
              key={id}
              value={`Learn about ${name}`}
              className={item}
              onSelect={stage(`databases/${id}`)}
            >
              {name}
            </Command.Item>
          ))}
        </Command.Group>
        <Command.Group heading="Do" className={heading}>
          <Command.Item
            className={item}
            onSelect={act(() => {
              params.set('ledger', 'open');
              setParams(params);
            })}
          >
            Open the ledger
          </Command.Item>
          <Command.Item className={item} onSelect={act(undoLast)}>
            Undo the last edit
          </Command.Item>
          <Command.Item className={item} onSelect={act(redoLast)}>
            Do it again
          </Command.Item>
          <Command.Item className={item} onSelect={act(switchTheme)}>
            Switch between light and dark
          </Command.Item>
        </Command.Group>
        <GuideItems
          open={open}
          className={item}
          headingClass={heading}
          onChoose={(to) => act(() => void navigate(to))()}
        />
        <Command.Group heading="Reviews" className={heading}>
          {reviews.map(({ id, title }) => (
            <Command.Item
              key={id}
              value={`${title} ${id}`}
              className={item}
              onSelect={act(() => void navigate(`/reviews/${id}`))}
            >
              {title}
            </Command.Item>
          ))}
          <Command.Item className={item} onSelect={act(() => void navigate('/reviews'))}>
            All reviews
          </Command.Item>
          <Command.Item className={item} onSelect={act(() => void navigate('/vocabularies'))}>
            Vocabularies and crosswalk
          </Command.Item>
        </Command.Group>
      </Command.List>
    </Command.Dialog>
  );
}
