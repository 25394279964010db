import { Injectable } from '@nestjs/common';
import { designTree, type DesignTree } from '@even-lantern/core';
import type { LadderChange, Review, Rung, StudyDesigns } from '@even-lantern/contract';
import { badInput } from '../http/problem.js';
import { ReviewsService } from '../reviews/reviewsService.js';
import { changeVersion } from '../edits/changeVersion.js';
import { ReviewRow } from '../store/entities.js';
import { Store } from '../store/store.js';
import { DesignContent } from './designContent.js';
import { expectDesigns } from './expectDesigns.js';

/** Study designs: what they are, and the ladder of a review. */
@Injectable()
export class DesignsService {
  constructor(
    private readonly store: Store,
    private readonly reviews: ReviewsService,
    private readonly content: DesignContent,
  ) {}

  async designs(): Promise<StudyDesigns> {
    const { taxonomy, rules, figures } = await this.content.get();
    return { taxonomy, rules, figures };
  }

  async turtle(): Promise<string> {
    return (await this.content.get()).turtle;
  }

  /** @throws ProblemException for what is no design, or stands on two rungs; or when somebody changed the review meanwhile */
  async changeLadder(reviewId: string, { rungs }: LadderChange, version: number): Promise<Review> {
    if (rungs !== null) expectLadder(rungs, await this.tree());
    return this.store.write(async (manager) => {
      const columns = { ladder: rungs };
      await changeVersion(manager, ReviewRow, { id: reviewId, version }, columns, 'review', (row) => row);
      return this.reviews.get(reviewId, manager);
    });
  }

  private async tree(): Promise<DesignTree> {
    return designTree((await this.content.get()).taxonomy);
  }
}

function expectLadder(rungs: readonly Rung[], tree: DesignTree): void {
  const all = rungs.flatMap(({ designs }) => designs);
  expectDesigns(all, tree, 'rungs');
  const twice = all.find((design, i) => all.indexOf(design) !== i);
  if (twice === undefined) return;
  throw badInput([{ path: 'rungs', message: `“${twice}” stands on two rungs. Take it off one of them.` }]);
}
