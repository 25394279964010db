import { Module } from '@nestjs/common';
import { AddedDatabasesModule } from '../addedDatabases/addedDatabasesModule.js';
import { FilesModule } from '../files/filesModule.js';
import { PeopleModule } from '../people/peopleModule.js';
import { ReviewsModule } from '../reviews/reviewsModule.js';
import { StoreModule } from '../store/storeModule.js';
import { PackagesController } from './packagesController.js';
import { PackagesService } from './packagesService.js';

@Module({
  imports: [AddedDatabasesModule, FilesModule, PeopleModule, ReviewsModule, StoreModule],
  controllers: [PackagesController],
  providers: [PackagesService],
})
export class PackagesModule {}
