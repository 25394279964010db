import { Controller, Get, Param, ParseIntPipe, Query } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { driftQuerySchema, type DriftQuery } from '@even-lantern/contract';
import { Validated } from '../http/validated.js';
import { DriftService } from './driftService.js';

@ApiTags('ledger')
@Controller('reviews/:id/ledger/entries/:entry')
export class DriftController {
  constructor(private readonly drift: DriftService) {}

  @Get('drift')
  @ApiOperation({ summary: 'How an entry differs from the one that it repeats, record by record' })
  driftOf(
    @Param('id') id: string,
    @Param('entry', ParseIntPipe) entry: number,
    @Query(new Validated(driftQuerySchema)) query: DriftQuery,
  ) {
    return this.drift.of(id, entry, query);
  }
}
