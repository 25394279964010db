import { Body, Controller, Get, Header, HttpCode, Param, Post } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import {
  lanesToCsv,
  lanesToDocument,
  lanesToMarkdown,
  type LanesDocument,
  type NamedLane,
} from '@even-lantern/core';
import { lanesSchema, type LanesRead, type Person, type Review } from '@even-lantern/contract';
import { bodyOf } from '../application/openApi.js';
import { Validated } from '../application/validated.js';
import { Actor } from '../people/people.js';
import { lanesOf, ReviewsService } from './reviewsService.js';
import { TermsService } from './termsService.js';

/** Lanes in open forms. */
@ApiTags('reviews')
@Controller()
export class LanesController {
  constructor(
    private readonly reviews: ReviewsService,
    private readonly terms: TermsService,
  ) {}

  @Get('reviews/:id/lanes.json')
  @ApiOperation({ summary: 'The lanes as JSON, to be read back' })
  @Header('Content-Disposition', 'attachment; filename="lanes.json"')
  async json(@Param('id') id: string): Promise<LanesDocument> {
    const review = await this.reviews.get(id);
    return lanesToDocument(review.title, namedLanes(review));
  }

  @Get('reviews/:id/lanes.csv')
  @ApiOperation({ summary: 'The lanes as CSV' })
  @Header('Content-Type', 'text/csv; charset=utf-8')
  @Header('Content-Disposition', 'attachment; filename="lanes.csv"')
  async csv(@Param('id') id: string): Promise<string> {
    return lanesToCsv(namedLanes(await this.reviews.get(id)));
  }

  @Get('reviews/:id/lanes.md')
  @ApiOperation({ summary: 'The lanes as Markdown' })
  @Header('Content-Type', 'text/markdown; charset=utf-8')
  @Header('Content-Disposition', 'attachment; filename="lanes.md"')
  async markdown(@Param('id') id: string): Promise<string> {
    const review = await this.reviews.get(id);
    return lanesToMarkdown(review.title, namedLanes(review));
  }

  @Post('reviews/:id/lanes')
  @HttpCode(200)
  @ApiOperation({
    summary: 'Add the terms of exported lanes; those that are there already are left as they are',
  })
  @ApiBody(bodyOf(lanesSchema))
  read(
    @Param('id') id: string,
    @Body(new Validated(lanesSchema)) body: LanesDocument,
    @Actor() person: Person,
  ): Promise<LanesRead> {
    return this.terms.addLanes(id, body, person);
  }
}

function namedLanes(review: Review): NamedLane[] {
  return lanesOf(review).map((lane) => ({
    ...lane,
    element: review.elements.find(({ id }) => id === lane.id)?.key ?? '',
  }));
}
