import { Module } from '@nestjs/common';
import { PeopleModule } from '../people/peopleModule.js';
import { StoreModule } from '../store/storeModule.js';
import { ReviewEndService } from './reviewEndService.js';
import { ReviewListService } from './reviewListService.js';
import { ReviewsController } from './reviewsController.js';
import { ReviewsService } from './reviewsService.js';

@Module({
  imports: [PeopleModule, StoreModule],
  controllers: [ReviewsController],
  providers: [ReviewEndService, ReviewListService, ReviewsService],
  exports: [ReviewEndService, ReviewListService, ReviewsService],
})
export class ReviewsModule {}
