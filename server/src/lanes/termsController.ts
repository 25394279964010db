import { Body, Controller, Param, Patch, Post } from '@nestjs/common';
import { ApiBody, ApiHeader, ApiOperation, ApiTags } from '@nestjs/swagger';
import {
  newTermSchema,
  termChangeSchema,
  type NewTerm,
  type Person,
  type TermChange,
} from '@even-lantern/contract';
import { EditsReview } from '../edits/reviewEdit.js';
import { bodyOf } from '../http/openApi.js';
import { IfMatch, Validated, VERSION_HEADER } from '../http/validated.js';
import { TermRow } from '../store/entities.js';
import { Actor } from '../people/people.js';
import { TermsService } from './termsService.js';

@ApiTags('lanes')
@Controller()
export class TermsController {
  constructor(private readonly terms: TermsService) {}

  @Post('reviews/:id/terms')
  @EditsReview()
  @ApiOperation({ summary: 'Add a heading or words to a lane' })
  @ApiBody(bodyOf(newTermSchema))
  addTerm(
    @Param('id') id: string,
    @Body(new Validated(newTermSchema)) body: NewTerm,
    @Actor() person: Person,
  ) {
    return this.terms.add(id, body, person);
  }

  @Patch('terms/:id')
  @EditsReview({ of: TermRow })
  @ApiOperation({ summary: 'Change a term, hold it back, move it, take it out of its lane, or put it back' })
  @ApiBody(bodyOf(termChangeSchema))
  @ApiHeader(VERSION_HEADER)
  changeTerm(
    @Param('id') id: string,
    @Body(new Validated(termChangeSchema)) body: TermChange,
    @IfMatch() version: number,
    @Actor() person: Person,
  ) {
    return this.terms.change(id, body, version, person);
  }
}
