import { Body, Controller, Get, Header, HttpCode, Param, ParseIntPipe, Post, Query } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import { ledgerToCsv, ledgerToJson, ledgerToMarkdown } from '@even-lantern/core';
import {
  ledgerCorrectionSchema,
  ledgerNoteSchema,
  ledgerQuerySchema,
  sealToVerifySchema,
  type LedgerCorrection,
  type LedgerNote,
  type LedgerQuery,
  type Person,
  type SealToVerify,
} from '@even-lantern/contract';
import { EditsNoReview } from '../edits/reviewEdit.js';
import { bodyOf } from '../http/openApi.js';
import { Validated } from '../http/validated.js';
import { Actor } from '../people/people.js';
import { ReviewsService } from '../reviews/reviewsService.js';
import { LedgerService } from './ledgerService.js';

/** What was run, noted and entered. Entries are added, and never changed. */
@ApiTags('ledger')
@Controller('reviews/:id')
export class LedgerController {
  constructor(
    private readonly ledger: LedgerService,
    private readonly reviews: ReviewsService,
  ) {}

  @Get('ledger/entries')
  @ApiOperation({ summary: 'Entries, the latest first, a page at a time' })
  entries(@Param('id') id: string, @Query(new Validated(ledgerQuerySchema)) query: LedgerQuery) {
    return this.ledger.page(id, query);
  }

  @Get('ledger/entries/:entry')
  @ApiOperation({ summary: 'An entry with what was noted about it' })
  entry(@Param('id') id: string, @Param('entry', ParseIntPipe) entry: number) {
    return this.ledger.detail(id, entry);
  }

  @Post('ledger/notes')
  @EditsNoReview()
  @ApiOperation({ summary: 'Add a note about an entry, as an entry of its own' })
  @ApiBody(bodyOf(ledgerNoteSchema))
  note(
    @Param('id') id: string,
    @Body(new Validated(ledgerNoteSchema)) body: LedgerNote,
    @Actor() person: Person,
  ) {
    return this.ledger.note(id, body, person);
  }

  @Post('ledger/corrections')
  @EditsNoReview()
  @ApiOperation({ summary: 'Correct an entry by another one that says what is right' })
  @ApiBody(bodyOf(ledgerCorrectionSchema))
  correct(
    @Param('id') id: string,
    @Body(new Validated(ledgerCorrectionSchema)) body: LedgerCorrection,
    @Actor() person: Person,
  ) {
    return this.ledger.correct(id, body, person);
  }

  @Post('ledger/verification')
  @EditsNoReview()
  @HttpCode(200)
  @ApiOperation({ summary: 'Verify all of the chain, and whether it goes on from a seal that was kept' })
  @ApiBody(bodyOf(sealToVerifySchema))
  verify(@Param('id') id: string, @Body(new Validated(sealToVerifySchema)) { seal }: SealToVerify) {
    return this.ledger.verify(id, seal);
  }

  @Get('ledger.csv')
  @ApiOperation({ summary: 'The ledger as CSV' })
  @Header('Content-Type', 'text/csv; charset=utf-8')
  @Header('Content-Disposition', 'attachment; filename="ledger.csv"')
  async csv(@Param('id') id: string): Promise<string> {
    await this.reviews.expect(id);
    return ledgerToCsv(await this.ledger.entries(id));
  }

  @Get('ledger.md')
  @ApiOperation({ summary: 'The ledger as Markdown' })
  @Header('Content-Type', 'text/markdown; charset=utf-8')
  @Header('Content-Disposition', 'attachment; filename="ledger.md"')
  async markdown(@Param('id') id: string): Promise<string> {
    const { title } = await this.reviews.get(id);
    return ledgerToMarkdown(await this.ledger.entries(id), title);
  }

  @Get('ledger.json')
  @ApiOperation({ summary: 'The ledger as JSON, with all that is needed to verify it elsewhere' })
  @Header('Content-Type', 'application/json; charset=utf-8')
  @Header('Content-Disposition', 'attachment; filename="ledger.json"')
  async json(@Param('id') id: string): Promise<string> {
    const { title } = await this.reviews.get(id);
    return ledgerToJson(await this.ledger.entries(id), { id, title }, new Date().toISOString());
  }
}
