import { configureStore } from '@reduxjs/toolkit';
import { render } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import { api } from '../review/api/api.js';

/** Renders within a store of its own and a router at a path; gives the person who clicks and types. */
export function renderAt(path: string, content: ReactNode) {
  const store = configureStore({
    reducer: { [api.reducerPath]: api.reducer },
    // As in the built program: what these look for takes longer than the rest, and RTK Query itself changes nothing.
    middleware: (standard) =>
      standard({ immutableCheck: false, serializableCheck: false }).concat(api.middleware),
  });
  render(
    <Provider store={store}>
      <MemoryRouter initialEntries={[path]}>{content}</MemoryRouter>
    </Provider>,
  );
  return userEvent.setup();
}
