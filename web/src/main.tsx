import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/jetbrains-mono';
import '@fontsource-variable/literata';
import './app/theme.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { BrowserRouter } from 'react-router';
import { App } from './app/App.js';
import { prefetch } from './app/prefetch.js';
import { store } from './review/api/store.js';
import { restoreTheme } from './app/theme.js';

restoreTheme();
void prefetch(store, location);
const root = document.getElementById('root');
if (root === null) throw new Error('the page has no root element');
createRoot(root).render(
  <StrictMode>
    <Provider store={store}>
      <BrowserRouter>
        <App />
      </BrowserRouter>
    </Provider>
  </StrictMode>,
);
