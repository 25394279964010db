import { Module } from '@nestjs/common';
import { CountCache } from './countCache.js';

@Module({
  providers: [CountCache],
  exports: [CountCache],
})
export class CountingModule {}
