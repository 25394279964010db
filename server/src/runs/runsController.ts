import { Body, Controller, Get, Header, Param, Post, Sse, type MessageEvent } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import { ledgerToCsv, ledgerToMarkdown } from '@even-lantern/core';
import { newRunSchema, type Ledger, type NewRun, type Person } from '@even-lantern/contract';
import { map, type Observable } from 'rxjs';
import { bodyOf } from '../application/openApi.js';
import { Validated } from '../application/validated.js';
import { Actor } from '../people/people.js';
import { ReviewsService } from '../reviews/reviewsService.js';
import { LedgerService } from './ledgerService.js';
import { RunsService } from './runsService.js';

@ApiTags('runs and ledger')
@Controller()
export class RunsController {
  constructor(
    private readonly runs: RunsService,
    private readonly ledger: LedgerService,
    private readonly reviews: ReviewsService,
  ) {}

  @Post('reviews/:id/runs')
  @ApiOperation({ summary: 'Run and log a review’s strategy in a database' })
  @ApiBody(bodyOf(newRunSchema))
  start(@Param('id') id: string, @Body(new Validated(newRunSchema)) body: NewRun, @Actor() person: Person) {
    return this.runs.start(id, body, person);
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

  @Post('runs/:id/stop')
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
  @ApiOperation({ summary: 'The ledger of a review, checked' })
  async getLedger(@Param('id') id: string): Promise<Ledger> {
    const entries = await this.ledger.entries(id);
    return { entries, brokenAt: this.ledger.brokenAt(entries), running: await this.runs.running(id) };
  }

  @Get('reviews/:id/ledger.csv')
  @ApiOperation({ summary: 'The ledger as CSV' })
  @Header('Content-Type', 'text/csv; charset=utf-8')
  @Header('Content-Disposition', 'attachment; filename="ledger.csv"')
  async csv(@Param('id') id: string): Promise<string> {
    await this.reviews.get(id);
    return ledgerToCsv(await this.ledger.entries(id));
  }

  @Get('reviews/:id/ledger.md')
  @ApiOperation({ summary: 'The ledger as Markdown' })
  @Header('Content-Type', 'text/markdown; charset=utf-8')
  @Header('Content-Disposition', 'attachment; filename="ledger.md"')
  async markdown(@Param('id') id: string): Promise<string> {
    const { title } = await this.reviews.get(id);
    return ledgerToMarkdown(await this.ledger.entries(id), title);
  }
}
