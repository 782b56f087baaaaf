import '@fontsource-variable/archivo/wdth.css';
import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import { ChakraProvider } from '@chakra-ui/react';
import { createRoot } from 'react-dom/client';
import { App } from './App.tsx';
import { PreferencesProvider } from './settings/PreferencesProvider.tsx';
import { system } from './theme/index.ts';
import { NoticesProvider } from './ui/notices.tsx';
import { warmUp } from './warmUp.ts';

const root = document.getElementById('root');
if (!root) throw new Error('The page has no element #root.');

// Not in StrictMode: its second mounting makes a dialog that opens at once close again.
createRoot(root).render(
  <ChakraProvider value={system}>
    <NoticesProvider>
      <PreferencesProvider>
        <App />
      </PreferencesProvider>
    </NoticesProvider>
  </ChakraProvider>,
);
warmUp();
