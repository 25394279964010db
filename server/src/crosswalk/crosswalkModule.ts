import { Module } from '@nestjs/common';
import { PeopleModule } from '../people/peopleModule.js';
import { StoreModule } from '../store/storeModule.js';
import { VocabulariesModule } from '../vocabularies/vocabulariesModule.js';
import { CrosswalkController } from './crosswalkController.js';
import { CrosswalkService } from './crosswalkService.js';

@Module({
  imports: [PeopleModule, StoreModule, VocabulariesModule],
  controllers: [CrosswalkController],
  providers: [CrosswalkService],
  exports: [CrosswalkService],
})
export class CrosswalkModule {}
