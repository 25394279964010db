import { Module } from '@nestjs/common';
import { DatabasesModule } from '../databases/databasesModule.js';
import { LimitsModule } from '../limits/limitsModule.js';
import { OwnLinesModule } from '../ownLines/ownLinesModule.js';
import { PeopleModule } from '../people/peopleModule.js';
import { ReviewsModule } from '../reviews/reviewsModule.js';
import { StoreModule } from '../store/storeModule.js';
import { TranslationModule } from '../translation/translationModule.js';
import { LaneFilesController } from './laneFilesController.js';
import { LaneFilesService } from './laneFilesService.js';
import { StrategyFilesController } from './strategyFilesController.js';
import { StrategyFilesService } from './strategyFilesService.js';

@Module({
  imports: [
    DatabasesModule,
    LimitsModule,
    OwnLinesModule,
    PeopleModule,
    ReviewsModule,
    StoreModule,
    TranslationModule,
  ],
  controllers: [LaneFilesController, StrategyFilesController],
  providers: [LaneFilesService, StrategyFilesService],
})
export class StrategyFilesModule {}
