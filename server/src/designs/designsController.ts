import { Body, Controller, Get, Header, HttpCode, Param, Post, Put } from '@nestjs/common';
import { ApiBody, ApiHeader, ApiOperation, ApiTags } from '@nestjs/swagger';
import {
  ladderChangeSchema,
  newDesignJudgementSchema,
  type LadderChange,
  type NewDesignJudgement,
  type Person,
} from '@even-lantern/contract';
import { bodyOf } from '../application/openApi.js';
import { IfMatch, Validated, VERSION_HEADER } from '../application/validated.js';
import { Actor } from '../people/people.js';
import { DesignsService } from './designsService.js';

@ApiTags('study designs')
@Controller()
export class DesignsController {
  constructor(private readonly designs: DesignsService) {}

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

  @Post('records/:id/design')
  @HttpCode(200)
  @ApiOperation({ summary: 'Judge the design of a record, or take the judgement back' })
  @ApiBody(bodyOf(newDesignJudgementSchema))
  judge(
    @Param('id') id: string,
    @Body(new Validated(newDesignJudgementSchema)) { design }: NewDesignJudgement,
    @Actor() person: Person,
  ) {
    return this.designs.judge(id, design, person);
  }

  @Put('reviews/:id/ladder')
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
