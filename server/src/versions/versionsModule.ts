import { Module } from '@nestjs/common';
import { APP_INTERCEPTOR } from '@nestjs/core';
import { CountingModule } from '../counting/countingModule.js';
import { DatabasesModule } from '../databases/databasesModule.js';
import { PeopleModule } from '../people/peopleModule.js';
import { ReviewsModule } from '../reviews/reviewsModule.js';
import { StoreModule } from '../store/storeModule.js';
import { StrategiesModule } from '../strategies/strategiesModule.js';
import { ComparisonService } from './comparisonService.js';
import { VersionKeeper } from './versionKeeper.js';
import { VersionsController } from './versionsController.js';
import { VersionsService } from './versionsService.js';

@Module({
  imports: [CountingModule, DatabasesModule, PeopleModule, ReviewsModule, StoreModule, StrategiesModule],
  controllers: [VersionsController],
  providers: [
    ComparisonService,
    VersionKeeper,
    VersionsService,
    { provide: APP_INTERCEPTOR, useExisting: VersionKeeper },
  ],
  exports: [VersionsService],
})
export class VersionsModule {}
