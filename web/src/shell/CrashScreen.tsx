import type { FallbackProps } from 'react-error-boundary';
import { Box, Button, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { say } from '@steady-scatter/words/shell';
import { connectionStore } from '../api/connection.ts';

const MISSING_PART = /dynamically imported module|module script failed/i;

/** What happened: something broke; or a part did not come, since a newer version has others, or since nothing comes. */
function happened(words: string): 'broke' | 'newVersion' | 'away' {
  if (!MISSING_PART.test(words)) return 'broke';
  return navigator.onLine && connectionStore.get().reachable ? 'newVersion' : 'away';
}

const HEADINGS = {
  broke: say('shell.screenBroke'),
  newVersion: say('shell.newVersionHeading'),
  away: say('shell.partAwayHeading'),
} as const;

/** Stands in for a screen that broke. What was typed is held by the browser, so loading again is safe. */
export function CrashScreen({ error }: Pick<FallbackProps, 'error'>) {
  const words = error instanceof Error ? error.message : String(error);
  const [what] = useState(() => happened(words));
  return (
    <Box
      as="main"
      id="main"
      maxWidth="620px"
      padding={{ base: '40px 20px', md: '90px 40px' }}
      fontSize="18px"
    >
      <title>{say('shell.brokeTitle')}</title>
      <chakra.h1 fontSize="26px" fontWeight="bold" marginBottom="10px">
        {HEADINGS[what]}
      </chakra.h1>
      <Box marginBottom="22px">
        {what === 'away' ? say('shell.partAway') : say('shell.brokeGoOn')}{' '}
        {what === 'broke' && say('shell.brokeAgain')}
      </Box>
      <Box display="flex" gap="10px" flexWrap="wrap">
        <Button variant="solid" minHeight="48px" onClick={() => window.location.reload()}>
          {say('shell.loadAgain')}
        </Button>
        <Button minHeight="48px" onClick={() => window.location.assign('/jobs')}>
          {say('shell.seeJobs')}
        </Button>
      </Box>
      {what === 'broke' && (
        <Box marginTop="26px" fontSize="15px" color="ink.soft" overflowWrap="anywhere">
          {say('shell.brokeSaid', { words })}
        </Box>
      )}
    </Box>
  );
}
