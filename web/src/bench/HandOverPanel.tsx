import { Box, chakra } from '@chakra-ui/react';
import { Panel } from '../ui/Panel.tsx';
import { QrCode } from '../ui/QrCode.tsx';
import { useHere } from '../api/useHere.ts';

const isOwnName = (host: string): boolean => /^(localhost|127\.0\.0\.1|\[::1\])$/.test(host);

/** A code that a phone's camera opens, the address in words, and the code that a new phone is asked for. */
export default function HandOverPanel({ path, onClose }: { path: string; onClose(): void }) {
  const { data: here } = useHere();
  const base = here?.publicUrl ?? here?.secureAddresses[0] ?? here?.addresses[0] ?? (isOwnName(location.hostname) ? null : location.origin); // prettier-ignore
  return (
    <Panel title="Go on with it on a phone" onClose={onClose}>
      {base ? (
        <>
          <Box bg="white" padding="10px" borderRadius="8px" width="240px">
            <QrCode text={`${base}${path}`} label="Opens this on a phone" />
          </Box>
          <Box marginTop="10px" overflowWrap="anywhere">
            {base}
            {path}
          </Box>
          {here?.hasAuthority && here.addresses[0] && (
            <Box marginTop="10px">
              A phone that does not trust this installation yet opens <b>{here.addresses[0]}</b> first: it
              says how.
            </Box>
          )}
          {here?.code && (
            <Box marginTop="10px">
              A new phone is asked once for <b>{here.code}</b>.
            </Box>
          )}
          <Box marginTop="10px" color="ink.soft">
            Each step is saved as it is done, and this page follows along.
          </Box>
        </>
      ) : (
        <Box>
          Phones are not let in: Steady Scatter listens on this machine alone. Stop it and start it with{' '}
          <chakra.code>HOST=0.0.0.0 npm start</chakra.code> on a network that you trust; it then prints its
          address and a code that each phone is asked for once.
        </Box>
      )}
    </Panel>
  );
}
