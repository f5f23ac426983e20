import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import '../css/app.css';
import { Failed, Refused } from './api/client';
import { openKept } from './api/keep';
import { App } from './App';
import { applyStoredTheme } from './ui/theme';

applyStoredTheme();

const cache = new QueryClient({
  // What the cook does is never held back: the outbox keeps what cannot be sent.
  defaultOptions: {
    mutations: { networkMode: 'always' },
    queries: {
      // The kitchen may well be reached where the wide world is not.
      networkMode: 'always',
      retry: (count, error) => !(error instanceof Failed) && !(error instanceof Refused) && count < 2,
      staleTime: 2_000,
    },
  },
});

const root = document.getElementById('app');
if (root !== null) {
  await openKept(cache);
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

// The screens open without a network from the second time on.
if (import.meta.env.PROD && 'serviceWorker' in navigator)
  void navigator.serviceWorker.register('/worker.js', { scope: '/' }).catch(() => undefined);
