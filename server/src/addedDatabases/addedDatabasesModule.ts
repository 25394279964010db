import { Module } from '@nestjs/common';
import { DatabasesModule } from '../databases/databasesModule.js';
import { FilesModule } from '../files/filesModule.js';
import { PeopleModule } from '../people/peopleModule.js';
import { StoreModule } from '../store/storeModule.js';
import { VocabulariesModule } from '../vocabularies/vocabulariesModule.js';
import { AddedDatabasesController } from './addedDatabasesController.js';
import { AddedDatabasesService } from './addedDatabasesService.js';
import { HandAnswersService } from './handAnswersService.js';

@Module({
  imports: [DatabasesModule, FilesModule, PeopleModule, StoreModule, VocabulariesModule],
  controllers: [AddedDatabasesController],
  providers: [AddedDatabasesService, HandAnswersService],
  exports: [AddedDatabasesService],
})
export class AddedDatabasesModule {}
