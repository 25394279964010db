import { Module } from '@nestjs/common';
import { AskingService } from './countCache.js';

@Module({
  providers: [AskingService],
  exports: [AskingService],
})
export class CountingModule {}
