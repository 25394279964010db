import { Module } from '@nestjs/common';
import { PeopleModule } from '../people/peopleModule.js';
import { ReviewsModule } from '../reviews/reviewsModule.js';
import { StoreModule } from '../store/storeModule.js';
import { OwnLinesController } from './ownLinesController.js';
import { OwnLinesService } from './ownLinesService.js';

@Module({
  imports: [PeopleModule, ReviewsModule, StoreModule],
  controllers: [OwnLinesController],
  providers: [OwnLinesService],
  exports: [OwnLinesService],
})
export class OwnLinesModule {}
