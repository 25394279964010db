import { Body, Controller, Get, Header, HttpCode, Param, Post, Put } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import {
  commentSettlingSchema,
  newPeerCommentSchema,
  newPeerReviewSchema,
  peerReviewEndSchema,
  pointJudgementSchema,
  type CommentSettling,
  type NewPeerComment,
  type NewPeerReview,
  type PeerReviewEnd,
  type Person,
  type PointJudgement,
} from '@even-lantern/contract';
import { EditsNoReview } from '../edits/reviewEdit.js';
import { bodyOf } from '../http/openApi.js';
import { Validated } from '../http/validated.js';
import { Actor } from '../people/people.js';
import { PeerReviewsService } from './peerReviewsService.js';

/** Strategies looked over by a second person. */
@ApiTags('peer reviews')
@Controller()
export class PeerReviewsController {
  constructor(private readonly peerReviews: PeerReviewsService) {}

  @Get('reviews/:id/peer-reviews')
  @ApiOperation({ summary: 'The peer reviews of a strategy, the latest first' })
  list(@Param('id') id: string) {
    return this.peerReviews.list(id);
  }

  @Post('reviews/:id/peer-reviews')
  @EditsNoReview()
  @ApiOperation({ summary: 'Ask for the present strategy to be looked over; it is kept as a version' })
  @ApiBody(bodyOf(newPeerReviewSchema))
  ask(
    @Param('id') id: string,
    @Body(new Validated(newPeerReviewSchema)) body: NewPeerReview,
    @Actor() person: Person,
  ) {
    return this.peerReviews.ask(id, body, person);
  }

  @Put('peer-reviews/:id/points/:point')
  @EditsNoReview()
  @ApiOperation({ summary: 'Judge a point, as somebody else than the one who asked' })
  @ApiBody(bodyOf(pointJudgementSchema))
  judge(
    @Param('id') id: string,
    @Param('point') point: string,
    @Body(new Validated(pointJudgementSchema)) body: PointJudgement,
    @Actor() person: Person,
  ) {
    return this.peerReviews.judge(id, point, body, person);
  }

  @Post('peer-reviews/:id/comments')
  @EditsNoReview()
  @ApiOperation({ summary: 'Comment on a line or the whole, or answer a comment' })
  @ApiBody(bodyOf(newPeerCommentSchema))
  comment(
    @Param('id') id: string,
    @Body(new Validated(newPeerCommentSchema)) body: NewPeerComment,
    @Actor() person: Person,
  ) {
    return this.peerReviews.comment(id, body, person);
  }

  @Put('peer-reviews/:id/comments/:comment/settled')
  @EditsNoReview()
  @ApiOperation({ summary: 'Settle a comment, or open it again' })
  @ApiBody(bodyOf(commentSettlingSchema))
  settle(
    @Param('id') id: string,
    @Param('comment') comment: string,
    @Body(new Validated(commentSettlingSchema)) { settled }: CommentSettling,
    @Actor() person: Person,
  ) {
    return this.peerReviews.settle(id, comment, settled, person);
  }

  @Post('peer-reviews/:id/end')
  @EditsNoReview()
  @HttpCode(200)
  @ApiOperation({ summary: 'Finish a peer review with what it comes to, or take it up again' })
  @ApiBody(bodyOf(peerReviewEndSchema))
  end(
    @Param('id') id: string,
    @Body(new Validated(peerReviewEndSchema)) body: PeerReviewEnd,
    @Actor() person: Person,
  ) {
    return this.peerReviews.end(id, body, person);
  }

  @Get('peer-reviews/:id/report.md')
  @Header('Content-Type', 'text/markdown; charset=utf-8')
  @Header('Content-Disposition', 'attachment; filename="peer-review.md"')
  @ApiOperation({ summary: 'A peer review as Markdown' })
  report(@Param('id') id: string) {
    return this.peerReviews.markdown(id);
  }
}
