import { Body, Controller, Get, HttpCode, Param, Patch, Post } from '@nestjs/common';
import { ApiBody, ApiHeader, ApiOperation, ApiTags } from '@nestjs/swagger';
import {
  elementChangeSchema,
  newReviewSchema,
  reviewChangeSchema,
  reviewDeletionSchema,
  type ElementChange,
  type NewReview,
  type Person,
  type ReviewChange,
  type ReviewDeletion,
} from '@even-lantern/contract';
import { EditsNoReview, EditsReview } from '../edits/reviewEdit.js';
import { bodyOf } from '../http/openApi.js';
import { IfMatch, Validated, VERSION_HEADER } from '../http/validated.js';
import { ElementRow } from '../store/entities.js';
import { Actor } from '../people/people.js';
import { ReviewEndService } from './reviewEndService.js';
import { ReviewListService } from './reviewListService.js';
import { ReviewsService } from './reviewsService.js';

@ApiTags('reviews')
@Controller()
export class ReviewsController {
  constructor(
    private readonly reviews: ReviewsService,
    private readonly reviewList: ReviewListService,
    private readonly ends: ReviewEndService,
  ) {}

  @Get('reviews')
  @ApiOperation({ summary: 'All reviews, and where each stands' })
  list() {
    return this.reviewList.list();
  }

  @Post('reviews')
  @EditsNoReview()
  @ApiOperation({ summary: 'Begin a review' })
  @ApiBody(bodyOf(newReviewSchema))
  create(@Body(new Validated(newReviewSchema)) body: NewReview, @Actor() person: Person) {
    return this.reviews.create(body, person);
  }

  @Get('reviews/:id')
  @ApiOperation({ summary: 'A review with its question and lanes' })
  get(@Param('id') id: string) {
    return this.reviews.get(id);
  }

  @Patch('reviews/:id')
  @EditsReview()
  @ApiOperation({ summary: 'Rename a review, or frame its question in another way' })
  @ApiBody(bodyOf(reviewChangeSchema))
  @ApiHeader(VERSION_HEADER)
  change(
    @Param('id') id: string,
    @Body(new Validated(reviewChangeSchema)) body: ReviewChange,
    @IfMatch() version: number,
    @Actor() _person: Person,
  ) {
    return this.reviews.change(id, body, version);
  }

  @Get('reviews/:id/holdings')
  @ApiOperation({ summary: 'What would go if a review were deleted' })
  holdings(@Param('id') id: string) {
    return this.ends.holdings(id);
  }

  @Post('reviews/:id/deletion')
  @EditsNoReview()
  @HttpCode(204)
  @ApiOperation({ summary: 'Delete a review with all that it holds; its title says that it is meant' })
  @ApiBody(bodyOf(reviewDeletionSchema))
  delete(
    @Param('id') id: string,
    @Body(new Validated(reviewDeletionSchema)) body: ReviewDeletion,
    @Actor() _person: Person,
  ) {
    return this.ends.delete(id, body);
  }

  @Patch('elements/:id')
  @EditsReview({ of: ElementRow })
  @ApiOperation({ summary: 'Write an element of the question, or switch searching on it' })
  @ApiBody(bodyOf(elementChangeSchema))
  @ApiHeader(VERSION_HEADER)
  changeElement(
    @Param('id') id: string,
    @Body(new Validated(elementChangeSchema)) body: ElementChange,
    @IfMatch() version: number,
    @Actor() person: Person,
  ) {
    return this.reviews.changeElement(id, body, version, person);
  }

  @Get('elements/:id/wordings')
  @ApiOperation({ summary: 'Earlier wordings of an element' })
  wordings(@Param('id') id: string) {
    return this.reviews.wordings(id);
  }
}
