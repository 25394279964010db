import { Module } from '@nestjs/common';
import { DatabasesModule } from '../databases/databasesModule.js';
import { LedgerModule } from '../ledger/ledgerModule.js';
import { StoreModule } from '../store/storeModule.js';
import { DriftController } from './driftController.js';
import { DriftService } from './driftService.js';

@Module({
  imports: [DatabasesModule, LedgerModule, StoreModule],
  controllers: [DriftController],
  providers: [DriftService],
})
export class DriftModule {}
