import { useReview } from './useReview.js';
import { useVocabularies } from './useVocabulary.js';
import { Counterpart } from './Counterpart.js';

/** What stands for a heading in each other vocabulary: settled, proposed, or to be found. */
export function OtherVocabularies({ vocabulary, label }: { vocabulary: string; label: string }) {
  const { database } = useReview();
  const here = database?.vocabulary?.id;
  const others = useVocabularies()
    .filter(({ id }) => id !== vocabulary)
    .sort((a, b) => Number(b.id === here) - Number(a.id === here));
  if (others.length === 0) return null;
  return (
    <section aria-label="In other vocabularies">
      <h4 className="small-head">In other vocabularies</h4>
      <ul className="flex flex-col gap-2 pt-1">
        {others.map((other) => (
          <li key={other.id} aria-label={other.name}>
            <p className="quiet text-xs">{other.name}</p>
            <Counterpart vocabulary={vocabulary} label={label} target={other} />
          </li>
        ))}
      </ul>
    </section>
  );
}
