import { Body, Controller, Delete, Get, Header, HttpCode, Param, Patch, Post } from '@nestjs/common';
import { ApiBody, ApiHeader, ApiOperation, ApiTags } from '@nestjs/swagger';
import {
  lanesToCsv,
  lanesToDocument,
  lanesToMarkdown,
  type LanesDocument,
  type NamedLane,
} from '@even-lantern/core';
import {
  laneChangeSchema,
  laneMergeSchema,
  lanesSchema,
  newLaneSchema,
  type LaneChange,
  type LaneMerge,
  type LanesRead,
  type NewLane,
  type Person,
  type Review,
} from '@even-lantern/contract';
import { bodyOf } from '../application/openApi.js';
import { IfMatch, Validated, VERSION_HEADER } from '../application/validated.js';
import { Actor } from '../people/people.js';
import { LanesService } from './lanesService.js';
import { lanesOf, ReviewsService } from './reviewsService.js';
import { TermsService } from './termsService.js';

/** Lanes: their making and their history, and in open forms. */
@ApiTags('reviews')
@Controller()
export class LanesController {
  constructor(
    private readonly reviews: ReviewsService,
    private readonly terms: TermsService,
    private readonly lanes: LanesService,
  ) {}

  @Get('reviews/:id/lanes.json')
  @ApiOperation({ summary: 'The lanes as JSON, to be read back' })
  @Header('Content-Disposition', 'attachment; filename="lanes.json"')
  async json(@Param('id') id: string): Promise<LanesDocument> {
    const review = await this.reviews.get(id);
    return lanesToDocument(review.title, namedLanes(review), review.shelf);
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
    return lanesToMarkdown(review.title, namedLanes(review), review.shelf);
  }

  @Post('reviews/:id/lanes.json')
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

  @Post('reviews/:id/lanes')
  @ApiOperation({ summary: 'Begin a lane: empty, with terms of another one, or as a copy' })
  @ApiBody(bodyOf(newLaneSchema))
  create(
    @Param('id') id: string,
    @Body(new Validated(newLaneSchema)) body: NewLane,
    @Actor() person: Person,
  ) {
    return this.lanes.create(id, body, person);
  }

  @Patch('lanes/:id')
  @ApiOperation({ summary: 'Name a lane, leave out what it finds, or move it' })
  @ApiBody(bodyOf(laneChangeSchema))
  @ApiHeader(VERSION_HEADER)
  change(
    @Param('id') id: string,
    @Body(new Validated(laneChangeSchema)) body: LaneChange,
    @IfMatch() version: number,
    @Actor() _person: Person,
  ) {
    return this.lanes.change(id, body, version);
  }

  @Post('lanes/:id/merge')
  @HttpCode(200)
  @ApiOperation({ summary: 'Join a lane to another: its terms go there, and it ends' })
  @ApiBody(bodyOf(laneMergeSchema))
  @ApiHeader(VERSION_HEADER)
  merge(
    @Param('id') id: string,
    @Body(new Validated(laneMergeSchema)) { into }: LaneMerge,
    @IfMatch() version: number,
    @Actor() person: Person,
  ) {
    return this.lanes.merge(id, into, version, person);
  }

  @Delete('lanes/:id')
  @ApiOperation({ summary: 'End a lane with its terms; it can be brought back' })
  @ApiHeader(VERSION_HEADER)
  remove(@Param('id') id: string, @IfMatch() version: number, @Actor() _person: Person) {
    return this.lanes.remove(id, version);
  }

  @Get('lanes/:id/history')
  @ApiOperation({ summary: 'What was done in a lane, by whom, and why' })
  history(@Param('id') id: string) {
    return this.terms.history(id);
  }
}

function namedLanes(review: Review): NamedLane[] {
  return lanesOf(review).map((lane) => ({ ...lane, element: lane.element?.key ?? null }));
}
