import { Module } from '@nestjs/common';
import { CountingModule } from '../counting/countingModule.js';
import { DatabasesModule } from '../databases/databasesModule.js';
import { LimitsModule } from '../limits/limitsModule.js';
import { ReviewsModule } from '../reviews/reviewsModule.js';
import { StrategiesModule } from '../strategies/strategiesModule.js';
import { CandidatesService } from './candidatesService.js';
import { EffectsService } from './effectsService.js';
import { OverlapService } from './overlapService.js';
import { RehearsalController } from './rehearsalController.js';
import { RehearsalService } from './rehearsalService.js';

@Module({
  imports: [CountingModule, DatabasesModule, LimitsModule, ReviewsModule, StrategiesModule],
  controllers: [RehearsalController],
  providers: [CandidatesService, EffectsService, OverlapService, RehearsalService],
})
export class RehearsalModule {}
