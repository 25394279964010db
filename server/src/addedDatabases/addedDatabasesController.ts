import { randomUUID } from 'node:crypto';
import { Body, Controller, Delete, Get, HttpCode, Param, Post, Put, Query, Req } from '@nestjs/common';
import { ApiBody, ApiConsumes, ApiOperation, ApiTags } from '@nestjs/swagger';
import {
  askedStringSchema,
  enteredCountSchema,
  exploreServerSchema,
  givenFileQuerySchema,
  newDatabaseSchema,
  type AskedString,
  type EnteredCount,
  type ExploreServer,
  type GivenFileQuery,
  type NewDatabase,
  type Person,
} from '@even-lantern/contract';
import type { Request } from 'express';
import { EditsNoReview } from '../edits/reviewEdit.js';
import { bodyOf } from '../http/openApi.js';
import { Validated } from '../http/validated.js';
import { Actor } from '../people/people.js';
import { AddedDatabasesService } from './addedDatabasesService.js';
import { HandAnswersService } from './handAnswersService.js';

@ApiTags('databases')
@Controller('databases')
export class AddedDatabasesController {
  constructor(
    private readonly added: AddedDatabasesService,
    private readonly hand: HandAnswersService,
  ) {}

  @Post('explorations')
  @EditsNoReview()
  @HttpCode(200)
  @ApiOperation({
    summary: 'What is at an address: an SRU server, its indexes, and what a first search finds',
  })
  @ApiBody(bodyOf(exploreServerSchema))
  explore(@Body(new Validated(exploreServerSchema)) { address }: ExploreServer, @Actor() person: Person) {
    return this.added.explore(address, person);
  }

  @Post()
  @EditsNoReview()
  @ApiOperation({ summary: 'Adds an SRU server, or a database that is asked by hand' })
  @ApiBody(bodyOf(newDatabaseSchema))
  add(@Body(new Validated(newDatabaseSchema)) database: NewDatabase, @Actor() person: Person) {
    return this.added.add(database, person);
  }

  @Get(':id/settings')
  @ApiOperation({ summary: 'The settings of an added database' })
  settings(@Param('id') id: string) {
    return this.added.settings(id);
  }

  @Put(':id')
  @EditsNoReview()
  @ApiOperation({ summary: 'Says something else of an added database; what was run in it stays' })
  @ApiBody(bodyOf(newDatabaseSchema))
  change(
    @Param('id') id: string,
    @Body(new Validated(newDatabaseSchema)) database: NewDatabase,
    @Actor() person: Person,
  ) {
    return this.added.change(id, database, person);
  }

  @Delete(':id')
  @EditsNoReview()
  @HttpCode(204)
  @ApiOperation({ summary: 'Takes an added database from the list; what was run in it stays' })
  remove(@Param('id') id: string, @Actor() person: Person) {
    return this.added.remove(id, person);
  }

  @Post(':id/restoration')
  @EditsNoReview()
  @HttpCode(200)
  @ApiOperation({ summary: 'Brings back an added database that was taken from the list' })
  restore(@Param('id') id: string, @Actor() person: Person) {
    return this.added.restore(id, person);
  }

  @Post(':id/answers')
  @EditsNoReview()
  @HttpCode(200)
  @ApiOperation({ summary: 'What has been given for a string in a database that is asked by hand' })
  @ApiBody(bodyOf(askedStringSchema))
  answer(@Param('id') id: string, @Body(new Validated(askedStringSchema)) { text }: AskedString) {
    return this.hand.answer(id, text);
  }

  @Put(':id/answers')
  @EditsNoReview()
  @ApiOperation({ summary: 'Enters how many records a string found in a database that is asked by hand' })
  @ApiBody(bodyOf(enteredCountSchema))
  enter(
    @Param('id') id: string,
    @Body(new Validated(enteredCountSchema)) count: EnteredCount,
    @Actor() person: Person,
  ) {
    return this.hand.enter(id, count, person);
  }

  @Post(':id/answers/:answer/records')
  @EditsNoReview()
  @HttpCode(200)
  @ApiOperation({ summary: 'Gives back the records that a string found, from an exported file' })
  @ApiConsumes('text/plain')
  @ApiBody({ schema: { type: 'string' } })
  give(
    @Param('id') id: string,
    @Param('answer') answer: string,
    @Req() request: Request,
    @Query(new Validated(givenFileQuerySchema)) { job = randomUUID(), encoding, insteadOf }: GivenFileQuery,
    @Actor() _person: Person,
  ) {
    return this.hand.give(id, answer, request, { job, encoding, insteadOf: insteadOf ?? null });
  }
}
