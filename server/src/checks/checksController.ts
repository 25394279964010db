import { Body, Controller, HttpCode, Param, Post } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import {
  findingAcceptanceSchema,
  mendsRequestSchema,
  type FindingAcceptance,
  type MendsRequest,
  type Person,
} from '@even-lantern/contract';
import { EditsNoReview, EditsReview } from '../edits/reviewEdit.js';
import { bodyOf } from '../http/openApi.js';
import { Validated } from '../http/validated.js';
import { Actor } from '../people/people.js';
import { AcceptedFindingsService } from './acceptedFindingsService.js';
import { MendEffectsService } from './mendEffectsService.js';

/** Checks are computed where they are shown; here they are accepted, and what mends would do is counted. */
@ApiTags('checks')
@Controller('reviews/:id')
export class ChecksController {
  constructor(
    private readonly accepted: AcceptedFindingsService,
    private readonly effects: MendEffectsService,
  ) {}

  @Post('accepted-findings')
  @EditsReview()
  @HttpCode(200)
  @ApiOperation({ summary: 'Let a finding of a check stand, with a reason; or no longer' })
  @ApiBody(bodyOf(findingAcceptanceSchema))
  accept(
    @Param('id') id: string,
    @Body(new Validated(findingAcceptanceSchema)) acceptance: FindingAcceptance,
    @Actor() person: Person,
  ) {
    return this.accepted.accept(id, acceptance, person);
  }

  @Post('mends')
  @EditsNoReview()
  @HttpCode(200)
  @ApiOperation({ summary: 'What mends would do in a database, in records; nothing is changed' })
  @ApiBody(bodyOf(mendsRequestSchema))
  mends(@Param('id') id: string, @Body(new Validated(mendsRequestSchema)) request: MendsRequest) {
    return this.effects.of(id, request);
  }
}
