import { Module } from '@nestjs/common';
import { DatabasesModule } from '../databases/databasesModule.js';
import { StoreModule } from '../store/storeModule.js';
import { HealthController } from './healthController.js';

@Module({
  imports: [DatabasesModule, StoreModule],
  controllers: [HealthController],
})
export class HealthModule {}
