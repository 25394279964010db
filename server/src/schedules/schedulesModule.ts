import { Module } from '@nestjs/common';
import { LedgerModule } from '../ledger/ledgerModule.js';
import { PeopleModule } from '../people/peopleModule.js';
import { ReviewsModule } from '../reviews/reviewsModule.js';
import { RunsModule } from '../runs/runsModule.js';
import { StoreModule } from '../store/storeModule.js';
import { Scheduler } from './scheduler.js';
import { SchedulesController } from './schedulesController.js';
import { SchedulesService } from './schedulesService.js';

@Module({
  imports: [LedgerModule, PeopleModule, ReviewsModule, RunsModule, StoreModule],
  controllers: [SchedulesController],
  providers: [Scheduler, SchedulesService],
})
export class SchedulesModule {}
