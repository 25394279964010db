import type { Proposal } from './useProposals.js';

/** The question as one sentence; the words of each concept are underlined, solid where they are a lane already. */
export function Sentence({ text, proposals }: { text: string; proposals: readonly Proposal[] }) {
  const parts: { text: string; proposal: Proposal | null }[] = [];
  let at = 0;
  for (const proposal of placed(text, proposals)) {
    if (proposal.from > at) parts.push({ text: text.slice(at, proposal.from), proposal: null });
    parts.push({ text: text.slice(proposal.from, proposal.to), proposal: proposal.proposal });
    at = proposal.to;
  }
  parts.push({ text: text.slice(at), proposal: null });
  return (
    <p className="font-serif text-xl leading-snug" data-testid="sentence">
      {parts.map(({ text: part, proposal }, i) =>
        proposal === null ? (
          <span key={i}>{part}</span>
        ) : (
          <span
            key={i}
            className={`underline decoration-2 underline-offset-4 ${proposal.lane === null ? 'decoration-dotted' : ''}`}
            style={{ textDecorationColor: 'var(--bar-adds)' }}
            title={proposal.lane === null ? 'a concept, not a lane yet' : 'a concept with a lane'}
          >
            {part}
          </span>
        ),
      )}
    </p>
  );
}

/** Where the words of concepts stand in the sentence, in order and without overlaps. */
function placed(sentence: string, proposals: readonly Proposal[]) {
  const lower = sentence.toLowerCase();
  const found = proposals.flatMap((proposal) => {
    const from = lower.indexOf(proposal.concept.text.toLowerCase());
    return from === -1 ? [] : [{ proposal, from, to: from + proposal.concept.text.length }];
  });
  found.sort((a, b) => a.from - b.from);
  return found.filter(({ from }, i) => i === 0 || from >= (found[i - 1]?.to ?? 0));
}
