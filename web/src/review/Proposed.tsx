import type { Proposal, ProposalReason } from '@even-lantern/core';
import type { VocabularySummary } from '@even-lantern/contract';
import { Check, X } from 'lucide-react';
import { useState } from 'react';
import { useLookup } from './useLookup.js';
import { useVocabulary } from './useVocabulary.js';
import { reasonInWords } from './lookupReasons.js';
import { noteOf } from './noteOf.js';

/** Reasons that are written out; the others are told on pointing at them. */
const REASONS_SHOWN = 2;

export function Proposed({
  proposal: { heading, reasons },
  label,
  onConfirm,
  onRefuse,
}: {
  proposal: Proposal;
  label: string;
  onConfirm: () => void;
  onRefuse: () => void;
}) {
  const why = reasons.map(proposalReason);
  return (
    <div>
      <div className="flex items-center gap-1">
        <span className="min-w-0 flex-1" title={heading.scopeNote}>
          {heading.label}?
        </span>
        <button
          className="btn btn-xs btn-quiet"
          onClick={onConfirm}
          aria-label={`Confirm ${heading.label} for ${label}`}
        >
          <Check className="h-3.5 w-3.5" aria-hidden="true" /> Confirm
        </button>
        <button
          className="btn btn-xs btn-ghost btn-square"
          onClick={onRefuse}
          aria-label={`Refuse ${heading.label} for ${label}`}
          title="It does not stand for it"
        >
          <X className="h-3.5 w-3.5" aria-hidden="true" />
        </button>
      </div>
      <p className="quiet text-xs" title={why.join('; ')}>
        {why.slice(0, REASONS_SHOWN).join('; ')}
      </p>
      {heading.scopeNote !== '' && <p className="text-xs">{heading.scopeNote}</p>}
    </div>
  );
}

const NAMED = 3;

/** Why a heading is proposed. */
function proposalReason(reason: ProposalReason): string {
  switch (reason.kind) {
    case 'same label':
      return 'the same name';
    case 'label among entry terms':
      return `“${reason.term}” is the name of one and an entry term of the other`;
    case 'shared entry terms':
      return `both are used for ${some(reason.terms.map((term) => `“${term}”`))}`;
    case 'words in common':
      return `words in common: ${reason.words.join(' ')}`;
    case 'neighbours correspond':
      return `beside it ${some(reason.pairs.map(([own, other]) => `${own} is ${other}`))}`;
    case 'confirmed the other way round':
      return 'confirmed the other way round';
    case 'stands for a broader heading':
      return `wider: stands for ${reason.label}`;
  }
}

function some(names: readonly string[]): string {
  const more = names.length - NAMED;
  return names.slice(0, NAMED).join(', ') + (more > 0 ? ` and ${more} more` : '');
}

/** Any heading of the other vocabulary, found by typing. */
export function FindHeading({
  target,
  label,
  onConfirm,
}: {
  target: VocabularySummary;
  label: string;
  onConfirm: (label: string) => void;
}) {
  const [typed, setTyped] = useState('');
  const hits = useLookup(typed.trim(), target.id);
  const tree = useVocabulary(target.id);
  return (
    <div>
      <input
        className="input input-sm w-full"
        aria-label={`Find a heading of the ${target.name} for ${label}`}
        placeholder="Find another heading …"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
      />
      {typed.trim() !== '' && hits?.length === 0 && <p className="quiet text-xs">No heading of that name.</p>}
      <ul>
        {typed.trim() !== '' &&
          hits?.map((hit) => (
            <li key={hit.heading.label} className="flex items-start gap-1.5 pt-1">
              <span className="min-w-0 flex-1" title={tree === null ? '' : noteOf(tree, hit.heading.label)}>
                {hit.heading.label}
                <span className="quiet block text-xs">{reasonInWords(hit, typed.trim())}</span>
              </span>
              <button
                className="btn btn-xs btn-quiet"
                onClick={() => onConfirm(hit.heading.label)}
                aria-label={`Confirm ${hit.heading.label} for ${label}`}
              >
                Confirm
              </button>
            </li>
          ))}
      </ul>
    </div>
  );
}
