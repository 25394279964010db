import { Readable } from 'node:stream';
import { Body, Controller, Get, Header, Param, Patch, Query, StreamableFile } from '@nestjs/common';
import { ApiBody, ApiHeader, ApiOperation, ApiTags } from '@nestjs/swagger';
import { recordsToCsl, recordsToRis, type BibRecord } from '@even-lantern/core';
import {
  decisionChangeSchema,
  recordQuerySchema,
  type DecisionChange,
  type Person,
  type RecordQuery,
} from '@even-lantern/contract';
import { bodyOf } from '../application/openApi.js';
import { IfMatch, Validated, VERSION_HEADER } from '../application/validated.js';
import { Actor } from '../people/people.js';
import { RecordsService } from './recordsService.js';

@ApiTags('records')
@Controller()
export class RecordsController {
  constructor(private readonly records: RecordsService) {}

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

  @Get('records/:id')
  @ApiOperation({ summary: 'One record' })
  get(@Param('id') id: string) {
    return this.records.get(id);
  }

  @Patch('records/:id')
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

  @Get('reviews/:id/kept.ris')
  @ApiOperation({ summary: 'The kept records as RIS' })
  @Header('Content-Type', 'application/x-research-info-systems; charset=utf-8')
  @Header('Content-Disposition', 'attachment; filename="kept.ris"')
  ris(@Param('id') id: string): StreamableFile {
    return streamed(this.texts(id, '', (record) => recordsToRis([record]), ''));
  }

  @Get('reviews/:id/kept.csl.json')
  @ApiOperation({ summary: 'The kept records as CSL-JSON' })
  @Header('Content-Type', 'application/vnd.citationstyles.csl+json; charset=utf-8')
  @Header('Content-Disposition', 'attachment; filename="kept.csl.json"')
  csl(@Param('id') id: string): StreamableFile {
    let items = 0;
    const item = (record: BibRecord) => {
      items += 1;
      return (items === 1 ? '' : ',\n') + JSON.stringify(recordsToCsl([record])[0]);
    };
    return streamed(this.texts(id, '[', item, ']\n'));
  }

  /** A file in parts, so that it need not be held as a whole. */
  private async *texts(
    reviewId: string,
    before: string,
    each: (record: BibRecord) => string,
    after: string,
  ): AsyncGenerator<string> {
    if (before !== '') yield before;
    for await (const records of this.records.kept(reviewId)) yield records.map(each).join('');
    if (after !== '') yield after;
  }
}

function streamed(texts: AsyncGenerator<string>): StreamableFile {
  return new StreamableFile(Readable.from(texts, { objectMode: false }));
}
