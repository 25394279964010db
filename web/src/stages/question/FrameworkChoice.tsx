import { FRAMEWORKS, type FrameworkId } from '@even-lantern/core';
import { toast } from 'sonner';
import { problemOf } from '../../review/api/api.js';
import { reviewApi } from '../../review/api/reviewApi.js';
import { useReview } from '../../review/useReview.js';
import { ChoiceMenu } from '../../parts/ChoiceMenu.js';

export function FrameworkChoice() {
  const { review } = useReview();
  const [changeReview] = reviewApi.useChangeReviewMutation();
  const [refresh] = reviewApi.useLazyReviewQuery();
  const change = async (framework: FrameworkId) => {
    const { version } = await refresh(review.id).unwrap();
    const result = await changeReview({ id: review.id, version, framework });
    if (result.data === undefined) toast.error(problemOf(result.error).title);
  };
  return (
    <div className="flex items-center gap-2 text-sm">
      Framed as
      <ChoiceMenu
        label="Framed as"
        text={FRAMEWORKS.find(({ id }) => id === review.framework)?.name ?? ''}
        side="right"
        chosen={review.framework}
        choices={FRAMEWORKS.map(({ id, name, purpose }) => ({ id, name, detail: purpose }))}
        onChoose={(id) => {
          change(id as FrameworkId).catch((error: unknown) => toast.error(problemOf(error).title));
        }}
      />
    </div>
  );
}
