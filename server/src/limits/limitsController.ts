import { Body, Controller, HttpCode, Param, Patch, Post } from '@nestjs/common';
import { ApiBody, ApiHeader, ApiOperation, ApiTags } from '@nestjs/swagger';
import {
  limitChangeSchema,
  limitValuesSchema,
  newLimitsSchema,
  profileRequestSchema,
  stepSampleSchema,
  type LimitChange,
  type LimitValuesRequest,
  type NewLimits,
  type Person,
  type ProfileRequest,
  type StepSampleRequest,
} from '@even-lantern/contract';
import { EditsNoReview, EditsReview } from '../edits/reviewEdit.js';
import { bodyOf } from '../http/openApi.js';
import { IfMatch, Validated, VERSION_HEADER } from '../http/validated.js';
import { LimitRow } from '../store/entities.js';
import { Actor } from '../people/people.js';
import { LimitsService } from './limitsService.js';
import { ProfileService } from './profileService.js';

/** Limits, and what each takes away. Profiles are asked by POST since they carry limits that are tried out. */
@ApiTags('limits')
@Controller()
export class LimitsController {
  constructor(
    private readonly limits: LimitsService,
    private readonly profiles: ProfileService,
  ) {}

  @Post('reviews/:id/limits')
  @EditsReview()
  @ApiOperation({ summary: 'Add limits behind those there are; all of them, or none' })
  @ApiBody(bodyOf(newLimitsSchema))
  add(
    @Param('id') id: string,
    @Body(new Validated(newLimitsSchema)) { limits }: NewLimits,
    @Actor() person: Person,
  ) {
    return this.limits.add(id, limits, person);
  }

  @Patch('limits/:id')
  @EditsReview({ of: LimitRow })
  @ApiOperation({ summary: 'Change, switch, move, take away or bring back a limit' })
  @ApiBody(bodyOf(limitChangeSchema))
  @ApiHeader(VERSION_HEADER)
  change(
    @Param('id') id: string,
    @Body(new Validated(limitChangeSchema)) change: LimitChange,
    @IfMatch() version: number,
    @Actor() person: Person,
  ) {
    return this.limits.change(id, change, version, person);
  }

  @Post('reviews/:id/profile')
  @EditsNoReview()
  @HttpCode(200)
  @ApiOperation({ summary: 'What each limit takes away in one database, also of limits that are only tried' })
  @ApiBody(bodyOf(profileRequestSchema))
  profile(@Param('id') id: string, @Body(new Validated(profileRequestSchema)) body: ProfileRequest) {
    return this.profiles.profile(id, body);
  }

  @Post('reviews/:id/profile/sample')
  @EditsNoReview()
  @HttpCode(200)
  @ApiOperation({ summary: 'Some of the records that a limit loses or leaves' })
  @ApiBody(bodyOf(stepSampleSchema))
  sample(@Param('id') id: string, @Body(new Validated(stepSampleSchema)) body: StepSampleRequest) {
    return this.profiles.sample(id, body);
  }

  @Post('reviews/:id/profile/values')
  @EditsNoReview()
  @HttpCode(200)
  @ApiOperation({ summary: 'The values that a limit can have, with what all other limits leave of each' })
  @ApiBody(bodyOf(limitValuesSchema))
  values(@Param('id') id: string, @Body(new Validated(limitValuesSchema)) body: LimitValuesRequest) {
    return this.profiles.values(id, body);
  }
}
