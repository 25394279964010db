import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post } from '@nestjs/common';
import { ApiBody, ApiHeader, ApiOperation, ApiTags } from '@nestjs/swagger';
import {
  laneChangeSchema,
  laneMergeSchema,
  newLaneSchema,
  type LaneChange,
  type LaneMerge,
  type NewLane,
  type Person,
} from '@even-lantern/contract';
import { EditsReview } from '../edits/reviewEdit.js';
import { bodyOf } from '../http/openApi.js';
import { IfMatch, Validated, VERSION_HEADER } from '../http/validated.js';
import { LaneRow } from '../store/entities.js';
import { Actor } from '../people/people.js';
import { LanesService } from './lanesService.js';
import { TermsService } from './termsService.js';

/** Lanes: their making and their history. */
@ApiTags('reviews')
@Controller()
export class LanesController {
  constructor(
    private readonly terms: TermsService,
    private readonly lanes: LanesService,
  ) {}

  @Post('reviews/:id/lanes')
  @EditsReview()
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
  @EditsReview({ of: LaneRow })
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
  @EditsReview({ of: LaneRow })
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
  @EditsReview({ of: LaneRow })
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
