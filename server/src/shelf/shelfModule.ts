import { Module } from '@nestjs/common';
import { PeopleModule } from '../people/peopleModule.js';
import { ReviewsModule } from '../reviews/reviewsModule.js';
import { StoreModule } from '../store/storeModule.js';
import { ShelfController } from './shelfController.js';
import { ShelfService } from './shelfService.js';

@Module({
  imports: [PeopleModule, ReviewsModule, StoreModule],
  controllers: [ShelfController],
  providers: [ShelfService],
  exports: [ShelfService],
})
export class ShelfModule {}
