import { Box, Button, chakra } from '@chakra-ui/react';
import { useState, useSyncExternalStore } from 'react';
import { say } from '@steady-scatter/words/shell';
import { connectionStore, notePaired } from '../api/connection.ts';
import { queries } from '../api/queries.ts';
import { explain } from '../api/explain.ts';
import { call } from '../api/lazyCall.ts';
import { SecureSteps } from './SecureSteps.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';

/** Asks a new device once for the code that stands where Steady Scatter was started. */
export function PairScreen() {
  const { forgotten } = useSyncExternalStore(connectionStore.subscribe, connectionStore.get);
  const [code, setCode] = useState('');
  const [name, setName] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  async function pair() {
    try {
      await call('pair', { body: { code, name: name.trim() || say('shell.aPhone') } });
      notePaired(true);
      await queries.invalidateQueries();
    } catch (error) {
      setTrouble(explain(error));
    }
  }
  return (
    <Box as="main" id="main" maxWidth="460px" padding={{ base: '28px 20px', md: '70px 40px' }}>
      <title>{say('shell.pairTitle')}</title>
      <chakra.h1 fontSize="26px" fontWeight="bold" marginBottom="10px">
        {say('shell.pair')}
      </chakra.h1>
      <Box fontSize="18px" marginBottom="18px">
        {forgotten && say('shell.forgotten')} {say('shell.pairWhere')}
      </Box>
      <Box
        as="form"
        display="grid"
        gap="14px"
        onSubmit={(event) => {
          event.preventDefault();
          void pair();
        }}
      >
        <LabelledField
          label={say('shell.pairCode')}
          placeholder="1234 5678"
          value={code}
          inputMode="numeric"
          minHeight="60px"
          fontSize="26px"
          onChange={setCode}
        />
        <LabelledField
          label={say('shell.pairName')}
          placeholder={say('shell.pairNameHint')}
          value={name}
          minHeight="56px"
          onChange={setName}
        />
        {trouble && (
          <Box role="alert" color="warn" fontWeight="semibold">
            ▲ {trouble}
          </Box>
        )}
        <Button type="submit" variant="solid" minHeight="60px" fontSize="18px">
          {say('shell.pairDo')}
        </Button>
      </Box>
      <SecureSteps />
    </Box>
  );
}
