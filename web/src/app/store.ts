import { configureStore } from '@reduxjs/toolkit';
import { setupListeners } from '@reduxjs/toolkit/query';
import { api } from './api.js';

export const store = configureStore({
  reducer: { [api.reducerPath]: api.reducer },
  middleware: (standard) => standard().concat(api.middleware),
  // Told at once, not with the next frame: what the next of several quick keys changes is what the one before has left.
  enhancers: (standard) => standard({ autoBatch: { type: 'tick' } }),
});
setupListeners(store.dispatch);
