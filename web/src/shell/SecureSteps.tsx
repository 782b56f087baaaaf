import { Box, chakra } from '@chakra-ui/react';
import { AUTHORITY_PATH, type Here } from '@steady-scatter/contract';
import { useHere } from '../api/useHere.ts';

/** What a browser gives to encrypted pages alone. */
const LACKS =
  'This address is not encrypted. Saved work is sent from it, but once this page is closed it cannot be opened without a network.';

/** The encrypted address of this very page. */
function secureAddress({ secureAddresses }: Here): string | null {
  const same = secureAddresses.find((each) => new URL(each).hostname === location.hostname);
  const base = same ?? secureAddresses[0];
  return base === undefined ? null : `${base}${location.pathname}${location.search}`;
}

const PHONES = [
  [
    'iPhone, iPad',
    'Settings, General, VPN & Device Management: install it. Then Settings, General, About, Certificate Trust Settings: switch it on.',
  ],
  [
    'Android',
    'Settings, Security, Encryption & credentials, Install a certificate, CA certificate: choose the file.',
  ],
  [
    'Windows, macOS, Linux',
    'Open the file, and add it to the trusted root certificates of the system or the browser.',
  ],
] as const;

/** How a phone comes to the encrypted address, where this page is not: what it lacks, the certificate, and the way there. */
export function SecureSteps() {
  const { data: here } = useHere();
  if (window.isSecureContext) return null;
  const address = here ? secureAddress(here) : null;
  return (
    <Box as="section" aria-label="Encrypted address" marginTop="24px">
      <Box color="ink.soft">{LACKS}</Box>
      {here && address && (
        <chakra.ol paddingLeft="22px" marginTop="10px" display="grid" gap="10px" listStyleType="decimal">
          {here.hasAuthority && (
            <li>
              <chakra.a href={AUTHORITY_PATH} textDecoration="underline" fontWeight="semibold">
                Download the certificate
              </chakra.a>{' '}
              of this installation and trust it, once on each phone:
              {PHONES.map(([phone, steps]) => (
                <Box key={phone} marginTop="6px">
                  <b>{phone}:</b> {steps}
                </Box>
              ))}
            </li>
          )}
          <li>
            Open{' '}
            <chakra.a href={address} textDecoration="underline" fontWeight="semibold" overflowWrap="anywhere">
              {address}
            </chakra.a>
          </li>
        </chakra.ol>
      )}
    </Box>
  );
}
