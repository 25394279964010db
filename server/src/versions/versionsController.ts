import { Body, Controller, Get, HttpCode, Param, Post, Put } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import {
  goingBackSchema,
  versionComparisonSchema,
  versionNameSchema,
  type GoingBack,
  type Person,
  type VersionComparisonRequest,
  type VersionName,
} from '@even-lantern/contract';
import { EditsNoReview, EditsReview } from '../edits/reviewEdit.js';
import { bodyOf } from '../http/openApi.js';
import { Validated } from '../http/validated.js';
import { Actor } from '../people/people.js';
import { ComparisonService } from './comparisonService.js';
import { VersionsService } from './versionsService.js';

/** The kept states of a strategy. */
@ApiTags('versions')
@Controller('reviews/:id/versions')
export class VersionsController {
  constructor(
    private readonly versions: VersionsService,
    private readonly comparisons: ComparisonService,
  ) {}

  @Get()
  @ApiOperation({ summary: 'The versions of a strategy, the latest first' })
  list(@Param('id') id: string) {
    return this.versions.list(id);
  }

  @Post()
  @EditsNoReview()
  @ApiOperation({
    summary: 'Keep the present state now, if it is not kept yet; the versions, the latest first',
  })
  async keep(@Param('id') id: string, @Actor() person: Person) {
    await this.versions.keep(id, person.id, false);
    return this.versions.list(id);
  }

  @Post('compare')
  @EditsNoReview()
  @HttpCode(200)
  @ApiOperation({ summary: 'What was changed between two versions, and which records that gained and lost' })
  @ApiBody(bodyOf(versionComparisonSchema))
  compare(
    @Param('id') id: string,
    @Body(new Validated(versionComparisonSchema)) request: VersionComparisonRequest,
  ) {
    return this.comparisons.compare(id, request);
  }

  @Get(':version')
  @ApiOperation({ summary: 'A version with the state that it keeps' })
  get(@Param('id') id: string, @Param('version') version: string) {
    return this.versions.get(id, version);
  }

  @Put(':version/name')
  @EditsNoReview()
  @ApiOperation({ summary: 'Name a version; without a name it has none' })
  @ApiBody(bodyOf(versionNameSchema))
  name(
    @Param('id') id: string,
    @Param('version') version: string,
    @Body(new Validated(versionNameSchema)) { name }: VersionName,
    @Actor() person: Person,
  ) {
    return this.versions.name(id, version, name, person);
  }

  @Post(':version/go-back')
  @EditsReview({ words: 'went back to a version' })
  @HttpCode(200)
  @ApiOperation({
    summary: 'Make the strategy, or some of its lanes, what it was; what it is now is kept as a version',
  })
  @ApiBody(bodyOf(goingBackSchema))
  goBack(
    @Param('id') id: string,
    @Param('version') version: string,
    @Body(new Validated(goingBackSchema)) { lanes }: GoingBack,
    @Actor() person: Person,
  ) {
    return this.versions.goBack(id, version, person, lanes);
  }
}
