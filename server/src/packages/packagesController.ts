import { randomUUID } from 'node:crypto';
import { Body, Controller, Get, HttpCode, Logger, Param, Post, Query, Req, Res } from '@nestjs/common';
import { ApiBody, ApiConsumes, ApiOperation, ApiTags } from '@nestjs/swagger';
import { takingOverSchema, type Person, type TakingOver } from '@even-lantern/contract';
import { bodyOf } from '../http/openApi.js';
import { Validated } from '../http/validated.js';
import { EditsNoReview } from '../edits/reviewEdit.js';
import type { Request, Response } from 'express';
import { Actor } from '../people/people.js';
import { ReviewsService } from '../reviews/reviewsService.js';
import { PackagesService } from './packagesService.js';

/** A whole review as one file, and back again. */
@ApiTags('packages')
@Controller()
export class PackagesController {
  private readonly logger = new Logger('packages');

  constructor(
    private readonly packages: PackagesService,
    private readonly reviews: ReviewsService,
  ) {}

  @Get('reviews/:id/package.zip')
  @ApiOperation({ summary: 'The whole review as one file (RO-Crate)' })
  async write(@Param('id') id: string, @Res() response: Response): Promise<void> {
    const { title } = await this.reviews.expect(id);
    const gone = new AbortController();
    response.on('close', () => gone.abort('whoever asked for it has left'));
    await this.packages
      .write(
        id,
        (stream) => {
          response.setHeader('Content-Type', 'application/zip');
          response.setHeader('Content-Disposition', `attachment; filename="${fileName(title)}.zip"`);
          stream.pipe(response);
        },
        gone.signal,
      )
      .catch((error: unknown) => {
        if (!response.headersSent) throw error;
        // What was begun cannot be told as failed but by breaking off.
        if (!gone.signal.aborted) this.logger.error(error instanceof Error ? error.stack : String(error));
        response.destroy();
      });
  }

  @Post('packages')
  @EditsNoReview()
  @ApiOperation({ summary: 'Take in a review from its package; all of it or nothing' })
  @ApiConsumes('application/zip')
  @ApiBody({ schema: { type: 'string', format: 'binary' } })
  take(@Req() request: Request, @Query('job') job: string | undefined, @Actor() _person: Person) {
    return this.packages.take(request, String(job ?? randomUUID()));
  }

  @Post('packages/answers')
  @EditsNoReview()
  @HttpCode(200)
  @ApiOperation({ summary: 'Take over what a package settles or counts otherwise than this installation' })
  @ApiBody(bodyOf(takingOverSchema))
  takeOver(@Body(new Validated(takingOverSchema)) body: TakingOver, @Actor() person: Person) {
    return this.packages.takeOver(body, person);
  }
}

/** A name that any file system takes. */
function fileName(title: string): string {
  const plain = title
    .normalize('NFKD')
    .replace(/[^a-zA-Z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 60);
  return plain === '' ? 'review' : plain;
}
