import { Module } from '@nestjs/common';
import { PeopleModule } from '../people/peopleModule.js';
import { StoreModule } from '../store/storeModule.js';
import { BudgetsService } from './budgetsService.js';
import { DatabaseEventsService } from './databaseEventsService.js';
import { DatabasesController } from './databasesController.js';
import { DatabasesService } from './databasesService.js';

@Module({
  imports: [PeopleModule, StoreModule],
  controllers: [DatabasesController],
  providers: [BudgetsService, DatabaseEventsService, DatabasesService],
  exports: [BudgetsService, DatabaseEventsService, DatabasesService],
})
export class DatabasesModule {}
