import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import '../css/app.css';
import { Failed, Refused } from './api/client';
import { App } from './App';
import { applyStoredTheme } from './ui/theme';

applyStoredTheme();

const cache = new QueryClient({
  // What the cook does is never held back: the outbox keeps what cannot be sent.
  defaultOptions: {
    mutations: { networkMode: 'always' },
    queries: { retry: (count, error) => !(error instanceof Failed) && !(error instanceof Refused) && count < 2, staleTime: 2_000 },
  },
});

const root = document.getElementById('app');
if (root !== null) {
  createRoot(root).render(
    <StrictMode>
      <QueryClientProvider client={cache}>
        <BrowserRouter>
          <App />
        </BrowserRouter>
      </QueryClientProvider>
    </StrictMode>,
  );
}
