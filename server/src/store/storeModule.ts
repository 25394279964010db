import { Module } from '@nestjs/common';
import { Configuration } from '../configuration/configuration.js';
import { openStore, Store } from './store.js';

@Module({
  providers: [
    {
      provide: Store,
      inject: [Configuration],
      useFactory: ({ storePath }: Configuration) => openStore(storePath),
    },
  ],
  exports: [Store],
})
export class StoreModule {}
