import { Module } from '@nestjs/common';
import { DatabasesModule } from '../databases/databasesModule.js';
import { DesignsModule } from '../designs/designsModule.js';
import { PeopleModule } from '../people/peopleModule.js';
import { ReviewsModule } from '../reviews/reviewsModule.js';
import { StoreModule } from '../store/storeModule.js';
import { FoundByService } from './foundByService.js';
import { RecordDesignsService } from './recordDesignsService.js';
import { RecordsController } from './recordsController.js';
import { RecordsService } from './recordsService.js';

@Module({
  imports: [DatabasesModule, DesignsModule, PeopleModule, ReviewsModule, StoreModule],
  controllers: [RecordsController],
  providers: [FoundByService, RecordDesignsService, RecordsService],
  exports: [RecordsService],
})
export class RecordsModule {}
