import '@fontsource-variable/archivo/wdth.css';
import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import { ChakraProvider } from '@chakra-ui/react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { createRoot } from 'react-dom/client';
import { App } from './App.tsx';
import { PreferencesProvider } from './settings/PreferencesProvider.tsx';
import { system } from './theme/index.ts';
import { NoticesProvider } from './ui/notices.tsx';
import { warmUp } from './warmUp.ts';

const queries = new QueryClient({
  defaultOptions: {
    queries: { staleTime: 5_000, retry: 1, refetchOnWindowFocus: false, networkMode: 'always' },
    mutations: { networkMode: 'always' },
  },
});
const root = document.getElementById('root');
if (!root) throw new Error('The page has no element #root.');

// Not in StrictMode: its second mounting makes a dialog that opens at once close again.
createRoot(root).render(
  <ChakraProvider value={system}>
    <QueryClientProvider client={queries}>
      <NoticesProvider>
        <PreferencesProvider>
          <App />
        </PreferencesProvider>
      </NoticesProvider>
    </QueryClientProvider>
  </ChakraProvider>,
);
warmUp();
