import { Body, Controller, Get, HttpCode, Param, Post, Put, Query } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import { MIN_LETTERS_BEFORE_ANY_ENDING, tokenise } from '@even-lantern/core';
import {
  callBudgetSchema,
  candidatesSchema,
  choiceChangeSchema,
  sampleSchema,
  type CallBudget,
  type Candidates,
  type ChoiceChange,
  type Person,
  type SampleRequest,
} from '@even-lantern/contract';
import { bodyOf } from '../application/openApi.js';
import { badInput } from '../application/problem.js';
import { Actor } from '../people/people.js';
import { Validated } from '../application/validated.js';
import { DatabaseEventsService } from './databaseEventsService.js';
import { DatabasesService } from './databasesService.js';
import { BudgetsService } from './budgetsService.js';
import { CandidatesService } from './candidatesService.js';
import { ChoicesService } from './choicesService.js';
import { EffectsService } from './effectsService.js';
import { OverlapService } from './overlapService.js';
import { RehearsalService } from './rehearsalService.js';

@ApiTags('databases')
@Controller()
export class DatabasesController {
  constructor(
    private readonly databases: DatabasesService,
    private readonly candidates: CandidatesService,
    private readonly rehearsals: RehearsalService,
    private readonly effects: EffectsService,
    private readonly choices: ChoicesService,
    private readonly overlaps: OverlapService,
    private readonly events: DatabaseEventsService,
    private readonly budgets: BudgetsService,
  ) {}

  @Get('databases')
  @ApiOperation({ summary: 'The databases, as they describe themselves now' })
  list() {
    return this.databases.list();
  }

  @Post('databases/:id/advance')
  @HttpCode(200)
  @ApiOperation({ summary: 'Moves a simulated database to its next release' })
  async advance(@Param('id') id: string, @Actor() person: Person) {
    const profile = await this.databases.advance(id);
    await this.events.note(id, 'moved', profile.release, person);
    return profile;
  }

  @Get('databases/:id/events')
  @ApiOperation({ summary: 'What people did to a database, the latest first' })
  eventsOf(@Param('id') id: string) {
    return this.events.of(id);
  }

  @Put('databases/:id/budget')
  @ApiOperation({ summary: 'Says how much a database may be asked' })
  @ApiBody(bodyOf(callBudgetSchema))
  budget(
    @Param('id') id: string,
    @Body(new Validated(callBudgetSchema)) body: CallBudget,
    @Actor() person: Person,
  ): Promise<CallBudget> {
    return this.budgets.change(id, body, person);
  }

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
  @HttpCode(200)
  @ApiOperation({ summary: 'What terms would find, and add to a lane, before they are added' })
  @ApiBody(bodyOf(candidatesSchema))
  countCandidates(@Param('id') id: string, @Body(new Validated(candidatesSchema)) body: Candidates) {
    return this.candidates.count(id, body);
  }

  @Post('samples')
  @HttpCode(200)
  @ApiOperation({ summary: 'A few records that a term finds' })
  @ApiBody(bodyOf(sampleSchema))
  sample(@Body(new Validated(sampleSchema)) body: SampleRequest) {
    return this.candidates.sample(body);
  }

  @Get('reviews/:id/databases')
  @ApiOperation({ summary: 'Which databases are searched for a review, and why others are not' })
  choicesOf(@Param('id') id: string) {
    return this.choices.of(id);
  }

  @Put('reviews/:id/databases/:database')
  @ApiOperation({ summary: 'Chooses a database for a review or leaves it out, with a note' })
  @ApiBody(bodyOf(choiceChangeSchema))
  choose(
    @Param('id') id: string,
    @Param('database') database: string,
    @Body(new Validated(choiceChangeSchema)) body: ChoiceChange,
    @Actor() person: Person,
  ) {
    return this.choices.choose(id, database, body, person);
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
