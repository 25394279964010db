import { Body, Controller, Get, Param, Put } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import { choiceChangeSchema, type ChoiceChange, type Person } from '@even-lantern/contract';
import { EditsNoReview } from '../edits/reviewEdit.js';
import { bodyOf } from '../http/openApi.js';
import { Validated } from '../http/validated.js';
import { Actor } from '../people/people.js';
import { ChoicesService } from './choicesService.js';

@ApiTags('databases')
@Controller('reviews/:id/databases')
export class ChoicesController {
  constructor(private readonly choices: ChoicesService) {}

  @Get()
  @ApiOperation({ summary: 'Which databases are searched for a review, and why others are not' })
  choicesOf(@Param('id') id: string) {
    return this.choices.of(id);
  }

  @Put(':database')
  @EditsNoReview()
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
}
