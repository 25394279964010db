import { useFollowing } from '../../../parts/useFollowing.js';

/** Why the limit is there. Saved when one leaves it. */
export function Reason({ reason, onChange }: { reason: string; onChange: (reason: string) => void }) {
  const { text, setText, send } = useFollowing(reason);
  const commit = () => {
    if (text.trim() === reason) return;
    send(text.trim());
    onChange(text.trim());
  };
  return (
    <label className="flex flex-col gap-1">
      <span className="small-head">Reason</span>
      <textarea
        className="textarea textarea-sm w-full"
        rows={2}
        maxLength={1000}
        placeholder="Because …"
        value={text}
        onChange={(event) => setText(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && !event.shiftKey) {
            event.preventDefault();
            commit();
          }
        }}
      />
    </label>
  );
}
