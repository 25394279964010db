import { limitText, profilePicture, wayText } from '@even-lantern/core';
import type { LimitProfile } from '@even-lantern/contract';
import { useReview } from '../../review/useReview.js';
import { PictureMenu } from '../../parts/PictureMenu.js';
import { releaseText } from '../../parts/release.js';
import type { LimitInHand } from './limitInHand.js';

/** The profile as a picture, to be kept as a file. */
export function SavePicture({ profile, limits }: { profile: LimitProfile; limits: readonly LimitInHand[] }) {
  const { review } = useReview();
  const picture = () =>
    profilePicture({
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
  return (
    <PictureMenu
      label="Save the profile as a picture"
      name={`limits ${profile.databaseName}`}
      picture={picture}
    />
  );
}
