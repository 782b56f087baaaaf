import '@fontsource-variable/archivo/wdth.css';
import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import { ChakraProvider } from '@chakra-ui/react';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { ErrorBoundary } from 'react-error-boundary';
import './wiring.ts';
import { App } from './App.tsx';
import { openDevice, startBackground } from './start.ts';
import { PreferencesProvider } from './settings/PreferencesProvider.tsx';
import { LastResort } from './shell/LastResort.tsx';
import { system } from './theme/index.ts';
import { NoticesProvider } from './notices/notices.tsx';

const root = document.getElementById('root');
if (!root) throw new Error('The page has no element #root.');

async function start(at: HTMLElement) {
  await openDevice();
  createRoot(at).render(
    <StrictMode>
      <ErrorBoundary fallback={<LastResort />}>
        <ChakraProvider value={system}>
          <NoticesProvider>
            <PreferencesProvider>
              <App />
            </PreferencesProvider>
          </NoticesProvider>
        </ChakraProvider>
      </ErrorBoundary>
    </StrictMode>,
  );
  startBackground();
}
void start(root);
