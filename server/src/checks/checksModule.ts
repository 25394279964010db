import { Module } from '@nestjs/common';
import { CountingModule } from '../counting/countingModule.js';
import { DatabasesModule } from '../databases/databasesModule.js';
import { PeopleModule } from '../people/peopleModule.js';
import { ReviewsModule } from '../reviews/reviewsModule.js';
import { StoreModule } from '../store/storeModule.js';
import { StrategiesModule } from '../strategies/strategiesModule.js';
import { AcceptedFindingsService } from './acceptedFindingsService.js';
import { ChecksController } from './checksController.js';
import { MendEffectsService } from './mendEffectsService.js';

@Module({
  imports: [CountingModule, DatabasesModule, PeopleModule, ReviewsModule, StoreModule, StrategiesModule],
  controllers: [ChecksController],
  providers: [AcceptedFindingsService, MendEffectsService],
})
export class ChecksModule {}
