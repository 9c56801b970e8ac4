import '@fontsource-variable/bitter/index.css';
import '@fontsource-variable/figtree/index.css';
import './app/tokens.css';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import ConfigProvider from 'antd/es/config-provider';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { keepApp } from './app/offlineApp';
import { Pages } from './app/Pages';
import { theme } from './app/theme';

const client = new QueryClient({
  // Also without a connection it is asked: then what this device keeps answers.
  defaultOptions: { queries: { refetchOnWindowFocus: false, networkMode: 'always' } },
});

const root = document.getElementById('root');
if (!root) throw new Error('the page has no root');
createRoot(root).render(
  <StrictMode>
    <ConfigProvider theme={theme}>
      <QueryClientProvider client={client}>
        <BrowserRouter>
          <Pages />
        </BrowserRouter>
      </QueryClientProvider>
    </ConfigProvider>
  </StrictMode>,
);

// After all that the page itself needs.
addEventListener('load', () => setTimeout(() => void keepApp(), 1500));
