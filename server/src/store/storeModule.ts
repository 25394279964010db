import { Module } from '@nestjs/common';
import { Store } from './store.js';

/** The store that was opened before all else, so that whoever starts the program is told at once why it cannot be. */
export const OPENED_STORE = Symbol('opened store');

@Module({
  providers: [{ provide: Store, inject: [OPENED_STORE], useFactory: (store: Store) => store }],
  exports: [Store],
})
export class StoreModule {}
