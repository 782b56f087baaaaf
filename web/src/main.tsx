import '@fontsource-variable/archivo/wdth.css';
import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import { ChakraProvider } from '@chakra-ui/react';
import { createRoot } from 'react-dom/client';
import { ErrorBoundary } from 'react-error-boundary';
import { App } from './App.tsx';
import { PreferencesProvider } from './settings/PreferencesProvider.tsx';
import { LastResort } from './shell/LastResort.tsx';
import { system } from './theme/index.ts';
import { NoticesProvider } from './ui/notices.tsx';
import { warmUp } from './warmUp.ts';

const root = document.getElementById('root');
if (!root) throw new Error('The page has no element #root.');

// Not in StrictMode: its second mounting makes a dialog that opens at once close again.
createRoot(root).render(
  <ErrorBoundary fallback={<LastResort />}>
    <ChakraProvider value={system}>
      <NoticesProvider>
        <PreferencesProvider>
          <App />
        </PreferencesProvider>
      </NoticesProvider>
    </ChakraProvider>
  </ErrorBoundary>,
);
warmUp();
