import { Module } from '@nestjs/common';
import { APP_INTERCEPTOR } from '@nestjs/core';
import { PeopleModule } from '../people/peopleModule.js';
import { ReviewsModule } from '../reviews/reviewsModule.js';
import { StoreModule } from '../store/storeModule.js';
import { EditKeeper } from './editKeeper.js';
import { EditsService } from './editsService.js';
import { UndoController } from './undoController.js';

@Module({
  imports: [PeopleModule, ReviewsModule, StoreModule],
  controllers: [UndoController],
  providers: [EditKeeper, EditsService, { provide: APP_INTERCEPTOR, useExisting: EditKeeper }],
})
export class UndoModule {}
