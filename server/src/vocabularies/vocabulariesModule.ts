import { Module } from '@nestjs/common';
import { DatabasesModule } from '../databases/databasesModule.js';
import { FilesModule } from '../files/filesModule.js';
import { PeopleModule } from '../people/peopleModule.js';
import { StoreModule } from '../store/storeModule.js';
import { VocabulariesController } from './vocabulariesController.js';
import { VocabulariesService } from './vocabulariesService.js';

@Module({
  imports: [DatabasesModule, FilesModule, PeopleModule, StoreModule],
  controllers: [VocabulariesController],
  providers: [VocabulariesService],
  exports: [VocabulariesService],
})
export class VocabulariesModule {}
