import { Body, Controller, Get, Header, HttpCode, Param, Patch, Post, Req } from '@nestjs/common';
import { ApiBody, ApiHeader, ApiOperation, ApiTags } from '@nestjs/swagger';
import {
  newScheduleSchema,
  scheduleChangeSchema,
  type NewSchedule,
  type Person,
  type Schedule,
  type ScheduleChange,
} from '@even-lantern/contract';
import type { Request } from 'express';
import { EditsNoReview } from '../edits/reviewEdit.js';
import { bodyOf } from '../http/openApi.js';
import { notFound } from '../http/problem.js';
import { IfMatch, Validated, VERSION_HEADER } from '../http/validated.js';
import { Actor } from '../people/people.js';
import { ReviewsService } from '../reviews/reviewsService.js';
import { OccurrenceRow } from '../store/entities.js';
import { Store } from '../store/store.js';
import { feedOf, mailOf, type Announcement } from './announcements.js';
import { SchedulesService } from './schedulesService.js';

/** Times of a schedule that its feed holds. */
const TIMES_IN_FEED = 50;

/** Searches that are run again by themselves. */
@ApiTags('schedules')
@Controller()
export class SchedulesController {
  constructor(
    private readonly schedules: SchedulesService,
    private readonly reviews: ReviewsService,
    private readonly store: Store,
  ) {}

  @Get('reviews/:id/schedules')
  @ApiOperation({ summary: 'The schedules of a review, with what they brought last' })
  list(@Param('id') id: string) {
    return this.schedules.list(id);
  }

  @Post('reviews/:id/schedules')
  @EditsNoReview()
  @ApiOperation({ summary: 'Run entries again on a schedule' })
  @ApiBody(bodyOf(newScheduleSchema))
  add(
    @Param('id') id: string,
    @Body(new Validated(newScheduleSchema)) body: NewSchedule,
    @Actor() person: Person,
  ) {
    return this.schedules.add(id, body, person);
  }

  @Patch('schedules/:id')
  @EditsNoReview()
  @ApiOperation({ summary: 'Change, pause, go on with or end a schedule' })
  @ApiHeader(VERSION_HEADER)
  @ApiBody(bodyOf(scheduleChangeSchema))
  change(
    @Param('id') id: string,
    @IfMatch() version: number,
    @Body(new Validated(scheduleChangeSchema)) body: ScheduleChange,
    @Actor() _person: Person,
  ) {
    return this.schedules.change(id, version, body);
  }

  @Post('schedules/:id/seen')
  @EditsNoReview()
  @HttpCode(200)
  @ApiOperation({ summary: 'Note that somebody has looked at what a schedule brought' })
  see(@Param('id') id: string, @Actor() _person: Person) {
    return this.schedules.see(id);
  }

  @Get('feeds/:token.atom')
  @ApiOperation({ summary: 'What a schedule brought, as an Atom feed; its address is its secret' })
  @Header('Content-Type', 'application/atom+xml; charset=utf-8')
  @Header('Cache-Control', 'private, no-cache')
  async feed(@Param('token') token: string, @Req() request: Request): Promise<string> {
    const schedule = await this.schedules.ofToken(token);
    const { title } = await this.reviews.get(schedule.reviewId);
    return feedOf(schedule, title, await this.announcements(schedule.id, TIMES_IN_FEED), originOf(request));
  }

  @Get('schedules/:id/mails/:dueAt.eml')
  @ApiOperation({ summary: 'What a schedule brought at one time, as the draft of a mail' })
  @Header('Content-Type', 'message/rfc822')
  @Header('Content-Disposition', 'attachment; filename="new-records.eml"')
  async mail(
    @Param('id') id: string,
    @Param('dueAt') dueAt: string,
    @Req() request: Request,
  ): Promise<string> {
    const schedule: Schedule = await this.schedules.get(id);
    const { title } = await this.reviews.get(schedule.reviewId);
    const [announcement] = await this.announcements(id, 1, dueAt);
    if (announcement === undefined) throw notFound('This time of the schedule');
    return mailOf(title, announcement, `${originOf(request)}/reviews/${schedule.reviewId}`);
  }

  /** What was found at the latest times, or at one, the latest first; what still goes on is left out. */
  private async announcements(scheduleId: string, most: number, at?: string): Promise<Announcement[]> {
    const rows = await this.store.read.find(OccurrenceRow, {
      where: { scheduleId, ...(at === undefined ? {} : { dueAt: at }) },
      order: { dueAt: 'DESC', entry: 'ASC' },
    });
    const times = new Map<string, OccurrenceRow[]>();
    for (const row of rows) times.set(row.dueAt, [...(times.get(row.dueAt) ?? []), row]);
    return [...times]
      .filter(([, parts]) => parts.every(({ status }) => status === 'done' || status === 'failed'))
      .slice(0, most)
      .map(([dueAt, parts]) => ({
        dueAt,
        brought: parts.map(({ databaseName, became, fresh, trouble }) => ({
          databaseName,
          entry: became,
          fresh: fresh ?? [],
          trouble,
        })),
      }));
  }
}

function originOf(request: Request): string {
  return `${request.protocol}://${request.headers.host ?? 'localhost'}`;
}
