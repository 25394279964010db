import { Module } from '@nestjs/common';
import { CrosswalkModule } from '../crosswalk/crosswalkModule.js';
import { DatabasesModule } from '../databases/databasesModule.js';
import { LedgerModule } from '../ledger/ledgerModule.js';
import { PeopleModule } from '../people/peopleModule.js';
import { ReviewsModule } from '../reviews/reviewsModule.js';
import { StoreModule } from '../store/storeModule.js';
import { StrategiesModule } from '../strategies/strategiesModule.js';
import { VersionsModule } from '../versions/versionsModule.js';
import { VocabulariesModule } from '../vocabularies/vocabulariesModule.js';
import { RunClosing } from './runClosing.js';
import { RunPlanning } from './runPlanning.js';
import { RunsController } from './runsController.js';
import { RunsService } from './runsService.js';

@Module({
  imports: [
    CrosswalkModule,
    DatabasesModule,
    LedgerModule,
    PeopleModule,
    ReviewsModule,
    StoreModule,
    StrategiesModule,
    VersionsModule,
    VocabulariesModule,
  ],
  controllers: [RunsController],
  providers: [RunClosing, RunPlanning, RunsService],
  exports: [RunsService],
})
export class RunsModule {}
