import { Module } from '@nestjs/common';
import { DatabasesModule } from '../databases/databasesModule.js';
import { PeopleModule } from '../people/peopleModule.js';
import { ReviewsModule } from '../reviews/reviewsModule.js';
import { StoreModule } from '../store/storeModule.js';
import { DesignContent } from './designContent.js';
import { DesignsController } from './designsController.js';
import { DesignsService } from './designsService.js';
import { FilterFiguresService } from './filterFiguresService.js';
import { KnownRecordsService } from './knownRecords.js';
import { SavedFiltersService } from './savedFiltersService.js';

@Module({
  imports: [DatabasesModule, PeopleModule, ReviewsModule, StoreModule],
  controllers: [DesignsController],
  providers: [DesignContent, DesignsService, FilterFiguresService, KnownRecordsService, SavedFiltersService],
  exports: [DesignContent],
})
export class DesignsModule {}
