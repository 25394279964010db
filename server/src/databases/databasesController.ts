import { Controller, Get, Param, Query } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { badInput, notFound } from '../application/problem.js';
import { DatabasesService } from './databasesService.js';
import { LookupService } from './lookupService.js';
import { RehearsalService } from './rehearsalService.js';

@ApiTags('databases')
@Controller()
export class DatabasesController {
  constructor(
    private readonly databases: DatabasesService,
    private readonly lookups: LookupService,
    private readonly rehearsals: RehearsalService,
  ) {}

  @Get('databases')
  @ApiOperation({ summary: 'The databases, as they describe themselves now' })
  list() {
    return this.databases.list();
  }

  @Get('databases/:id/lookup')
  @ApiOperation({ summary: 'The headings and the word that a typed text leads to, with counts' })
  lookUp(
    @Param('id') id: string,
    @Query('text') text: string | undefined,
    @Query('review') review: string | undefined,
    @Query('lane') lane: string | undefined,
  ) {
    if (typeof text !== 'string' || text.trim() === '') {
      throw badInput([{ path: 'text', message: 'This term is empty. Write a word or a phrase.' }]);
    }
    return this.lookups.lookUp(id, text, String(review), String(lane));
  }

  @Get('databases/:id/headings')
  @ApiOperation({ summary: 'One heading of the database’s vocabulary, with its places and counts' })
  heading(@Param('id') id: string, @Query('label') label: string | undefined) {
    return this.lookups.heading(id, String(label ?? ''));
  }

  @Get('databases/:id/vocabulary')
  @ApiOperation({ summary: 'The whole vocabulary of a database' })
  async vocabulary(@Param('id') id: string) {
    const { vocabulary } = await this.databases.open(id);
    if (vocabulary === null) throw notFound('A vocabulary of this database');
    return vocabulary.tree.vocabulary;
  }

  @Get('reviews/:id/rehearsal')
  @ApiOperation({ summary: 'All counts of a review’s strategy in a database, not logged' })
  rehearse(@Param('id') id: string, @Query('database') database: string | undefined) {
    return this.rehearsals.rehearse(id, String(database ?? ''));
  }
}
