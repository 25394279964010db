import { Body, Controller, Delete, HttpCode, Param, Post } from '@nestjs/common';
import { ApiBody, ApiHeader, ApiOperation, ApiTags } from '@nestjs/swagger';
import {
  newConceptsSchema,
  newShelfItemSchema,
  shelfMoveSchema,
  type NewConcepts,
  type NewShelfItem,
  type Person,
  type ShelfMove,
} from '@even-lantern/contract';
import { EditsReview } from '../edits/reviewEdit.js';
import { bodyOf } from '../http/openApi.js';
import { IfMatch, Validated, VERSION_HEADER } from '../http/validated.js';
import { ShelfItemRow } from '../store/entities.js';
import { Actor } from '../people/people.js';
import { ShelfService } from './shelfService.js';

@ApiTags('reviews')
@Controller()
export class ShelfController {
  constructor(private readonly shelf: ShelfService) {}

  @Post('reviews/:id/concepts')
  @EditsReview()
  @ApiOperation({ summary: 'Make concepts lanes, each with its terms; all or none' })
  @ApiBody(bodyOf(newConceptsSchema))
  make(
    @Param('id') id: string,
    @Body(new Validated(newConceptsSchema)) body: NewConcepts,
    @Actor() person: Person,
  ) {
    return this.shelf.make(id, body, person);
  }

  @Post('reviews/:id/shelf')
  @EditsReview()
  @ApiOperation({ summary: 'Put headings or words on the shelf of a review' })
  @ApiBody(bodyOf(newShelfItemSchema))
  put(
    @Param('id') id: string,
    @Body(new Validated(newShelfItemSchema)) body: NewShelfItem,
    @Actor() person: Person,
  ) {
    return this.shelf.put(id, body, person);
  }

  @Post('shelf/:id/lane')
  @EditsReview({ of: ShelfItemRow })
  @HttpCode(200)
  @ApiOperation({ summary: 'Move an item of the shelf into a lane' })
  @ApiBody(bodyOf(shelfMoveSchema))
  @ApiHeader(VERSION_HEADER)
  move(
    @Param('id') id: string,
    @Body(new Validated(shelfMoveSchema)) { laneId }: ShelfMove,
    @IfMatch() version: number,
    @Actor() person: Person,
  ) {
    return this.shelf.move(id, laneId, version, person);
  }

  @Delete('shelf/:id')
  @EditsReview({ of: ShelfItemRow })
  @ApiOperation({ summary: 'Take an item off the shelf; it can be put back' })
  @ApiHeader(VERSION_HEADER)
  takeOff(@Param('id') id: string, @IfMatch() version: number, @Actor() _person: Person) {
    return this.shelf.takeOff(id, version);
  }
}
