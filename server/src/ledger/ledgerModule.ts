import { Module } from '@nestjs/common';
import { PeopleModule } from '../people/peopleModule.js';
import { ReviewsModule } from '../reviews/reviewsModule.js';
import { StoreModule } from '../store/storeModule.js';
import { LedgerController } from './ledgerController.js';
import { LedgerService } from './ledgerService.js';

@Module({
  imports: [PeopleModule, ReviewsModule, StoreModule],
  controllers: [LedgerController],
  providers: [LedgerService],
  exports: [LedgerService],
})
export class LedgerModule {}
