import { Body, Controller, Get, HttpCode, Param, Post, Query } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import { MIN_LETTERS_BEFORE_ANY_ENDING, tokenise } from '@even-lantern/core';
import { candidatesSchema, sampleSchema, type Candidates, type SampleRequest } from '@even-lantern/contract';
import { EditsNoReview } from '../edits/reviewEdit.js';
import { bodyOf } from '../http/openApi.js';
import { badInput } from '../http/problem.js';
import { Validated } from '../http/validated.js';
import { CandidatesService } from './candidatesService.js';
import { EffectsService } from './effectsService.js';
import { OverlapService } from './overlapService.js';
import { RehearsalService } from './rehearsalService.js';

/** Counts that nobody logs: of a strategy, of terms before they are added, and of what databases share. */
@ApiTags('databases')
@Controller()
export class RehearsalController {
  constructor(
    private readonly candidates: CandidatesService,
    private readonly rehearsals: RehearsalService,
    private readonly effects: EffectsService,
    private readonly overlaps: OverlapService,
  ) {}

  @Get('databases/:id/words')
  @ApiOperation({ summary: 'The words of the database’s index that begin with some letters' })
  words(@Param('id') id: string, @Query('begins') begins: string | undefined) {
    const [word, ...more] = tokenise(String(begins ?? ''));
    if (word === undefined || more.length > 0 || word.word.length < MIN_LETTERS_BEFORE_ANY_ENDING) {
      const message = `Write at least ${MIN_LETTERS_BEFORE_ANY_ENDING} letters of one word.`;
      throw badInput([{ path: 'begins', message }]);
    }
    return this.candidates.words(id, word.word);
  }

  @Get('databases/:id/overview')
  @ApiOperation({
    summary: 'Years, kinds, headings and author words of what a broad text finds, or of all records',
  })
  overview(@Param('id') id: string, @Query('text') text: string | undefined) {
    return this.candidates.overview(id, text === undefined ? null : String(text));
  }

  @Post('reviews/:id/candidates')
  @EditsNoReview()
  @HttpCode(200)
  @ApiOperation({ summary: 'What terms would find, and add to a lane, before they are added' })
  @ApiBody(bodyOf(candidatesSchema))
  countCandidates(@Param('id') id: string, @Body(new Validated(candidatesSchema)) body: Candidates) {
    return this.candidates.count(id, body);
  }

  @Post('samples')
  @EditsNoReview()
  @HttpCode(200)
  @ApiOperation({ summary: 'A few records that a term finds' })
  @ApiBody(bodyOf(sampleSchema))
  sample(@Body(new Validated(sampleSchema)) body: SampleRequest) {
    return this.candidates.sample(body);
  }

  @Get('reviews/:id/overlap')
  @ApiOperation({ summary: 'What each database finds of a review’s strategy that others find too' })
  overlap(@Param('id') id: string) {
    return this.overlaps.of(id);
  }

  @Get('reviews/:id/overlap/:one/:other')
  @ApiOperation({
    summary: 'What each of two databases finds of a review’s strategy that the other does not',
  })
  apart(@Param('id') id: string, @Param('one') one: string, @Param('other') other: string) {
    return this.overlaps.apart(id, [one, other]);
  }

  @Get('reviews/:id/rehearsal')
  @ApiOperation({
    summary:
      'All counts of a review’s strategy in a database, not logged; where it may be asked only so much, more each time',
  })
  rehearse(@Param('id') id: string, @Query('database') database: string | undefined) {
    return this.rehearsals.rehearse(id, String(database ?? ''));
  }

  @Get('reviews/:id/total')
  @ApiOperation({ summary: 'What a review’s strategy finds in a database, without the counts of its lines' })
  total(@Param('id') id: string, @Query('database') database: string | undefined) {
    return this.rehearsals.total(id, String(database ?? ''));
  }

  @Get('reviews/:id/effects')
  @ApiOperation({
    summary:
      'What each part of a strategy does to the whole in a database, not logged; of a large one all only when asked for',
  })
  effectsOf(
    @Param('id') id: string,
    @Query('database') database: string | undefined,
    @Query('all') all: string | undefined,
  ) {
    return this.effects.of(id, String(database ?? ''), all === 'yes');
  }
}
