import { Box, chakra } from '@chakra-ui/react';
import { AUTHORITY_PATH, type Here } from '@steady-scatter/contract';
import { say } from '@steady-scatter/words/shell';
import { useHere } from '../api/useHere.ts';

/** What a browser gives to encrypted pages alone. */
const LACKS = say('shell.notEncrypted');

/** The encrypted address of this very page. */
function secureAddress({ secureAddresses }: Here): string | null {
  const same = secureAddresses.find((each) => new URL(each).hostname === location.hostname);
  const base = same ?? secureAddresses[0];
  return base === undefined ? null : `${base}${location.pathname}${location.search}`;
}

const PHONES = [
  [say('shell.secure.apple'), say('shell.secure.appleHow')],
  ['Android', say('shell.secure.androidHow')],
  [say('shell.secure.desktop'), say('shell.secure.desktopHow')],
] as const;

/** How a phone comes to the encrypted address, where this page is not: what it lacks, the certificate, and the way there. */
export function SecureSteps() {
  const { data: here } = useHere();
  if (window.isSecureContext) return null;
  const address = here ? secureAddress(here) : null;
  return (
    <Box as="section" aria-label={say('shell.secure.address')} marginTop="24px">
      <Box color="ink.soft">{LACKS}</Box>
      {here && address && (
        <chakra.ol paddingLeft="22px" marginTop="10px" display="grid" gap="10px" listStyleType="decimal">
          {here.hasAuthority && (
            <li>
              <chakra.a href={AUTHORITY_PATH} textDecoration="underline" fontWeight="semibold">
                {say('shell.secure.download')}
              </chakra.a>{' '}
              {say('shell.secure.trust')}
              {PHONES.map(([phone, steps]) => (
                <Box key={phone} marginTop="6px">
                  <b>{phone}:</b> {steps}
                </Box>
              ))}
            </li>
          )}
          <li>
            {say('shell.secure.open')}{' '}
            <chakra.a href={address} textDecoration="underline" fontWeight="semibold" overflowWrap="anywhere">
              {address}
            </chakra.a>
          </li>
        </chakra.ol>
      )}
    </Box>
  );
}
