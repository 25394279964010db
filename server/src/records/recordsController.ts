import { Readable } from 'node:stream';
import { Body, Controller, Get, HttpCode, Param, Patch, Post, Query, StreamableFile } from '@nestjs/common';
import { ApiBody, ApiHeader, ApiOperation, ApiTags } from '@nestjs/swagger';
import { RECORD_FORMATS, type RecordFormat } from '@even-lantern/core';
import {
  decisionChangeSchema,
  newDesignJudgementSchema,
  recordQuerySchema,
  type DecisionChange,
  type NewDesignJudgement,
  type Person,
  type RecordQuery,
} from '@even-lantern/contract';
import { EditsNoReview } from '../edits/reviewEdit.js';
import { bodyOf } from '../http/openApi.js';
import { notFound } from '../http/problem.js';
import { IfMatch, Validated, VERSION_HEADER } from '../http/validated.js';
import { Actor } from '../people/people.js';
import { RecordDesignsService } from './recordDesignsService.js';
import { FoundByService } from './foundByService.js';
import { RecordsService } from './recordsService.js';

@ApiTags('records')
@Controller()
export class RecordsController {
  constructor(
    private readonly records: RecordsService,
    private readonly designs: RecordDesignsService,
    private readonly foundBy: FoundByService,
  ) {}

  @Get('reviews/:id/records')
  @ApiOperation({ summary: 'A page of the records that were found' })
  page(@Param('id') id: string, @Query(new Validated(recordQuerySchema)) query: RecordQuery) {
    return this.records.page(id, query);
  }

  @Get('reviews/:id/records/counts')
  @ApiOperation({ summary: 'How many records there are, by their decision' })
  counts(@Param('id') id: string) {
    return this.records.counts(id);
  }

  @Get('reviews/:id/records/designs')
  @ApiOperation({ summary: 'How many records there are of each study design, which is worked out meanwhile' })
  designCounts(@Param('id') id: string) {
    return this.designs.counts(id);
  }

  @Get('records/:id')
  @ApiOperation({ summary: 'One record' })
  get(@Param('id') id: string) {
    return this.records.get(id);
  }

  @Get('records/:id/found-by')
  @ApiOperation({ summary: 'Which runs found a record, and which of their lines' })
  foundByRuns(@Param('id') id: string) {
    return this.foundBy.of(id);
  }

  @Patch('records/:id')
  @EditsNoReview()
  @ApiOperation({ summary: 'Decide on a record' })
  @ApiBody(bodyOf(decisionChangeSchema))
  @ApiHeader(VERSION_HEADER)
  decide(
    @Param('id') id: string,
    @Body(new Validated(decisionChangeSchema)) body: DecisionChange,
    @IfMatch() version: number,
    @Actor() person: Person,
  ) {
    return this.records.decide(id, body.decision, version, person);
  }

  @Post('records/:id/design')
  @EditsNoReview()
  @HttpCode(200)
  @ApiOperation({ summary: 'Judge the design of a record, or take the judgement back' })
  @ApiBody(bodyOf(newDesignJudgementSchema))
  judge(
    @Param('id') id: string,
    @Body(new Validated(newDesignJudgementSchema)) { design }: NewDesignJudgement,
    @Actor() person: Person,
  ) {
    return this.records.judge(id, design, person);
  }

  @Get('reviews/:id/kept.:extension')
  @ApiOperation({ summary: 'The kept records in one of the formats: ris, csl.json, mods.xml' })
  kept(@Param('id') id: string, @Param('extension') extension: string): StreamableFile {
    const format = RECORD_FORMATS.find((each) => each.extension === extension);
    if (format === undefined) throw notFound(`The format “${extension}”`);
    return new StreamableFile(Readable.from(this.texts(id, format), { objectMode: false }), {
      type: format.mediaType,
      disposition: `attachment; filename="kept.${format.extension}"`,
    });
  }

  /** A file in parts, so that it need not be held as a whole. */
  private async *texts(reviewId: string, format: RecordFormat): AsyncGenerator<string> {
    const { before, between, after, write } = format;
    if (before !== '') yield before;
    let written = 0;
    for await (const records of this.records.kept(reviewId)) {
      const texts = records.map(({ record, source }) => write(record, source));
      yield (written === 0 ? '' : between) + texts.join(between);
      written += records.length;
    }
    if (after !== '') yield after;
  }
}
