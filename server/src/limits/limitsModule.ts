import { Module } from '@nestjs/common';
import { CountingModule } from '../counting/countingModule.js';
import { DatabasesModule } from '../databases/databasesModule.js';
import { PeopleModule } from '../people/peopleModule.js';
import { ReviewsModule } from '../reviews/reviewsModule.js';
import { StoreModule } from '../store/storeModule.js';
import { StrategiesModule } from '../strategies/strategiesModule.js';
import { KeptRecords } from './keptRecords.js';
import { LimitsController } from './limitsController.js';
import { LimitsService } from './limitsService.js';
import { ProfileService } from './profileService.js';

@Module({
  imports: [CountingModule, DatabasesModule, PeopleModule, ReviewsModule, StoreModule, StrategiesModule],
  controllers: [LimitsController],
  providers: [KeptRecords, LimitsService, ProfileService],
  exports: [KeptRecords, LimitsService],
})
export class LimitsModule {}
