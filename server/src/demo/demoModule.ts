import { Module } from '@nestjs/common';
import { LimitsModule } from '../limits/limitsModule.js';
import { PeopleModule } from '../people/peopleModule.js';
import { RecordsModule } from '../records/recordsModule.js';
import { ReviewsModule } from '../reviews/reviewsModule.js';
import { RunsModule } from '../runs/runsModule.js';
import { ShelfModule } from '../shelf/shelfModule.js';
import { DemoService } from './demoService.js';

@Module({
  imports: [LimitsModule, PeopleModule, RecordsModule, ReviewsModule, RunsModule, ShelfModule],
  providers: [DemoService],
})
export class DemoModule {}
