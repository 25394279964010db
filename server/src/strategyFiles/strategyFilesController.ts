import { Body, Controller, Get, Header, HttpCode, Param, Post, Query } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import { sheetsToCsv, sheetsToMarkdown, sheetToText, type StrategyDocument } from '@even-lantern/core';
import { strategySchema, type Person } from '@even-lantern/contract';
import { EditsReview } from '../edits/reviewEdit.js';
import { bodyOf } from '../http/openApi.js';
import { Validated } from '../http/validated.js';
import { Actor } from '../people/people.js';
import { StrategyFilesService } from './strategyFilesService.js';

/** Strategies as files in open forms, out and in. */
@ApiTags('strategies')
@Controller('reviews/:id')
export class StrategyFilesController {
  constructor(private readonly files: StrategyFilesService) {}

  @Get('strategy.json')
  @ApiOperation({ summary: 'The strategy as JSON, to be read back' })
  @Header('Content-Disposition', 'attachment; filename="strategy.json"')
  json(@Param('id') id: string): Promise<StrategyDocument> {
    return this.files.document(id);
  }

  @Get('strategy.csv')
  @ApiOperation({ summary: 'The sheets of all databases as CSV, one row a line' })
  @Header('Content-Type', 'text/csv; charset=utf-8')
  @Header('Content-Disposition', 'attachment; filename="strategy.csv"')
  async csv(@Param('id') id: string): Promise<string> {
    return sheetsToCsv((await this.files.sheets(id)).sheets);
  }

  @Get('strategy.md')
  @ApiOperation({ summary: 'The sheets of all databases as Markdown' })
  @Header('Content-Type', 'text/markdown; charset=utf-8')
  @Header('Content-Disposition', 'attachment; filename="strategy.md"')
  async markdown(@Param('id') id: string): Promise<string> {
    const { title, sheets } = await this.files.sheets(id);
    return sheetsToMarkdown(title, sheets);
  }

  @Get('strategy.txt')
  @ApiOperation({
    summary: 'The strings of one database, one a line, to be pasted there one after the other',
  })
  @Header('Content-Type', 'text/plain; charset=utf-8')
  @Header('Content-Disposition', 'attachment; filename="strategy.txt"')
  async text(@Param('id') id: string, @Query('database') database: string | undefined): Promise<string> {
    const { sheets } = await this.files.sheets(id, String(database ?? ''));
    return sheetToText(sheets[0]?.lines ?? []);
  }

  @Post('strategy.json')
  @EditsReview({ words: 'read a strategy in' })
  @HttpCode(200)
  @ApiOperation({
    summary: 'Add what an exported strategy holds; terms that are there already stay as they are',
  })
  @ApiBody(bodyOf(strategySchema))
  read(
    @Param('id') id: string,
    @Body(new Validated(strategySchema)) body: StrategyDocument,
    @Actor() person: Person,
  ) {
    return this.files.read(id, body, person);
  }
}
