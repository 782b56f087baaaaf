import { Box, chakra } from '@chakra-ui/react';
import { rich, say } from '@steady-scatter/words/bench';
import { Panel } from '../ui/Panel.tsx';
import { QrCode } from '../ui/QrCode.tsx';
import { useHere } from '../api/useHere.ts';
import { richly, TAGS } from '../ui/richly.tsx';

const isOwnName = (host: string): boolean => /^(localhost|127\.0\.0\.1|\[::1\])$/.test(host);

/** A code that a phone's camera opens, the address in words, and the code that a new phone is asked for. */
export default function HandOverPanel({ path, onClose }: { path: string; onClose(): void }) {
  const { data: here } = useHere();
  const base = here?.publicUrl ?? here?.secureAddresses[0] ?? here?.addresses[0] ?? (isOwnName(location.hostname) ? null : location.origin); // prettier-ignore
  return (
    <Panel title={say('bench.phone.title')} onClose={onClose}>
      {base ? (
        <>
          <Box bg="white" padding="10px" borderRadius="8px" width="240px">
            <QrCode text={`${base}${path}`} label={say('bench.phone.code')} />
          </Box>
          <Box marginTop="10px" overflowWrap="anywhere">
            {base}
            {path}
          </Box>
          {here?.hasAuthority && here.addresses[0] && (
            <Box marginTop="10px">
              {richly(rich('bench.phone.notTrusted', { ...TAGS, address: here.addresses[0] }))}
            </Box>
          )}
          {here?.code && (
            <Box marginTop="10px">{richly(rich('bench.phone.pair', { ...TAGS, code: here.code }))}</Box>
          )}
          <Box marginTop="10px" color="ink.soft">
            {say('bench.phone.follows')}
          </Box>
        </>
      ) : (
        <Box>
          {say('bench.phone.closed')} <chakra.code>{say('bench.phone.command')}</chakra.code>{' '}
          {say('bench.phone.closedThen')}
        </Box>
      )}
    </Panel>
  );
}
