import { limitText, profilePicture, wayText } from '@even-lantern/core';
import type { LimitProfile } from '@even-lantern/contract';
import { toast } from 'sonner';
import { useReview } from '../../app/useReview.js';
import { ChoiceMenu } from '../../parts/ChoiceMenu.js';
import { releaseText } from '../../parts/release.js';
import { savePicture } from '../../parts/savePicture.js';
import type { LimitInHand } from './limitInHand.js';

/** The profile as a picture, to be kept as a file. */
export function SavePicture({ profile, limits }: { profile: LimitProfile; limits: readonly LimitInHand[] }) {
  const { review } = useReview();
  const save = (format: string) => {
    const svg = profilePicture({
      title: review.title,
      source: `${profile.databaseName}, ${releaseText(profile.release)}${profile.simulated ? ', simulated' : ''}`,
      before: profile.before.hits,
      steps: limits.flatMap(({ limit }) => {
        const step = profile.steps.find(({ limitId }) => limitId === limit.id);
        if (step === undefined || !limit.on) return [];
        return [
          {
            text: limitText(limit),
            way: wayText(step.way),
            reason: limit.reason,
            remains: step.remains.hits,
            lost: step.lost,
            lacking: step.lacking,
          },
        ];
      }),
    });
    savePicture(svg, `limits ${profile.databaseName}`, format === 'png' ? 'png' : 'svg').catch(
      (error: unknown) =>
        toast.error(error instanceof Error ? error.message : 'The picture could not be saved.'),
    );
  };
  return (
    <ChoiceMenu
      label="Save the profile as a picture"
      text="Picture"
      side="right"
      choices={[
        { id: 'svg', name: 'SVG', detail: 'sharp at every size' },
        { id: 'png', name: 'PNG', detail: 'for slides and documents' },
      ]}
      onChoose={save}
    />
  );
}
