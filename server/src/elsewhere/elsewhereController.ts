import { Body, Controller, HttpCode, Param, Post, Query, Req } from '@nestjs/common';
import { ApiBody, ApiConsumes, ApiOperation, ApiTags } from '@nestjs/swagger';
import {
  searchElsewhereSchema,
  waitingFileQuerySchema,
  type Person,
  type SearchElsewhere,
  type WaitingFileQuery,
} from '@even-lantern/contract';
import type { Request } from 'express';
import { EditsNoReview } from '../edits/reviewEdit.js';
import { bodyOf } from '../http/openApi.js';
import { Validated } from '../http/validated.js';
import { Actor } from '../people/people.js';
import { ElsewhereService } from './elsewhereService.js';

@ApiTags('ledger')
@Controller('reviews/:id/ledger')
export class ElsewhereController {
  constructor(private readonly searches: ElsewhereService) {}

  @Post('elsewhere')
  @EditsNoReview()
  @ApiOperation({ summary: 'Enter a search that was made elsewhere' })
  @ApiBody(bodyOf(searchElsewhereSchema))
  elsewhere(
    @Param('id') id: string,
    @Body(new Validated(searchElsewhereSchema)) body: SearchElsewhere,
    @Actor() person: Person,
  ) {
    return this.searches.enter(id, body, person);
  }

  @Post('files')
  @EditsNoReview()
  @HttpCode(200)
  @ApiOperation({
    summary: 'Read a file of records, to be entered with the search made elsewhere that brought it',
  })
  @ApiConsumes('text/plain')
  @ApiBody({ schema: { type: 'string' } })
  readFile(
    @Param('id') id: string,
    @Req() request: Request,
    @Query(new Validated(waitingFileQuerySchema)) query: WaitingFileQuery,
    @Actor() _person: Person,
  ) {
    return this.searches.read(id, request, query);
  }
}
