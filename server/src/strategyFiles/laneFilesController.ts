import { Body, Controller, Get, Header, HttpCode, Param, Post } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import { lanesToCsv, lanesToDocument, lanesToMarkdown, type LanesDocument } from '@even-lantern/core';
import { lanesSchema, type LanesRead, type Person } from '@even-lantern/contract';
import { EditsReview } from '../edits/reviewEdit.js';
import { bodyOf } from '../http/openApi.js';
import { Validated } from '../http/validated.js';
import { Actor } from '../people/people.js';
import { LaneFilesService } from './laneFilesService.js';

/** Lanes as files in open forms, out and in. */
@ApiTags('strategies')
@Controller('reviews/:id')
export class LaneFilesController {
  constructor(private readonly files: LaneFilesService) {}

  @Get('lanes.json')
  @ApiOperation({ summary: 'The lanes as JSON, to be read back' })
  @Header('Content-Disposition', 'attachment; filename="lanes.json"')
  async json(@Param('id') id: string): Promise<LanesDocument> {
    const { review, lanes } = await this.files.lanes(id);
    return lanesToDocument(review.title, lanes, review.shelf);
  }

  @Get('lanes.csv')
  @ApiOperation({ summary: 'The lanes as CSV' })
  @Header('Content-Type', 'text/csv; charset=utf-8')
  @Header('Content-Disposition', 'attachment; filename="lanes.csv"')
  async csv(@Param('id') id: string): Promise<string> {
    return lanesToCsv((await this.files.lanes(id)).lanes);
  }

  @Get('lanes.md')
  @ApiOperation({ summary: 'The lanes as Markdown' })
  @Header('Content-Type', 'text/markdown; charset=utf-8')
  @Header('Content-Disposition', 'attachment; filename="lanes.md"')
  async markdown(@Param('id') id: string): Promise<string> {
    const { review, lanes } = await this.files.lanes(id);
    return lanesToMarkdown(review.title, lanes, review.shelf);
  }

  @Post('lanes.json')
  @EditsReview({ words: 'read lanes in' })
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
    return this.files.read(id, body, person);
  }
}
