import { Module } from '@nestjs/common';
import { PeopleModule } from '../people/peopleModule.js';
import { ReviewsModule } from '../reviews/reviewsModule.js';
import { StoreModule } from '../store/storeModule.js';
import { PeerReviewsController } from './peerReviewsController.js';
import { PeerReviewsService } from './peerReviewsService.js';

@Module({
  imports: [PeopleModule, ReviewsModule, StoreModule],
  controllers: [PeerReviewsController],
  providers: [PeerReviewsService],
})
export class PeerReviewsModule {}
