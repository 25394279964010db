import { Module } from '@nestjs/common';
import { CountingModule } from '../counting/countingModule.js';
import { CrosswalkModule } from '../crosswalk/crosswalkModule.js';
import { DatabasesModule } from '../databases/databasesModule.js';
import { PeopleModule } from '../people/peopleModule.js';
import { ReviewsModule } from '../reviews/reviewsModule.js';
import { StoreModule } from '../store/storeModule.js';
import { CompiledStrategies } from './compiledStrategies.js';
import { LineTextsService } from './lineTextsService.js';

@Module({
  imports: [CountingModule, CrosswalkModule, DatabasesModule, PeopleModule, ReviewsModule, StoreModule],
  providers: [LineTextsService, CompiledStrategies],
  exports: [LineTextsService, CompiledStrategies],
})
export class StrategiesModule {}
