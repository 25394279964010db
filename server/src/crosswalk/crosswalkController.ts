import { Body, Controller, Get, Header, HttpCode, Post } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import { crosswalkToCsv } from '@even-lantern/core';
import { newSettlementSchema, type NewSettlement, type Person } from '@even-lantern/contract';
import { EditsNoReview } from '../edits/reviewEdit.js';
import { bodyOf } from '../http/openApi.js';
import { Validated } from '../http/validated.js';
import { Actor } from '../people/people.js';
import { CrosswalkService } from './crosswalkService.js';

@ApiTags('crosswalk')
@Controller()
export class CrosswalkController {
  constructor(private readonly crosswalk: CrosswalkService) {}

  @Get('crosswalk')
  @ApiOperation({ summary: 'What is settled between vocabularies' })
  settled() {
    return this.crosswalk.settled();
  }

  @Post('crosswalk')
  @EditsNoReview()
  @HttpCode(200)
  @ApiOperation({ summary: 'Confirm or refuse a heading, choose words instead, or take that back' })
  @ApiBody(bodyOf(newSettlementSchema))
  settle(@Body(new Validated(newSettlementSchema)) body: NewSettlement, @Actor() person: Person) {
    return this.crosswalk.settle(body, person);
  }

  @Get('crosswalk.ttl')
  @ApiOperation({ summary: 'The confirmed pairs as SKOS mappings in Turtle' })
  @Header('Content-Type', 'text/turtle; charset=utf-8')
  @Header('Content-Disposition', 'attachment; filename="crosswalk.ttl"')
  turtle(): Promise<string> {
    return this.crosswalk.asMappings();
  }

  @Get('crosswalk.csv')
  @ApiOperation({ summary: 'All that is settled, as CSV' })
  @Header('Content-Type', 'text/csv; charset=utf-8')
  @Header('Content-Disposition', 'attachment; filename="crosswalk.csv"')
  async csv(): Promise<string> {
    return crosswalkToCsv(await this.crosswalk.settled());
  }
}
