import { Controller, HttpCode, Param, Post, Sse, type MessageEvent } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Person } from '@even-lantern/contract';
import { EditsNoReview } from '../edits/reviewEdit.js';
import { map, throttleTime, type Observable } from 'rxjs';
import { Actor } from '../people/people.js';
import { IncomingFiles } from './incomingFiles.js';

const TOLD_EVERY_MS = 200;

/** Files that are being read. Whoever sends one names it, so that it can be watched while it is sent. */
@ApiTags('files')
@Controller('files')
export class FilesController {
  constructor(private readonly files: IncomingFiles) {}

  @Sse(':id/progress')
  @ApiOperation({ summary: 'How far a file is, as server-sent events' })
  progress(@Param('id') id: string): Observable<MessageEvent> {
    return this.files.progress(id).pipe(
      throttleTime(TOLD_EVERY_MS, undefined, { leading: true, trailing: true }),
      map((data) => ({ data })),
    );
  }

  @Post(':id/stop')
  @EditsNoReview()
  @HttpCode(204)
  @ApiOperation({ summary: 'Stop reading a file; nothing of it is kept' })
  stop(@Param('id') id: string, @Actor() _person: Person): void {
    this.files.stop(id);
  }
}
