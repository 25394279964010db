import { configureStore } from '@reduxjs/toolkit';
import { setupListeners } from '@reduxjs/toolkit/query';
import { api } from './api.js';

export const store = configureStore({
  reducer: { [api.reducerPath]: api.reducer },
  middleware: (standard) => standard().concat(api.middleware),
});
setupListeners(store.dispatch);
