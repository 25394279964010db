import { Module } from '@nestjs/common';
import { StoreModule } from '../store/storeModule.js';
import { PeopleService, PersonPipe, PeopleController } from './people.js';

@Module({
  imports: [StoreModule],
  controllers: [PeopleController],
  providers: [PeopleService, PersonPipe],
  exports: [PeopleService, PersonPipe],
})
export class PeopleModule {}
