import { Body, Controller, Get, Param, ParseIntPipe, Post, Sse, type MessageEvent } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import {
  newRunSchema,
  newRunsSchema,
  repeatedRunSchema,
  type Ledger,
  type NewRun,
  type NewRuns,
  type Person,
  type RepeatedRun,
} from '@even-lantern/contract';
import { map, type Observable } from 'rxjs';
import { EditsNoReview } from '../edits/reviewEdit.js';
import { bodyOf } from '../http/openApi.js';
import { Validated } from '../http/validated.js';
import { LedgerService } from '../ledger/ledgerService.js';
import { Actor } from '../people/people.js';
import { RunsService } from './runsService.js';

@ApiTags('runs')
@Controller()
export class RunsController {
  constructor(
    private readonly runs: RunsService,
    private readonly ledger: LedgerService,
  ) {}

  @Post('reviews/:id/runs')
  @EditsNoReview()
  @ApiOperation({ summary: 'Run and log a review’s strategy in a database' })
  @ApiBody(bodyOf(newRunSchema))
  start(@Param('id') id: string, @Body(new Validated(newRunSchema)) body: NewRun, @Actor() person: Person) {
    return this.runs.start(id, body, person);
  }

  @Post('reviews/:id/runs/together')
  @EditsNoReview()
  @ApiOperation({ summary: 'Run and log a review’s strategy in several databases, side by side' })
  @ApiBody(bodyOf(newRunsSchema))
  startTogether(
    @Param('id') id: string,
    @Body(new Validated(newRunsSchema)) body: NewRuns,
    @Actor() person: Person,
  ) {
    return this.runs.startTogether(id, body, person);
  }

  @Post('reviews/:id/ledger/entries/:entry/runs')
  @EditsNoReview()
  @ApiOperation({ summary: 'Run an entry again, against the release of then or the present one' })
  @ApiBody(bodyOf(repeatedRunSchema))
  repeat(
    @Param('id') id: string,
    @Param('entry', ParseIntPipe) entry: number,
    @Body(new Validated(repeatedRunSchema)) body: RepeatedRun,
    @Actor() person: Person,
  ) {
    return this.runs.repeat(id, entry, body, person);
  }

  @Get('runs/:id')
  @ApiOperation({ summary: 'The state of a run' })
  get(@Param('id') id: string) {
    return this.runs.get(id);
  }

  @Sse('runs/:id/progress')
  @ApiOperation({ summary: 'The states of a run as they come, as server-sent events' })
  async progress(@Param('id') id: string): Promise<Observable<MessageEvent>> {
    return (await this.runs.progress(id)).pipe(map((run) => ({ data: run })));
  }

  @Sse('reviews/:id/runs/progress')
  @ApiOperation({ summary: 'The states of all runs of a review that go on, as server-sent events' })
  progressOfReview(@Param('id') id: string): Observable<MessageEvent> {
    return this.runs.progressOfReview(id).pipe(map((run) => ({ data: run })));
  }

  @Post('runs/:id/stop')
  @EditsNoReview()
  @ApiOperation({ summary: 'Stop a run; what it had is kept and logged' })
  stop(@Param('id') id: string, @Actor() _person: Person) {
    return this.runs.stop(id);
  }

  @Get('reviews/:id/marks')
  @ApiOperation({ summary: 'What marks the records that each run of a review found' })
  marks(@Param('id') id: string) {
    return this.runs.marks(id);
  }

  @Get('reviews/:id/ledger')
  @ApiOperation({ summary: 'How the ledger of a review stands: its seal, its last run, what goes on' })
  async standing(@Param('id') id: string): Promise<Ledger> {
    const { seal, brokenAt } = await this.ledger.standing(id);
    return {
      seal,
      brokenAt,
      lastRun: await this.ledger.lastRun(id),
      running: await this.runs.running(id),
    };
  }
}
