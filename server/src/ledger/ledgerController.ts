import { Readable } from 'node:stream';
import {
  Body,
  Controller,
  Get,
  HttpCode,
  Param,
  ParseIntPipe,
  Post,
  Query,
  StreamableFile,
} from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import { LEDGER_FORMS } from '@even-lantern/core';
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
import { notFound } from '../http/problem.js';
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

  @Get('ledger.:extension')
  @ApiOperation({
    summary: 'The ledger in one of its forms: csv, md, json; json has all that is needed to verify it',
  })
  async file(@Param('id') id: string, @Param('extension') extension: string): Promise<StreamableFile> {
    const form = LEDGER_FORMS.find((each) => each.extension === extension);
    if (form === undefined) throw notFound(`The form “${extension}” of a ledger`);
    const { title } = await this.reviews.get(id);
    return new StreamableFile(Readable.from(this.ledger.texts({ id, title }, form), { objectMode: false }), {
      type: form.mediaType,
      disposition: `attachment; filename="ledger.${form.extension}"`,
    });
  }
}
