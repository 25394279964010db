import { Module } from '@nestjs/common';
import { CountingModule } from '../counting/countingModule.js';
import { DatabasesModule } from '../databases/databasesModule.js';
import { PeopleModule } from '../people/peopleModule.js';
import { StrategiesModule } from '../strategies/strategiesModule.js';
import { TranslationController } from './translationController.js';
import { TranslationService } from './translationService.js';

@Module({
  imports: [CountingModule, DatabasesModule, PeopleModule, StrategiesModule],
  controllers: [TranslationController],
  providers: [TranslationService],
  exports: [TranslationService],
})
export class TranslationModule {}
