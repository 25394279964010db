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
    middleware: (standard) => standard().concat(api.middleware),
  });
  render(
    <Provider store={store}>
      <MemoryRouter initialEntries={[path]}>{content}</MemoryRouter>
    </Provider>,
  );
  return userEvent.setup();
}
