import { Controller, Get, Param, Query } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
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
}
