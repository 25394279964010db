import { Body, Controller, Get, Header, HttpCode, Param, Patch, Post, Put } from '@nestjs/common';
import { ApiBody, ApiHeader, ApiOperation, ApiTags } from '@nestjs/swagger';
import {
  filterFiguresSchema,
  ladderChangeSchema,
  newSavedFilterSchema,
  savedFilterChangeSchema,
  type FilterFiguresRequest,
  type LadderChange,
  type NewSavedFilter,
  type Person,
  type SavedFilterChange,
} from '@even-lantern/contract';
import { EditsNoReview, EditsReview } from '../edits/reviewEdit.js';
import { bodyOf } from '../http/openApi.js';
import { IfMatch, Validated, VERSION_HEADER } from '../http/validated.js';
import { Actor } from '../people/people.js';
import { DesignsService } from './designsService.js';
import { FilterFiguresService } from './filterFiguresService.js';
import { SavedFiltersService } from './savedFiltersService.js';

@ApiTags('study designs')
@Controller()
export class DesignsController {
  constructor(
    private readonly designs: DesignsService,
    private readonly filters: SavedFiltersService,
    private readonly figures: FilterFiguresService,
  ) {}

  @Get('designs')
  @ApiOperation({ summary: 'The study designs, and the rules that tell them' })
  get() {
    return this.designs.designs();
  }

  @Get('designs.ttl')
  @ApiOperation({ summary: 'The study designs as SKOS in Turtle' })
  @Header('Content-Type', 'text/turtle; charset=utf-8')
  @Header('Content-Disposition', 'attachment; filename="study-designs.ttl"')
  turtle(): Promise<string> {
    return this.designs.turtle();
  }

  @Get('filters')
  @ApiOperation({ summary: 'Design filters that people saved, for all reviews' })
  savedFilters() {
    return this.filters.list();
  }

  @Post('filters')
  @EditsNoReview()
  @ApiOperation({ summary: 'Save a design filter under a name of its own' })
  @ApiBody(bodyOf(newSavedFilterSchema))
  saveFilter(@Body(new Validated(newSavedFilterSchema)) filter: NewSavedFilter, @Actor() person: Person) {
    return this.filters.add(filter, person);
  }

  @Patch('filters/:id')
  @EditsNoReview()
  @ApiOperation({ summary: 'Change, rename, take away or bring back a saved filter' })
  @ApiBody(bodyOf(savedFilterChangeSchema))
  @ApiHeader(VERSION_HEADER)
  changeFilter(
    @Param('id') id: string,
    @Body(new Validated(savedFilterChangeSchema)) change: SavedFilterChange,
    @IfMatch() version: number,
    @Actor() person: Person,
  ) {
    return this.filters.change(id, change, version, person);
  }

  @Post('reviews/:id/filter-figures')
  @EditsNoReview()
  @HttpCode(200)
  @ApiOperation({ summary: 'How filters of a design do on records whose designs are known' })
  @ApiBody(bodyOf(filterFiguresSchema))
  filterFigures(
    @Param('id') id: string,
    @Body(new Validated(filterFiguresSchema)) request: FilterFiguresRequest,
  ) {
    return this.figures.measure(id, request);
  }

  @Put('reviews/:id/ladder')
  @EditsReview()
  @ApiOperation({ summary: 'Change the ladder of evidence of a review, or go back to what is proposed' })
  @ApiBody(bodyOf(ladderChangeSchema))
  @ApiHeader(VERSION_HEADER)
  changeLadder(
    @Param('id') id: string,
    @Body(new Validated(ladderChangeSchema)) change: LadderChange,
    @IfMatch() version: number,
    @Actor() _person: Person,
  ) {
    return this.designs.changeLadder(id, change, version);
  }
}
