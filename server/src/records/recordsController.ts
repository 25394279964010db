import { Body, Controller, Get, Header, Param, Patch, Query } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import { recordsToCsl, recordsToRis } from '@even-lantern/core';
import {
  decisionChangeSchema,
  recordQuerySchema,
  type DecisionChange,
  type Person,
  type RecordQuery,
} from '@even-lantern/contract';
import { bodyOf } from '../application/openApi.js';
import { Validated } from '../application/validated.js';
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

  @Get('records/:id')
  @ApiOperation({ summary: 'One record' })
  get(@Param('id') id: string) {
    return this.records.get(id);
  }

  @Patch('records/:id')
  @ApiOperation({ summary: 'Decide on a record' })
  @ApiBody(bodyOf(decisionChangeSchema))
  decide(
    @Param('id') id: string,
    @Body(new Validated(decisionChangeSchema)) body: DecisionChange,
    @Actor() person: Person,
  ) {
    return this.records.decide(id, body.decision, person);
  }

  @Get('reviews/:id/kept.ris')
  @ApiOperation({ summary: 'The kept records as RIS' })
  @Header('Content-Type', 'application/x-research-info-systems; charset=utf-8')
  @Header('Content-Disposition', 'attachment; filename="kept.ris"')
  async ris(@Param('id') id: string): Promise<string> {
    return recordsToRis(await this.records.kept(id));
  }

  @Get('reviews/:id/kept.csl.json')
  @ApiOperation({ summary: 'The kept records as CSL-JSON' })
  @Header('Content-Type', 'application/vnd.citationstyles.csl+json; charset=utf-8')
  @Header('Content-Disposition', 'attachment; filename="kept.csl.json"')
  async csl(@Param('id') id: string): Promise<string> {
    return JSON.stringify(recordsToCsl(await this.records.kept(id)), null, 2);
  }
}
