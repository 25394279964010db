import { Body, Controller, HttpCode, Param, Patch, Post } from '@nestjs/common';
import { ApiBody, ApiHeader, ApiOperation, ApiTags } from '@nestjs/swagger';
import {
  newOwnLinesSchema,
  ownLineChangeSchema,
  ownLineMergeSchema,
  type NewOwnLines,
  type OwnLineChange,
  type OwnLineMerge,
  type Person,
} from '@even-lantern/contract';
import { EditsReview } from '../edits/reviewEdit.js';
import { bodyOf } from '../http/openApi.js';
import { IfMatch, Validated, VERSION_HEADER } from '../http/validated.js';
import { OwnLineRow } from '../store/entities.js';
import { Actor } from '../people/people.js';
import { OwnLinesService } from './ownLinesService.js';

/** Lines that people write beside those of the lanes. */
@ApiTags('own lines')
@Controller()
export class OwnLinesController {
  constructor(private readonly lines: OwnLinesService) {}

  @Post('reviews/:id/own-lines')
  @EditsReview()
  @ApiOperation({ summary: 'Add lines of one’s own; all of them, or none' })
  @ApiBody(bodyOf(newOwnLinesSchema))
  add(
    @Param('id') id: string,
    @Body(new Validated(newOwnLinesSchema)) lines: NewOwnLines,
    @Actor() person: Person,
  ) {
    return this.lines.add(id, lines, person);
  }

  @Patch('own-lines/:id')
  @EditsReview({ of: OwnLineRow })
  @ApiOperation({ summary: 'Change, switch, move, annotate, take away or bring back a line' })
  @ApiBody(bodyOf(ownLineChangeSchema))
  @ApiHeader(VERSION_HEADER)
  change(
    @Param('id') id: string,
    @Body(new Validated(ownLineChangeSchema)) change: OwnLineChange,
    @IfMatch() version: number,
    @Actor() person: Person,
  ) {
    return this.lines.change(id, change, version, person);
  }

  @Post('own-lines/:id/merge')
  @EditsReview({ of: OwnLineRow })
  @HttpCode(200)
  @ApiOperation({ summary: 'Make two lines one; what referred to either refers to it' })
  @ApiBody(bodyOf(ownLineMergeSchema))
  @ApiHeader(VERSION_HEADER)
  merge(
    @Param('id') id: string,
    @Body(new Validated(ownLineMergeSchema)) merge: OwnLineMerge,
    @IfMatch() version: number,
    @Actor() person: Person,
  ) {
    return this.lines.merge(id, merge, version, person);
  }

  @Post('own-lines/:id/split')
  @EditsReview({ of: OwnLineRow })
  @HttpCode(200)
  @ApiOperation({ summary: 'Make the parts that a line joins lines of their own, which it then joins' })
  @ApiHeader(VERSION_HEADER)
  split(@Param('id') id: string, @IfMatch() version: number, @Actor() person: Person) {
    return this.lines.split(id, version, person);
  }
}
