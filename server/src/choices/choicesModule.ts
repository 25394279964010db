import { Module } from '@nestjs/common';
import { DatabasesModule } from '../databases/databasesModule.js';
import { PeopleModule } from '../people/peopleModule.js';
import { ReviewsModule } from '../reviews/reviewsModule.js';
import { StoreModule } from '../store/storeModule.js';
import { ChoicesController } from './choicesController.js';
import { ChoicesService } from './choicesService.js';

@Module({
  imports: [DatabasesModule, PeopleModule, ReviewsModule, StoreModule],
  controllers: [ChoicesController],
  providers: [ChoicesService],
})
export class ChoicesModule {}
