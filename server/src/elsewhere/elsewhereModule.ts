import { Module } from '@nestjs/common';
import { FilesModule } from '../files/filesModule.js';
import { LedgerModule } from '../ledger/ledgerModule.js';
import { PeopleModule } from '../people/peopleModule.js';
import { ReviewsModule } from '../reviews/reviewsModule.js';
import { StoreModule } from '../store/storeModule.js';
import { ElsewhereController } from './elsewhereController.js';
import { ElsewhereService } from './elsewhereService.js';

@Module({
  imports: [FilesModule, LedgerModule, PeopleModule, ReviewsModule, StoreModule],
  controllers: [ElsewhereController],
  providers: [ElsewhereService],
})
export class ElsewhereModule {}
