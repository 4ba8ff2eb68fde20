import './app.css';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { Tooltip } from 'radix-ui';
import { createRoot } from 'react-dom/client';
import { App } from './App';

const queries = new QueryClient({ defaultOptions: { queries: { refetchOnWindowFocus: false, retry: 1 } } });

createRoot(document.getElementById('app')!).render(
    <QueryClientProvider client={queries}>
        <Tooltip.Provider delayDuration={500}>
            <App />
        </Tooltip.Provider>
    </QueryClientProvider>,
);
