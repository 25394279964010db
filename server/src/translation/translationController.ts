import { Body, Controller, Get, HttpCode, Param, Post, Put, Query } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import {
  lineConversionSchema,
  lineTextChangeSchema,
  type LineConversion,
  type LineTextChange,
  type Person,
} from '@even-lantern/contract';
import { EditsNoReview, EditsReview } from '../edits/reviewEdit.js';
import { bodyOf } from '../http/openApi.js';
import { Validated } from '../http/validated.js';
import { Actor } from '../people/people.js';
import { TranslationService } from './translationService.js';

@ApiTags('translation')
@Controller('reviews')
export class TranslationController {
  constructor(private readonly translations: TranslationService) {}

  @Get(':id/translation')
  @ApiOperation({ summary: 'A review’s strategy in a database’s own dialect, with what is lost' })
  translate(@Param('id') id: string, @Query('database') database: string | undefined) {
    return this.translations.translate(id, String(database ?? ''));
  }

  @Post(':id/lines/conversion')
  @EditsNoReview()
  @HttpCode(200)
  @ApiOperation({ summary: 'How a text would stand in a database’s other language, and what would be lost' })
  @ApiBody(bodyOf(lineConversionSchema))
  convert(@Body(new Validated(lineConversionSchema)) conversion: LineConversion) {
    return this.translations.convert(conversion);
  }

  @Put(':id/lines')
  @EditsReview()
  @ApiOperation({
    summary: 'Writes a line by hand for one database, or takes it back to what the lanes give',
  })
  @ApiBody(bodyOf(lineTextChangeSchema))
  write(
    @Param('id') id: string,
    @Body(new Validated(lineTextChangeSchema)) change: LineTextChange,
    @Actor() person: Person,
  ) {
    return this.translations.write(id, change, person);
  }
}
