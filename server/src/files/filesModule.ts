import { Module } from '@nestjs/common';
import { PeopleModule } from '../people/peopleModule.js';
import { FilesController } from './filesController.js';
import { IncomingFiles } from './incomingFiles.js';
import { WaitingFiles } from './waitingFiles.js';

@Module({
  imports: [PeopleModule],
  controllers: [FilesController],
  providers: [IncomingFiles, WaitingFiles],
  exports: [IncomingFiles, WaitingFiles],
})
export class FilesModule {}
