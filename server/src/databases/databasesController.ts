import { Body, Controller, Get, HttpCode, Param, Post, Put } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import { callBudgetSchema, type CallBudget, type Person } from '@even-lantern/contract';
import { EditsNoReview } from '../edits/reviewEdit.js';
import { bodyOf } from '../http/openApi.js';
import { Validated } from '../http/validated.js';
import { Actor } from '../people/people.js';
import { BudgetsService } from './budgetsService.js';
import { DatabaseEventsService } from './databaseEventsService.js';
import { DatabasesService } from './databasesService.js';

@ApiTags('databases')
@Controller('databases')
export class DatabasesController {
  constructor(
    private readonly databases: DatabasesService,
    private readonly events: DatabaseEventsService,
    private readonly budgets: BudgetsService,
  ) {}

  @Get()
  @ApiOperation({ summary: 'The databases, as they describe themselves now' })
  list() {
    return this.databases.list();
  }

  @Post(':id/advance')
  @EditsNoReview()
  @HttpCode(200)
  @ApiOperation({ summary: 'Moves a simulated database to its next release' })
  async advance(@Param('id') id: string, @Actor() person: Person) {
    const profile = await this.databases.advance(id);
    await this.events.note(id, 'moved', profile.release, person);
    return profile;
  }

  @Get(':id/events')
  @ApiOperation({ summary: 'What people did to a database, the latest first' })
  eventsOf(@Param('id') id: string) {
    return this.events.of(id);
  }

  @Put(':id/budget')
  @EditsNoReview()
  @ApiOperation({ summary: 'Says how much a database may be asked' })
  @ApiBody(bodyOf(callBudgetSchema))
  budget(
    @Param('id') id: string,
    @Body(new Validated(callBudgetSchema)) body: CallBudget,
    @Actor() person: Person,
  ): Promise<CallBudget> {
    return this.budgets.change(id, body, person);
  }
}
