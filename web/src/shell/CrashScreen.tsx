import type { FallbackProps } from 'react-error-boundary';
import { Box, Button, chakra } from '@chakra-ui/react';
import { say } from '@steady-scatter/words/shell';

const NEW_VERSION = /dynamically imported module|module script failed/i;

/** Stands in for a screen that broke. What was typed is held by the browser, so loading again is safe. */
export function CrashScreen({ error }: Pick<FallbackProps, 'error'>) {
  const words = error instanceof Error ? error.message : String(error);
  const outOfDate = NEW_VERSION.test(words);
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
        {outOfDate ? say('shell.newVersionHeading') : say('shell.screenBroke')}
      </chakra.h1>
      <Box marginBottom="22px">
        {say('shell.brokeGoOn')} {!outOfDate && say('shell.brokeAgain')}
      </Box>
      <Box display="flex" gap="10px" flexWrap="wrap">
        <Button variant="solid" minHeight="48px" onClick={() => window.location.reload()}>
          {say('shell.loadAgain')}
        </Button>
        <Button minHeight="48px" onClick={() => window.location.assign('/jobs')}>
          {say('shell.seeJobs')}
        </Button>
      </Box>
      {!outOfDate && (
        <Box marginTop="26px" fontSize="15px" color="ink.soft" overflowWrap="anywhere">
          {say('shell.brokeSaid', { words })}
        </Box>
      )}
    </Box>
  );
}
