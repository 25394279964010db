import { Module } from '@nestjs/common';
import { PeopleModule } from '../people/peopleModule.js';
import { ReviewsModule } from '../reviews/reviewsModule.js';
import { StoreModule } from '../store/storeModule.js';
import { LanesController } from './lanesController.js';
import { LanesService } from './lanesService.js';
import { TermsController } from './termsController.js';
import { TermsService } from './termsService.js';

@Module({
  imports: [PeopleModule, ReviewsModule, StoreModule],
  controllers: [LanesController, TermsController],
  providers: [LanesService, TermsService],
})
export class LanesModule {}
